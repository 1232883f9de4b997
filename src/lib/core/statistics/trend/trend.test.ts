import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mannKendall, seasonalKendall, seasonalSenSlope, theilSen, type SeasonValue } from '..';
import { seeded } from '../chance';
import { concordanceOfRanks, inversions } from './concordance';
import { slopesAt } from './slopes';

const sgn = Math.sign;
/** The definition, pair by pair. */
function plainS(values: readonly number[]): number {
	let s = 0;
	for (let i = 0; i < values.length; i++) for (let j = i + 1; j < values.length; j++) s += sgn(values[j]! - values[i]!);
	return s;
}
const fewValued = fc.array(fc.integer({ min: -4, max: 4 }), { minLength: 2, maxLength: 90 });
const values = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 2, maxLength: 60 });

describe('Mann-Kendall', () => {
	it('counts as the plain double loop does, ties and all', () => {
		fc.assert(
			fc.property(fc.oneof(fewValued, values), (y) => void expect(mannKendall({ values: y }).s).toBe(plainS(y)))
		);
	});

	it('flips with the sign and keeps its p', () => {
		fc.assert(
			fc.property(fewValued, (y) => {
				const [up, down] = [mannKendall({ values: y }), mannKendall({ values: y.map((v) => -v) })];
				expect(down.s! + up.s!).toBe(0);
				expect(down.p).toBe(up.p);
			})
		);
	});

	it('takes no notice of the order in which pairs are given, nor of missing values', () => {
		const times = [3, 1, 2, 4];
		expect(mannKendall({ times, values: [5, 1, null, 9] })).toEqual(mannKendall({ values: [1, 5, 9] }));
	});

	it('says what it cannot say', () => {
		expect(mannKendall({ values: [] })).toEqual({ s: null, varS: null, z: null, p: null, tau: null, n: 0 });
		expect(mannKendall({ values: [2, 2, 2] })).toEqual({ s: 0, varS: 0, z: 0, p: 1, tau: null, n: 3 });
		expect(() => mannKendall({ times: [1, 1], values: [1, 2] })).toThrow(/same/);
		expect(() => mannKendall({ times: [1, NaN], values: [1, 2] })).toThrow(/times\[1\]/);
		expect(() => mannKendall({ times: [1], values: [1, 2] })).toThrow(/of one length/);
	});
});

describe('Theil-Sen', () => {
	it('finds the slope of a straight line, with no doubt about it', () => {
		const { slope, intercept, lower, upper } = theilSen({ times: [0, 2, 3, 7], values: [1, 5, 7, 15] });
		expect([slope, intercept, lower, upper]).toEqual([2, 1, 2, 2]);
	});

	it('scales with the values and not with where they start', () => {
		fc.assert(
			fc.property(fewValued, fc.integer({ min: 1, max: 9 }), (y, k) => {
				const plain = theilSen({ values: y });
				const scaled = theilSen({ values: y.map((v) => k * v + 100) });
				expect(scaled.slope).toBeCloseTo(k * plain.slope!, 9);
				expect(scaled.upper).toBeCloseTo(k * plain.upper!, 9);
			})
		);
	});

	it.each([
		['noise', 1, (chance: () => number) => chance()],
		['few digits, so that a third of the slopes are 0', 2, (chance: () => number) => Math.floor(chance() * 3)],
		['one wild step', 3, (_: () => number, i: number) => (i < 300 ? 0 : 1)]
	])('picks the same slopes as sorting all of them: %s', (_, seed, draw) => {
		const chance = seeded(seed);
		const n = 700; // more pairs than are held
		const times = Float64Array.from({ length: n }, (_v, i) => i);
		const y = Float64Array.from({ length: n }, (_v, i) => draw(() => chance.uniform(), i));
		const all: number[] = [];
		for (let i = 0; i < n; i++) for (let j = i + 1; j < n; j++) all.push((y[j]! - y[i]!) / (times[j]! - times[i]!));
		all.sort((a, b) => a - b);
		for (const places of [[0, all.length - 1], [Math.floor(all.length / 2)], [10, 11, 120_000]])
			expect(slopesAt([{ times, values: y }], places).map((s) => s + 0)).toEqual(places.map((p) => all[p]! + 0));
	});

	it('tells how far it is, and stops when that throws', () => {
		const y = Array.from({ length: 800 }, (_, i) => Math.sin(i));
		const told: number[] = [];
		theilSen({ values: y }, (share) => told.push(share));
		expect(told.at(-1)).toBeGreaterThan(0.9);
		expect(told).toEqual([...told].sort((a, b) => a - b));
		const stop = () => {
			throw new Error('enough');
		};
		expect(() => theilSen({ values: y }, stop)).toThrow('enough');
	});
});

describe('Seasonal Kendall', () => {
	const grid = fc.array(
		fc.array(fc.option(fc.integer({ min: 0, max: 5 }), { freq: 5 }), { minLength: 3, maxLength: 3 }),
		{ minLength: 2, maxLength: 12 }
	);
	const observed = (rows: (number | null)[][]): SeasonValue[] =>
		rows.flatMap((row, year) => row.map((value, season) => ({ year, season, value })));

	it('adds up the seasons, each tested alone', () => {
		fc.assert(
			fc.property(grid, (rows) => {
				const { s, n } = seasonalKendall({ observations: observed(rows) });
				const alone = [0, 1, 2].map((season) => mannKendall({ values: rows.map((r) => r[season]!) }).s);
				expect(s).toBe(alone.every((x) => x === null) ? null : alone.reduce<number>((sum, x) => sum + (x ?? 0), 0));
				expect(n).toBe(rows.flat().filter((v) => v !== null).length);
			})
		);
	});

	it('with one season is the plain test, and its slope the plain slope', () => {
		fc.assert(
			fc.property(fewValued, (y) => {
				const observations = y.map((value, year) => ({ year, season: 1, value }));
				const [seasonal, plain] = [seasonalKendall({ observations }), mannKendall({ values: y })];
				expect([seasonal.s, seasonal.varS, seasonal.p, seasonal.varSAdjusted]).toEqual([
					plain.s,
					plain.varS,
					plain.p,
					plain.varS
				]);
				const [a, b] = [seasonalSenSlope({ observations }), theilSen({ values: y })];
				expect([a.slopePerYear, a.lower, a.upper, a.pairs]).toEqual([b.slope, b.lower, b.upper, b.pairs]);
			})
		);
	});

	it('refuses the same month twice, and a year that is missing, and says which', () => {
		expect(() =>
			seasonalKendall({
				observations: [
					{ year: 2001, season: 4, value: 1 },
					{ year: 2001, season: 4 }
				]
			})
		).toThrow(/2001, season 4/);
		expect(() => seasonalSenSlope({ observations: [{ year: NaN, season: 4, value: 1 }] })).toThrow(
			/observations\[0\]\.year/
		);
		expect(seasonalSenSlope({ observations: [] })).toEqual({ slopePerYear: null, lower: null, upper: null, pairs: 0 });
		expect(seasonalKendall({ observations: [{ year: 2001, season: 4, value: 1 }] })).toMatchObject({
			s: null,
			n: 1,
			seasons: [{ season: 4, s: null, n: 1 }]
		});
	});
});

describe('counting inversions', () => {
	it('agrees with the definition and leaves the values sorted', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 0, max: 30 }), { maxLength: 200 }), (list) => {
				let expected = 0;
				for (let i = 0; i < list.length; i++)
					for (let j = i + 1; j < list.length; j++) if (list[i]! > list[j]!) expected++;
				const array = Float64Array.from(list);
				expect(inversions(array)).toBe(expected);
				expect([...array]).toEqual([...list].sort((a, b) => a - b));
			})
		);
	});

	it('weighs two rankings against each other as the definition does', () => {
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.integer({ min: 0, max: 6 }), fc.integer({ min: 0, max: 6 })), { maxLength: 40 }),
				(pairs) => {
					let expected = 0;
					for (const [i, [x, y]] of pairs.entries())
						for (const [u, v] of pairs.slice(i + 1)) expected += sgn(u - x) * sgn(v - y) || 0;
					const [x, y] = [pairs.map((p) => p[0]), pairs.map((p) => p[1])];
					expect(concordanceOfRanks(x, y, 7)).toBe(expected);
				}
			)
		);
	});
});
