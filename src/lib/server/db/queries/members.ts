import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Member } from '../../access';
import type { ShownUnits } from '../../../core/quantity';
import type { ProgramStyle } from '../../program-style';
import type { Db } from '../connect';
import { member, program } from '../schema';

export interface Membership extends Member {
	program: {
		id: string;
		name: string;
		timeZone: string;
		isDemo: boolean;
		units?: ShownUnits | undefined;
	} & ProgramStyle;
}

/** A person's places in programs, those they were removed from last. */
export async function membershipsOf(db: Db, userId: string): Promise<Membership[]> {
	const rows = await db
		.select({ member, program })
		.from(member)
		.innerJoin(program, eq(program.id, member.programId))
		.where(eq(member.userId, userId))
		.orderBy(asc(program.name));
	return rows
		.map(({ member: m, program: p }) => ({
			...m,
			program: programOf(p)
		}))
		.sort((a, b) => Number(a.removedAt !== null) - Number(b.removedAt !== null));
}

/** What is known of a program wherever somebody acts in it. */
export const programOf = ({
	id,
	name,
	timeZone,
	isDemo,
	settings
}: typeof program.$inferSelect): Membership['program'] => ({
	id,
	name,
	timeZone,
	isDemo,
	dates: settings.dates,
	numbers: settings.numbers,
	units: settings.units
});

/** Names and initials of everyone who ever wrote in the program's logbook, by member id. */
export async function peopleOf(db: Db, programId: string): Promise<Record<string, { name: string; initials: string }>> {
	const rows = await db
		.select({ id: member.id, name: member.name, initials: member.initials })
		.from(member)
		.where(eq(member.programId, programId));
	return Object.fromEntries(rows.map(({ id, ...person }) => [id, person]));
}

/** Members on a team today. */
export const teamMembers = (db: Db, programId: string, teamId: string) =>
	db
		.select({ id: member.id, name: member.name, initials: member.initials })
		.from(member)
		.where(and(eq(member.programId, programId), eq(member.teamId, teamId), isNull(member.removedAt)))
		.orderBy(asc(member.name));

/** True when the demo is loaded here; its sign-ins may then be offered. */
export const isDemoLoaded = async (db: Db): Promise<boolean> =>
	(await db.select({ id: program.id }).from(program).where(eq(program.isDemo, true)).limit(1)).length > 0;
