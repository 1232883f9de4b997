import { describe, expect, it } from 'vitest';
import { parameters } from '$lib/core/quantity';
import { seriesOption, type ChartPoint, type SeriesChartInput } from './series-option';

const colours = Object.fromEntries(
	['ink', 'ink2', 'rule', 'water', 'page', 'good', 'watch', 'act', 'danger'].map((c) => [c, c])
) as unknown as SeriesChartInput['colours'];

const point = (value: number, i: number): ChartPoint => ({
	at_ms: i,
	value,
	qualifier: null,
	uncertainty: null,
	lower: null,
	upper: null,
	isSimulated: false,
	way: 'meter',
	status: 'accepted'
});

const drawn = (code: 'e-coli' | 'ph', values: number[], froms: number[] = []) =>
	seriesOption({
		parameter: parameters[code],
		unitSymbol: '',
		threshold: froms.length
			? ({
					use: 'bathing',
					bands: froms.map((from, i) => ({ from, state: 'good', word: `band ${i}` }))
				} as unknown as SeriesChartInput['threshold'])
			: null,
		points: values.map(point),
		stretches: [],
		from_ms: 0,
		to_ms: 10,
		colours
	});

describe('a series as a drawing', () => {
	it('counts bacteria by their tens, however little they span', () => {
		expect(drawn('e-coli', [120, 300]).yAxis.type).toBe('log');
		expect(drawn('ph', [7, 8]).yAxis.type).toBe('value');
	});

	it('does not take the logarithm of nothing', () => expect(drawn('e-coli', [0, 300]).yAxis.type).toBe('value'));

	it('names a band only where there is room for its name', () => {
		const names = (values: number[], froms: number[]) =>
			drawn('ph', values, froms)
				.series.flatMap((s) => ('markArea' in s && s.markArea ? s.markArea.data : []))
				.map(([start]) => (start as { name: string }).name);
		expect(names([0, 10], [0, 5])).toEqual(['bathing: band 0', 'bathing: band 1']);
		expect(names([0, 10], [0, 5, 5.4])).toEqual(['bathing: band 0', '', 'bathing: band 2']);
	});
});
