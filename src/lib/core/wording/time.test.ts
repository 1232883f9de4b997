import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	clock24,
	dateStyles,
	instantOfTime,
	instantOnDay,
	isoDay,
	minuteOfClock,
	sayDay,
	sayMinute,
	sayMonth,
	sayTime,
	writeDatesBy
} from './time';

const nine = Date.UTC(2026, 4, 14, 9);

describe('a time of day as it is typed', () => {
	it.each([
		['9:05', '09:05'],
		['14.20', '14:20'],
		['0930', '09:30'],
		['7', '07:00'],
		['8,45', '08:45'],
		['2:30 pm', '14:30'],
		['12.05 a.m.', '00:05'],
		['12 PM', '12:00']
	])('%s is %s', (text, clock) => expect(sayTime(instantOfTime(text, nine, 'Etc/UTC')!, 'Etc/UTC')).toBe(clock));
	it.each(['', 'noon', '25:00', '9:60', '-3', '9:5:1', '13 pm', '0 am'])('“%s” is none', (text) =>
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
	it('is read back as it is said, in every style', () => {
		for (const style of dateStyles) {
			writeDatesBy(() => style);
			for (let minute = 0; minute < 1440; minute += 7) expect(minuteOfClock(sayMinute(minute))).toBe(minute);
		}
		writeDatesBy(() => undefined);
	});
	it('is found on a day of the place, wherever it is', () => {
		for (const zone of ['Pacific/Auckland', 'Pacific/Honolulu', 'Europe/Berlin', 'UTC'])
			for (const time of ['00:10', '09:30', '23:50'])
				for (const day of ['2026-01-15', '2026-05-14']) {
					const at = instantOnDay(day, time, zone)!;
					expect([isoDay(at, zone), clock24(at, zone)]).toEqual([day, time]);
				}
		expect(instantOnDay('2026-05-14', 'noonish', 'UTC')).toBeNull();
		expect(instantOnDay('May', '9:30', 'UTC')).toBeNull();
	});
	it('a day is that of the place', () => {
		expect(isoDay(Date.UTC(2026, 4, 14, 23), 'Europe/Berlin')).toBe('2026-05-15');
		expect(isoDay(Date.UTC(2026, 4, 14, 2), 'America/St_Johns')).toBe('2026-05-13');
	});
});

describe('dates, as a program’s people write them', () => {
	const at = Date.UTC(2026, 4, 14, 14, 37);
	it.each([
		['14 May, 14:37', 'Thu 14 May 2026', '14:37', 'May 2026'],
		['May 14, 2:37 pm', 'Thu May 14, 2026', '2:37 pm', 'May 2026'],
		['May 14, 14:37', 'Thu May 14, 2026', '14:37', 'May 2026']
	] as const)('%s', (style, day, time, month) => {
		writeDatesBy(() => style);
		try {
			expect([sayDay(at, 'UTC', true), sayTime(at, 'UTC'), sayMonth('2026-05')]).toEqual([day, time, month]);
			expect(isoDay(at, 'UTC')).toBe('2026-05-14');
		} finally {
			writeDatesBy(() => undefined);
		}
	});
});
