import { expect, test, type Page } from '@playwright/test';
import type { Entry } from '../../src/lib/core/logbook';
import type { Satchel } from '../../src/lib/core/satchel';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

/*
 * Every figure that the office shows of one whole visit, worked out once more from the raw lines of its logbook.
 * Nothing of the application's arithmetic is used: the formulas stand here, from their sources.
 */

type Lines = Map<string, unknown>;

/** What stands at each place: the last line that nothing replaced or struck. */
function standing(entries: readonly Entry[]): Lines {
	const out = new Set(entries.flatMap((e) => (e.was === null ? [] : [e.was])));
	const live = entries.filter((e) => e.op === 'set' && !out.has(e.id)).sort((a, b) => (a.at < b.at ? -1 : 1));
	return new Map(live.map((e) => [e.path, e.value]));
}

async function allEntries(page: Page): Promise<Entry[]> {
	const all: Entry[] = [];
	let since: string | null = null;
	for (let more = true; more;) {
		const answer = (await (await page.request.post('/api/sync', { data: { since, entries: [] } })).json()) as {
			entries: Entry[];
			cursor: string;
			more: boolean;
		};
		all.push(...answer.entries);
		({ cursor: since, more } = answer);
	}
	return all;
}

/**
 * Air-saturated fresh water, mg/L: Benson and Krause as in APHA Standard Methods 4500-O, with the pressure of the
 * standard atmosphere.
 */
function saturation_mg_L(t_C: number, elevation_m: number): number {
	const T = t_C + 273.15;
	const atSea = Math.exp(-139.34411 + 1.575701e5 / T - 6.642308e7 / T ** 2 + 1.2438e10 / T ** 3 - 8.621949e11 / T ** 4);
	const P = (1 - 2.25577e-5 * elevation_m) ** 5.25588; // atmospheres
	const vapour = Math.exp(11.8571 - 3840.7 / T - 216_961 / T ** 2);
	const theta = 0.000975 - 1.426e-5 * t_C + 6.436e-8 * t_C ** 2;
	return (atSea * P * (1 - vapour / P) * (1 - theta * P)) / ((1 - vapour) * (1 - theta));
}

/**
 * ISO 748, mid-section: each vertical stands for half the way to its neighbours; nothing flows in the half strips at
 * the edges.
 */
function discharge_m3_s(lines: Lines): number {
	const at = (path: string) => lines.get(`gaugings/main/${path}`) as number;
	const names = [...lines.keys()].flatMap((p) => /^gaugings\/main\/verticals\/([^/]+)\/distance_m$/.exec(p)?.[1] ?? []);
	const verticals = names
		.map((n) => ({
			x: at(`verticals/${n}/distance_m`),
			d: at(`verticals/${n}/depth_m`),
			v: at(`verticals/${n}/velocity_m_s`)
		}))
		.sort((a, b) => a.x - b.x);
	const [start, end] = [at('edges/startDistance_m'), at('edges/endDistance_m')];
	return verticals.reduce(
		(sum, { d, v }, i) => sum + (((verticals[i + 1]?.x ?? end) - (verticals[i - 1]?.x ?? start)) / 2) * d * v,
		0
	);
}

test('is what a hand works out from the lines', async ({ page }) => {
	const entries = await allEntries(page);
	const satchel = (await (await page.request.get('/api/satchel')).json()) as Satchel;
	const byVisit = new Map<string, Entry[]>();
	for (const e of entries) byVisit.set(e.visitId, [...(byVisit.get(e.visitId) ?? []), e]);
	const [visitId, own] = [...byVisit]
		.filter(([, lines]) => {
			const there = standing(lines);
			const wanted = [
				'bottles/nutrients/results/nitrite',
				'bottles/bacteria/results/e-coli',
				'gaugings/main/edges/endDistance_m',
				'readings/conductivity/main'
			];
			const tube = there.get('readings/tube-depth/tube') as { value?: number } | undefined;
			return wanted.every((p) => there.has(p)) && tube?.value !== undefined && tube.value < 80 && lines.length > 40;
		})
		.sort(([a], [b]) => (a < b ? 1 : -1))[0]!;
	const lines = standing(own);
	const figure = (path: string) => lines.get(path) as { value: number };
	const opening = lines.get('opening') as { siteId: string };
	const { elevation_m } = satchel.sites.find((s) => s.id === opening.siteId)!;

	const water = figure('readings/water-temperature/main').value;
	const oxygens = [...lines].flatMap(([path, value]) =>
		path.startsWith('readings/dissolved-oxygen/') ? [(value as { value: number }).value] : []
	);
	const oxygen = oxygens.reduce((a, b) => a + b, 0) / oxygens.length;
	const conductivity = figure('readings/conductivity/main').value;
	const tube = figure('readings/tube-depth/tube').value;
	const expected: Record<string, number> = {
		'air-temperature': figure('readings/air-temperature/shade').value,
		'water-temperature': water,
		'dissolved-oxygen': oxygen,
		'oxygen-saturation': (100 * oxygen) / saturation_mg_L(water, elevation_m),
		conductivity,
		conductance25: conductivity / (1 + 0.0191 * (water - 25)), // Standard Methods 2510 B
		'tube-depth': tube,
		turbidity: (tube / 244.13) ** (-1 / 0.662), // Myre and Shaw 2006
		discharge: discharge_m3_s(lines)
	};

	await page.goto(`/visits/${visitId}`);
	for (const [parameter, value] of Object.entries(expected)) {
		const shown = await page.locator(`tr#${parameter} .figure b`).innerText();
		const number = /^−?[\d.]+/.exec(shown)?.[0] ?? '';
		const decimals = number.split('.')[1]?.length ?? 0;
		expect(
			Math.abs(Number(number.replace('−', '-')) - value),
			`${parameter}: shown ${shown}, by hand ${value}`
		).toBeLessThanOrEqual(0.5 * 10 ** -decimals * 1.02);
	}
	for (const [parameter, path] of [
		['e-coli', 'bottles/bacteria/results/e-coli'],
		['nitrite', 'bottles/nutrients/results/nitrite']
	] as const) {
		const found = lines.get(path) as { value?: number; below?: number; above?: number };
		const shown = await page.locator(`tr#${parameter} .figure b`).innerText();
		expect(shown.startsWith('below'), shown).toBe(found.below !== undefined);
		expect(shown).toContain(String(found.value ?? found.below ?? found.above));
	}
	// nothing else is shown, and nothing of it is left out
	const articles = await page
		.locator('section[aria-labelledby=results] tbody tr[id]')
		.evaluateAll((all) => all.map((a) => a.id));
	expect(articles.filter((id) => !(id in expected) && !['e-coli', 'nitrite', 'salinity'].includes(id))).toEqual([]);
});
