import gammaln from '@stdlib/math-base-special-gammaln';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gammaQuantile, gammaTails, lnGamma } from './gamma';
import { lnNormalCdf, normalCdf, normalHazard, normalQuantile, normalTwoSided, zOf } from './normal';
import { studentTwoSided, studentWithin } from './student';

/** Relative error of 1e-10, which is what every test in core is promised. */
const near = (got: number, expected: number) =>
	expect(Math.abs(got - expected)).toBeLessThanOrEqual(1e-10 * Math.abs(expected));

describe('normal', () => {
	it.each([
		[1e-12, -7.034483825301132],
		[0.001, -3.0902323061678136],
		[0.3, -0.5244005127080408],
		[0.975, 1.9599639845400543]
	])('quantile of %f', (p, z) => near(normalQuantile(p), z)); // 40-digit arithmetic

	it.each([
		[-40, -804.6084420137538, 40.02496884720726],
		[-8, -35.01343715991455, 8.121368112236112],
		[-1, -1.8410216450092636, 1.525135276160981],
		[2, -0.02301290932896349, 0.055247862678989956]
	])('ln Φ and its rise at %f', (x, ln, hazard) => {
		near(lnNormalCdf(x), ln); // 40-digit arithmetic
		near(normalHazard(x), hazard);
	});

	it('has p and quantile as inverses, and small p without cancellation', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1e-9, max: 1 - 1e-9, noNaN: true }),
				(p) => void expect(normalCdf(normalQuantile(p))).toBeCloseTo(p, 12)
			)
		);
		near(normalTwoSided(12), 3.552964224155358e-33); // 40-digit arithmetic
		near(zOf(0.9), 1.6448536269514726); // the 95 % quantile in any table
	});
});

describe('gamma', () => {
	it('has the library’s logarithm, to 14 digits', () => {
		fc.assert(
			fc.property(
				fc.oneof(fc.double({ min: 0.05, max: 40, noNaN: true }), fc.double({ min: 40, max: 1e7, noNaN: true })),
				(x) => {
					expect(Math.abs(lnGamma(x) - gammaln(x))).toBeLessThanOrEqual(2e-14 * Math.max(1, Math.abs(gammaln(x))));
				}
			)
		);
	});

	it.each([
		[1, 0.025, 'lower', 0.025317807984289876],
		[1, 0.025, 'upper', 3.6888794541139363],
		[24, 0.025, 'lower', 15.377252854686462],
		[25, 0.025, 'upper', 35.710097593753204],
		[1000, 0.025, 'lower', 938.9730184076952],
		[1001, 0.025, 'upper', 1063.952136016302],
		[20000, 0.005, 'lower', 19637.601199973433],
		[500000, 0.025, 'upper', 501386.850733963]
		// 40-digit arithmetic
	] as const)('quantile of shape %d, %f %s', (a, share, tail, x) => near(gammaQuantile(a, share, tail), x));

	it('is the exponential at shape 1, and its tails make one', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.01, max: 30, noNaN: true }),
				fc.double({ min: 0.2, max: 200, noNaN: true }),
				(x, a) => {
					near(gammaTails(1, x).upper, Math.exp(-x));
					const { lower, upper } = gammaTails(a, x);
					expect(lower + upper).toBeCloseTo(1, 12);
				}
			)
		);
		expect(gammaTails(3, 0)).toEqual({ lower: 0, upper: 1 });
	});

	it('finds again what it was asked for, from either tail', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.3, max: 3000, noNaN: true }),
				fc.double({ min: 1e-6, max: 0.5, noNaN: true }),
				(a, share) => {
					expect(gammaTails(a, gammaQuantile(a, share, 'lower')).lower / share).toBeCloseTo(1, 9);
					expect(gammaTails(a, gammaQuantile(a, share, 'upper')).upper / share).toBeCloseTo(1, 9);
				}
			)
		);
	});
});

describe('Student', () => {
	it.each([
		[1, 12.7062047361747],
		[4, 2.77644510519779],
		[30, 2.04227245630124]
	])('95 %% with %d degrees of freedom', (freedom, t) => near(studentWithin(0.95, freedom), t)); // any table of t, here with 15 digits from R's qt

	it('gives p and t as inverses; an infinite t has p 0', () => {
		expect(studentTwoSided(studentWithin(0.95, 7), 7)).toBeCloseTo(0.05, 12);
		expect(studentTwoSided(Infinity, 7)).toBe(0);
		expect(studentTwoSided(0, 7)).toBeCloseTo(1, 12);
	});
});
