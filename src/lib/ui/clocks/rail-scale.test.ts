import { expect, it } from 'vitest';
import { placeOnRail, railMarks } from './rail-scale';

const now = Date.UTC(2026, 4, 14, 11, 20);
const HOUR = 3_600_000;
const midnight = (at_ms: number) => Math.floor(at_ms / (24 * HOUR)) * 24 * HOUR;

it('runs forward, fine near now and coarse far away', () => {
	const hours = [-48, -24, -1, 0, 1, 6, 24, 72, 500, 2000];
	const places = hours.map((h) => placeOnRail(now + h * HOUR, now));
	expect(places).toEqual([...places].sort((a, b) => a - b));
	expect(placeOnRail(now + HOUR, now) - placeOnRail(now, now)).toBeGreaterThan(
		10 * (placeOnRail(now + 200 * HOUR, now) - placeOnRail(now + 199 * HOUR, now))
	);
	expect([places[0], places.at(-1)]).toEqual([0, 1]);
});

it('has marks that do not stand on one another', () => {
	const marks = railMarks(now, midnight);
	expect(marks.map((m) => m.kind)).toContain('week');
	for (const [i, mark] of marks.entries()) if (i > 0) expect(mark.place - marks[i - 1]!.place).toBeGreaterThan(0.04);
});
