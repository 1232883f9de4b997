import { describe, expect, it } from 'vitest';
import { dateOfDay, dayNumber, dayOfDate, instantAt, minuteOfDay } from './local-day';

describe('days as people count them', () => {
	it.each([
		['Etc/UTC', '2026-05-14T23:30:00Z', '2026-05-14', 1410],
		['Europe/Paris', '2026-05-14T23:30:00Z', '2026-05-15', 90],
		['America/Denver', '2026-05-14T03:00:00Z', '2026-05-13', 1260]
	])('%s', (timeZone, instant, date, minute) => {
		const at_ms = Date.parse(instant);
		expect(dateOfDay(dayNumber(at_ms, timeZone))).toBe(date);
		expect(minuteOfDay(at_ms, timeZone)).toBe(minute);
		expect(instantAt(dayOfDate(date), minute, timeZone)).toBe(at_ms);
	});

	it('keeps a wall clock’s hour when the clocks change', () => {
		const [before, after] = ['2026-03-28', '2026-03-30'].map((d) => instantAt(dayOfDate(d), 8 * 60, 'Europe/Paris'));
		expect(after! - before!).toBe(47 * 3_600_000);
		expect(new Date(instantAt(dayOfDate('2026-03-29'), 150, 'Europe/Paris')).toISOString()).toBe(
			'2026-03-29T01:30:00.000Z'
		); // 02:30 does not exist
	});
});
