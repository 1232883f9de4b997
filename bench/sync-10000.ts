import pg from 'pg';
import { v7 } from 'uuid';
import { tick, type Entry } from '../src/lib/core/logbook';
import { copySame } from './copy-entries';
import { median, timed, type Bench } from './measure';
import { cookieHeader, signIn } from './sign-in';

const ENTRIES = 10_000;
const AT_ONCE = 5000;
const A_VISIT = 70;
const RUNS = 5; // the first warms the server up

export const sync10000: Bench = {
	name: 'sync-10000',
	unit: 'ms',
	reach: 4,
	theirs: 'the same rows by COPY',
	needs: 'application',
	run: async ({ url, databaseUrl }) => {
		const pool = new pg.Pool({ connectionString: databaseUrl, max: 2 });
		const { rows } = await pool.query<{ program_id: string; id: string; site: string; card: string; tip: string }>(
			`select m.program_id, m.id, (select id from site where code = 'TE1') as site, (select id from method_card_version
			order by version desc limit 1) as card from member m where m.role = 'coordinator' and m.name like 'Orla%'`
		);
		const me = rows[0]!;
		const cookie = cookieHeader(await signIn(url, 'coordinator'));
		let cursor = ((await (await post(url, cookie, { since: null, entries: [] })).json()) as { cursor: string }).cursor;
		const ours: number[] = [];
		const theirs: number[] = [];
		for (let run = 0; run < RUNS; run++) {
			const entries = tenThousand(me);
			const batches = Array.from({ length: ENTRIES / AT_ONCE }, (_, i) =>
				entries.slice(i * AT_ONCE, (i + 1) * AT_ONCE)
			);
			ours.push(
				await timed(async () => {
					for (const batch of batches) {
						const answer = await post(url, cookie, { since: cursor, entries: batch });
						const taken = (await answer.json()) as { accepted: string[]; refused: unknown[]; cursor: string };
						const { accepted, refused } = taken;
						cursor = taken.cursor;
						if (accepted.length !== batch.length)
							throw new Error(`only ${String(accepted.length)} taken: ${JSON.stringify(refused[0])}`);
					}
				})
			);
			theirs.push(await copySame(pool, me, entries));
		}
		await pool.end();
		return {
			ours: median(ours),
			theirs: median(theirs),
			note:
				`over HTTP in ${String(ENTRIES / AT_ONCE)} exchanges, checked, deduplicated, ` +
				`${String(Math.ceil(ENTRIES / A_VISIT))} visits worked out; COPY into the same table with its keys`
		};
	}
};

const post = (url: string, cookie: string, body: object) =>
	fetch(`${url}/api/sync`, {
		method: 'POST',
		headers: { cookie, 'content-type': 'application/json' },
		body: JSON.stringify(body)
	});

/** Visits as a crew writes them: an opening, readings, a section. */
function tenThousand(me: { id: string; site: string; card: string }): Entry[] {
	const entries: Entry[] = [];
	let visitId = '';
	let last: string | null = null;
	for (let i = 0; i < ENTRIES; i++) {
		const line = i % A_VISIT;
		if (line === 0) visitId = v7();
		last = tick(last, Date.UTC(2026, 4, 14, 9) + i);
		const [path, value] = lineOf(line, me);
		entries.push({ id: v7(), visitId, at: last, by: me.id, device: 'bench', path, op: 'set', value, was: null });
	}
	return entries;
}

function lineOf(line: number, me: { site: string; card: string }): [string, unknown] {
	if (line === 0) return ['opening', { siteId: me.site, cardVersionId: me.card, startedAt: '2026-05-14T09:00:00Z' }];
	if (line < 10) return [`readings/dissolved-oxygen/r${String(line)}`, { value: 9 + line / 20, unit: 'mg_L' }];
	if (line < 20) return [`readings/water-temperature/r${String(line)}`, { value: 9 + line / 20, unit: 'degC' }];
	const vertical = Math.floor((line - 20) / 3);
	const place = `gaugings/main/verticals/v${String(vertical)}`;
	if (line % 3 === 2) return [`${place}/distance_m`, 0.3 * (vertical + 1)];
	return line % 3 === 0 ? [`${place}/depth_m`, 0.3] : [`${place}/velocity_m_s`, 0.4];
}
