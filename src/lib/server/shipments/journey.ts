import { journeyFrom, straightJourneyFrom, type Courier, type Journey } from '../../core/schedule';
import type { JourneyAhead } from '../../core/interpret';
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
