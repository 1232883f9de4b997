import { describe, expect, it } from 'vitest';
import { parameterIn, parameters, unitChoices, unitRead, unitsShown } from '.';

describe('units that a program reads figures in', () => {
	it('are each parameter’s own where nothing is said, and with the first of every choice', () => {
		const [temperatures, lengths, flows] = [unitChoices.temperatures[0], unitChoices.lengths[0], unitChoices.flows[0]];
		expect(unitsShown({}, undefined)).toEqual({});
		expect(unitsShown({ temperatures, lengths, flows }, undefined)).toEqual({});
	});

	it('stand in place of a parameter’s own, whichever parameter it is', () => {
		expect(unitsShown({ temperatures: '°F' }, undefined)).toEqual({
			'air-temperature': 'degF',
			'water-temperature': 'degF'
		});
		expect(unitsShown({ lengths: 'feet', flows: 'ft³/s' }, undefined)).toMatchObject({
			'water-level': 'ft',
			'disc-depth': 'ft',
			'tube-depth': 'inch',
			discharge: 'ft3_s'
		});
		expect(unitRead(parameters.nitrite, { temperatures: '°F', lengths: 'feet', flows: 'L/s' })).toBe('mg_L_N');
	});

	it('a parameter goes with its ranges and as many digits as were read', () => {
		expect(parameterIn(parameters['water-temperature'], 'degF')).toMatchObject({ unit: 'degF', decimals: 1 });
		const [low, high] = parameterIn(parameters['water-temperature'], 'degF').plausible;
		expect(low).toBeCloseTo(31.1, 10); // −0.5 × 1.8 + 32
		expect(high).toBeCloseTo(86, 10);
		expect(parameterIn(parameters.discharge, 'L_s')).toMatchObject({ decimals: 0, possible: [-100_000, 1_000_000] });
		expect(parameterIn(parameters.discharge, 'ft3_s').decimals).toBe(1);
	});
});
