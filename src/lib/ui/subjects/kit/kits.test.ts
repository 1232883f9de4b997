import { describe, expect, it } from 'vitest';
import { fullVisit } from '$lib/core/method';
import { chartOf } from './colour-chart';
import { sayClock, stageAt } from '../../clocks/stages';

const kit = (id: string) => {
	const step = fullVisit.steps.find((s) => s.id === id);
	if (step?.tool !== 'kit') throw new Error(id);
	return step;
};

describe('the chart of a kit', () => {
	it('has no colour as below the first block, never 0, and a figure between two blocks', () => {
		const lines = chartOf(kit('nitrate').chart, 'mg_L_N');
		expect(lines[0]).toMatchObject({
			figure: { below: 0.8, unit: 'mg_L_N', method: 'no colour' },
			figureText: 'below 0.8'
		});
		expect(lines[2]).toMatchObject({ kind: 'between', figure: { value: 1.65 }, word: 'between blush and rose' });
		expect(lines.at(-1)).toMatchObject({ figure: { above: 25 } });
		expect(lines.every((l) => !('value' in l.figure) || l.figure.value > 0)).toBe(true);
	});
	it('of pH begins under its first block and ends over its last: a strip may stay paler than the chart', () => {
		const lines = chartOf(kit('ph').chart, 'pH');
		expect(lines[0]).toMatchObject({ kind: 'beyond', figure: { below: 5.8 } });
		expect(lines[1]).toMatchObject({ figure: { value: 5.8 } });
		expect(lines.at(-1)).toMatchObject({ figure: { above: 8.8 } });
	});
});

describe('waits in turn', () => {
	const { waits } = kit('phosphate'); // mix 30, blue 600
	it.each([
		[0, 'mix', 30, 'blue comes'],
		[29.5, 'mix', 0.5, 'blue comes'],
		[30, 'blue comes', 600, null],
		[500, 'blue comes', 130, null]
	])('after %d s: %s', (gone, what, left, next) =>
		expect(stageAt(waits, gone)).toEqual({ what, left_s: left, next, isOver: false })
	);
	it('are over at their sum', () => expect(stageAt(waits, 630)).toMatchObject({ isOver: true, left_s: 0 }));
	it.each([
		[9.6, '10 s'],
		[59, '59 s'],
		[60, '1:00'],
		[630, '10:30']
	])('%d s is %s', (span, words) => expect(sayClock(span)).toBe(words));
});
