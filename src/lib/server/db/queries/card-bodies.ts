import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { MethodCard } from '../../../core/method';
import type { Db } from '../connect';
import { rowsOf, written } from '../rows';

/**
 * The versions of a program's cards, by their id: all of them, or those that are named. A card is one object for all
 * visits that were made with it, so that what follows from it alone is worked out once.
 */
export async function cardBodies(db: Db, programId: string, ids?: readonly string[]): Promise<Map<string, MethodCard>> {
	const which = ids === undefined ? sql`` : sql`and id = any(${sql.param([...ids])}::uuid[])`;
	const rows = await rowsOf(
		db,
		z.object({ id: z.string(), body: written<MethodCard>() }),
		sql`select id, body from method_card_version where program_id = ${programId} ${which}`
	);
	return new Map(rows.map(({ id, body }) => [id, body]));
}
