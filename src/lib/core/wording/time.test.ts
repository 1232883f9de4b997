import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instantOfTime, isoDay, sayTime } from './time';

const nine = Date.UTC(2026, 4, 14, 9);

describe('a time of day as it is typed', () => {
	it.each([
		['9:05', '09:05'],
		['14.20', '14:20'],
		['0930', '09:30'],
		['7', '07:00'],
		['8,45', '08:45']
	])('%s is %s', (text, clock) => expect(sayTime(instantOfTime(text, nine, 'Etc/UTC')!, 'Etc/UTC')).toBe(clock));
	it.each(['', 'noon', '25:00', '9:60', '-3', '9:5:1'])('“%s” is none', (text) =>
		expect(instantOfTime(text, nine, 'Etc/UTC')).toBeNull()
	);
	it('lies within half a day, also across midnight', () => {
		expect(instantOfTime('23:50', Date.UTC(2026, 4, 14, 0, 20), 'Etc/UTC')).toBe(Date.UTC(2026, 4, 13, 23, 50));
	});
	it('shows on the wall what was typed, in any zone and season', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 23 }),
				fc.integer({ min: 0, max: 59 }),
				fc.integer({ min: 0, max: 364 }),
				fc.constantFrom('Etc/UTC', 'Europe/Berlin', 'America/St_Johns', 'Australia/Lord_Howe'),
				(h, m, day, zone) => {
					const text = `${h}:${String(m).padStart(2, '0')}`;
					const at = instantOfTime(text, nine + day * 86_400_000, zone)!;
					const shown = sayTime(at, zone);
					// an hour that a change of clocks leaves out cannot be shown
					if (shown !== text.padStart(5, '0'))
						expect(
							Math.abs(Date.parse(`2026-01-01T${shown}Z`) - Date.parse(`2026-01-01T${text.padStart(5, '0')}Z`))
						).toBeLessThanOrEqual(3_600_000);
				}
			)
		);
	});
	it('a day is that of the place', () => {
		expect(isoDay(Date.UTC(2026, 4, 14, 23), 'Europe/Berlin')).toBe('2026-05-15');
		expect(isoDay(Date.UTC(2026, 4, 14, 2), 'America/St_Johns')).toBe('2026-05-13');
	});
});
