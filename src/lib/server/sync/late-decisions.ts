import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { instant, rowsOf, writtenNumber } from '../db/rows';
import { lateLine, member as memberTable } from '../db/schema';
import { receiveEntries } from './receive';
import type { Received } from './request';

/** Whose late lines wait for a decision, how many, and of when. */
export async function waitingLateLines(
	db: Db,
	programId: string
): Promise<{ memberId: string; name: string; lines: number; visits: number; received: string }[]> {
	const rows = await rowsOf(
		db,
		z.object({
			by_member_id: z.string(),
			name: z.string(),
			lines: writtenNumber,
			visits: writtenNumber,
			received: instant
		}),
		sql`
		select l.by_member_id, m.name, count(*) as lines, count(distinct l.line->>'visitId') as visits,
		max(l.received_at) as received
		from late_line l join member m on m.program_id = l.program_id and m.id = l.by_member_id
		where l.program_id = ${programId} and l.is_taken is null group by 1, 2 order by 2`
	);
	return rows.map((r) => ({
		memberId: r.by_member_id,
		name: r.name,
		lines: r.lines,
		visits: r.visits,
		received: r.received.toISOString()
	}));
}

/**
 * Takes somebody's late lines into the logbook with the rights that they had, or leaves them where they are. Says
 * what became of them.
 */
export function decideLateLines(
	db: Db,
	coordinator: Member,
	memberId: string,
	isTaken: boolean,
	now_ms: number
): Promise<Received> {
	return db.transaction(async (tx) => {
		const of = and(
			eq(lateLine.programId, coordinator.programId),
			eq(lateLine.byMemberId, memberId),
			isNull(lateLine.isTaken)
		);
		const waiting = await tx
			.select({ line: lateLine.line })
			.from(lateLine)
			.where(of)
			.orderBy(asc(lateLine.entryId))
			.for('update');
		const [writer] = await tx
			.select()
			.from(memberTable)
			.where(and(eq(memberTable.programId, coordinator.programId), eq(memberTable.id, memberId)));
		if (!writer || waiting.length === 0) return { accepted: [], refused: [] };
		const lines = waiting.map((w) => w.line);
		await tx.update(lateLine).set({ isTaken, decidedBy: coordinator.id }).where(of);
		if (!isTaken) return { accepted: [], refused: [] };
		return receiveEntries(tx, { ...writer, removedAt: null }, lines, { now_ms, skew_ms: null });
	});
}
