import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	areAlike,
	parameters,
	figureIn,
	meanFigure,
	readTyped,
	significant,
	unitCodes,
	whyImpossible,
	isImplausible,
	writeFigure,
	type Unit
} from '.';

describe('units', () => {
	// exact by definition of the units
	it.each<[number, Unit, Unit, number]>([
		[59, 'degF', 'degC', 15],
		[15, 'degC', 'degF', 59],
		[1, 'ft', 'm', 0.3048],
		[1, 'mS_cm', 'uS_cm', 1000],
		[250, 'L_s', 'm3_s', 0.25],
		[1, 'ft3_s', 'L_s', 28.316846592],
		[12, 'inch', 'ft', 1],
		[62.004, 'mg_L_NO3', 'mg_L_N', 14.007] // 62.004 g of nitrate hold 14.007 g of nitrogen
	])('%d %s in %s', (value, from, to, expected) => {
		expect(figureIn({ value, unit: from }, to)).toMatchObject({ value: expect.closeTo(expected, 12) });
	});

	it('never turns one kind of thing into another', () => {
		expect(() => figureIn({ value: 1, unit: 'mg_L' }, 'mg_L_N')).toThrow(RangeError);
		expect(() => figureIn({ value: 1, unit: 'mg_L_NO3' }, 'mg_L_NO2')).toThrow(RangeError);
		expect(() => figureIn({ value: 1, unit: 'mg_L_P' }, 'mg_L_N')).toThrow(RangeError);
		// as N it could be any of them; as nitrate it is not nitrite
		expect(whyImpossible(parameters['nitrite'], { value: 1, unit: 'mg_L_N' })).toBeNull();
		expect(whyImpossible(parameters['nitrite'], { value: 1, unit: 'mg_L_NO3' })).toMatch(/another kind/);
		expect(whyImpossible(parameters['nitrate'], { value: 44, unit: 'mg_L_NO3' })).toBeNull();
	});

	it('there and back is where it was', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...unitCodes),
				fc.constantFrom(...unitCodes),
				fc.double({ min: -1e6, max: 1e6, noNaN: true }),
				(a, b, value) => {
					fc.pre(areAlike(a, b));
					expect(figureIn(figureIn({ value, unit: a }, b), a)).toMatchObject({ value: expect.closeTo(value, 6) });
				}
			)
		);
	});
});

describe('a mean of replicates', () => {
	it('carries a “below” and an “above”, and is open when both occur', () => {
		const at = (value: number) => ({ value, unit: 'mg_L' as const });
		expect(meanFigure([at(2), at(4)], 'mg_L')).toEqual({ value: 3, unit: 'mg_L' });
		expect(meanFigure([at(2), { below: 1, unit: 'mg_L' }], 'mg_L')).toEqual({ below: 1.5, unit: 'mg_L' });
		expect(meanFigure([at(2), { above: 4, unit: 'mg_L' }], 'mg_L')).toEqual({ above: 3, unit: 'mg_L' });
		expect(
			meanFigure(
				[
					{ below: 1, unit: 'mg_L' },
					{ above: 4, unit: 'mg_L' }
				],
				'mg_L'
			)
		).toBeNull();
		expect(meanFigure([], 'mg_L')).toBeNull();
	});
});

describe('possible and plausible', () => {
	it('refuses the one, asks about the other', () => {
		expect(whyImpossible(parameters['water-temperature'], { value: 46, unit: 'degC' })).toMatch(
			/not possible: −2 to 45/
		);
		expect(whyImpossible(parameters['water-temperature'], { value: 33, unit: 'degC' })).toBeNull();
		expect(isImplausible(parameters['water-temperature'], { value: 33, unit: 'degC' })).toBe(true);
		expect(isImplausible(parameters['water-temperature'], { value: 59, unit: 'degF' })).toBe(false);
	});
});

describe('what a person types', () => {
	it.each<[string, object]>([
		['0,35', { number: 0.35, qualifier: null }],
		[' 12. ', { number: 12, qualifier: null }],
		['.5', { number: 0.5, qualifier: null }],
		['−1.5', { number: -1.5, qualifier: null }],
		['<0.05', { number: 0.05, qualifier: 'below' }],
		['> 120', { number: 120, qualifier: 'above' }]
	])('“%s” is read', (text, expected) => {
		expect(readTyped(text)).toEqual(expected);
	});

	it.each([
		['', /Type a number/],
		['1.2.3', /two decimal points/],
		['12 mg', /Only digits/],
		['--4', /not a number/],
		['<', /Type a number/]
	])('“%s” is told kindly', (text, why) => {
		expect(readTyped(text)).toEqual({ why: expect.stringMatching(why) });
	});
});

describe('writing', () => {
	it('says below and over, never a bare limit, and a real minus', () => {
		expect(writeFigure({ below: 0.05, unit: 'mg_L' })).toBe('below 0.05 mg/L');
		expect(writeFigure({ above: 120, unit: 'cm' })).toBe('over 120 cm');
		expect(writeFigure({ value: -1.25, unit: 'degC' }, 1)).toBe('−1.25 °C');
	});

	it.each([
		[0.38804, 3, '0.388'],
		[12345, 3, '12300'],
		[0, 3, '0'],
		[0.00123, 2, '0.0012']
	])('%d to %d digits is %s', (number, digits, text) => {
		expect(significant(number, digits)).toBe(text);
	});
});
