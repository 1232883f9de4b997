import pg from 'pg';
import { v7 } from 'uuid';
import { tick, type Entry } from '../src/lib/core/logbook';
import { copySameWithResults } from './copy-entries';
import { median, timed, type Bench } from './measure';
import { cookieHeader, signIn } from './sign-in';

const BOTTLES = 2500;
const BOTTLES_AT_ONCE = 1000;
const RUNS = 3;
const ANALYTES = ['TON', 'TP', 'NH4-N', 'Turbidity'] as const;
const UNITS: Record<(typeof ANALYTES)[number], string> = {
	TON: 'mg/L N',
	TP: 'mg/L P',
	'NH4-N': 'mg/L N',
	Turbidity: 'NTU'
};

export const labFile10000: Bench = {
	name: 'lab-file-10000',
	unit: 'ms',
	reach: 6,
	theirs: 'the same rows by COPY: lines of the logbook, and results',
	needs: 'application',
	run: async ({ url, databaseUrl }) => {
		const pool = new pg.Pool({ connectionString: databaseUrl, max: 2 });
		const { rows } = await pool.query<{ program_id: string; id: string; site: string; card: string; lab: string }>(
			`select m.program_id, m.id, (select id from site where code = 'TE1') as site,
				(select id from method_card_version order by version desc limit 1) as card,
				(select id from place p where p.program_id = m.program_id and kind = 'lab' order by name limit 1) as lab
			from member m where m.role = 'coordinator' and m.name like 'Orla%'`
		);
		const me = rows[0]!;
		const headers = { cookie: cookieHeader(await signIn(url, 'coordinator')), origin: url };
		const send = (path: string, fields: Record<string, string>) =>
			fetch(`${url}${path}`, {
				method: 'POST',
				headers: { ...headers, accept: 'application/json', 'x-sveltekit-action': 'true' },
				body: new URLSearchParams(fields)
			}).then((answer) => answer.text());
		const ours: number[] = [];
		const theirs: { entries_ms: number; results_ms: number }[] = [];
		for (let run = 0; run < RUNS; run++) {
			await fillBottles(url, headers.cookie, me, run);
			const brought = await send('/lab-reports', {
				labId: me.lab,
				name: `ten thousand, ${run}`,
				content: labFile(run)
			});
			const report = /lab-reports\/([0-9a-f-]{36})/.exec(brought)?.[1];
			if (!report) throw new Error(`the file was not taken: ${brought.slice(0, 300)}`);
			const said = { mapping: '{}', corrections: '{}' };
			const looked = await send(`/lab-reports/${report}?/look`, said);
			const confirmed = /[0-9a-f]{64}/.exec(looked)?.[0];
			if (!confirmed) throw new Error(`the file was not read: ${looked.slice(0, 300)}`);
			let written = '';
			ours.push(
				await timed(async () => (written = await send(`/lab-reports/${report}?/look`, { ...said, confirmed })))
			);
			const { rows: there } = await pool.query<Entry & { visitId: string }>(
				`select id, visit_id as "visitId", at, by_member_id as by, device, path, op, value, was from entry
				where program_id = $1 and path like 'bottles/%/reports/%' and device = 'office'
					and value->>'report' = $2 order by seq`,
				[me.program_id, `ten thousand, ${run}`]
			);
			if (there.length !== BOTTLES * ANALYTES.length)
				throw new Error(`${String(there.length)} figures are there: ${written.slice(0, 300)}`);
			theirs.push(await copySameWithResults(pool, me, there));
		}
		await pool.end();
		const linesAlone_ms = median(theirs.map((t) => t.entries_ms));
		return {
			ours: median(ours),
			theirs: median(theirs.map((t) => t.entries_ms + t.results_ms)),
			note:
				`over HTTP, median of ${RUNS} files: judged row by row, ${BOTTLES} visits worked out, lines and results ` +
				`written; COPY into the same tables with their keys, of the lines alone ${linesAlone_ms.toFixed(0)} ms`
		};
	}
};

const labelOf = (nth: number, run: number): string => `LF${run}-${String(nth).padStart(4, '0')}`;

async function fillBottles(url: string, cookie: string, me: { id: string; site: string; card: string }, run: number) {
	for (let first = 0; first < BOTTLES; first += BOTTLES_AT_ONCE) {
		const entries: Entry[] = [];
		let last: string | null = null;
		for (let nth = first; nth < Math.min(BOTTLES, first + BOTTLES_AT_ONCE); nth++) {
			const visitId = v7();
			const write = (path: string, value: unknown) => {
				last = tick(last, Date.UTC(2026, 4, 4, 9) + nth);
				entries.push({ id: v7(), visitId, at: last, by: me.id, device: 'bench', path, op: 'set', value, was: null });
			};
			write('opening', { siteId: me.site, cardVersionId: me.card, startedAt: '2026-05-04T09:00:00Z' });
			write('bottles/nutrients/kind', 'nutrients');
			write('bottles/nutrients/label', labelOf(nth, run));
			write('bottles/nutrients/filledAt', '2026-05-04T09:05:00Z');
			write('bottles/nutrients/preservedWith', 'sulphuric acid');
		}
		const answer = await fetch(`${url}/api/sync`, {
			method: 'POST',
			headers: { cookie, 'content-type': 'application/json' },
			body: JSON.stringify({ since: null, entries })
		});
		const { accepted, refused } = (await answer.json()) as { accepted: string[]; refused: unknown[] };
		if (accepted.length !== entries.length) throw new Error(`refused: ${JSON.stringify(refused[0])}`);
	}
}

/** A report as a laboratory sends it: a row for each analyte of each bottle. */
function labFile(run: number): string {
	const rows = Array.from({ length: BOTTLES }, (_, nth) =>
		ANALYTES.map((analyte, i) =>
			[
				labelOf(nth, run),
				analyte,
				((nth % 97) / 40 + 0.1 * (i + 1)).toFixed(2),
				UNITS[analyte],
				'0.01',
				'2026-05-08'
			].join(';')
		)
	);
	return ['Sample;Analyte;Result;Units;RL;Analysed', ...rows.flat()].join('\r\n');
}
