import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	practicalSalinity,
	practicalSalinityFromRatio,
	rawConductivity,
	specificConductance,
	totalDissolvedSolids
} from '.';

describe('conductivity at 25 °C', () => {
	it('is what was read, at 25 °C', () => {
		expect(specificConductance({ conductivity_uScm: 431, temperature_C: 25 }).specificConductance_uScm).toBe(431);
	});

	it.each([
		[10, 100 / (1 - 0.0191 * 15)],
		[30, 100 / (1 + 0.0191 * 5)]
	])('of 100 µS/cm at %d °C', (temperature_C, expected) => {
		expect(specificConductance({ conductivity_uScm: 100, temperature_C }).specificConductance_uScm).toBeCloseTo(
			expected,
			10
		); // APHA 2510 B
	});

	it('and back is what was read', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 5e4, noNaN: true }),
				fc.double({ min: -2, max: 45, noNaN: true }),
				(conductivity_uScm, temperature_C) => {
					const { specificConductance_uScm } = specificConductance({ conductivity_uScm, temperature_C });
					expect(rawConductivity({ specificConductance_uScm, temperature_C }).conductivity_uScm).toBeCloseTo(
						conductivity_uScm,
						6
					);
				}
			)
		);
	});

	it('refuses a temperature at which the line has run out, and a coefficient below 0', () => {
		expect(() => specificConductance({ conductivity_uScm: 100, temperature_C: -30 })).toThrow(/1 \+ a\(t − 25\)/);
		expect(() => specificConductance({ conductivity_uScm: 100, temperature_C: 10, coefficientPerC: -0.01 })).toThrow(
			/coefficientPerC/
		);
		expect(() => specificConductance({ conductivity_uScm: -1, temperature_C: 10 })).toThrow(/conductivity_uScm/);
	});

	it('stands for dissolved solids by a factor that belongs to the water', () => {
		expect(totalDissolvedSolids({ specificConductance_uScm: 200 }).totalDissolvedSolids_mgL).toBe(130);
		expect(totalDissolvedSolids({ specificConductance_uScm: 200, factor: 1 }).totalDissolvedSolids_mgL).toBe(200);
		expect(() => totalDissolvedSolids({ specificConductance_uScm: 200, factor: 1.01 })).toThrow(/factor/);
		expect(() => totalDissolvedSolids({ specificConductance_uScm: 200, factor: 0 })).toThrow(/factor/);
	});
});

describe('practical salinity', () => {
	it.each([
		// UNESCO 1983, technical paper 44, check values
		[1, 15, 0, 35],
		[1.2, 20, 2000, 37.245628],
		[0.65, 5, 1500, 27.995347]
	])('of ratio %d at %d °C and %d dbar', (conductivityRatio, temperatureIpts68_C, pressure_dbar, salinity) => {
		expect(practicalSalinityFromRatio({ conductivityRatio, temperatureIpts68_C, pressure_dbar }).salinity).toBeCloseTo(
			salinity,
			5
		);
	});

	it('is extended into fresh water, where it does not fall below 0', () => {
		const fresh = practicalSalinity({ conductivity_mScm: 0.2, temperature_C: 12 });
		expect(fresh.extended).toBe(true);
		expect(fresh.salinity).toBeGreaterThan(0);
		expect(practicalSalinity({ conductivity_mScm: 30, temperature_C: 12 }).extended).toBe(false);
	});

	it('rises with the conductivity', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.1, max: 50, noNaN: true }),
				fc.double({ min: 0.01, max: 5, noNaN: true }),
				(conductivity_mScm, more) => {
					const at = (c: number) => practicalSalinity({ conductivity_mScm: c, temperature_C: 15 }).salinity;
					expect(at(conductivity_mScm + more)).toBeGreaterThan(at(conductivity_mScm));
				}
			)
		);
	});

	it('out of its range is given and marked', () => {
		expect(practicalSalinityFromRatio({ conductivityRatio: 1, temperatureIpts68_C: 36 }).inRange).toBe(false);
		expect(practicalSalinityFromRatio({ conductivityRatio: 0.5, temperatureIpts68_C: -2 }).inRange).toBe(true);
		expect(practicalSalinityFromRatio({ conductivityRatio: 1.5, temperatureIpts68_C: 15 })).toMatchObject({
			inRange: false,
			salinity: expect.any(Number)
		});
		expect(() => practicalSalinity({ conductivity_mScm: -1, temperature_C: 15 })).toThrow(/conductivity_mScm/);
	});
});
