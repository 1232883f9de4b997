import { describe, expect, it } from 'vitest';
import { titrantNormality } from '../../oxygen';
import { titrationSettings } from './settings';
import type { TitrationStep } from './step';
import { fixedBottles, normalityOf, oxygenOf } from './strength';

const step = { ...titrationSettings.example, id: 'o2' } as TitrationStep;

describe('the strength of a titrant', () => {
	it('is what its standard found on average, else what its label says, else unknown', () => {
		const check = (titrant_mL: number) => ({ standard_mL: 10, standard_N: 0.025, titrant_mL });
		expect(normalityOf(0.025, { a: check(10), b: check(12.5) })).toBeCloseTo((0.025 + 0.02) / 2, 12);
		expect(normalityOf(0.025, { a: { standard_mL: 10 } })).toBe(0.025);
		expect(normalityOf(undefined, undefined)).toBeNull();
	});
	it('cannot come from nothing', () => {
		const none = { standardVolume_mL: 10, standardNormality_N: 0.025, titrantVolume_mL: 0 };
		expect(() => titrantNormality(none)).toThrow(RangeError);
	});
});

describe('a bottle titrated by burette', () => {
	const bottle = { titrant_mL: 8, sample_mL: 201, normality_N: 0.025 };
	it('makes good what the reagents displaced, where the card says how large it is', () => {
		expect(oxygenOf(bottle, {}, step)!.dissolvedOxygen_mgL).toBeCloseTo((8 * 0.025 * 8000) / 201, 9);
		const made = oxygenOf(bottle, {}, { bottle_mL: 300, reagents_mL: 2 })!.dissolvedOxygen_mgL;
		expect(made).toBeCloseTo(((8 * 0.025 * 8000) / 201) * (300 / 298), 9);
	});
	it('is told to a tenth of a mL', () =>
		expect(oxygenOf(bottle, {}, step)!.grain_mgL).toBeCloseTo((0.1 * 0.025 * 8000) / 201, 9));
});

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
