import { describe, expect, it } from 'vitest';
import {
	figureOf,
	inUsualOrder,
	isImplausible,
	isParameterCode,
	OwnParameter,
	parameterOf,
	parameters,
	whyImpossible
} from '.';

const chlorophyll = OwnParameter.parse({
	name: 'Chlorophyll a',
	unit: 'ug_L',
	decimals: 1,
	possible: [0, 1000],
	plausible: [0.5, 60],
	isNeverNought: true,
	ways: ['meter']
});
const own = { 'own-chlorophyll-a': chlorophyll };

describe('a parameter of a program’s own', () => {
	it('is told by its code, which nothing known here can have', () => {
		expect(isParameterCode('own-chlorophyll-a')).toBe(true);
		expect(Object.keys(parameters).filter((code) => code.startsWith('own-'))).toEqual([]);
		for (const word of ['own-', 'own-A', 'own--x', 'own-a/b', 'own-' + 'x'.repeat(60), 'chlorophyll-a'])
			expect(isParameterCode(word), word).toBe(false);
	});

	it('is judged as those known here are', () => {
		const parameter = parameterOf('own-chlorophyll-a', own);
		expect(whyImpossible(parameter, { value: 3, unit: 'degC' })).toMatch(/kept in µg\/L; °C is another kind/);
		expect(whyImpossible(parameter, { value: 0, unit: 'ug_L' })).toMatch(/“below” the limit/);
		expect(whyImpossible(parameter, { value: 1001, unit: 'ug_L' })).toMatch(/not possible: 0 to 1000 µg\/L/);
		expect(whyImpossible(parameter, { value: 0.02, unit: 'mg_L' })).toBeNull(); // 20 µg/L
		expect(isImplausible(parameter, { value: 80, unit: 'ug_L' })).toBe(true);
		expect(figureOf(parameter, { value: 0.02, unit: 'mg_L' })).toEqual({ value: 20, unit: 'ug_L' });
		expect(figureOf(parameter, { value: 2, unit: 'm' })).toBeNull();
	});

	it('goes by its code where nothing defines it, and no figure of it is judged', () => {
		const lost = parameterOf('own-chlorophyll-a', {});
		expect(lost.name).toBe('chlorophyll a');
		expect(isImplausible(lost, { value: 1e9, unit: 'one' })).toBe(false);
		expect(figureOf(lost, { value: 2, unit: 'ug_L' })).toBeNull();
	});

	it('stands after those known here, in the order of their codes', () => {
		expect(inUsualOrder(['own-b', 'ph', 'own-a', 'own-b', 'water-temperature'])).toEqual([
			'water-temperature',
			'ph',
			'own-a',
			'own-b'
		]);
	});

	it.each([
		['a range that is none', { possible: [5, 5] }],
		['a usual range outside the possible one', { plausible: [0.5, 2000] }],
		['a unit that nobody knows', { unit: 'furlong' }],
		['no way of finding it', { ways: [] }]
	])('is not defined with %s', (_, change) => {
		expect(OwnParameter.safeParse({ ...chlorophyll, ...change }).success).toBe(false);
	});
});
