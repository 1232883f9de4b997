import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance_km, driveBetween, guessedDrive_min } from './drive';

const here = { id: 'a', latitude: 48.3, longitude: -27.2 };
const there = { id: 'b', latitude: 48.4, longitude: -27.2 };

describe('drives', () => {
	it('a degree of the equator is 111.2 km, and a tenth of a degree north 11.1 km', () => {
		expect(distance_km({ latitude: 0, longitude: 0 }, { latitude: 0, longitude: 1 })).toBeCloseTo(111.195, 2);
		expect(distance_km(here, there)).toBeCloseTo(11.1195, 3);
		// over the date line
		expect(distance_km({ latitude: 0, longitude: 179.5 }, { latitude: 0, longitude: -179.5 })).toBeCloseTo(111.195, 2);
	});

	it('is as far back as there', () => {
		const place = fc.record({
			latitude: fc.double({ min: -90, max: 90, noNaN: true }),
			longitude: fc.double({ min: -180, max: 180, noNaN: true })
		});
		fc.assert(
			fc.property(
				place,
				place,
				(a, b) => Math.abs(distance_km(a, b) - distance_km(b, a)) < 1e-9 && distance_km(a, b) <= 20_016
			)
		);
	});

	it('a drive that was timed stands for both directions; any other is a guess and says so', () => {
		const timed = new Map([['a b', 21]]);
		expect(driveBetween(here, there, timed)).toEqual({ minutes: 21, isGuess: false });
		expect(driveBetween(there, here, timed)).toEqual({ minutes: 21, isGuess: false });
		expect(driveBetween(here, here, timed)).toEqual({ minutes: 0, isGuess: false });
		expect(driveBetween(here, { ...there, id: 'c' }, timed)).toEqual({
			minutes: guessedDrive_min(here, there),
			isGuess: true
		});
		expect(guessedDrive_min(here, there)).toBe(Math.round(((11.1195 * 1.4) / 45) * 60 + 3));
	});
});
