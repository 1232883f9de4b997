import { randomUUID } from 'node:crypto';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Db } from '../db/connect';
import { accessEvent } from '../db/schema';

export type AccessEvent = Pick<typeof accessEvent.$inferSelect, 'id' | 'kind' | 'by'> & { at: string };

/** Keeps that somebody got into an account, or was given a way into it. `by`: who else did it; null where it was the person. */
export async function noteAccess(db: Db, { userId, kind, by }: { userId: string; kind: 'link' | 'password' | 'sign-in'; by: string | null }): Promise<void> {
	const at = new Date(); // the real time, whatever clock a demo runs on
	// one's own sign-ins are kept to be looked up, and not told
	await db.insert(accessEvent).values({ id: randomUUID(), userId, at, kind, by, readAt: kind === 'sign-in' ? at : null });
}

/** What the person has not been told yet. */
export async function untoldAccess(db: Db, userId: string): Promise<AccessEvent[]> {
	const rows = await db
		.select({ id: accessEvent.id, at: accessEvent.at, kind: accessEvent.kind, by: accessEvent.by })
		.from(accessEvent)
		.where(and(eq(accessEvent.userId, userId), isNull(accessEvent.readAt)))
		.orderBy(desc(accessEvent.at))
		.limit(5);
	return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

export const markTold = (db: Db, userId: string) =>
	db
		.update(accessEvent)
		.set({ readAt: sql`now()` })
		.where(and(eq(accessEvent.userId, userId), isNull(accessEvent.readAt)));

/** The last ways into an account, for whoever answers for the program. */
export async function lastAccess(db: Db, userId: string): Promise<AccessEvent[]> {
	const rows = await db
		.select({ id: accessEvent.id, at: accessEvent.at, kind: accessEvent.kind, by: accessEvent.by })
		.from(accessEvent)
		.where(eq(accessEvent.userId, userId))
		.orderBy(desc(accessEvent.at))
		.limit(20);
	return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}
