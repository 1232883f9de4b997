import type { JourneyAhead } from '../../core/custody';
import { journeyFrom, straightJourneyFrom, type Courier, type Journey } from '../../core/schedule';
import { dayNumber, dayOfDate, instantAt, minuteOfDay } from '../plan/local-day';
import type { CourieredLab } from './shipments';

/** A box of a lab's courier that is ready at a moment: when it is there, and when one would be that stands nowhere. */
export function journeyAhead(lab: CourieredLab, ready_ms: number, timeZone: string): JourneyAhead | null {
	const courier: Courier = {
		pickUps: lab.pickUps,
		transit_days: lab.transit_days ?? 1,
		hours: lab.hours,
		closedOn: new Set(lab.closedOn.map(dayOfDate))
	};
	const ready = { day: dayNumber(ready_ms, timeZone), minute: minuteOfDay(ready_ms, timeZone) };
	const next = journeyFrom(ready, courier);
	if (next === null) return null;
	const at = ({ day, minute }: Journey['pickUp']) => instantAt(day, minute, timeZone);
	const inTime = ({ pickUp, arrives, by, stands }: Journey) => ({
		pickUp_ms: at(pickUp),
		arrives_ms: at(arrives),
		by_ms: at(by),
		stands
	});
	const better = next.stands === null ? null : straightJourneyFrom(ready, courier);
	return { ...inTime(next), isToday: next.pickUp.day === ready.day, better: better && inTime(better) };
}

/** So many pick-ups ahead are told to a phone that may have no network until then. */
const AHEAD = 6;

/** The same by each of the next pick-ups: which of them is the next one goes by the time at which it is read. */
export function journeysAhead(lab: CourieredLab, now_ms: number, timeZone: string): JourneyAhead[] {
	const journeys: JourneyAhead[] = [];
	for (let ready_ms = now_ms; journeys.length < AHEAD; ready_ms = journeys.at(-1)!.pickUp_ms + 60_000) {
		const journey = journeyAhead(lab, ready_ms, timeZone);
		if (journey === null) break;
		journeys.push(journey);
	}
	return journeys;
}
