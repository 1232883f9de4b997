import { and, desc, eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { labReport, place } from '../db/schema';

const columns = {
	id: labReport.id,
	name: labReport.name,
	labId: labReport.labId,
	lab: place.name,
	arrivedAt: labReport.arrivedAt,
	isSimulated: labReport.isSimulated,
	takenAt: labReport.takenAt,
	takenBy: labReport.takenBy,
	figures: labReport.figures
};

const ofLab = and(eq(place.programId, labReport.programId), eq(place.id, labReport.labId));

/** The program's reports, those that wait first, then the newest. */
export const reportsOf = (db: Db, programId: string, most: number) =>
	db
		.select(columns)
		.from(labReport)
		.innerJoin(place, ofLab)
		.where(eq(labReport.programId, programId))
		.orderBy(sql`${labReport.takenAt} is not null`, desc(labReport.arrivedAt))
		.limit(most);

type Kept = Pick<LabReport, 'arrivedAt' | 'takenAt' | 'takenBy'>;

/** A report as pages show it: moments as numbers, who wrote it by name. */
export function reportOnWire<R extends Kept>(
	{ arrivedAt, takenAt, takenBy, ...report }: R,
	people: Readonly<Record<string, { name: string }>>
) {
	const by = takenBy === null ? undefined : people[takenBy]?.name;
	return {
		...report,
		arrived_ms: +arrivedAt,
		taken: takenAt && { at_ms: +takenAt, by: by ?? 'somebody who has left' }
	};
}

/** One of them with its text; null where the program has none such. */
export async function reportOf(db: Db, programId: string, id: string) {
	const [report] = await db
		.select({ ...columns, content: labReport.content, corrections: labReport.corrections })
		.from(labReport)
		.innerJoin(place, ofLab)
		.where(and(eq(labReport.programId, programId), eq(labReport.id, id)));
	return report ?? null;
}
export type LabReport = NonNullable<Awaited<ReturnType<typeof reportOf>>>;

/** Laboratories of the program, by name. */
export const labsOf = (db: Db, programId: string) =>
	db
		.select({ id: place.id, name: place.name })
		.from(place)
		.where(and(eq(place.programId, programId), eq(place.kind, 'lab')))
		.orderBy(place.name);

/** How many reports wait to be looked at. */
export async function waitingReports(db: Db, programId: string): Promise<number> {
	return db.$count(labReport, and(eq(labReport.programId, programId), sql`${labReport.takenAt} is null`));
}

/** Keeps a report as it was sent; nothing of it is written yet. The same text of the same lab is one report. */
export async function keepReport(
	db: Db,
	who: Pick<Member, 'programId' | 'id'>,
	{ labId, name, content }: { labId: string; name: string; content: string },
	now_ms: number
): Promise<{ id: string; isNew: boolean } | { why: string }> {
	const labs = await labsOf(db, who.programId);
	if (!labs.some((l) => l.id === labId)) return { why: 'Say which lab it comes from.' };
	const [there] = await db
		.select({ id: labReport.id })
		.from(labReport)
		.where(and(eq(labReport.programId, who.programId), eq(labReport.labId, labId), eq(labReport.content, content)));
	if (there) return { id: there.id, isNew: false };
	const id = v7();
	await db
		.insert(labReport)
		.values({ programId: who.programId, id, labId, name, content, arrivedAt: new Date(now_ms), byMemberId: who.id });
	return { id, isNew: true };
}

/** Takes a report that still waits out again: it was the wrong file. One that was written stays. */
export async function dropReport(db: Db, programId: string, id: string): Promise<boolean> {
	const gone = await db
		.delete(labReport)
		.where(and(eq(labReport.programId, programId), eq(labReport.id, id), sql`${labReport.takenAt} is null`))
		.returning({ id: labReport.id });
	return gone.length > 0;
}
