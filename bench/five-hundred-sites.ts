import pg from 'pg';
import { growProgram } from '../tests/many-sites';
import { median, timed, type Bench, type Measured, type Where } from './measure';
import { cookieHeader, signIn } from './sign-in';

/*
 * A program as it may be after years: 500 sites, a million results. Each page and the satchel of a phone is asked for
 * in the demo as it comes, then in the same program grown to that, by the same server.
 */

const SITES = 500;
const PEOPLE = 60;
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
	const size = { sites: SITES, people: PEOPLE, visitsASite: VISITS_A_SITE, isPlanned: false };
	await growProgram(pool, size, new Date().toISOString());
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
