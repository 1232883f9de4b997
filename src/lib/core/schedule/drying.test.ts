import { describe, expect, it } from 'vitest';
import { dryingDays } from '.';

const times = { drySummer_days: 7, drySpringAutumn_days: 18, dryWinter_days: 30 };

describe('wet gear', () => {
	it.each([
		['June', 5, 7],
		['August', 7, 7],
		['September', 8, 18],
		['November', 10, 18],
		['December', 11, 30],
		['February', 1, 30],
		['March', 2, 18],
		['May', 4, 18]
	])('of %s dries', (_, month, days) => {
		expect(dryingDays(Date.UTC(2026, month, 15), times)).toBe(days);
	});

	it('has the seasons of its own half of the earth', () => {
		expect(dryingDays(Date.UTC(2026, 0, 15), times, true)).toBe(7);
		expect(dryingDays(Date.UTC(2026, 6, 15), times, true)).toBe(30);
	});
});
