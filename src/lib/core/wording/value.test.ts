import { describe, expect, it } from 'vitest';
import { MethodCard, shownUnit, streamVisit } from '../method';
import { saySure } from '.';

describe('a figure with how sure it is', () => {
	it.each([
		[
			'in the digits that its uncertainty bears',
			{ value: 85.34, unit: 'percent' },
			2.04,
			0,
			undefined,
			'85.34 %',
			'2.0'
		],
		['to tens', { value: 812, unit: 'cfu_100mL' }, 339, 0, undefined, '812 per 100 mL', '340'],
		['in its own digits where nothing is known', { value: 11.24, unit: 'degC' }, null, 1, undefined, '11.24 °C', null],
		['as a limit, without one', { below: 0.05, unit: 'mg_L_N' }, 0.01, 3, undefined, 'below 0.050 mg/L as N', null],
		['in Fahrenheit', { value: 10, unit: 'degC' }, 0.5, 1, 'degF', '50.0 °F', '0.9'],
		['in litres a second', { value: 0.1234, unit: 'm3_s' }, 0.011, 3, 'L_s', '123.4 L/s', '11'],
		['as the ion', { value: 1.5, unit: 'mg_L_N' }, null, 2, 'mg_L_NO3', '6.6 mg/L as nitrate', null]
	] as const)('%s', (_, figure, uncertainty, decimals, unit, says, sure) => {
		expect(saySure(figure, uncertainty, decimals, unit ?? figure.unit)).toEqual({
			figure: says,
			uncertainty: sure,
			limits: null
		});
	});
	it('rounds what arithmetic left behind, and nothing that was read', () => {
		expect(saySure({ value: 85.3412345678, unit: 'percent' }, 2.04, 0).figure).toBe('85.3 %');
	});

	it('has the digits that were read, or those that are borne where it was worked out', () => {
		const flow = { value: 0.099977, unit: 'm3_s' } as const;
		expect(saySure(flow, 0.0108, 3, 'm3_s', null, 'section').figure).toBe('0.100 m³/s');
		expect(saySure(flow, 0.0108, 3, 'ft3_s', null, 'section').figure).toBe('3.5 ft³/s');
		expect(saySure({ value: 11.24, unit: 'degC' }, 0.6, 1, 'degC', null, 'thermometer').figure).toBe('11.24 °C');
	});
	it.each([
		[{ lower: 512.4, upper: 1190.2 }, '510 to 1190'],
		[{ lower: 400, upper: null }, 'at least 400']
	])('says limits as they lie, %j', (limits, says) => {
		expect(saySure({ value: 800, unit: 'cfu_100mL' }, null, 0, 'cfu_100mL', limits)).toMatchObject({
			uncertainty: null,
			limits: says
		});
	});
});

describe('a card', () => {
	it('says in which unit a figure is shown, and only in one that fits', () => {
		expect(shownUnit({ ...streamVisit, shown: { discharge: 'ft3_s' } }, 'discharge')).toBe('ft3_s');
		expect(shownUnit(streamVisit, 'discharge')).toBe('m3_s');
		expect(MethodCard.safeParse({ ...streamVisit, shown: { 'water-temperature': 'degF' } }).success).toBe(true);
		expect(MethodCard.safeParse({ ...streamVisit, shown: { 'water-temperature': 'mg_L' } }).success).toBe(false);
		expect(MethodCard.safeParse({ ...streamVisit, shown: { nitrite: 'mg_L_NO3' } }).success).toBe(false);
	});
});
