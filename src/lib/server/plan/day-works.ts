import { bestDay, followOrder, type RoundQuestion } from '../../core/schedule';

/*
 * Whether a day can be done at all: some order of the stops gets the bottles to the lab in time, by daylight. The
 * order that is planned is tried first, at every start; only where it fails are others weighed, and what was found is
 * remembered.
 */

const MOST_REMEMBERED = 2000;
const found = new Map<string, boolean>();

export function dayWorks(question: RoundQuestion): boolean {
	const key = JSON.stringify(question);
	const known = found.get(key);
	if (known !== undefined) return known;
	const works = asPlanned(question) || (bestDay(question)?.plan.slack.least_min ?? -1) >= 0;
	if (found.size >= MOST_REMEMBERED) found.delete(found.keys().next().value!);
	found.set(key, works);
	return works;
}

function asPlanned(question: RoundQuestion): boolean {
	const order = question.stops.map((_, i) => i);
	const { earliest_min, latest_min, step_min } = question.start;
	for (let start = earliest_min; start <= latest_min; start += step_min) {
		const plan = followOrder(question, order, start);
		if (plan && plan.slack.least_min >= 0) return true;
	}
	return false;
}
