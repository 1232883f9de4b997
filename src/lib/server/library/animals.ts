import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { ownAnimalsIn, type Library } from '../../core/library';
import { animalList, shippedAnimals, type AnimalList } from '../../core/macroinvertebrates';
import { ownAnimalsOf } from '../db/queries/own-animals';
import type { Db } from '../db/connect';
import { rowsOf } from '../db/rows';
import { projectVisits } from '../projection/project';

/** Visits of a program at whose tray or on whose labels one of these codes stands. */
const visitsThatName = (db: Db, programId: string, codes: readonly string[]): Promise<{ id: string }[]> => {
	const named = sql`any(${sql.param([...codes])}::text[])`;
	return rowsOf(
		db,
		z.object({ id: z.string() }),
		sql`
		select distinct visit_id as id from entry
		where program_id = ${programId} and split_part(path, '/', 1) in ('tallies', 'trays', 'vouchers', 'opinions')
			and (split_part(path, '/', 4) = ${named} or value #>> '{}' = ${named})`
	);
};

/** Whether a kind that is not shipped was ever counted or named: it stays on the shelf then. */
export const wasCounted = async (db: Db, programId: string, code: string): Promise<boolean> =>
	shippedAnimals.of(code) === null && (await visitsThatName(db, programId, [code])).length > 0;

/**
 * Once the shelf has changed: visits at which a kind was counted that is rated, placed or joined otherwise by now are
 * worked out again. What was written there stays; what it is called, and what it says, follows.
 */
export async function workAnimalsAgain(db: Db, programId: string, before: Library, now_ms: number): Promise<void> {
	const [ownBefore, ownNow] = [ownAnimalsIn(before), await ownAnimalsOf(db, programId)];
	const [then, now] = [animalList(ownBefore), animalList(ownNow)];
	const codes = new Set([...shippedAnimals.taxa, ...ownBefore, ...ownNow].map(({ code }) => code));
	const saidOf = (list: AnimalList, code: string) => JSON.stringify({ ...list.of(code), name: null });
	const changed = [...codes].filter((code) => saidOf(then, code) !== saidOf(now, code));
	if (changed.length === 0) return;
	const visits = await visitsThatName(db, programId, changed);
	await projectVisits(
		db,
		programId,
		visits.map(({ id }) => id),
		now_ms
	);
}
