import pg from 'pg';
import { median, timed, type Bench, type Measured, type Where } from './measure';
import { cookieHeader, signIn } from './sign-in';

/*
 * A program as it may be after years: 500 sites, a million results. Each page and the satchel of a phone is asked for
 * in the demo as it comes, then in the same program grown to that, by the same server.
 */

const SITES = 500;
const VISITS_A_SITE = 182; // 500 × 182 × 11 parameters: a million results
const RUNS = 15;
const WARM_UP = 10; // each of the pool's connections plans each query for the first time

let before: Promise<Record<string, number>> | null = null;
let after: Promise<Record<string, number>> | null = null;

const addresses = { today: '/today', plan: '/plan', satchel: '/api/satchel' } as const;

async function ask({ url }: Where): Promise<Record<string, number>> {
	const cookie = cookieHeader(await signIn(url, 'coordinator'));
	const times: Record<string, number> = {};
	for (const [name, path] of Object.entries(addresses)) {
		const runs: number[] = [];
		for (let run = 0; run < WARM_UP + RUNS; run++) {
			const took = await timed(async () => {
				const answer = await fetch(url + path, { headers: { cookie } });
				if (!answer.ok) throw new Error(`${path} answered ${String(answer.status)}`);
				await answer.arrayBuffer();
			});
			if (run >= WARM_UP) runs.push(took);
		}
		times[name] = median(runs);
	}
	return times;
}

async function grow(databaseUrl: string): Promise<void> {
	const pool = new pg.Pool({ connectionString: databaseUrl, max: 1 });
	const { rows } = await pool.query<{ program_id: string; stream_id: string; card: string; member: string }>(
		`select s.program_id, s.stream_id, (select id from method_card_version order by version desc limit 1) as card,
			(select id from member where role = 'coordinator' limit 1) as member from site s where s.code = 'TE1'`
	);
	const { program_id: program, stream_id: stream, card, member } = rows[0]!;
	await pool.query(
		`insert into site (program_id, id, stream_id, code, name, about, hazards, river_km, elevation_m, latitude, longitude)
		select $1, gen_random_uuid(), $2, 'Z' || i, 'Many ' || i, 'for the benchmark', '', 0.01 * (i % 900), 100, 48, -27 from generate_series(1, $3::int) i`,
		[program, stream, SITES]
	);
	await pool.query(
		`insert into visit (program_id, id, site_id, card_version_id, opened_by, started_at, is_finished)
		select s.program_id, gen_random_uuid(), s.id, $2, $3, now() - (i * 20) * interval '1 day', true from site s, generate_series(1, $4::int) i
		where s.program_id = $1 and s.code like 'Z%'`,
		[program, card, member, VISITS_A_SITE]
	);
	await pool.query(
		`insert into result (program_id, site_id, parameter, at, visit_id, value, unit, uncertainty, readings, source, basis, status)
		select v.program_id, v.site_id, p.code, v.started_at, v.id, 50 + 40 * random(), p.unit, 1, 1, 'field', 'one reading', 'accepted'
		from visit v join site s on s.program_id = v.program_id and s.id = v.site_id and s.code like 'Z%',
			(values ('air-temperature','degC'),('water-temperature','degC'),('dissolved-oxygen','mg_L'),('oxygen-saturation','percent'),('conductivity','uS_cm'),('conductance25','uS_cm'),('tube-depth','cm'),('turbidity','NTU'),('discharge','m3_s'),('e-coli','cfu_100mL'),('nitrite','mg_L_N')) as p(code, unit)
		where v.program_id = $1`,
		[program]
	);
	await pool.query(
		`insert into site_usual (program_id, site_id, parameter, low, high, visits)
		select program_id, site_id, parameter, min(value), max(value), count(distinct visit_id) from result r
		where program_id = $1 and site_id in (select id from site where program_id = $1 and code like 'Z%') group by 1, 2, 3`,
		[program]
	);
	await pool.query('vacuum analyze'); // a program that grew over years is vacuumed; else that runs beside what is measured
	await pool.end();
}

const measure =
	(name: keyof typeof addresses) =>
	async (where: Where): Promise<Measured> => {
		before ??= ask(where);
		const small = await before;
		after ??= grow(where.databaseUrl).then(() => ask(where));
		return { ours: (await after)[name]!, theirs: small[name]! };
	};

const grown = { unit: 'ms', theirs: 'the demo as it comes', needs: 'application' } as const;
export const today500Sites: Bench = { ...grown, name: 'today-500-sites', reach: 2, run: measure('today') };
export const plan500Sites: Bench = { ...grown, name: 'plan-500-sites', reach: 3, run: measure('plan') };
export const satchel1m: Bench = { ...grown, name: 'satchel-1m', reach: 3, run: measure('satchel') };
