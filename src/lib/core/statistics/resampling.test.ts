import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bootstrapInterval, mean, nothingYet, putTogether, runningSd, standardDeviation, withOneMore } from '.';

describe('a bootstrap interval', () => {
	const values = [4, 7, 9, 3, 8, 6, 5, 7, 10, 2];

	it('is the same for the same seed, and another for another', () => {
		expect(bootstrapInterval({ values }, { seed: 3 })).toEqual(bootstrapInterval({ values }, { seed: 3 }));
		expect(bootstrapInterval({ values }, { seed: 4 })).not.toEqual(bootstrapInterval({ values }, { seed: 3 }));
	});

	it('lies about the mean as wide as the standard error says', () => {
		const { lower, upper } = bootstrapInterval({ values }, { seed: 1, draws: 5000 })!;
		const se = (standardDeviation(values)! * Math.sqrt(0.9)) / Math.sqrt(10); // a resample's spread has divisor n
		expect(lower).toBeCloseTo(6.1 - 1.96 * se, 0);
		expect(upper).toBeCloseTo(6.1 + 1.96 * se, 0);
	});

	it('widens with the confidence and narrows with the animals counted', () => {
		const width = (counts: number[] | null, confidence = 0.95) => {
			const { lower, upper } = bootstrapInterval({ values: [1, 9], counts }, { seed: 5, confidence })!;
			return upper - lower;
		};
		expect(width([50, 50])).toBeLessThan(width([5, 5]));
		expect(width([5, 5], 0.99)).toBeGreaterThanOrEqual(width([5, 5], 0.5));
	});

	it('of one figure is that figure, and of nothing is not known', () => {
		expect(bootstrapInterval({ values: [4, 4, 4] }, { seed: 1 })).toEqual({ lower: 4, upper: 4 });
		expect(bootstrapInterval({ values: [] }, { seed: 1 })).toBeNull();
		expect(bootstrapInterval({ values: [3], counts: [0] }, { seed: 1 })).toBeNull();
		expect(() => bootstrapInterval({ values: [1, NaN] }, { seed: 1 })).toThrow(/values\[1\]/);
		expect(() => bootstrapInterval({ values: [1], counts: [1, 2] }, { seed: 1 })).toThrow(/one length/);
		expect(() => bootstrapInterval({ values: [1], counts: [1.5] }, { seed: 1 })).toThrow(/counts\[0\]/);
	});
});

describe('a running summary', () => {
	const numbers = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { maxLength: 60 });
	/** What rounding alone may leave of a spread that is none; squares of the smallest numbers vanish. */
	const rounding = (list: readonly number[]) => 1e-150 + 1e-6 * Math.max(0, ...list.map(Math.abs));
	const summed = (list: readonly number[]) => list.reduce(withOneMore, nothingYet);

	it('says what holding all values would', () => {
		fc.assert(
			fc.property(numbers, (list) => {
				const summary = summed(list);
				if (list.length === 0) return void expect(summary).toEqual(nothingYet);
				expect(summary.mean).toBeCloseTo(mean(list)!, 6);
				expect([summary.low, summary.high]).toEqual([Math.min(...list), Math.max(...list)]);
				if (list.length > 1)
					expect(Math.abs(runningSd(summary)! - standardDeviation(list)!)).toBeLessThanOrEqual(
						1e-6 * standardDeviation(list)! + rounding(list)
					);
			})
		);
	});

	it('put together from parts is that of the whole', () => {
		fc.assert(
			fc.property(numbers, numbers, (a, b) => {
				const [whole, parts] = [summed([...a, ...b]), putTogether(summed(a), summed(b))];
				expect(parts.n).toBe(whole.n);
				expect(parts.mean).toBeCloseTo(whole.mean, 6);
				// values that are all but equal leave nothing but rounding, which the two ways do in another order
				expect(Math.abs(parts.squares - whole.squares)).toBeLessThanOrEqual(
					1e-6 * whole.squares + whole.n * rounding([...a, ...b]) ** 2
				);
			})
		);
	});

	it('keeps its digits where values are large and differ little', () => {
		expect(runningSd(summed([1e9 + 1, 1e9 + 2, 1e9 + 3]))).toBe(1);
		expect(runningSd(summed([5]))).toBeNull();
	});
});
