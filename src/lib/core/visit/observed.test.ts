import { describe, expect, it } from 'vitest';
import { aLine } from '../../../../tests/a-line';
import { fold, foldOnto } from '../logbook';
import { streamVisit } from '../method';
import type { Context } from '../subjects/context';
import { remembered } from '../subjects/remember';
import { evaluate } from '.';

describe('a remembered conclusion', () => {
	it('is drawn once for the same part and the same circumstances', () => {
		let drawn = 0;
		const sum = remembered((part: { values: number[] }, factor: number) => {
			drawn++;
			return part.values.reduce((a, b) => a + b, 0) * factor;
		});
		const part = { values: [1, 2] };
		expect([sum(part, 2), sum(part, 2), drawn]).toEqual([6, 6, 1]);
		expect([sum(part, 3), drawn]).toEqual([9, 2]);
		expect([sum({ values: [1, 2] }, 3), drawn]).toEqual([9, 3]);
	});
});

describe('evaluate with a memory', () => {
	const start = Date.UTC(2026, 4, 14, 9);
	const context: Context = { now_ms: start, site: { elevation_m: 50, usual: {} }, instruments: {} };
	const line = (n: number, path: string, value: unknown) => aLine(n, start + n * 1000, path, value);
	const lines = [
		line(1, 'readings/water-temperature/main', { value: 11, unit: 'degC' }),
		line(2, 'readings/dissolved-oxygen/left', { value: 9, unit: 'mg_L', instrument: 'M' }),
		line(3, 'gaugings/main/verticals/a/distance_m', 1),
		line(4, 'gaugings/main/verticals/a/depth_m', 0.3)
	];

	it('says line by line what it says of the whole', () => {
		let folded = fold([]);
		for (let n = 1; n <= lines.length; n++) {
			folded = foldOnto(folded, lines.slice(0, n));
			expect(evaluate(folded, streamVisit, context)).toEqual(evaluate(fold(lines.slice(0, n)), streamVisit, context));
		}
	});

	it('does not remember past what it was told: another instrument, another card', () => {
		const folded = fold(lines);
		const flags = (c: Context, card = streamVisit) => evaluate(folded, card, c).flags.map((f) => f.code);
		expect(flags(context)).not.toContain('beyond-meter');
		const short = { M: { code: 'M', measures: { 'dissolved-oxygen': { low: 0, high: 5 } }, calibratedAt: {} } };
		expect(flags({ ...context, instruments: short })).toContain('beyond-meter');
		expect(flags(context)).not.toContain('beyond-meter');
	});
});
