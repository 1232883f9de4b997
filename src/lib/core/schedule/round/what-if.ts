import { bestDay, type BestDay } from './best-order';
import { followOrder, type DayPlan, type RoundQuestion } from './day';

/** What is left of the tightest limit if one stop takes longer than planned; null where a window is then missed. */
export function ifDelayed(
	question: RoundQuestion,
	plan: DayPlan,
	delay_min: number
): { id: string; least_min: number | null }[] {
	return plan.order.map((late) => {
		const stops = question.stops.map((s, i) => (i === late ? { ...s, visit_min: s.visit_min + delay_min } : s));
		const then = followOrder({ ...question, stops }, plan.order, plan.start_min);
		return { id: question.stops[late]!.id, least_min: then?.slack.least_min ?? null };
	});
}

/** The question with some of its stops only. */
export function onlyStops(question: RoundQuestion, keep: readonly number[]): RoundQuestion {
	const pick = <T>(list: readonly T[]) => keep.map((i) => list[i]!);
	const { fromStart, between, toLab } = question.drive;
	return {
		...question,
		stops: pick(question.stops),
		drive: { fromStart: pick(fromStart), between: pick(between).map(pick), toLab: pick(toLab) }
	};
}

/** The best day without each stop in turn, the one that leaves most first: what to drop if it rains. */
export function ifLeftOut(question: RoundQuestion): { id: string; day: BestDay | null }[] {
	const all = question.stops.map((_, i) => i);
	return all
		.map((out) => ({
			id: question.stops[out]!.id,
			day: bestDay(
				onlyStops(
					question,
					all.filter((i) => i !== out)
				)
			)
		}))
		.sort((a, b) => (b.day?.plan.slack.least_min ?? -Infinity) - (a.day?.plan.slack.least_min ?? -Infinity));
}

export type Remedy =
	| { change: 'start-earlier'; start_min: number; least_min: number }
	| { change: 'split'; first: string[]; second: string[]; least_min: number }
	| { change: 'other-lab'; lab: string; least_min: number }
	| { change: 'longer-holding'; school: string; holding_min: number; least_min: number }
	| { change: 'leave-out'; id: string; least_min: number };

export interface Alternatives {
	/** Other labs with their hours and the drives to them. */
	labs: readonly {
		name: string;
		lab: NonNullable<RoundQuestion['lab']>;
		toLab: readonly number[];
		holding_min: number;
	}[];
	/** Schools that hold bottles longer. */
	schools: readonly { name: string; holding_min: number }[];
}

const EARLIER_BY_AT_MOST_min = 180;

/** What would make a day work whose slack is below `wanted_min`: each single change that does, the mildest first. */
export function remedies(question: RoundQuestion, alternatives: Alternatives, wanted_min = 0): Remedy[] {
	const found: Remedy[] = [];
	const leastOf = (q: RoundQuestion) => bestDay(q)?.plan.slack.least_min ?? -Infinity;
	const { start } = question;
	const earlier = bestDay({
		...question,
		start: { ...start, earliest_min: Math.max(0, start.earliest_min - EARLIER_BY_AT_MOST_min) }
	});
	if (earlier && earlier.plan.slack.least_min >= wanted_min && earlier.plan.start_min < start.earliest_min)
		found.push({ change: 'start-earlier', start_min: earlier.plan.start_min, least_min: earlier.plan.slack.least_min });
	for (const other of alternatives.labs) {
		const least_min = leastOf({
			...question,
			lab: other.lab,
			holding_min: other.holding_min,
			drive: { ...question.drive, toLab: other.toLab }
		});
		if (least_min >= wanted_min) found.push({ change: 'other-lab', lab: other.name, least_min });
	}
	const [dropped] = ifLeftOut(question);
	if (dropped?.day && dropped.day.plan.slack.least_min >= wanted_min)
		found.push({ change: 'leave-out', id: dropped.id, least_min: dropped.day.plan.slack.least_min });
	const halves = bestSplit(question);
	if (halves && halves.least_min >= wanted_min) found.push(halves);
	for (const school of alternatives.schools) {
		if (school.holding_min <= question.holding_min) continue;
		const least_min = leastOf({ ...question, holding_min: school.holding_min });
		if (least_min < wanted_min) continue;
		found.push({ change: 'longer-holding', school: school.name, holding_min: school.holding_min, least_min });
		break;
	}
	return found;
}

const SPLIT_STOPS = 9; // two best days for every way to part the stops: beyond this it takes too long to wait for

/** The stops parted over two days so that the tighter of the two has the most slack. */
function bestSplit(question: RoundQuestion): (Remedy & { change: 'split' }) | null {
	const n = question.stops.length;
	if (n < 2 || n > SPLIT_STOPS) return null;
	const all = question.stops.map((_, i) => i);
	let best: (Remedy & { change: 'split' }) | null = null;
	for (let mask = 1; mask < 1 << (n - 1); mask++) {
		const [first, second] = [all.filter((i) => !((mask >> i) & 1)), all.filter((i) => (mask >> i) & 1)];
		const days = [first, second].map((part) => bestDay(onlyStops(question, part)));
		if (days.some((d) => d === null)) continue;
		const least_min = Math.min(...days.map((d) => d!.plan.slack.least_min));
		if (best !== null && least_min <= best.least_min) continue;
		const [a, b] = days.map((d) => d!.plan.stops.map((s) => s.id));
		best = { change: 'split', first: a!, second: b!, least_min };
	}
	return best;
}
