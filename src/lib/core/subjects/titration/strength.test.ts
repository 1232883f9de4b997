import { describe, expect, it } from 'vitest';
import { titrantNormality } from '../../oxygen';
import { titrationSettings } from './settings';
import type { TitrationStep } from './step';
import { normalityOf, oxygenOf } from './strength';

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
