import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { withHistory } from '../../core/visit';
import type { Db } from '../db/connect';
import { rowsOf } from '../db/rows';
import { tripsOf } from '../plan/trip';
import { documentsOf, type Documents } from './documents';
import { usualBefore, visitFacts, type VisitFacts } from './facts';
import { workedOut, type Worked } from './work-out';
import { writeClocks, writeDocuments, writeFlags } from './write';

/**
 * Works the named visits out from their entries and writes what follows: the sheet, results, flags, reviews and
 * running clocks. Nothing here is truth; it can be thrown away and made again. Results come first for all of them,
 * since what is unusual at a site is judged by its earlier results.
 */
export async function projectVisits(
	db: Db,
	programId: string,
	visitIds: readonly string[],
	now_ms: number
): Promise<void> {
	await writeWorked(db, programId, workOut(await visitFacts(db, programId, visitIds), now_ms), now_ms);
}

/** Visits that are written together, and what is written of them. */
interface Batch {
	worked: Worked[];
	documents: Documents;
}

const A_BATCH = 250;
/**
 * Begins to work visits out, batch after batch: one can be written while the next are worked out. Only who asks for a
 * batch hears that it failed.
 */
export function workOut(facts: readonly VisitFacts[], now_ms: number): Promise<Batch>[] {
	let before: Promise<unknown> = Promise.resolve();
	const batches: Promise<Batch>[] = [];
	for (let i = 0; i < facts.length; i += A_BATCH) {
		const batch = before.then(async () => {
			const worked = await workedOut(facts.slice(i, i + A_BATCH), now_ms);
			return { worked, documents: documentsOf(worked) };
		});
		batches.push(batch);
		before = batch;
	}
	void Promise.allSettled(batches);
	return batches;
}

/** Writes what was worked out of visits, each batch as it comes. */
export async function writeWorked(
	db: Db,
	programId: string,
	batches: readonly Promise<Batch>[],
	now_ms: number
): Promise<void> {
	const first: Worked[] = [];
	for (const batch of batches) {
		const { worked, documents } = await batch;
		await writeDocuments(db, programId, documents);
		first.push(...worked);
	}
	await writeFlags(db, programId, await heldAgainstHistory(db, programId, first));
	const facts = first.map((w) => w.visit);
	await refreshUsual(db, programId, [...new Set(facts.map((v) => v.siteId))]);
	await workSiblingsAgain(db, programId, facts, now_ms);
}

/** The same with what is unusual for its site, once the results before it are known. */
async function heldAgainstHistory(db: Db, programId: string, first: readonly Worked[]): Promise<Worked[]> {
	const usual = await usualBefore(
		db,
		programId,
		first.map((w) => w.visit)
	);
	return first.map(({ visit, outcome }) => ({
		visit,
		outcome: { ...outcome, flags: withHistory(outcome, usual.get(visit.id) ?? {}, visit.card.own) }
	}));
}

/**
 * The limit of every bottle of a trip counts from the first: where these visits changed which that is, the trip's
 * other visits follow.
 */
async function workSiblingsAgain(
	db: Db,
	programId: string,
	facts: readonly VisitFacts[],
	now_ms: number
): Promise<void> {
	const rounds = [...new Set(facts.flatMap((v) => (v.roundId === null ? [] : [v.roundId])))];
	const after = await tripsOf(db, programId, rounds);
	const changed = rounds.filter(
		(id) => facts.find((v) => v.roundId === id)?.trip?.first?.filledAt_ms !== after.get(id)?.first?.filledAt_ms
	);
	if (changed.length === 0) return;
	const all = await rowsOf(
		db,
		z.object({ id: z.string() }),
		sql`
		select id from visit where program_id = ${programId} and round_id = any(${sql.param(changed)}::uuid[])`
	);
	const again = await visitFacts(
		db,
		programId,
		all.map((v) => v.id)
	);
	const worked = await heldAgainstHistory(db, programId, await workedOut(again, now_ms));
	await writeFlags(db, programId, worked);
	await writeClocks(db, programId, documentsOf(worked));
}

/** The digest of what these sites have shown. */
async function refreshUsual(db: Db, programId: string, siteIds: readonly string[]): Promise<void> {
	if (siteIds.length === 0) return;
	const sites = sql`any(${sql.param([...siteIds])}::uuid[])`;
	await db.execute(sql`delete from site_usual where program_id = ${programId} and site_id = ${sites}`);
	await db.execute(sql`
		insert into site_usual (program_id, site_id, parameter, low, high, visits)
		select program_id, site_id, parameter, min(value), max(value), count(distinct visit_id) from result
		where program_id = ${programId} and site_id = ${sites} and is_reported and status <> 'rejected'
			and not is_simulated group by 1, 2, 3`);
}
