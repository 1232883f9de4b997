import { describe, expect, it } from 'vitest';
import { simulatedThermometer } from './thermometer-port';

describe('the stand-in of a thermometer', () => {
	it('reads half degrees of a room, warmer in the afternoon than before dawn, and says what it is', () => {
		const day = Date.parse('2026-05-14T00:00:00Z');
		const at = (hour: number) => simulatedThermometer(() => day + hour * 3_600_000).read();
		for (let hour = 0; hour < 24; hour++) {
			expect(at(hour) * 2).toBe(Math.round(at(hour) * 2));
			expect(at(hour)).toBeGreaterThanOrEqual(18);
			expect(at(hour)).toBeLessThanOrEqual(23);
		}
		expect(at(15)).toBeGreaterThan(at(3));
		expect(simulatedThermometer(() => 0).isSimulated).toBe(true);
	});
});
