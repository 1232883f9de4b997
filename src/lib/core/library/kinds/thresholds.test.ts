import { describe, expect, it } from 'vitest';
import { emptyLibrary, exampleThresholds, kindNamed, lookupIn, objectionsTo, readRow, thresholdOf, writeRow } from '..';
import type { ThresholdRow } from '..';

const kind = kindNamed('thresholds')!;
const library = emptyLibrary();
const lookup = lookupIn(library);
const example = exampleThresholds.find((t) => t.parameter === 'oxygen-saturation')!;
const texts = writeRow(kind, { id: 'a', ...example }, lookup);
const keep = (change: Record<string, string>) => {
	const { row, objections } = readRow(kind, 'a', { ...texts, ...change }, lookup);
	return [...objections, ...(objections.length ? [] : objectionsTo(kind, row, library, '2026-05-14'))];
};

describe('a threshold on the shelf', () => {
	it('has bands that ascend from the least that can be', () => {
		const { bands, unit } = thresholdOf({ id: 'a', ...example }, library);
		expect(unit).toBe('percent');
		expect(bands.map((b) => [b.from, b.state])).toEqual([
			[0, 'act'],
			[60, 'watch'],
			[80, 'good'],
			[120, 'watch']
		]);
	});

	it('is called by the use and what people call the parameter, also one of the program’s own', () => {
		expect(kind.nameOf({ id: 'a', ...example }, lookup)).toBe(`${example.use}, oxygen saturation`);
		const own = { id: 'p', code: 'chloride', name: 'Chloride' };
		const withOwn = lookupIn({ ...library, parameters: [own] });
		const row = { id: 'a', ...example, parameter: 'own-chloride', statistic: 'median' };
		expect(kind.nameOf(row, withOwn)).toBe(`${example.use}, chloride, median`);
	});

	it('has its limits in the unit of its parameter, while that can be told', () => {
		expect(kind.unitIn!({ id: 'a', ...example }, library)).toBe('%');
		expect(kind.unitIn!({ id: 'a' }, library)).toBe('');
	});

	it('every example may stand, and is the same after it was written as text', () => {
		for (const row of exampleThresholds) {
			const written = writeRow(kind, { id: 'a', ...row }, lookup);
			expect(readRow(kind, 'a', written, lookup)).toEqual({ row: { id: 'a', ...row }, objections: [] });
			expect(objectionsTo(kind, { id: 'a', ...row }, library, '2026-05-14')).toEqual([]);
		}
	});

	it.each<[string, Record<string, string>, RegExp]>([
		['limits that cross', { actBelow: '90' }, /Watch below 80 lies no higher than act below 90/],
		['a limit without a word', { watchHigh: '' }, /“watch from” 120\), but no words/],
		['a word without a limit', { watchFrom: '' }, /There are words for it/],
		[
			'no limit at all',
			{ actBelow: '', watchBelow: '', watchFrom: '', actLow: '', watchLow: '', watchHigh: '' },
			/at least one/
		],
		['a limit that cannot be', { watchFrom: '5000' }, /5000 % cannot be/],
		['half a season', { monthFrom: '5' }, /first and a last month/],
		['an unknown parameter', { parameter: 'fish' }, /there is no “fish”/],
		['a month that is none', { monthFrom: '13', monthTo: '5' }, /between 1 and 12/]
	])('%s is said', (_, change, why) => {
		expect(
			keep(change)
				.map((o) => o.why)
				.join(' ')
		).toMatch(why);
	});

	it('is told from another by use, parameter, statistic and season', () => {
		const row: ThresholdRow = { id: 'b', ...example };
		const there = { ...library, thresholds: [{ id: 'a', ...example }] };
		expect(objectionsTo(kind, row, there, '2026-05-14')).toHaveLength(1);
		expect(objectionsTo(kind, { ...row, monthFrom: 5, monthTo: 9 }, there, '2026-05-14')).toEqual([]);
	});
});
