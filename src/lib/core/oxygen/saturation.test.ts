import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dissolvedOxygenSaturation, percentSaturation, pressureFromElevation, titrationOxygen } from '.';

const atSeaLevel = { salinity_ppt: 0, pressure_kPa: 101.325 };

describe('saturation', () => {
	// Standard Methods 4500-O, table I: fresh water at one atmosphere, mg/L
	it.each([
		[0, 14.621],
		[10, 11.288],
		[20, 9.092],
		[30, 7.559]
	])('at %d °C', (temperature_C, saturation_mgL) => {
		expect(dissolvedOxygenSaturation({ ...atSeaLevel, temperature_C }).saturation_mgL).toBeCloseTo(saturation_mgL, 2);
	});

	it.each([
		{ temperature_C: -2.1 },
		{ temperature_C: 45.1 },
		{ salinity_ppt: 46 },
		{ pressure_kPa: 39 },
		{ temperature_C: NaN }
	])('refuses %o', (wrong) => {
		expect(() => dissolvedOxygenSaturation({ ...atSeaLevel, temperature_C: 10, ...wrong })).toThrow(RangeError);
	});

	it('falls as water warms, and as the air thins', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 39, noNaN: true }),
				fc.double({ min: 60, max: 100, noNaN: true }),
				(temperature_C, pressure_kPa) => {
					const here = dissolvedOxygenSaturation({ temperature_C, salinity_ppt: 0, pressure_kPa }).saturation_mgL;
					expect(
						dissolvedOxygenSaturation({ temperature_C: temperature_C + 1, salinity_ppt: 0, pressure_kPa })
							.saturation_mgL
					).toBeLessThan(here);
					expect(
						dissolvedOxygenSaturation({ temperature_C, salinity_ppt: 0, pressure_kPa: pressure_kPa - 5 }).saturation_mgL
					).toBeLessThan(here);
				}
			)
		);
	});

	it('percent and saturation are each other’s inverse', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 20, noNaN: true }),
				fc.double({ min: 0, max: 35, noNaN: true }),
				(dissolvedOxygen_mgL, temperature_C) => {
					const { percent, saturation_mgL } = percentSaturation({ ...atSeaLevel, temperature_C, dissolvedOxygen_mgL });
					expect((percent * saturation_mgL) / 100).toBeCloseTo(dissolvedOxygen_mgL, 9);
				}
			)
		);
	});

	it('takes the pressure from the height', () => {
		expect(pressureFromElevation({ elevation_m: 0 }).pressure_kPa).toBe(101.325);
		expect(pressureFromElevation({ elevation_m: 1500 }).pressure_kPa).toBeCloseTo(84.56, 1); // ICAO standard atmosphere
	});
});

describe('titration', () => {
	it('counts drops above the blank', () => {
		expect(titrationOxygen({ mode: 'drops', drops: 9, mgLPerDrop: 1 })).toMatchObject({
			dissolvedOxygen_mgL: 9,
			belowBlank: false
		});
		expect(titrationOxygen({ mode: 'drops', drops: 1, mgLPerDrop: 1, blankDrops: 2 })).toMatchObject({
			dissolvedOxygen_mgL: 0,
			belowBlank: true
		});
	});

	it('makes good what the reagents displaced', () => {
		const molar = { mode: 'molar', titrantVolume_mL: 8, titrantNormality_N: 0.025, sampleVolume_mL: 200 } as const;
		expect(titrationOxygen(molar).dissolvedOxygen_mgL).toBeCloseTo(8, 12); // 1 mL of 0.025 N is 1 mg/L in 200 mL
		expect(titrationOxygen({ ...molar, bottleVolume_mL: 300, displacedVolume_mL: 2 }).dissolvedOxygen_mgL).toBeCloseTo(
			(8 * 300) / 298,
			12
		);
		expect(() => titrationOxygen({ ...molar, bottleVolume_mL: 300 })).toThrow(/displacedVolume_mL/);
		expect(() => titrationOxygen({ ...molar, bottleVolume_mL: 300, displacedVolume_mL: 300 })).toThrow(
			/under the bottle's 300 mL: 300/
		);
		expect(() => titrationOxygen({ ...molar, mode: 'colour' } as never)).toThrow(/drops or molar: colour/);
	});
});
