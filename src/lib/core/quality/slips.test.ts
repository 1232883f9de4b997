import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parameters } from '../quantity';
import { readingSlips, slipGuesses } from '.';

describe('slips that would explain a figure', () => {
	it.each([
		['Fahrenheit', 62, 'degC', { low: 1, high: 19 }, 'degF', 16.67],
		['centimetres', 34, 'm', { low: 0.1, high: 0.6 }, 'cm', 0.34],
		['feet', 1.2, 'm', { low: 0.2, high: 0.5 }, 'ft', 0.366],
		['a point too far right', 72, 'mg_L', { low: 5, high: 14 }, 'mg_L', 7.2],
		['a point too far left', 0.74, 'mg_L', { low: 5, high: 14 }, 'mg_L', 7.4],
		['a meter that changed its unit', 0.31, 'uS_cm', { low: 150, high: 600 }, 'mS_cm', 310]
	] as const)('%s', (_, number, unit, range, readIn, instead) => {
		const [guess] = slipGuesses(number, unit, range);
		expect(guess!.retype.unit).toBe(readIn);
		expect(guess!.instead).toBeCloseTo(instead, 2);
	});

	it('are none for a figure that lies where it belongs, or that nothing explains', () => {
		expect(slipGuesses(11, 'degC', { low: 1, high: 19 })).toEqual([]);
		expect(slipGuesses(400, 'degC', { low: 10, high: 19 })).toEqual([]);
		// a murky day, not inches
		expect(slipGuesses(9, 'cm', { low: 17, high: 79 })).toEqual([]);
	});

	it('always lead into the range, never out of it', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -100, max: 1000, noNaN: true }),
				fc.double({ min: 0, max: 50, noNaN: true }),
				fc.double({ min: 0.1, max: 50, noNaN: true }),
				(x, low, width) => {
					for (const { instead } of slipGuesses(x, 'm', { low, high: low + width })) {
						expect(instead).toBeGreaterThanOrEqual(low);
						expect(instead).toBeLessThanOrEqual(low + width);
					}
				}
			)
		);
	});

	it('of a reading are judged in the unit it was typed in', () => {
		// 12 typed where Fahrenheit was asked for: in Celsius it would be 53.6 °F
		expect(readingSlips(parameters['water-temperature'], 12, 'degF', { low: 5, high: 18 })[0]).toMatchObject({
			retype: { value: 12, unit: 'degC' },
			instead: expect.closeTo(53.6, 9)
		});
		expect(readingSlips(parameters['nitrate'], 22, 'mg_L_N', { low: 0.5, high: 8 })[0]).toMatchObject({
			retype: { value: 22, unit: 'mg_L_NO3' },
			instead: expect.closeTo(4.97, 2)
		});
	});
});
