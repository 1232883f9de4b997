import { and, desc, eq, sql } from 'drizzle-orm';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { entry, entrySetAside } from '../db/schema';
import { projectVisits } from '../projection/project';

export interface SetAside {
	entryId: string;
	path: string;
	by: string;
	at: string;
	reason: string;
}

/** Lines of a visit that were set aside: in the logbook still, but neither worked with nor sent. */
export async function setAsideOf(db: Db, programId: string, visitId: string): Promise<SetAside[]> {
	const rows = await db
		.select({
			entryId: entrySetAside.entryId,
			path: entry.path,
			by: entrySetAside.byMemberId,
			at: entrySetAside.at,
			reason: entrySetAside.reason
		})
		.from(entrySetAside)
		.innerJoin(entry, and(eq(entry.programId, entrySetAside.programId), eq(entry.id, entrySetAside.entryId)))
		.where(and(eq(entrySetAside.programId, programId), eq(entry.visitId, visitId)))
		.orderBy(desc(entrySetAside.at));
	return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

/** Sets a line of a visit aside, or takes it back. The line that opens a visit stays: without it there is none. */
export function setAside(
	db: Db,
	who: Member,
	visitId: string,
	said: { entryId: string; reason: string | null },
	now_ms: number
): Promise<{ ok: true } | { ok: false; why: string }> {
	return db.transaction(async (tx) => {
		await tx.execute(sql`select 1 from logbook_tip where program_id = ${who.programId} for update`);
		const [line] = await tx
			.select({ path: entry.path })
			.from(entry)
			.where(and(eq(entry.programId, who.programId), eq(entry.visitId, visitId), eq(entry.id, said.entryId)));
		if (!line) return { ok: false, why: 'This visit has no such line.' };
		if (line.path === 'opening')
			return { ok: false, why: 'The line that opened the visit stays: without it there is no visit.' };
		const at = and(eq(entrySetAside.programId, who.programId), eq(entrySetAside.entryId, said.entryId));
		if (said.reason === null) await tx.delete(entrySetAside).where(at);
		else
			await tx
				.insert(entrySetAside)
				.values({
					programId: who.programId,
					entryId: said.entryId,
					at: new Date(now_ms),
					byMemberId: who.id,
					reason: said.reason
				})
				.onConflictDoNothing();
		await projectVisits(tx, who.programId, [visitId], now_ms);
		return { ok: true };
	});
}
