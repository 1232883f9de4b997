import { describe, expect, it } from 'vitest';
import type { JourneyAhead } from '../../custody';
import { nextJourney, sayJourney, whyNotThere } from '..';

const at = (day: number, hour: number) => Date.UTC(2026, 4, day, hour);
const journey = (more: Partial<JourneyAhead> = {}) =>
	sayJourney(
		{
			pickUp_ms: at(13, 15),
			arrives_ms: at(15, 8),
			by_ms: at(15, 17),
			stands: null,
			isToday: true,
			better: null,
			...more
		},
		'UTC'
	);

describe('a box’s way to its lab', () => {
	it('is told by its pick-up and its arrival', () =>
		expect(journey()).toBe('The last pick-up is today at 15:00. It is at the lab on Fri 15 May.'));
	it('says that the day’s last pick-up is over', () =>
		expect(journey({ isToday: false })).toMatch(/^No pick-up is left today; the next is on Wed 13 May, 15:00\./));
	it('tells of a weekend before it happens, and of a better day', () => {
		const better = { pickUp_ms: at(18, 15), arrives_ms: at(20, 8), by_ms: at(20, 17), stands: null };
		const said = journey({ arrives_ms: at(18, 8), stands: 'weekend', better });
		expect(said).toContain('stands in a depot over the weekend');
		expect(said).toContain('until Mon 18 May, 15:00 it would be there on Wed 20 May');
	});
	it('knows no better day where there is none', () =>
		expect(journey({ stands: 'shut' })).toMatch(/a lab that is shut\. No better day is in sight/));
});

describe('of a box’s ways by the next pick-ups', () => {
	const way = (day: number): JourneyAhead => ({
		pickUp_ms: at(day, 15),
		arrives_ms: at(day + 2, 8),
		by_ms: at(day + 2, 17),
		stands: null,
		isToday: false,
		better: null
	});
	it('the next one counts, today where it is still to come', () => {
		const next = (hour: number) => nextJourney([way(13), way(14)], at(13, hour), 'UTC');
		expect(next(14)).toEqual({ ...way(13), isToday: true });
		expect(next(16)).toEqual(way(14));
		expect(nextJourney([way(13)], at(13, 16), 'UTC')).toBeNull();
		// a day begins where the program's people are, not at Greenwich
		expect(nextJourney([way(13)], at(13, 11), 'Pacific/Auckland')?.isToday).toBe(false);
		expect(nextJourney([way(13)], at(13, 13), 'Pacific/Auckland')?.isToday).toBe(true);
	});
});

describe('the moment at which a box came to its lab', () => {
	const [left, now] = [Date.UTC(2026, 4, 14, 10, 10), Date.UTC(2026, 4, 14, 11, 20)];
	it.each([
		[left, null],
		[now, null],
		[left - 60_000, 'It left after that, on Thu 14 May at 11:10.'],
		[now + 60_000, 'It has arrived or it has not; this time is still to come.']
	])('%s: %s', (at, why) => expect(whyNotThere(at, left, now, 'Europe/London')).toBe(why));
});
