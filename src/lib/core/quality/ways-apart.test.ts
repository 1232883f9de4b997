import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../statistics';
import { apartScale, waysApart, type WayPair } from '.';

const pairsOf = (values: readonly (readonly [number, number])[]): WayPair[] =>
	values.map(([first, second], i) => ({ at_ms: i, first, second }));

describe('how far apart two ways are', () => {
	it('is a share of the figure for what has a true zero', () => {
		// ln 1.2 ± t(5) · 0 : every pair the same
		const same = waysApart(pairsOf([1, 2, 3, 5, 8, 13].map((v) => [1.2 * v, v] as const)), 'ratio');
		expect(same.bias!.value).toBeCloseTo(20, 9);
		expect(same.bias!.lower).toBeCloseTo(20, 9);
		expect(same).toMatchObject({ isTold: true, n: 6 });
		expect(same.line.slope).toBeCloseTo(1, 9);
	});

	it('is a difference for temperatures and pH', () => {
		expect([apartScale('degC'), apartScale('pH'), apartScale('mg_L'), apartScale('cfu_100mL')]).toEqual([
			'difference',
			'difference',
			'ratio',
			'ratio'
		]);
		const { bias, limits } = waysApart(pairsOf([[7.4, 7.2], [7.1, 7.1], [8.3, 7.9]]), 'difference'); // prettier-ignore
		expect(bias!.value).toBeCloseTo(0.2, 9); // (0.2 + 0 + 0.4) / 3
		expect(limits!.upper).toBeCloseTo(0.2 + 1.96 * 0.2, 9);
	});

	it('says nothing of few pairs, and leaves out what no ratio can be made of', () => {
		expect(waysApart([], 'ratio')).toMatchObject({ bias: null, limits: null, isTold: false, n: 0 });
		// prettier-ignore
		expect(waysApart(pairsOf([[3, 2], [3, 2], [0, 2]]), 'ratio')).toMatchObject({ n: 2, isTold: false });
	});

	it('grows with the figures only where that does not depend on which of the two errs more', () => {
		const chance = seeded(97);
		const drawn = (power: number) =>
			waysApart(
				Array.from({ length: 40 }, (_, i) => {
					const second = 200 * Math.exp(chance.normal());
					return { at_ms: i, second, first: 1.1 * second ** power * Math.exp(0.2 * chance.normal()) };
				}),
				'ratio'
			).growth;
		expect([drawn(1.4), drawn(0.6), drawn(1)]).toEqual(['more', 'less', null]);
	});

	it('turned round is the other way about', () => {
		const value = fc.double({ min: 50, max: 200, noNaN: true });
		fc.assert(
			fc.property(fc.array(fc.tuple(value, value), { minLength: 3, maxLength: 30 }), (values) => {
				const there = waysApart(pairsOf(values), 'ratio').bias!;
				const back = waysApart(pairsOf(values.map(([a, b]) => [b, a] as const)), 'ratio').bias!;
				expect((1 + there.value / 100) * (1 + back.value / 100)).toBeCloseTo(1, 6);
				expect((1 + there.lower / 100) * (1 + back.upper / 100)).toBeCloseTo(1, 6);
			})
		);
	});

	it('covers a model’s bias in about 95 of 100 trials of 24 pairs', () => {
		const chance = seeded(411);
		const TRIALS = 600;
		let covered = 0;
		for (let t = 0; t < TRIALS; t++) {
			const pairs = Array.from({ length: 24 }, (_, i) => {
				const second = 200 * Math.exp(chance.normal());
				return { at_ms: i, second, first: 1.18 * second * Math.exp(0.3 * chance.normal()) };
			});
			const { lower, upper } = waysApart(pairs, 'ratio').bias!;
			if (lower <= 18 && 18 <= upper) covered++;
		}
		expect(covered / TRIALS).toBeGreaterThan(0.92);
		expect(covered / TRIALS).toBeLessThan(0.98);
	});
});
