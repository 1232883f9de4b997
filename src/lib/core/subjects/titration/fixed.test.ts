import { describe, expect, it } from 'vitest';
import { fixedBottles } from './fixed';
import { titrationSettings } from './settings';
import type { TitrationStep } from './step';

const step = { ...titrationSettings.example, id: 'o2' } as TitrationStep;

describe('fixed bottles', () => {
	it('wait in the order in which their time ends, but for those with a bubble, or titrated', () => {
		const fixedAt = (hour: number) => ({ fixedAt: `2026-05-14T${String(hour).padStart(2, '0')}:00:00Z` });
		const waiting = fixedBottles(
			{
				second: fixedAt(9),
				first: fixedAt(8),
				bubble: { ...fixedAt(7), hasBubble: true },
				drops: { ...fixedAt(7), drops: 40 },
				burette: { ...fixedAt(7), titrant_mL: 8 },
				empty: {}
			},
			[step]
		);
		expect(waiting.map((w) => [w.label, new Date(w.last_ms).toISOString()])).toEqual([
			['first', '2026-05-14T16:00:00.000Z'],
			['second', '2026-05-14T17:00:00.000Z']
		]);
	});

	it('of a card with two steps are of one each, a third one of the first', () => {
		const later: TitrationStep = { ...step, id: 'o2-later', within_h: 4, bottles: [{ id: 'late', label: 'late' }] };
		const fixedAt = '2026-05-14T08:00:00Z';
		const waiting = fixedBottles({ first: { fixedAt }, late: { fixedAt }, third: { fixedAt } }, [step, later]);
		expect(waiting.map((w) => [w.id, w.step.id])).toEqual([
			['late', 'o2-later'],
			['first', 'o2'],
			['third', 'o2']
		]);
	});
});
