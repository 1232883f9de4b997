import { weekday } from './season/season';

/* How long bottles are on the road with a courier: days since 1970-01-01, minutes since the local midnight. */

export interface Moment {
	day: number;
	minute: number;
}

/** A stretch of hours on a day of the week, 0 Sunday to 6 Saturday. */
interface Hours {
	weekday: number;
	opens_min: number;
	closes_min: number;
}

export interface Courier {
	/** When it collects; the end of a stretch is its last pick-up. */
	pickUps: readonly Hours[];
	/** Working days from the pick-up to the lab's door. */
	transit_days: number;
	/** When the lab takes bottles. */
	hours: readonly Hours[];
	/** Days on which the lab is shut all the same. */
	closedOn: ReadonlySet<number>;
}

export interface Journey {
	pickUp: Moment;
	/** The soonest moment, and the end of the lab's day. */
	arrives: Moment;
	by: Moment;
	/** Why bottles stand in a depot on the way: over a weekend, or because the lab takes none. */
	stands: 'weekend' | 'shut' | null;
}

/** A courier that collects at no time in four weeks, or a lab that never opens, brings nothing. */
const LOOK_AHEAD_days = 28;

/** The next journey of bottles that are ready then; null where no courier collects or the lab never opens. */
export function journeyFrom(ready: Moment, courier: Courier): Journey | null {
	const collects = firstOf(courier.pickUps, ready, () => true);
	if (collects === null) return null;
	const pickUp = { day: collects.day, minute: collects.closes_min };
	const due = afterWorkingDays(pickUp.day, courier.transit_days);
	const there = { day: due, minute: due === pickUp.day ? pickUp.minute : 0 };
	const opens = firstOf(courier.hours, there, (day) => !courier.closedOn.has(day));
	if (opens === null) return null;
	const between = Array.from({ length: Math.max(0, opens.day - pickUp.day - 1) }, (_, i) => pickUp.day + 1 + i);
	const waits = opens.day > due ? 'shut' : null;
	const { day, opens_min, closes_min } = opens;
	return {
		pickUp,
		arrives: { day, minute: day === there.day ? Math.max(opens_min, there.minute) : opens_min },
		by: { day, minute: closes_min },
		stands: between.some(isWeekend) ? 'weekend' : waits
	};
}

/** The next journey on which nothing stands in a depot; null where that is no sooner than in two weeks. */
export function straightJourneyFrom(ready: Moment, courier: Courier): Journey | null {
	for (let days = 0; days <= LOOK_AHEAD_days / 2; days++) {
		const journey = journeyFrom(days === 0 ? ready : { day: ready.day + days, minute: 0 }, courier);
		if (journey?.stands === null) return journey;
	}
	return null;
}

const isWeekend = (day: number): boolean => [0, 6].includes(weekday(day));

function afterWorkingDays(from: number, days: number): number {
	let day = from;
	for (let left = days; left > 0;) if (!isWeekend(++day)) left--;
	return day;
}

/** The first stretch that is not over at a moment. */
function firstOf(
	hours: readonly Hours[],
	{ day, minute }: Moment,
	isKept: (day: number) => boolean
): { day: number; opens_min: number; closes_min: number } | null {
	for (let d = day; d <= day + LOOK_AHEAD_days; d++) {
		if (!isKept(d)) continue;
		const [first] = hours
			.filter((h) => h.weekday === weekday(d) && (d > day || h.closes_min >= minute))
			.sort((a, b) => a.opens_min - b.opens_min);
		if (first) return { day: d, opens_min: first.opens_min, closes_min: first.closes_min };
	}
	return null;
}
