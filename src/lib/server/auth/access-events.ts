import { randomUUID } from 'node:crypto';
import { and, desc, eq, isNull, sql, type SQL } from 'drizzle-orm';
import type { Db } from '../db/connect';
import { accessEvent } from '../db/schema';

export type AccessEvent = Pick<typeof accessEvent.$inferSelect, 'id' | 'kind' | 'by'> & { at: string };

/**
 * Keeps that somebody got into an account, or was given a way into it. `by`: who else did it; null where it was the
 * person.
 */
export async function noteAccess(
	db: Db,
	{ userId, kind, by }: { userId: string; kind: 'link' | 'password' | 'sign-in'; by: string | null }
): Promise<void> {
	const at = new Date(); // the real time, whatever clock a demo runs on
	// one's own sign-ins are kept to be looked up, and not told
	await db
		.insert(accessEvent)
		.values({ id: randomUUID(), userId, at, kind, by, readAt: kind === 'sign-in' ? at : null });
}

async function eventsOf(db: Db, which: SQL | undefined, most: number): Promise<AccessEvent[]> {
	const rows = await db
		.select({ id: accessEvent.id, at: accessEvent.at, kind: accessEvent.kind, by: accessEvent.by })
		.from(accessEvent)
		.where(which)
		.orderBy(desc(accessEvent.at))
		.limit(most);
	return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

const untold = (userId: string) => and(eq(accessEvent.userId, userId), isNull(accessEvent.readAt));

/** What the person has not been told yet. */
export const untoldAccess = (db: Db, userId: string): Promise<AccessEvent[]> => eventsOf(db, untold(userId), 5);

export const markTold = (db: Db, userId: string) =>
	db
		.update(accessEvent)
		.set({ readAt: sql`now()` })
		.where(untold(userId));

/** The last ways into an account, for the person and for whoever answers for the program. */
export const lastAccess = (db: Db, userId: string): Promise<AccessEvent[]> =>
	eventsOf(db, eq(accessEvent.userId, userId), 20);
