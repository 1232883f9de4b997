import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pressureFromElevation } from '../oxygen';
import { checkBuffers, checkSleeve, checkStandard, checkThermometer } from '.';

const sleeve = { reading_percent: 100, temperature_C: 20, pressure_kPa: 101.325, settled_min: 10 };

describe('a probe in its moist sleeve', () => {
	it('reads 100 % at sea level and less on a hill', () => {
		expect(checkSleeve(sleeve)).toMatchObject({ isSettled: true, passed: true });
		expect(checkSleeve(sleeve).expected_percent).toBeCloseTo(100, 12);
		const { pressure_kPa } = pressureFromElevation({ elevation_m: 1000 });
		const hill = checkSleeve({ ...sleeve, pressure_kPa });
		// by hand: (89.87 − 2.34) ÷ (101.325 − 2.34), vapour at 20 °C 2.34 kPa
		expect(hill.expected_percent).toBeCloseTo((100 * (pressure_kPa - 2.337)) / (101.325 - 2.337), 1);
		expect(hill.passed).toBe(false);
		expect(checkSleeve({ ...sleeve, pressure_kPa, reading_percent: 89.5 }).passed).toBe(true);
	});

	it('does not pass before its ten minutes, nor out of its window', () => {
		expect(checkSleeve({ ...sleeve, settled_min: 9.9 })).toMatchObject({ isSettled: false, passed: false });
		expect(
			[97.9, 98.1, 101.9, 102.1].map((reading_percent) => checkSleeve({ ...sleeve, reading_percent }).passed)
		).toEqual([false, true, true, false]);
		expect(() => checkSleeve({ ...sleeve, temperature_C: 99 })).toThrow(/temperature_C/);
	});

	it('never expects more than 100 % above sea level', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 3500, noNaN: true }),
				fc.double({ min: 0, max: 40, noNaN: true }),
				(elevation_m, temperature_C) => {
					const { expected_percent } = checkSleeve({
						...sleeve,
						temperature_C,
						...pressureFromElevation({ elevation_m })
					});
					return expected_percent > 55 && expected_percent <= 100 + 1e-9;
				}
			)
		);
	});
});

describe('a meter against what is known', () => {
	it.each([
		[1413, 0, true],
		[1483, 4.95, true],
		[1490, 5.45, false],
		[1330, -5.87, false]
	])('a conductivity standard of 1413 read as %d', (reading, offBy, passed) => {
		const got = checkStandard({ reading, standard: 1413 });
		expect(got.offBy_percent).toBeCloseTo(offBy, 2);
		expect(got.passed).toBe(passed);
		expect(() => checkStandard({ reading, standard: 0 })).toThrow(/standard/);
	});

	it('a thermometer may be half a degree off', () => {
		expect(checkThermometer({ reading_C: 12.3, other_C: 11.8 }).passed).toBe(true);
		expect(checkThermometer({ reading_C: 11.2, other_C: 11.8 })).toMatchObject({ passed: false });
	});

	it('two or three buffers give slope and offset', () => {
		const exact = checkBuffers({ buffers: [4, 7, 10].map((pH) => ({ pH, reading: pH })) });
		expect(exact).toMatchObject({ passed: true });
		expect([exact.slope_percent, exact.offset_pH]).toEqual([100, 0].map((v) => expect.closeTo(v, 9) as number));
		const tired = checkBuffers({ buffers: [4, 7].map((pH) => ({ pH, reading: 7.1 + 0.88 * (pH - 7) })) });
		expect(tired.slope_percent).toBeCloseTo(88, 9);
		expect(tired.offset_pH).toBeCloseTo(0.1, 9);
		expect(tired.passed).toBe(false);
		expect(checkBuffers({ buffers: [4, 7].map((pH) => ({ pH, reading: pH + 0.4 })) }).passed).toBe(false);
		expect(() => checkBuffers({ buffers: [{ pH: 7, reading: 7 }] })).toThrow(/two different/);
	});
});
