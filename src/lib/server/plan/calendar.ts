import { randomBytes } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { createEvents, type EventAttributes } from 'ics';
import { streamNetwork } from '../db/queries/catchment';
import { peopleOf, programOf, type Membership } from '../db/queries/members';
import type { Db } from '../db/connect';
import { program } from '../db/schema';
import { settings } from '../settings';
import { dateOfDay } from './local-day';
import { loadSeason } from './season';

/** Whose calendar: a member's program, or the one that a feed's address names. */
export type CalendarOf = Pick<Membership, 'programId' | 'program'>;

/** The planned rounds as iCalendar: a day each, for the day's own times are found in its plan. */
export async function seasonCalendar(db: Db, of: CalendarOf, now_ms: number): Promise<string> {
	const { rounds } = await loadSeason(db, of, now_ms);
	const people = await peopleOf(db, of.programId);
	const { sites } = await streamNetwork(db, of.programId);
	const dayParts = (day: number) => dateOfDay(day).split('-').map(Number) as [number, number, number];
	const events = rounds
		.filter((r) => r.state === 'planned')
		.map((r): EventAttributes & { timestamp: number } => ({
			uid: `${r.id}@keen-riffle`,
			timestamp: now_ms, // known to the library, not to its types; else it asks the machine's clock
			title: r.name,
			start: dayParts(r.day),
			end: dayParts(r.day + 1),
			description: [
				`Sites: ${r.siteIds.map((id) => sites.find((s) => s.id === id)?.name ?? '?').join(', ')}`,
				`Crew: ${r.crew.map((id) => people[id]?.name ?? '?').join(', ') || 'nobody yet'}`
			].join('\n'),
			url: `${settings().ORIGIN}/plan/rounds/${r.id}`
		}));
	const { value, error } = createEvents(events, { productId: 'keen-riffle', calName: `${of.program.name}: rounds` });
	if (error || !value) throw new TypeError(`the calendar could not be written: ${String(error?.message)}`);
	return value;
}

/** The secret part of a program's feed, or null before it is made. */
export async function feedKeyOf(db: Db, programId: string): Promise<string | null> {
	const [row] = await db.select({ settings: program.settings }).from(program).where(eq(program.id, programId));
	return row?.settings.feedKey ?? null;
}

/** Makes a new address for the feed; the old one answers no more. */
export async function newFeedKey(db: Db, programId: string): Promise<string> {
	const feedKey = randomBytes(18).toString('base64url');
	await db
		.update(program)
		.set({ settings: sql`${program.settings} || ${JSON.stringify({ feedKey })}::jsonb` })
		.where(eq(program.id, programId));
	return feedKey;
}

/** The program whose feed has this key. */
export async function programOfFeed(db: Db, key: string): Promise<CalendarOf | null> {
	const [row] = await db
		.select()
		.from(program)
		.where(eq(sql`${program.settings}->>'feedKey'`, key));
	return row ? { programId: row.id, program: programOf(row) } : null;
}
