import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import type pg from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import { v7 } from 'uuid';
import type { Entry } from '../src/lib/core/logbook';
import { timed } from './measure';

/**
 * The same rows into the same table, for visits that are there, by COPY: ids and visits renamed so that nothing
 * clashes.
 */
export async function copySame(pool: pg.Pool, me: { program_id: string }, entries: readonly Entry[]): Promise<number> {
	const client = await pool.connect();
	const visits = new Map<string, string>();
	const { rows } = await client.query<{ last_seq: string }>(
		'update logbook_tip set last_seq = last_seq + $2 where program_id = $1 returning last_seq',
		[me.program_id, entries.length]
	);
	const firstSeq = Number(rows[0]!.last_seq) - entries.length;
	for (const e of entries) if (!visits.has(e.visitId)) visits.set(e.visitId, v7());
	await client.query(
		`insert into visit (program_id, id, site_id, card_version_id, opened_by, started_at)
		select v.program_id, r.to_id, v.site_id, v.card_version_id, v.opened_by, v.started_at
		from unnest($1::uuid[], $2::uuid[]) r(from_id, to_id) join visit v on v.id = r.from_id`,
		[[...visits.keys()], [...visits.values()]]
	);
	const text = entries
		.map((e, i) =>
			[
				me.program_id,
				v7(),
				firstSeq + i + 1,
				visits.get(e.visitId),
				e.at,
				e.by,
				e.device,
				e.path,
				e.op,
				JSON.stringify(e.value),
				'\\N',
				'2026-05-14T11:20:00Z',
				'0'
			].join('\t')
		)
		.join('\n');
	const pieces: string[] = [];
	for (let i = 0; i < text.length; i += 65_536) pieces.push(text.slice(i, i + 65_536));
	const ms = await timed(() =>
		pipeline(
			Readable.from(pieces),
			client.query(
				copyFrom(
					'copy entry (program_id, id, seq, visit_id, at, by_member_id, device, path, op, value, was, received_at, ' +
						'skew_ms) from stdin'
				)
			)
		)
	);
	client.release();
	return ms;
}
