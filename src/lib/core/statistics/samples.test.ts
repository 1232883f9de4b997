import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { increasingRoot, linearRegression, mannWhitney, pairedWilcoxon, quantile, robustCv, spearman } from '.';

const numbers = fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 1, maxLength: 30 });

describe('quantile', () => {
	it.each([
		[7, 0.25, 1.75],
		[6, 0.25, 1.25],
		[7, 1, 4],
		[6, 0, 1],
		[6, 0.9, 4]
	] as const)('type %i at %f of 1, 2, 3, 4', (type, probability, expected) => {
		// Hyndman & Fan 1996, by hand
		expect(quantile({ values: [4, 1, null, 3, 2], probability, type }).quantile).toBe(expected);
	});

	it('rises with the probability and stays within the sample', () => {
		fc.assert(
			fc.property(
				numbers,
				fc.double({ min: 0, max: 1, noNaN: true }),
				fc.double({ min: 0, max: 1, noNaN: true }),
				(values, p, q) => {
					const [low, high] = [p, q]
						.sort((a, b) => a - b)
						.map((probability) => quantile({ values, probability }).quantile!);
					expect(low).toBeLessThanOrEqual(high! + 1e-12);
					expect(low).toBeGreaterThanOrEqual(Math.min(...values));
				}
			)
		);
	});

	it('is null of nothing and refuses a type or probability that is not one', () => {
		expect(quantile({ values: [null], probability: 0.5 })).toEqual({ quantile: null });
		expect(() => quantile({ values: [1], probability: 1.1 })).toThrow(/probability/);
		expect(() => quantile({ values: [1], probability: 0.5, type: 5 })).toThrow(/type/);
		expect(() => quantile({ values: [1, Infinity], probability: 0.5 })).toThrow(/values\[1\]/);
	});
});

describe('robust spread', () => {
	it('is not moved by one wild value, and does not divide by 0', () => {
		expect(robustCv({ values: [9, 10, 11, 1000] }).median).toBe(10.5);
		expect(robustCv({ values: [9, 10, 11] }).robustCvPercent).toBeCloseTo(14.826, 9);
		expect(robustCv({ values: [-1, 0, 1] }).robustCvPercent).toBeNull();
		expect(robustCv({ values: [] })).toEqual({ median: null, mad: null, robustCvPercent: null });
	});
});

describe('regression', () => {
	it('finds a line that is one', () => {
		fc.assert(
			fc.property(fc.integer({ min: -9, max: 9 }), fc.integer({ min: -9, max: 9 }), (slope, intercept) => {
				const x = [0, 1, 2, 3, 4];
				const line = linearRegression({ x, y: x.map((v) => intercept + slope * v) });
				expect(line.slope).toBeCloseTo(slope, 10);
				expect(line.intercept).toBeCloseTo(intercept, 10);
				expect(line.p).toBe(slope === 0 ? null : 0);
			})
		);
	});

	it('gives what can be given and null for the rest', () => {
		expect(linearRegression({ x: [1, 1, 1], y: [1, 2, 3] })).toMatchObject({ slope: null, n: 3 });
		expect(linearRegression({ x: [0.1, 0.1, 0.1], y: [1, 2, 3] }).slope).toBeNull(); // whose mean is not quite 0.1
		expect(linearRegression({ x: [1], y: [2] })).toMatchObject({ slope: null, n: 1 });
		expect(linearRegression({ x: [1, 3], y: [2, 6] })).toMatchObject({
			slope: 2,
			intercept: 0,
			rSquared: 1,
			p: null,
			n: 2
		});
		expect(linearRegression({ x: [1, 3], y: [6, 6] }).rSquared).toBeNull();
		expect(linearRegression({ x: [1, 2, 3], y: [6, 6, 6] })).toMatchObject({
			slope: 0,
			seSlope: 0,
			slopeUpper95: 0,
			rSquared: null,
			p: null
		});
	});

	it('puts the true slope within its limits when there is little noise', () => {
		const { slopeLower95, slopeUpper95, rSquared, seIntercept } = linearRegression({
			x: [1, 2, 3, 4],
			y: [2.1, 3.9, 6.1, 7.9]
		});
		expect(slopeLower95).toBeLessThan(2);
		expect(slopeUpper95).toBeGreaterThan(1.9);
		expect(rSquared).toBeGreaterThan(0.99);
		expect(seIntercept).toBeCloseTo(0.15492, 5); // by hand: sqrt(0.032/2 × (1/4 + 6.25/5))
	});
});

describe('tests by ranks', () => {
	it('Spearman is 1 for anything that only rises, and cares for order alone', () => {
		const x = [1, 2, 5, 9];
		expect(spearman({ x, y: x.map((v) => v ** 3) })).toEqual({ rho: 1, p: 0, n: 4 });
		expect(spearman({ x, y: x.map((v) => -Math.exp(v)) })).toEqual({ rho: -1, p: 0, n: 4 });
		expect(spearman({ x: [1, 2], y: [2, 1] })).toEqual({ rho: -1, p: null, n: 2 });
		expect(spearman({ x: [1, 1], y: [2, 1] }).rho).toBeNull();
	});

	it('Mann-Whitney counts pairs, ties as halves', () => {
		fc.assert(
			fc.property(numbers, numbers, (x, y) => {
				const wins = x.reduce((sum, a) => sum + y.reduce((s, b) => s + (Math.sign(a - b) + 1) / 2, 0), 0);
				const { u, uOther, z } = mannWhitney({ x, y });
				expect(u).toBe(wins);
				expect(u! + uOther!).toBe(x.length * y.length);
				expect((z ?? 0) + (mannWhitney({ x: y, y: x }).z ?? 0)).toBeCloseTo(0, 10);
			})
		);
		expect(mannWhitney({ x: [], y: [1] })).toEqual({ u: null, uOther: null, z: null, p: null });
		expect(mannWhitney({ x: [2, 2], y: [2] })).toMatchObject({ u: 1, z: null, p: null });
	});

	it('Wilcoxon drops pairs that are the same, and sees 0.3 − 0.2 as 0.2 − 0.1', () => {
		expect(pairedWilcoxon({ x: [1, 2], y: [1, 2] })).toEqual({ v: null, z: null, p: null, n: 0 });
		// by hand: three differences of 0.1, two up and one down, each of mid-rank 2
		expect(pairedWilcoxon({ x: [0.3, 0.2, 0.1], y: [0.2, 0.1, 0.2] })).toMatchObject({ v: 4, n: 3 });
		expect(() => pairedWilcoxon({ x: [1], y: [1, 2] })).toThrow(/one length/);
	});
});

describe('a root', () => {
	it('is found to the last digit from any guess', () => {
		for (const guess of [1e-6, 1, 1e9]) expect(increasingRoot((x) => x * x - 2, guess)).toBeCloseTo(Math.SQRT2, 15);
	});
	it('is refused where there is none', () => {
		expect(() => increasingRoot(() => 1, 1)).toThrow(RangeError);
		expect(() => increasingRoot(() => -1, 1)).toThrow(RangeError);
	});
});
