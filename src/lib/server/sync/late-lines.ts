import { sql } from 'drizzle-orm';
import { z } from 'zod';
import type { Entry } from '../../core/logbook';
import type { Member } from '../access';
import type { Db } from '../db/connect';
import { rowsOf, writtenNumber } from '../db/rows';
import type { Received } from './request';

/** More than this waits from nobody: whoever has left and sends without end is stopped. */
const MOST_WAITING = 20_000;

/**
 * Keeps lines of somebody who has left beside the logbook, once each. What the logbook has already, because it came
 * in time and the phone did not hear of it, is said to be there.
 */
export async function keepAside(db: Db, who: Member, entries: readonly Entry[], now_ms: number): Promise<Received> {
	const rows = await rowsOf(
		db,
		z.object({ waiting: writtenNumber }),
		sql`
		select count(*) as waiting from late_line where program_id = ${who.programId} and by_member_id = ${who.id}`
	);
	if ((rows[0]?.waiting ?? 0) + entries.length > MOST_WAITING)
		return {
			accepted: [],
			refused: entries.map((e) => ({
				id: e.id,
				path: e.path,
				why: 'so much waits for the coordinator already; ask there first'
			}))
		};
	const lines = entries.map((e) => ({ id: e.id, line: e }));
	await db.execute(sql`
		insert into late_line (program_id, entry_id, by_member_id, received_at, line)
		select ${who.programId}, r.id, ${who.id}, ${new Date(now_ms).toISOString()}, r.line
		from jsonb_to_recordset(${JSON.stringify(lines)}::jsonb) as r(id uuid, line jsonb)
		where not exists (select 1 from entry e where e.program_id = ${who.programId} and e.id = r.id)
		on conflict do nothing`);
	return { accepted: entries.map((e) => e.id), refused: [] };
}
