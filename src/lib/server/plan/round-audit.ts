import { v7 } from 'uuid';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { audit, round } from '../db/schema';

export type RoundRow = typeof round.$inferSelect;

/** Writes what a round was and is; gives the line's id, by which the change can be taken back. */
export async function note(
	tx: Db,
	who: Membership,
	before: RoundRow | null,
	after: RoundRow | null,
	now_ms: number
): Promise<string> {
	const id = v7();
	await tx.insert(audit).values({
		programId: who.programId,
		id,
		at: new Date(now_ms),
		byMemberId: who.id,
		what: 'round',
		rowId: (after ?? before)!.id,
		before,
		after
	});
	return id;
}
