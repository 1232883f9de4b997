import { describe, expect, it } from 'vitest';
import { exactly, withQualifier } from '../quantity';
import { judge, siteLine, type Threshold } from '.';

const bathing: Threshold = {
	parameter: 'e-coli',
	use: 'bathing',
	unit: 'cfu_100mL',
	statistic: 'each sample',
	leastSamples: 1,
	season: null,
	nextStep: 'Sample again.',
	isExample: false,
	source: 'test',
	bands: [
		{ from: 0, word: 'few', state: 'good' },
		{ from: 235, word: 'many', state: 'watch' },
		{ from: 1000, word: 'far too many', state: 'act' }
	]
};
const colonies = (number: number, qualifier: 'below' | 'above' | null = null) =>
	withQualifier(number, qualifier, 'cfu_100mL');

describe('judging against a use', () => {
	it.each<[number, 'below' | 'above' | null, string | null]>([
		[0, null, 'few'],
		[234, null, 'few'],
		[235, null, 'many'],
		[5000, null, 'far too many'],
		[10, 'below', 'few'],
		[235, 'below', 'few'],
		[500, 'below', null],
		[24_000, 'above', 'far too many'],
		[300, 'above', null]
	])('%d (%s) is %s', (number, qualifier, word) => {
		expect(judge(colonies(number, qualifier), bathing)?.word ?? null).toBe(word);
	});
});

describe('a site in a few words', () => {
	it('says what most wants doing something about', () => {
		expect(siteLine({ 'e-coli': colonies(3000), 'water-temperature': exactly(11.2, 'degC') }, [bathing])).toBe(
			'E. coli 3000 per 100 mL'
		);
	});

	it('else how warm the water was and how much oxygen it held', () => {
		expect(
			siteLine(
				{
					'e-coli': colonies(10),
					'water-temperature': exactly(11.24, 'degC'),
					'oxygen-saturation': exactly(98.4, 'percent')
				},
				[bathing]
			)
		).toBe('11.24 °C, 98.4 % oxygen');
		expect(siteLine({}, [bathing])).toBe('');
	});

	it('in the units that its people read', () => {
		const latest = { 'water-temperature': exactly(11.2, 'degC'), 'tube-depth': exactly(60, 'cm') };
		expect(siteLine(latest, [], { temperatures: '°F' })).toBe('52.2 °F');
	});
});
