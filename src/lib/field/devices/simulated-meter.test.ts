import { describe, expect, it } from 'vitest';
import { simulatedMeter } from './simulated-meter';

describe('the simulated meter', () => {
	const meter = simulatedMeter({ starts: 80, rests: 98, settling_s: 20, jitter: 0.1, decimals: 1, seed: 3 });
	it('starts off, comes to rest, dances, and shows one figure a second', () => {
		expect(Math.abs(meter.reading(0)! - 80)).toBeLessThan(1);
		const late = Array.from({ length: 60 }, (_, s) => meter.reading(300 + s));
		expect(late.every((r) => Math.abs(r! - 98) < 0.6)).toBe(true);
		expect(new Set(late).size).toBeGreaterThan(1);
	});
	it('is knocked, drops out, and creeps', () => {
		const temper = {
			starts: 80,
			rests: 98,
			settling_s: 4,
			jitter: 0,
			decimals: 1,
			seed: 3,
			knockEvery_s: 60,
			dropOutEvery_s: 100,
			drift_per_h: 6
		};
		const rough = simulatedMeter(temper);
		expect(rough.reading(59)).toBeCloseTo(98.1, 1);
		expect(rough.reading(60)).toBeLessThan(93); // a third of the way back
		expect(rough.reading(96)).toBeNull();
		expect(rough.reading(3659)).toBeCloseTo(98 + (6 * 3659) / 3600, 1);
	});
});
