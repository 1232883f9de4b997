import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../../tests/a-line';
import { mostProbableNumber, patternRarity } from '../../bacteria';
import { fold } from '../../logbook';
import { streamVisit } from '../../method';
import { evaluate } from '../../visit';
import { flagSentence } from '../flags';

const now_ms = Date.UTC(2026, 4, 15, 12);
const iso = (hours: number) => new Date(now_ms + hours * 3_600_000).toISOString();
const volumes = [10, 1, 0.1];
const upTo = (n: number) => Array.from({ length: n }, (_, i) => i + 1);
const set = (
	id: string,
	grown: readonly number[] | null,
	more: Record<string, unknown> = {}
): Record<string, unknown> => ({
	[`growthTubes/${id}/bottle`]: 'bacteria',
	[`growthTubes/${id}/filledAt`]: iso(-26),
	...Object.fromEntries<unknown>(
		volumes.flatMap((volume_mL, i): [string, unknown][] => [
			[`growthTubes/${id}/rows/r${i}/volume_mL`, volume_mL],
			[`growthTubes/${id}/rows/r${i}/tubes`, 5],
			...(grown ? [[`growthTubes/${id}/rows/r${i}/grown`, upTo(grown[i]!)] as [string, unknown]] : [])
		])
	),
	...(grown ? { [`growthTubes/${id}/readAt`]: iso(-1) } : {}),
	...more
});
const see = (values: Record<string, unknown>) =>
	evaluate(fold(Object.entries(values).map(([path, value], i) => aLine(i + 1, now_ms + i, path, value))), streamVisit, {
		now_ms,
		site: { elevation_m: 100, usual: {} },
		instruments: {}
	});
const said = (values: Record<string, unknown>) =>
	see(values)
		.flags.filter((f) => f.path.startsWith('growthTubes'))
		.map((f) => flagSentence(f));

describe('tubes of a bottle', () => {
	it('give the most probable number with its interval: 5 – 3 – 0 of the classic series is 79', () => {
		const [found] = see(set('T1', [5, 3, 0])).determinations;
		// tables of the three-dilution, five-tube series: 79 per 100 mL
		expect(found).toMatchObject({ way: 'tubes', parameter: 'e-coli', figure: { unit: 'cfu_100mL' }, readings: 15 });
		expect('value' in found!.figure && Math.round(found!.figure.value)).toBe(79);
		expect(found!.limits!.lower).toBeLessThan(79);
		expect(found!.basis).toBe('most probable number of 15 tubes, 5 – 3 – 0 grown');
	});

	it('of which none or all grew give a limit', () => {
		expect(see(set('T1', [0, 0, 0])).determinations[0]!.figure).toHaveProperty('below');
		expect(see(set('T1', [5, 5, 5])).determinations[0]!.figure).toHaveProperty('above');
	});

	it('stand on the shelf until they are read, and say nothing before', () => {
		const waiting = see(set('T1', null));
		expect(waiting.determinations).toEqual([]);
		expect(waiting.clocks).toMatchObject([{ id: 'growthTubes/T1', kind: 'tubes', due_ms: now_ms - 2 * 3_600_000 }]);
		expect(see(set('T1', [5, 3, 0])).clocks).toEqual([]);
	});

	it('that hardly come of one water, or were read too soon, are asked about', () => {
		expect(said(set('T1', [5, 3, 0]))).toEqual([]);
		expect(said(set('T1', [0, 0, 4])).join()).toContain('0 – 0 – 4 grown can hardly come of one water');
		expect(said(set('T1', [5, 3, 0], { 'growthTubes/T1/readAt': iso(-14) })).join()).toContain('read after 12 h');
	});

	it('of a blank that grew spoil the batch', () => {
		const blank = set('K1', [1, 0, 0], { 'bottles/k/role': 'blank', 'growthTubes/K1/bottle': 'k' });
		const both = see({ ...set('T1', [5, 3, 0]), ...blank });
		expect(both.determinations.filter((d) => d.way === 'tubes')).toEqual([]);
		expect(both.flags.map((f) => f.code)).toContain('blank-tubes-grew');
	});

	it('counts a well that was tapped twice once', () => {
		const twice = see(set('T1', [5, 3, 0], { 'growthTubes/T1/rows/r1/grown': [1, 1, 2, 3] }));
		expect('value' in twice.determinations[0]!.figure && Math.round(twice.determinations[0]!.figure.value)).toBe(79);
	});
});

describe('how rare an outcome is', () => {
	it('lies between 0 and 1, and is 1 for what is likeliest', () => {
		const row = fc.tuple(fc.integer({ min: 1, max: 10 }), fc.integer({ min: 0, max: 10 }));
		fc.assert(
			fc.property(fc.array(row, { minLength: 1, maxLength: 4 }), (rows) => {
				const series = rows.map(([tubes, positives], i) => ({
					volume_mL: 10 ** (1 - i),
					tubes,
					positives: Math.min(tubes, positives)
				}));
				const rarity = patternRarity({ series });
				expect(rarity).toBeGreaterThanOrEqual(0);
				expect(rarity).toBeLessThanOrEqual(1 + 1e-9);
			})
		);
		const likely = { series: [{ volume_mL: 10, tubes: 5, positives: 3 }] };
		expect(patternRarity(likely)).toBeCloseTo(1, 9);
		expect(mostProbableNumber(likely).mpnPer100mL).toBeCloseTo((-100 * Math.log(0.4)) / 10, 6);
	});
});
