import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { SKEW_WORTH_SAYING_ms } from '../../core/logbook';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { rowsOf } from '../db/rows';
import { receiveEntries } from './receive';
import type { Received, SyncRequest } from './request';
import { entriesSince, type Sent } from './send';

export interface SyncAnswer extends Received, Sent {
	/** Hashes of photos that the server does not hold yet. */
	wantedPhotos: string[];
	/** Things the person should know, in words. */
	notes: string[];
}

/** One exchange with a device: takes what it wrote, gives what it has not seen. */
export async function exchange(db: Db, member: Member, request: SyncRequest, now_ms: number): Promise<SyncAnswer> {
	const skew_ms = request.deviceTime === undefined ? null : Date.parse(request.deviceTime) - now_ms;
	const { accepted, refused, ...where } = await receiveEntries(db, member, request.entries, { now_ms, skew_ms });
	const sent = await entriesSince(db, member, request.since, where);
	return {
		accepted,
		refused,
		...sent,
		wantedPhotos: await missingPhotos(db, member.programId, request.photos),
		notes: [
			...(skew_ms !== null && Math.abs(skew_ms) > SKEW_WORTH_SAYING_ms ? [sayShift(skew_ms)] : []),
			...(member.removedAt !== null && accepted.length
				? [
						'You no longer belong to this program. What you wrote before is kept: the coordinator takes it in or ' +
							'leaves it.'
					]
				: [])
		]
	};
}

const sayShift = (skew_ms: number): string => {
	return (
		`This device’s clock is ${saySpan(Math.round(Math.abs(skew_ms) / 60_000))} ` +
		`${skew_ms > 0 ? 'ahead' : 'behind'}. Times are kept as written and marked; set the clock right.`
	);
};

function saySpan(minutes: number): string {
	if (minutes < 120) return `${minutes} min`;
	return minutes < 2 * 1440 ? `${Math.round(minutes / 60)} h` : `${Math.round(minutes / 1440)} days`;
}

async function missingPhotos(db: Db, programId: string, hashes: readonly string[]): Promise<string[]> {
	if (hashes.length === 0) return [];
	const rows = await rowsOf(
		db,
		z.object({
			sha256: z.string()
		}),
		sql`select sha256 from photo where program_id = ${programId} and sha256 = any(${sql.param([...hashes])}::text[])`
	);
	const held = new Set(rows.map((r) => r.sha256));
	return hashes.filter((h) => !held.has(h));
}
