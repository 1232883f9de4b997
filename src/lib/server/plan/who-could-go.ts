import { and, eq, isNull, ne } from 'drizzle-orm';
import { weekday } from '../../core/schedule';
import type { Db } from '../db/connect';
import { member } from '../db/schema';
import { dayOfDate } from './local-day';
import type { RoundDay } from './round-day';

/** Everyone who may be put down for a round, the team first, with what speaks against it that day. */
export async function whoCouldGo(
	db: Db,
	programId: string,
	{ teamId, day }: Pick<RoundDay, 'teamId' | 'day'>
): Promise<{ id: string; name: string; isTeam: boolean; why: string }[]> {
	const rows = await db
		.select()
		.from(member)
		.where(and(eq(member.programId, programId), isNull(member.removedAt), ne(member.role, 'viewer')));
	return rows
		.map((m) => ({ id: m.id, name: m.name, isTeam: m.teamId === teamId, why: whyNot(m, day) }))
		.sort((a, b) => Number(b.isTeam) - Number(a.isTeam) || a.name.localeCompare(b.name, 'en'));
}

function whyNot(m: typeof member.$inferSelect, day: number): string {
	if (m.away.some((a) => day >= dayOfDate(a.from) && day <= dayOfDate(a.to))) return 'away that day';
	if (!m.weekdays.includes(weekday(day))) return 'not on that day of the week';
	return m.trainedUntil !== null && dayOfDate(m.trainedUntil) < day ? 'training has ended' : '';
}
