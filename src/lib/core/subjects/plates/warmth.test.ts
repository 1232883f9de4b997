import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { streamVisit } from '../../method/cards/stream-visit';
import { limitsOf } from '../../method';
import { onShelf } from './shelf';
import { coldHours, readableAt_ms, standsStillAt_C } from './warmth';

const HOUR_ms = 3_600_000;
const poured_ms = Date.parse('2026-05-12T12:00:00Z');
const at = (h: number) => new Date(poured_ms + h * HOUR_ms).toISOString();
const stood = (...readings: [h: number, temperature_C: number][]) => ({
	stood: Object.fromEntries(readings.map(([h, temperature_C], i) => [`r${i}`, { at: at(h), temperature_C }]))
});
const cold = (plate: ReturnType<typeof stood>, hours: number) =>
	coldHours(plate, { from_ms: poured_ms, to_ms: poured_ms + hours * HOUR_ms }, 18);

describe('hours that were too cold', () => {
	it('are none where nobody read, or it was warm', () => {
		expect(coldHours({}, { from_ms: 0, to_ms: 1e9 }, 18)).toBe(0);
		expect(cold(stood([0, 20], [30, 18]), 48)).toBe(0);
	});
	it('go straight from reading to reading', () => {
		// 20 °C falls to 16 °C in eight hours: under 18 °C from the fourth on, and rises through it in the twelfth
		expect(cold(stood([0, 20], [8, 16], [16, 20]), 48)).toBeCloseTo(8, 9);
		expect(cold(stood([0, 20], [8, 16], [16, 20]), 10)).toBeCloseTo(6, 9);
	});
	it('are as the first before it and as the last after it', () => {
		expect(cold(stood([5, 16], [6, 22]), 48)).toBeCloseTo(5 + 1 / 3, 9);
		expect(cold(stood([5, 22], [6, 16]), 48)).toBeCloseTo(42 + 1 / 3, 9);
	});
	it('are never more than there were, and more of them where it was colder', () => {
		const readings = fc.array(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 5, max: 30 })), {
			minLength: 1,
			maxLength: 8
		});
		fc.assert(
			fc.property(readings, fc.integer({ min: 1, max: 72 }), (all, hours) => {
				const once = [...new Map(all)] as [number, number][];
				const hit = cold(stood(...once), hours);
				expect(hit).toBeGreaterThanOrEqual(0);
				expect(hit).toBeLessThanOrEqual(hours + 1e-9);
				const colder = once.map(([h, t]): [number, number] => [h, t - 1]);
				expect(cold(stood(...colder), hours)).toBeGreaterThanOrEqual(hit - 1e-9);
			})
		);
	});
});

describe('a plate that stood cold', () => {
	const limits = limitsOf(streamVisit);
	const plate = (...readings: [number, number][]) => ({ pouredAt: at(0), ...stood(...readings) });
	const stands = (its: ReturnType<typeof plate>, h: number) => onShelf(its, limits, poured_ms + h * HOUR_ms)!;

	it('may be read later by as many hours, never past its last', () => {
		expect((readableAt_ms(plate([0, 20]), poured_ms, limits) - poured_ms) / HOUR_ms).toBe(48);
		const slow = plate([0, 16], [10, 16], [10.001, 20]);
		expect((readableAt_ms(slow, poured_ms, limits) - poured_ms) / HOUR_ms).toBeCloseTo(58, 2);
		expect((readableAt_ms(plate([0, 16]), poured_ms, limits) - poured_ms) / HOUR_ms).toBe(72);
		// what was ripe before it grew cold stays ripe
		const cooled = plate([0, 21], [50, 21], [52, 15]);
		expect((readableAt_ms(cooled, poured_ms, limits) - poured_ms) / HOUR_ms).toBe(48);
		expect(stands(cooled, 55)).toMatchObject({ stage: 'readable', standsStill_C: null });
	});
	it('stands on the shelf where its warm hours are, and is too old by all of them', () => {
		const slow = plate([0, 16], [10, 16], [10.001, 20]);
		expect(stands(slow, 50)).toMatchObject({ stage: 'specks', standsStill_C: null });
		expect(stands(slow, 50).next!.in_h).toBeCloseTo(8, 2);
		expect(stands(slow, 59).stage).toBe('readable');
		expect(stands(slow, 70).stage).toBe('last-chance');
		expect(stands(slow, 73).stage).toBe('too-old');
	});
	it('is told one moment by the clock and by the shelf', () => {
		const readings = fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 12, max: 26 })), {
			minLength: 1,
			maxLength: 6,
			selector: ([h]) => h
		});
		fc.assert(
			fc.property(readings, (all) => {
				const its = plate(...all);
				const ripe_h = (readableAt_ms(its, poured_ms, limits) - poured_ms) / HOUR_ms;
				expect(['too-early', 'specks']).toContain(stands(its, ripe_h - 0.001).stage);
				if (ripe_h < 72) expect(['readable', 'last-chance']).toContain(stands(its, ripe_h + 0.001).stage);
			})
		);
	});
	it('says that its clock stands still, and when it does no more', () => {
		expect(stands(plate([0, 20], [20, 15]), 30)).toMatchObject({ standsStill_C: 15, next: null });
		expect(standsStillAt_C(plate([0, 15], [20, 20]), 18)).toBeNull();
	});
});
