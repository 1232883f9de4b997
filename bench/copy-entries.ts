import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import type pg from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import { v7 } from 'uuid';
import type { Entry } from '../src/lib/core/logbook';
import { timed } from './measure';

type Program = { program_id: string };

/**
 * The same rows into the same table, for visits that are there, by COPY: ids and visits renamed so that nothing
 * clashes.
 */
export async function copySame(pool: pg.Pool, me: Program, entries: readonly Entry[]): Promise<number> {
	const visits = await visitsLike(pool, me, entries);
	return copyEntries(pool, me, entries, visits);
}

/** The same, and the results that follow from these lines into their table. */
export async function copySameWithResults(
	pool: pg.Pool,
	me: Program,
	entries: readonly Entry[]
): Promise<{ entries_ms: number; results_ms: number }> {
	const visits = await visitsLike(pool, me, entries);
	const entries_ms = await copyEntries(pool, me, entries, visits);
	return { entries_ms, results_ms: await copyResults(pool, me, visits) };
}

/** By each visit of these lines the id of another like it. */
async function visitsLike(pool: pg.Pool, me: Program, entries: readonly Entry[]): Promise<Map<string, string>> {
	const visits = new Map<string, string>();
	for (const e of entries) if (!visits.has(e.visitId)) visits.set(e.visitId, v7());
	await pool.query(
		`insert into visit (program_id, id, site_id, card_version_id, opened_by, started_at)
		select v.program_id, r.to_id, v.site_id, v.card_version_id, v.opened_by, v.started_at
		from unnest($2::uuid[], $3::uuid[]) r(from_id, to_id) join visit v on v.program_id = $1 and v.id = r.from_id`,
		[me.program_id, [...visits.keys()], [...visits.values()]]
	);
	return visits;
}

async function copyEntries(
	pool: pg.Pool,
	me: Program,
	entries: readonly Entry[],
	visits: ReadonlyMap<string, string>
): Promise<number> {
	const { rows } = await pool.query<{ last_seq: string }>(
		'update logbook_tip set last_seq = last_seq + $2 where program_id = $1 returning last_seq',
		[me.program_id, entries.length]
	);
	const firstSeq = Number(rows[0]!.last_seq) - entries.length;
	const lines = entries.map((e, i) =>
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
	);
	return copied(
		pool,
		'entry (program_id, id, seq, visit_id, at, by_member_id, device, path, op, value, was, received_at, skew_ms)',
		lines
	);
}

async function copyResults(pool: pg.Pool, me: Program, visits: ReadonlyMap<string, string>): Promise<number> {
	const { rows } = await pool.query<Record<string, string | number | boolean | Date | null> & { visit_id: string }>(
		'select * from result where program_id = $1 and visit_id = any($2::uuid[])',
		[me.program_id, [...visits.keys()]]
	);
	const columns = Object.keys(rows[0]!);
	const said = (value: string | number | boolean | Date | null) => {
		if (value === null) return '\\N';
		return value instanceof Date ? value.toISOString() : String(value);
	};
	const lines = rows.map((row) =>
		columns.map((c) => (c === 'visit_id' ? visits.get(row.visit_id) : said(row[c]!))).join('\t')
	);
	return copied(pool, `result (${columns.join(', ')})`, lines);
}

const PIECE_letters = 65_536;
async function copied(pool: pg.Pool, into: string, lines: readonly string[]): Promise<number> {
	const text = lines.join('\n');
	const pieces: string[] = [];
	for (let i = 0; i < text.length; i += PIECE_letters) pieces.push(text.slice(i, i + PIECE_letters));
	const client = await pool.connect();
	const ms = await timed(() => pipeline(Readable.from(pieces), client.query(copyFrom(`copy ${into} from stdin`))));
	client.release();
	return ms;
}
