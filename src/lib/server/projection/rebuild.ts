import { asc, eq, sql } from 'drizzle-orm';
import type { Db } from '../db/connect';
import { settingsOf } from '../db/queries/program-settings';
import { visit } from '../db/schema';
import { inStyleOf } from '../program-style';
import { projectVisits } from './project';

const AT_ONCE = 200;

/**
 * Works out every visit of a program again from its entries, in order of time. `onProgress` hears how many are done.
 */
export async function rebuildProgram(
	db: Db,
	programId: string,
	now_ms: number,
	onProgress: (done: number, all: number) => void = () => undefined
): Promise<number> {
	const all = await db
		.select({ id: visit.id })
		.from(visit)
		.where(eq(visit.programId, programId))
		.orderBy(asc(visit.startedAt), asc(visit.id));
	const style = await settingsOf(db, programId);
	// twice: what is unusual at a site rests on the results of earlier visits, which the first pass makes good
	for (let pass = 0; pass < 2; pass++)
		for (let i = 0; i < all.length; i += AT_ONCE) {
			const some = all.slice(i, i + AT_ONCE).map((v) => v.id);
			await db.transaction(async (tx) => {
				// whoever writes holds this row too: nothing arrives between reading a visit's lines and writing what
				// follows from them
				await tx.execute(sql`select 1 from logbook_tip where program_id = ${programId} for update`);
				await inStyleOf(style, () => projectVisits(tx, programId, some, now_ms));
			});
			onProgress(pass * all.length + Math.min(i + AT_ONCE, all.length), 2 * all.length);
		}
	return all.length;
}
