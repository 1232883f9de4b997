import { describe, expect, it } from 'vitest';
import { readingUncertainty } from '.';
import { weightOf, type Flag } from '../subjects/flags';

describe('the uncertainty of a mean of readings', () => {
	it.each([
		['nothing known of one reading', [9.8], {}, null],
		['the resolution alone says nothing of how far the meter is off', [9.8], { resolution: 0.1 }, null],
		['readings that agree say nothing of it either', [9.8, 9.8], { resolution: 0.1 }, null],
		['the accuracy alone: limits of a uniform distribution', [9.8], { accuracy: 0.2 }, (2 * 0.2) / Math.sqrt(3)],
		// Student's t that holds 95.45 % with 2 degrees of freedom is 4.52654 (JCGM 100:2008, table G.2: 4.53)
		['the spread alone, by Student’s t: three readings know it badly', [9, 10, 11], {}, 4.526_550_6 / Math.sqrt(3)]
	])('%s', (_, values, instrument, expected) => {
		const got = readingUncertainty(values, instrument);
		if (expected === null) expect(got.expanded).toBeNull();
		else expect(got.expanded).toBeCloseTo(expected, 6); // JCGM 100:2008, by hand
		expect(got.isAccuracyUnknown).toBe(!('accuracy' in instrument));
	});

	it('of all three, in quadrature, is widened by the effective degrees of freedom', () => {
		const variance = 1 / 3 + 0.01 / 12 + 0.04 / 3;
		const { expanded } = readingUncertainty([9, 10, 11], { resolution: 0.1, accuracy: 0.2 });
		// 2 × (variance ÷ (1/3))² = 2.17 degrees: between t of 2 (4.53) and t of 3 (3.31)
		expect(expanded! / Math.sqrt(variance)).toBeGreaterThan(3.31);
		expect(expanded! / Math.sqrt(variance)).toBeLessThan(4.53);
	});
});

describe('a flag', () => {
	it.each<[Flag['code'], string]>([
		['held-too-long', 'ask'],
		['blank-grew', 'spoils'],
		['unit-slip', 'ask'],
		['plate-crowded', 'note']
	])('%s weighs: %s', (code, weight) => {
		expect(weightOf({ code } as Flag)).toBe(weight);
	});
});
