import { describe, expect, it } from 'vitest';
import { Calibrated, calibrationForm } from './calibrated';

const sleeve = {
	way: 'sleeve',
	percentOf: 'sea-level',
	reading_percent: '97,1',
	temperature_C: '15',
	pressure_kPa: '',
	elevation_m: '250',
	settled_min: '12'
};

describe('what is typed at a calibration', () => {
	it('is numbers, with a point or a comma; what may be left empty is left out', () =>
		expect(Calibrated.parse(sleeve)).toEqual({
			way: 'sleeve',
			percentOf: 'sea-level',
			reading_percent: 97.1,
			temperature_C: 15,
			pressure_kPa: undefined,
			elevation_m: 250,
			settled_min: 12
		}));

	it.each([
		['an empty reading is not 0', { reading_percent: '' }, 'reading_percent', 'The reading: type a number.'],
		['nor is a word', { reading_percent: 'a lot' }, 'reading_percent', 'The reading: type a number.'],
		['hot water', { temperature_C: '60' }, 'temperature_C', 'The temperature lies between -2 and 45.'],
		['hPa for kPa', { pressure_kPa: '1013' }, 'pressure_kPa', 'The pressure of the station, in kPa: 40 to 115.'],
		['no height and no pressure', { elevation_m: '' }, 'pressure_kPa', /^Type the pressure here, or the height/]
	])('%s', (_, slip, field, why) => {
		const issues = calibrationForm('sleeve').safeParse({ ...sleeve, ...slip }).error?.issues ?? [];
		expect(issues).toHaveLength(1);
		expect(issues[0]!.path).toEqual([field]);
		expect(issues[0]!.message).toMatch(why);
	});

	it('a meter that shows percent of the air where it is needs neither', () =>
		expect(Calibrated.safeParse({ ...sleeve, percentOf: 'local', elevation_m: '' }).success).toBe(true));
});
