import { and, eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Db } from '../db/connect';
import type { Membership } from '../db/queries/members';
import { audit, round } from '../db/schema';

export type RoundRow = typeof round.$inferSelect;

export const roundKey = (programId: string, roundId: string) =>
	and(eq(round.programId, programId), eq(round.id, roundId));

/** Whether somebody was on a round: its visits stand in the logbook, and it is not changed any more. */
export async function hasBegun(tx: Db, programId: string, roundId: string): Promise<boolean> {
	const { rows } = await tx.execute(
		sql`select 1 from visit where program_id = ${programId} and round_id = ${roundId} limit 1`
	);
	return rows.length > 0;
}

/** Takes a round out of the plan, with what was ticked for it. */
export async function takeOff(tx: Db, programId: string, roundId: string): Promise<void> {
	await tx.execute(sql`delete from pack_tick where program_id = ${programId} and round_id = ${roundId}`);
	await tx.delete(round).where(roundKey(programId, roundId));
}

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
