import { describe, expect, it } from 'vitest';
import { withQualifier } from '../quantity';
import { seasonStanding, type Threshold } from '.';

const bathing: Threshold = {
	parameter: 'e-coli',
	unit: 'cfu_100mL',
	use: 'bathing',
	bands: [
		{ from: 0, word: 'low', state: 'good' },
		{ from: 126, word: 'raised', state: 'watch' }
	],
	statistic: 'geometric mean',
	leastSamples: 3,
	season: { from: 5, to: 9 },
	source: 'test',
	nextStep: '',
	isExample: false
};
const sample = (day: string, number: number, qualifier: 'below' | 'above' | null = null) => ({
	at_ms: Date.parse(`${day}T10:00:00Z`),
	figure: withQualifier(number, qualifier, 'cfu_100mL')
});
const standing = (change: Partial<Threshold>, samples: Parameters<typeof seasonStanding>[1]) =>
	seasonStanding({ ...bathing, ...change }, samples, 'Etc/UTC');

describe('the samples of a season, held against what a use wants of them together', () => {
	const summer = [sample('2026-05-02', 100), sample('2026-06-02', 1000), sample('2026-07-02', 10)];

	it('come to one figure once there are enough', () => {
		const stands = standing({}, summer)!;
		expect(stands).toMatchObject({ season: '2026-05', samples: 3, band: { word: 'low' } });
		expect((stands.figure as { value: number }).value).toBeCloseTo(100, 9);
		expect(standing({}, summer.slice(1))).toEqual({
			season: '2026-05',
			samples: 2,
			figure: null,
			band: null,
			lacks: 'samples'
		});
	});

	it('with a 0 among them have no geometric mean, and say so instead of failing', () => {
		const nought = [...summer, sample('2026-08-02', 0)];
		expect(standing({}, nought)).toMatchObject({ samples: 4, figure: null, lacks: 'above-nought' });
		expect(standing({ statistic: 'median' }, nought)).toMatchObject({ figure: { value: 10 }, lacks: null });
	});

	it('are those of the latest season alone, of its months alone', () => {
		const more = [sample('2025-06-01', 9000), ...summer, sample('2026-10-05', 9000)];
		expect(standing({}, more)).toEqual(standing({}, summer));
		expect(standing({}, [sample('2026-01-05', 1)])).toBeNull();
	});

	it('of a winter belong to the year in which it began', () => {
		const winter = [sample('2026-11-02', 5), sample('2026-12-02', 5), sample('2027-02-02', 200)];
		expect(standing({ season: { from: 11, to: 2 }, statistic: 'median' }, winter)).toMatchObject({
			season: '2026-11',
			figure: { value: 5 }
		});
	});

	it('keep their "below" and "above" in the order', () => {
		const few = [sample('2026-05-02', 10, 'below'), sample('2026-06-02', 10), sample('2026-07-02', 500, 'above')];
		expect(standing({ statistic: 'median' }, few)?.figure).toEqual(withQualifier(10, null, 'cfu_100mL'));
		expect(standing({ statistic: '90th percentile' }, few)).toMatchObject({
			figure: { above: 500 },
			band: { word: 'raised' }
		});
		expect(standing({}, few)?.figure).toHaveProperty('above');
	});
});
