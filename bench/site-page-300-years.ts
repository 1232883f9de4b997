import { performance } from 'node:perf_hooks';
import { request } from 'node:http';
import pg from 'pg';
import { v7 } from 'uuid';
import { median, type Bench } from './measure';
import { cookieHeader, signIn } from './sign-in';

const RUNS = 40;

export const sitePage300Years: Bench = {
	name: 'site-page-300-years',
	unit: 'ms',
	reach: 2,
	theirs: 'the same page with three years',
	needs: 'application',
	run: async ({ url, databaseUrl }) => {
		const pool = new pg.Pool({ connectionString: databaseUrl, max: 2 });
		const long = await siteWithYears(pool, 'LONG', 300);
		await siteWithYears(pool, 'SHORT', 3);
		await pool.query('analyze');
		const { rows } = await pool.query<{ 'QUERY PLAN': string }>(
			`explain (costs off) select at, value, qualifier, unit, uncertainty, status, visit_id from result
			where program_id = '${long.programId}' and site_id = '${long.siteId}' and parameter = 'oxygen-saturation' and at between now() - interval '3 years' and now() order by at desc limit 401`
		);
		await pool.end();
		const cookie = cookieHeader(await signIn(url, 'coordinator'));
		const ours: number[] = [];
		const theirs: number[] = [];
		for (let run = 0; run < RUNS; run++) {
			ours.push(await firstByte(`${url}/sites/LONG`, cookie));
			theirs.push(await firstByte(`${url}/sites/SHORT`, cookie));
		}
		const all = await firstByte(`${url}/sites/LONG?span=all`, cookie);
		return {
			ours: median(ours),
			theirs: median(theirs),
			note:
				`all 300 years on one page: ${all.toFixed(0)} ms; plan: ` + rows.map((r) => r['QUERY PLAN'].trim()).join(' ')
		};
	}
};

/** A site with a monthly visit and eleven parameters a visit for so many years. */
async function siteWithYears(
	pool: pg.Pool,
	code: string,
	years: number
): Promise<{ programId: string; siteId: string }> {
	const { rows } = await pool.query<{ program_id: string; stream_id: string; card: string; member: string }>(
		`select s.program_id, s.stream_id, (select id from method_card_version limit 1) as card, (select id from member
		where role = 'coordinator' limit 1) as member from site s limit 1`
	);
	const { program_id: programId, stream_id, card, member } = rows[0]!;
	const siteId = v7();
	await pool.query(
		`insert into site (program_id, id, stream_id, code, name, about, hazards, river_km, elevation_m, latitude,
		longitude) values ($1, $2, $3, $4, $4, 'for the benchmark', '', 3, 100, 0, 0)`,
		[programId, siteId, stream_id, code]
	);
	await pool.query(
		`insert into visit (program_id, id, site_id, card_version_id, opened_by, started_at, is_finished)
		select $1, gen_random_uuid(), $2, $3, $4, now() - i * interval '30.4 days', true
		from generate_series(0, $5::int * 12 - 1) i`,
		[programId, siteId, card, member, years]
	);
	await pool.query(
		`insert into result (program_id, site_id, parameter, at, visit_id, value, unit, uncertainty, readings, source,
		basis, status)
		select v.program_id, v.site_id, p.code, v.started_at, v.id, 50 + 40 * random(), p.unit, 1, 1, 'field',
		'one reading', 'accepted'
		from visit v, (values ('air-temperature','degC'),('water-temperature','degC'),('dissolved-oxygen','mg_L'),('oxygen-saturation','percent'),('conductivity','uS_cm'),('conductance25','uS_cm'),('tube-depth','cm'),('turbidity','NTU'),('discharge','m3_s'),('e-coli','cfu_100mL'),('nitrite','mg_L_N')) as p(code, unit)
		where v.program_id = $1 and v.site_id = $2`,
		[programId, siteId]
	);
	return { programId, siteId };
}

const firstByte = (address: string, cookie: string): Promise<number> =>
	new Promise((resolve, reject) => {
		const began = performance.now();
		request(address, { headers: { cookie } }, (answer) => {
			answer.once('data', () => {
				const ms = performance.now() - began;
				answer.resume();
				answer.on('end', () =>
					answer.statusCode === 200
						? resolve(ms)
						: reject(new Error(`${address} answered ${String(answer.statusCode)}`))
				);
			});
		})
			.on('error', reject)
			.end();
	});
