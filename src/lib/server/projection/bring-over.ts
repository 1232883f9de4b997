import { eq, lt } from 'drizzle-orm';
import type { Db } from '../db/connect';
import { program, RULES_VERSION } from '../db/schema';
import { rebuildProgram } from './rebuild';

/**
 * Works programs out again whose visits were worked out by older rules. Their logbooks hold all that is needed;
 * nothing in them changes. Returns how many programs that were.
 */
export async function bringOver(db: Db, now_ms: number): Promise<number> {
	const older = await db.select({ id: program.id }).from(program).where(lt(program.workedOutBy, RULES_VERSION));
	for (const { id } of older) {
		await rebuildProgram(db, id, now_ms);
		await db.update(program).set({ workedOutBy: RULES_VERSION }).where(eq(program.id, id));
	}
	return older.length;
}
