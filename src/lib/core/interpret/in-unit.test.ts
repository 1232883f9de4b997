import { describe, expect, it } from 'vitest';
import { exactly, type Unit } from '../quantity';
import { judge, pointIn, stretchIn, Threshold, thresholdIn, trendIn } from '.';

const warm = Threshold.parse({
	parameter: 'water-temperature',
	unit: 'degC',
	use: 'trout',
	bands: [
		{ from: 0, word: 'cool', state: 'good' },
		{ from: 20, word: 'warm', state: 'act' }
	],
	statistic: 'each sample',
	leastSamples: 1,
	season: null,
	source: 'invented',
	nextStep: '',
	isExample: true
});

describe('what is drawn, in another unit', () => {
	it('a point goes with how sure it is: a distance has no zero', () => {
		const point = { value: 20, unit: 'degC' as Unit, uncertainty: 0.5, lower: 19, upper: null, way: 'meter' };
		const there = pointIn(point, 'degF');
		expect(there).toMatchObject({ unit: 'degF', upper: null, way: 'meter' });
		expect(there.value).toBeCloseTo(68, 10);
		expect(there.uncertainty).toBeCloseTo(0.9, 10);
		expect(there.lower).toBeCloseTo(66.2, 10);
	});

	it('a result of a trend keeps its day, and the discharge beside it', () => {
		const point = { at_ms: 7, value: 10, qualifier: null, discharge_m3_s: 0.2 };
		expect(trendIn([point], 'degC', 'degF')).toEqual([{ ...point, value: 50 }]);
	});

	it('a stretch keeps what else is said of it', () =>
		expect(stretchIn({ low: 0, middle: 0.5, high: 1, results: 3 }, 'm3_s', 'L_s')).toEqual({
			low: 0,
			middle: 500,
			high: 1000,
			results: 3
		}));

	it('a threshold begins its bands at the same place of the scale', () => {
		const there = thresholdIn(warm, 'degF');
		expect(there.bands.map((b) => b.from)).toEqual([32, 68].map((n) => expect.closeTo(n, 10) as number));
		for (const t of [warm, there]) {
			expect(judge(exactly(19.9, 'degC'), t)?.word).toBe('cool');
			expect(judge(exactly(68.2, 'degF'), t)?.word).toBe('warm');
		}
	});
});
