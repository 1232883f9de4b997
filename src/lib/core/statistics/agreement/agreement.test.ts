import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	blandAltman,
	cohenKappa,
	linsConcordance,
	percentAgreement,
	percentDifferenceEnumeration,
	percentSimilarity,
	percentTaxonomicDisagreement,
	weightedKappa
} from '..';

const words = fc.array(fc.tuple(fc.constantFrom('good', 'fair', 'poor'), fc.constantFrom('good', 'fair', 'poor')), {
	minLength: 1,
	maxLength: 40
});

describe('kappa', () => {
	it('lies in its range, and does not care who is who', () => {
		fc.assert(
			fc.property(words, (pairs) => {
				const [a, b] = [pairs.map((p) => p[0]), pairs.map((p) => p[1])];
				const { kappa, observedAgreement } = cohenKappa({ ratingsA: a, ratingsB: b });
				if (kappa !== null) {
					expect(kappa).toBeLessThanOrEqual(1);
					expect(kappa).toBeGreaterThanOrEqual(-1);
					expect(cohenKappa({ ratingsA: b, ratingsB: a }).kappa).toBeCloseTo(kappa, 12);
				}
				expect(percentAgreement({ ratingsA: a, ratingsB: b }).percent).toBeCloseTo(100 * observedAgreement!, 9);
			})
		);
	});

	it('is 1 for two who always agree, whatever the weights', () => {
		expect(cohenKappa({ ratingsA: ['a', 'b'], ratingsB: ['a', 'b'] })).toMatchObject({ kappa: 1, se: 0 });
		const scale = { ratingsA: [1, 2, 3], ratingsB: [1, 2, 3], categories: 3 };
		expect(weightedKappa({ ...scale, weights: 'linear' }).kappa).toBe(1);
		expect(weightedKappa({ ...scale, weights: 'quadratic' }).kappa).toBe(1);
	});

	it('forgives a near miss more when the weights are squared', () => {
		const near = { ratingsA: [1, 2, 3, 4], ratingsB: [2, 3, 4, 4], categories: 4 };
		expect(weightedKappa({ ...near, weights: 'quadratic' }).kappa).toBeGreaterThan(
			weightedKappa({ ...near, weights: 'linear' }).kappa!
		);
	});

	it('is null where chance explains all, and refuses what is off the scale', () => {
		expect(cohenKappa({ ratingsA: ['a'], ratingsB: ['a'] }).kappa).toBeNull();
		expect(cohenKappa({ ratingsA: [], ratingsB: [] })).toEqual({
			kappa: null,
			observedAgreement: null,
			expectedAgreement: null,
			se: null,
			n: 0
		});
		expect(percentAgreement({ ratingsA: [], ratingsB: [] }).percent).toBeNull();
		expect(weightedKappa({ ratingsA: [], ratingsB: [], categories: 2, weights: 'linear' })).toEqual({
			kappa: null,
			n: 0
		});
		expect(() => weightedKappa({ ratingsA: [4], ratingsB: [1], categories: 3, weights: 'linear' })).toThrow(
			/ratingsA\[0\]/
		);
		expect(() => weightedKappa({ ratingsA: [1], ratingsB: [1], categories: 3, weights: 'cubic' as never })).toThrow(
			/weights/
		);
		expect(() => cohenKappa({ ratingsA: ['a'], ratingsB: [null as never] })).toThrow(/ratingsB\[0\]/);
	});
});

describe('two people counting one tray', () => {
	it('agree with themselves', () => {
		const same = { countsA: [3, 0, 5], countsB: [3, 0, 5] };
		expect([percentSimilarity(same), percentDifferenceEnumeration(same), percentTaxonomicDisagreement(same)]).toEqual([
			{ percent: 100 },
			{ percent: 0 },
			{ percent: 0 }
		]);
	});

	it('can share nothing', () => {
		const apart = { countsA: [4, 0], countsB: [0, 4] };
		expect([
			percentSimilarity(apart),
			percentDifferenceEnumeration(apart),
			percentTaxonomicDisagreement(apart)
		]).toEqual([{ percent: 0 }, { percent: 0 }, { percent: 100 }]);
	});

	it('of an empty tray say nothing', () => {
		expect(percentSimilarity({ countsA: [0], countsB: [2] }).percent).toBeNull();
		expect(percentDifferenceEnumeration({ countsA: [0], countsB: [0] }).percent).toBeNull();
		expect(percentTaxonomicDisagreement({ countsA: [], countsB: [] }).percent).toBeNull();
	});
});

describe('two people measuring', () => {
	it('who agree have concordance 1; a shift costs concordance and no correlation', () => {
		const x = [1, 2, 3, 4];
		expect(linsConcordance({ x, y: x })).toEqual({ concordance: 1, pearson: 1, biasCorrection: 1, n: 4 });
		const shifted = linsConcordance({ x, y: x.map((v) => v + 3) });
		expect(shifted.pearson).toBeCloseTo(1, 12);
		expect(shifted.concordance).toBeCloseTo((2 * 1.25) / (2.5 + 9), 12); // by hand
		expect(shifted.concordance).toBeCloseTo(shifted.pearson! * shifted.biasCorrection!, 12);
	});

	it('say how far apart they are', () => {
		const { bias, lowerLimit, upperLimit, biasLower95, biasUpper95 } = blandAltman({
			x: [2, 4, 6, null],
			y: [1, 2, 3, 9]
		});
		expect(bias).toBe(2);
		expect([lowerLimit, upperLimit]).toEqual([0.040000000000000036, 3.96]); // 2 ± 1.96 × 1
		// t of 2 degrees, any table
		expect(biasUpper95! - biasLower95!).toBeCloseTo((2 * 4.30265272974946) / Math.sqrt(3), 9);
		expect(blandAltman({ x: [3], y: [1] })).toMatchObject({ bias: 2, sd: null, lowerLimit: null, n: 1 });
		expect(blandAltman({ x: [], y: [] }).bias).toBeNull();
	});

	it('with one side constant have none', () => {
		expect(linsConcordance({ x: [1, 1], y: [1, 2] })).toEqual({
			concordance: 0,
			pearson: null,
			biasCorrection: null,
			n: 2
		});
		expect(linsConcordance({ x: [0.1, 0.1, 0.1], y: [1, 2, 3] })).toMatchObject({ concordance: 0, pearson: null });
		expect(linsConcordance({ x: [1, 1], y: [1, 1] }).concordance).toBeNull();
		expect(linsConcordance({ x: [0.1, 0.1, 0.1], y: [0.1, 0.1, 0.1] }).concordance).toBeNull();
		expect(linsConcordance({ x: [1], y: [1] }).concordance).toBeNull();
	});
});
