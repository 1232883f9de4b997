import type { JourneyAhead } from '../../custody';
import { isoDay, sayDay, sayTime } from '../../wording';

/** When a box is collected and there, whether it stands somewhere meanwhile, and what to do about it. */
export function sayJourney({ pickUp_ms, arrives_ms, stands, isToday, better }: JourneyAhead, timeZone: string): string {
	const collected = isToday
		? `The last pick-up is today at ${sayTime(pickUp_ms, timeZone)}`
		: `No pick-up is left today; the next is on ${when(pickUp_ms, timeZone)}`;
	const there = `${collected}. It is at the lab on ${sayDay(arrives_ms, timeZone)}`;
	if (stands === null) return `${there}.`;
	const because =
		stands === 'weekend'
			? `${there}, and stands in a depot over the weekend, where ice melts.`
			: `${there}: it stands before a lab that is shut.`;
	if (better === null) return `${because} No better day is in sight: ask for another courier, or bring it yourself.`;
	return (
		`${because} Kept cold and dark until ${when(better.pickUp_ms, timeZone)} it would be there on ` +
		`${sayDay(better.arrives_ms, timeZone)}, which is well for bottles that keep that long.`
	);
}

const when = (at_ms: number, timeZone: string): string => `${sayDay(at_ms, timeZone)}, ${sayTime(at_ms, timeZone)}`;

/** Of a box's ways by the next pick-ups, the one that it would go now; null where all that were told are past. */
export function nextJourney(journeys: readonly JourneyAhead[], now_ms: number, timeZone: string): JourneyAhead | null {
	const next = journeys.find((j) => j.pickUp_ms >= now_ms);
	return next ? { ...next, isToday: isoDay(next.pickUp_ms, timeZone) === isoDay(now_ms, timeZone) } : null;
}

/** Why a box that left cannot have come to its lab at a moment; null where it can. `latest_ms`: what is still to come. */
export function whyNotThere(at_ms: number, left_ms: number, latest_ms: number, timeZone: string): string | null {
	if (at_ms > latest_ms) return 'It has arrived or it has not; this time is still to come.';
	const left = `${sayDay(left_ms, timeZone)} at ${sayTime(left_ms, timeZone)}`;
	return at_ms < left_ms ? `It left after that, on ${left}.` : null;
}
