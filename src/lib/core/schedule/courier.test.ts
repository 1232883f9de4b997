import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { journeyFrom, straightJourneyFrom, weekday, type Courier } from '.';

const on = (weekdays: number[], opens_min: number, closes_min: number) =>
	weekdays.map((w) => ({ weekday: w, opens_min, closes_min }));
/** Thursday, 14 May 2026. */
const THURSDAY = 20_587;
const HALF_PAST_THREE = 15 * 60 + 30;
const courier = (more: Partial<Courier> = {}): Courier => ({
	pickUps: on([1, 2, 3, 4, 5], 8 * 60, HALF_PAST_THREE),
	transit_days: 1,
	hours: on([1, 2, 3, 4, 5], 9 * 60, 16 * 60),
	closedOn: new Set(),
	...more
});

describe('a courier', () => {
	it('starts from a Thursday', () => expect(weekday(THURSDAY)).toBe(4));

	it('collects at the last pick-up of the day, and is there when the lab opens', () => {
		expect(journeyFrom({ day: THURSDAY, minute: 600 }, courier())).toEqual({
			pickUp: { day: THURSDAY, minute: HALF_PAST_THREE },
			arrives: { day: THURSDAY + 1, minute: 540 },
			by: { day: THURSDAY + 1, minute: 960 },
			stands: null
		});
	});

	it('collects the day after where the last pick-up is over, and then the weekend lies between', () => {
		expect(journeyFrom({ day: THURSDAY, minute: HALF_PAST_THREE + 1 }, courier())).toMatchObject({
			pickUp: { day: THURSDAY + 1 },
			arrives: { day: THURSDAY + 4 },
			stands: 'weekend'
		});
	});

	it('stands over the weekend what leaves on a Thursday and is two days on the road', () => {
		const slow = courier({ transit_days: 2 });
		expect(journeyFrom({ day: THURSDAY, minute: 600 }, slow)).toMatchObject({
			arrives: { day: THURSDAY + 4 },
			stands: 'weekend'
		});
		expect(straightJourneyFrom({ day: THURSDAY, minute: 600 }, slow)).toMatchObject({
			pickUp: { day: THURSDAY + 4 },
			arrives: { day: THURSDAY + 6 },
			stands: null
		});
	});

	it('stands before a lab that is shut', () => {
		const shut = courier({ closedOn: new Set([THURSDAY + 6]) });
		expect(journeyFrom({ day: THURSDAY + 5, minute: 0 }, shut)).toMatchObject({
			arrives: { day: THURSDAY + 7 },
			stands: 'shut'
		});
	});

	it('brings on the same day what is on the road for less than one, where the lab still takes it', () => {
		const quick = courier({ transit_days: 0 });
		expect(journeyFrom({ day: THURSDAY, minute: 600 }, quick)?.arrives).toEqual({
			day: THURSDAY,
			minute: HALF_PAST_THREE
		});
		expect(journeyFrom({ day: THURSDAY, minute: 600 }, { ...quick, hours: on([4], 540, 700) })?.arrives.day).toBe(
			THURSDAY + 7
		);
	});

	it('says nothing where none collects, or the lab never opens', () => {
		expect(journeyFrom({ day: THURSDAY, minute: 0 }, courier({ pickUps: [] }))).toBeNull();
		expect(journeyFrom({ day: THURSDAY, minute: 0 }, courier({ hours: [] }))).toBeNull();
		expect(straightJourneyFrom({ day: THURSDAY, minute: 0 }, courier({ transit_days: 9 }))).toBeNull();
	});

	it('never collects before bottles are ready, never arrives before it collected, only when the lab is open', () => {
		const days = fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 });
		const minute = fc.integer({ min: 0, max: 1439 });
		fc.assert(
			fc.property(days, days, minute, fc.integer({ min: 0, max: 5 }), (collects, opens, ready_min, transit_days) => {
				const its = courier({ pickUps: on(collects, 480, 930), hours: on(opens, 540, 960), transit_days });
				const { pickUp, arrives } = journeyFrom({ day: THURSDAY, minute: ready_min }, its)!;
				expect(pickUp.day * 1440 + pickUp.minute).toBeGreaterThanOrEqual(THURSDAY * 1440 + ready_min);
				expect(arrives.day * 1440 + arrives.minute).toBeGreaterThanOrEqual(pickUp.day * 1440 + pickUp.minute);
				expect(arrives.day - pickUp.day).toBeGreaterThanOrEqual(transit_days);
				expect(collects).toContain(weekday(pickUp.day));
				expect(opens).toContain(weekday(arrives.day));
			})
		);
	});
});
