import { and, asc, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import { emptyLibrary, kinds, usualSkills, type KindName, type Library, type Row } from '../../core/library';
import { usualDriveGuess, usualRates } from '../../core/schedule';
import { numberStyles, unitChoices } from '../../core/quantity';
import { dateStyles } from '../../core/wording';
import type { Db } from '../db/connect';
import { rowsOf } from '../db/rows';
import { member, program, user } from '../db/schema';
import { goneByVisits } from '../db/queries/samplers';
import { USUAL_OVERDUE_h } from '../db/queries/program-facts';
import { column, tables } from './tables';

/** Where a program says nothing: what a storm is, and how soon a round goes after it. */
export const usualStorm = { rain_mm: 15, within_h: 48 };

/** All that a program has set up. */
export async function loadLibrary(db: Db, programId: string): Promise<Library> {
	const library: Record<KindName, Row[]> = emptyLibrary() as Record<KindName, Row[]>;
	library.program = [await programRow(db, programId)];
	library.people = await peopleRows(db, programId);
	library.cards = await cardRows(db, programId);
	for (const [name, kept] of Object.entries(tables) as [keyof typeof tables, (typeof tables)[keyof typeof tables]][]) {
		const { table, only = {}, toRow } = kept;
		const rows: Record<string, unknown>[] = await db
			.select()
			.from(table)
			.where(
				and(
					eq(column(table, 'programId'), programId),
					...Object.entries(only).map(([key, value]) => eq(column(table, key), value))
				)
			)
			.orderBy(asc(column(table, 'id')));
		const { fields } = kinds.find((k) => k.name === name)!;
		library[name] = rows.map((r) => {
			const all = toRow ? toRow(r) : r;
			return { id: String(r['id']), ...Object.fromEntries(Object.keys(fields).map((f) => [f, all[f]])) };
		});
	}
	const gone = await goneByVisits(db, programId);
	library.samplers = library.samplers.map((row) => ({
		...row,
		liftedOn: row['liftedOn'] ?? gone.get(String(row['code'])) ?? null
	}));
	return library;
}

async function programRow(db: Db, programId: string): Promise<Row> {
	const [row] = await db.select().from(program).where(eq(program.id, programId));
	const {
		season,
		driveGuess = usualDriveGuess,
		storm = usualStorm,
		rain,
		reportTo,
		overdue_h,
		whoJudges,
		dates = dateStyles[0],
		numbers = numberStyles[0],
		units: {
			temperatures = unitChoices.temperatures[0],
			lengths = unitChoices.lengths[0],
			flows = unitChoices.flows[0]
		} = {},
		skills = usualSkills,
		holidays,
		paper,
		telephone,
		qualityRates = usualRates
	} = row!.settings;
	return {
		id: programId,
		name: row!.name,
		timeZone: row!.timeZone,
		seasonFrom: season?.from ?? null,
		seasonTo: season?.to ?? null,
		...driveGuess,
		storm_mm: storm.rain_mm,
		stormWithin_h: storm.within_h,
		rain: rain ?? 'none',
		reportTo: reportTo ?? '',
		overdue_h: overdue_h ?? USUAL_OVERDUE_h,
		whoJudges: whoJudges ?? 'anyone',
		dates,
		numbers,
		temperatures,
		lengths,
		flows,
		skills,
		holidays: holidays ?? [],
		paper: paper ?? 'A4',
		telephone: telephone ?? '',
		...qualityRates
	};
}

async function peopleRows(db: Db, programId: string): Promise<Row[]> {
	const rows = await db
		.select({ member, email: user.email })
		.from(member)
		.innerJoin(user, eq(user.id, member.userId))
		.where(eq(member.programId, programId));
	return rows.map(({ member: m, email }) => ({
		id: m.id,
		name: m.name,
		initials: m.initials,
		email,
		role: m.role,
		alsoRoles: m.alsoRoles,
		teamId: m.teamId,
		skills: m.skills,
		trainedUntil: m.trainedUntil,
		weekdays: m.weekdays,
		away: m.away,
		leftOn: m.removedAt === null ? null : m.removedAt.toISOString().slice(0, 10)
	}));
}

async function cardRows(db: Db, programId: string): Promise<Row[]> {
	const rows = await rowsOf(
		db,
		z.object({ id: z.string(), code: z.string(), title: z.string() }),
		sql`
		select c.id, c.code, (
			select v.body->>'title' from method_card_version v
			where v.program_id = c.program_id and v.card_id = c.id order by v.version desc limit 1
		) as title
		from method_card c where c.program_id = ${programId}`
	);
	return rows;
}
