import { sql } from 'drizzle-orm';
import type { Db } from '../db/connect';
import { rebuildProgram } from './rebuild';

/**
 * Works programs out again whose results were written before each figure knew where it came from. Their logbooks hold all that is
 * needed; nothing in them changes. Returns how many programs that were.
 */
export async function bringOver(db: Db, now_ms: number): Promise<number> {
	const { rows } = await db.execute<{ program_id: string }>(
		sql`select distinct program_id from result where comes_from = ''`
	);
	for (const { program_id } of rows) await rebuildProgram(db, program_id, now_ms);
	return rows.length;
}
