import { describe, expect, it } from 'vitest';
import { readingUncertainty, weightOf, type Flag } from '.';

describe('the uncertainty of a mean of readings', () => {
	it.each([
		['nothing known of one reading', [9.8], {}, null],
		['the resolution alone: uniform within one step', [9.8], { resolution: 0.1 }, (2 * 0.1) / Math.sqrt(12)],
		['the accuracy alone, which is two standard uncertainties already', [9.8], { accuracy: 0.2 }, 0.2],
		['the spread alone, less with more readings', [9, 10, 11], {}, (2 * 1) / Math.sqrt(3)],
		['all three, in quadrature', [9, 10, 11], { resolution: 0.1, accuracy: 0.2 }, 2 * Math.sqrt(1 / 3 + 0.01 / 12 + 0.01)]
	])('%s', (_, values, instrument, expected) => {
		const got = readingUncertainty(values, instrument);
		if (expected === null) expect(got).toBeNull();
		else expect(got).toBeCloseTo(expected, 12); // JCGM 100:2008, by hand
	});
});

describe('a flag', () => {
	it.each<[Flag['code'], string]>([
		['held-too-long', 'spoils'],
		['blank-grew', 'spoils'],
		['unit-slip', 'ask'],
		['plate-crowded', 'note']
	])('%s weighs: %s', (code, weight) => {
		expect(weightOf({ code } as Flag)).toBe(weight);
	});
});
