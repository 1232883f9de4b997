import { v7 } from 'uuid';
import { tick, type Entry } from '../../src/lib/core/logbook';
import { streamVisit } from '../../src/lib/core/method';
import type { Member } from '../../src/lib/server/access';
import { database } from '../../src/lib/server/db/connect';
import * as t from '../../src/lib/server/db/schema';
import { exchange } from '../../src/lib/server/sync/exchange';
import { SyncRequest } from '../../src/lib/server/sync/request';

export const now_ms = Date.UTC(2026, 4, 14, 11, 20);

export interface AProgram {
	programId: string;
	siteId: string;
	cardVersionId: string;
	teams: [string, string];
	members: Record<'monitor' | 'other' | 'coordinator' | 'reviewer' | 'bench' | 'viewer', Member>;
}

/**
 * A small program of its own for one test: a stream, a site, the shipped card, two teams and one person of each role.
 */
export async function aProgram(): Promise<AProgram> {
	const db = database();
	const programId = v7();
	await db.insert(t.program).values({
		id: programId,
		code: programId,
		name: 'Test streams',
		timeZone: 'Etc/UTC',
		settings: {}
	});
	await db.insert(t.logbookTip).values({ programId });
	const teams: [string, string] = [v7(), v7()];
	await db.insert(t.team).values(teams.map((id, i) => ({ programId, id, name: `team ${i}` })));
	const members = {} as AProgram['members'];
	for (const [who, role, teamId] of [
		['monitor', 'monitor', teams[0]],
		['other', 'monitor', teams[1]],
		['coordinator', 'coordinator', teams[0]],
		['reviewer', 'reviewer', null],
		['bench', 'bench', null],
		['viewer', 'viewer', null]
	] as const) {
		const userId = v7();
		await db.insert(t.user).values({ id: userId, name: who, email: `${userId}@test.invalid` });
		members[who] = {
			id: v7(),
			programId,
			userId,
			role,
			alsoRoles: [],
			name: who,
			initials: who.slice(0, 3).toUpperCase(),
			teamId,
			removedAt: null
		};
	}
	await db.insert(t.member).values(Object.values(members));
	const streamId = v7();
	const siteId = v7();
	await db.insert(t.stream).values({ programId, id: streamId, name: 'Stream', length_km: 9 });
	await db.insert(t.site).values({
		programId,
		id: siteId,
		streamId,
		code: 'S1',
		name: 'Site 1',
		about: '',
		hazards: '',
		river_km: 2,
		elevation_m: 200,
		latitude: 0,
		longitude: 0
	});
	const cardId = v7();
	const cardVersionId = v7();
	await db.insert(t.methodCard).values({ programId, id: cardId, code: 'stream-visit' });
	await db
		.insert(t.methodCardVersion)
		.values({ programId, id: cardVersionId, cardId, version: 1, body: streamVisit, inUseSince: new Date(now_ms) });
	return { programId, siteId, cardVersionId, teams, members };
}

/** Writes lines as a device would: each after the last. */
export function aDevice(by: Member, visitId: string, from_ms = now_ms) {
	let last: string | null = null;
	let at_ms = from_ms;
	return (path: string, value: unknown, more: Partial<Entry> = {}): Entry => {
		last = tick(last, (at_ms += 1000));
		return {
			id: v7(),
			visitId,
			at: last,
			by: by.id,
			device: `device of ${by.name}`,
			path,
			op: 'set',
			value,
			was: null,
			...more
		};
	};
}

/** The line that opens a visit in a program. */
export const anOpening = ({ siteId, cardVersionId }: AProgram, at_ms = now_ms) => ({
	siteId,
	cardVersionId,
	startedAt: new Date(at_ms).toISOString()
});

/** One exchange, through the same door as a phone's. */
export const send = (
	member: Member,
	entries: unknown[],
	more: { since?: string | null; deviceTime?: string } = {},
	at_ms = now_ms
) => exchange(database(), member, SyncRequest.parse({ entries, ...more }), at_ms);
