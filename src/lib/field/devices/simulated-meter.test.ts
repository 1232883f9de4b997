import { describe, expect, it } from 'vitest';
import { simulatedMeter } from './simulated-meter';

describe('the simulated meter', () => {
	const meter = simulatedMeter({ starts: 80, rests: 98, settling_s: 20, jitter: 0.1, decimals: 1, seed: 3 });
	it('starts off, comes to rest, dances, and shows one figure a second', () => {
		expect(Math.abs(meter.reading(0) - 80)).toBeLessThan(1);
		const late = Array.from({ length: 60 }, (_, s) => meter.reading(300 + s));
		expect(late.every((r) => Math.abs(r - 98) < 0.6)).toBe(true);
		expect(new Set(late).size).toBeGreaterThan(1);
	});
});
