/*
 * The day of a round: leave, visit the sites in an order, hand the bottles in. Times are minutes since the local
 * midnight. How good a day is, is how much is left of its tightest limit: the slack.
 */

export interface RoundStop {
	id: string;
	/** Minutes on site. */
	visit_min: number;
	/** Minutes after arrival at which the first bacteria bottle is filled; null where none is. */
	bottle_min: number | null;
	/** The visit must begin in this window (a tide, a gate): who comes early waits. */
	open?: { from_min: number; to_min: number } | undefined;
}

export interface RoundQuestion {
	stops: readonly RoundStop[];
	/** Minutes by road: from where the day starts, between stops by their places in `stops`, and to the lab. */
	drive: { fromStart: readonly number[]; between: readonly (readonly number[])[]; toLab: readonly number[] };
	/** Minutes from the first bacteria bottle to the last plate. */
	holding_min: number;
	/** Minutes from handing in to the last plate; more where one of the crew pours them. */
	bench_min: number;
	/** When the lab takes bottles that day; null where nothing is handed in. */
	lab: { opens_min: number; closes_min: number } | null;
	start: { earliest_min: number; latest_min: number; step_min: number };
	/** Nobody is at the water outside these. */
	light: { from_min: number; to_min: number };
	/** When the first bottle was filled, on a day that is under way. */
	firstBottle_min?: number | undefined;
}

export interface TimedStop {
	id: string;
	arrive_min: number;
	/** After a wait for the tide or the light. */
	begin_min: number;
	bottle_min: number | null;
	leave_min: number;
}

export interface Slack {
	/** Left of the holding time when the last plate is poured; null without a bacteria bottle. */
	holding_min: number | null;
	/** Left until the lab closes; null without a lab. */
	closing_min: number | null;
	/** Left of the daylight when the last site is left. */
	light_min: number;
	/** The tightest of them. */
	least_min: number;
}

export interface DayPlan {
	order: readonly number[];
	start_min: number;
	stops: TimedStop[];
	/** Arrival at the lab, or the end of the last visit where there is none. */
	end_min: number;
	plated_min: number | null;
	firstBottle_min: number | null;
	slack: Slack;
}

/** The day that this order and start come to; null where a window is missed. */
export function followOrder(question: RoundQuestion, order: readonly number[], start_min: number): DayPlan | null {
	const { drive, stops } = question;
	let at_min = start_min;
	let firstBottle_min = question.firstBottle_min ?? null;
	const timed: TimedStop[] = [];
	for (const [k, i] of order.entries()) {
		const stop = stops[i]!;
		const arrive_min = at_min + (k === 0 ? drive.fromStart[i]! : drive.between[order[k - 1]!]![i]!);
		const begin_min = Math.max(arrive_min, stop.open?.from_min ?? arrive_min, question.light.from_min);
		if (stop.open && begin_min > stop.open.to_min) return null;
		const bottle_min = stop.bottle_min === null ? null : begin_min + stop.bottle_min;
		firstBottle_min ??= bottle_min;
		at_min = begin_min + stop.visit_min;
		timed.push({ id: stop.id, arrive_min, begin_min, bottle_min, leave_min: at_min });
	}
	const last = order.at(-1);
	return {
		order,
		start_min,
		stops: timed,
		firstBottle_min,
		...handIn(question, at_min, last === undefined ? 0 : drive.toLab[last]!, firstBottle_min)
	};
}

/** The end of a day, from leaving the last site: the way to the lab, the last plate, and what is left of each limit. */
export function handIn(
	question: Pick<RoundQuestion, 'lab' | 'holding_min' | 'bench_min' | 'light'>,
	left_min: number,
	toLab_min: number,
	firstBottle_min: number | null
): Pick<DayPlan, 'end_min' | 'plated_min' | 'slack'> {
	const end_min = question.lab ? left_min + toLab_min : left_min;
	const plated_min =
		question.lab && firstBottle_min !== null ? Math.max(end_min, question.lab.opens_min) + question.bench_min : null;
	return { end_min, plated_min, slack: slackOf(question, { left_min, end_min, plated_min, firstBottle_min }) };
}

/** What is left of each limit of a day. */
function slackOf(
	{ lab, holding_min, light }: Pick<RoundQuestion, 'lab' | 'holding_min' | 'light'>,
	day: { left_min: number; end_min: number; plated_min: number | null; firstBottle_min: number | null }
): Slack {
	const holding =
		day.plated_min === null || day.firstBottle_min === null ? null : day.firstBottle_min + holding_min - day.plated_min;
	const closing = lab ? lab.closes_min - day.end_min : null;
	const light_min = light.to_min - day.left_min;
	return {
		holding_min: holding,
		closing_min: closing,
		light_min,
		least_min: Math.min(holding ?? Infinity, closing ?? Infinity, light_min)
	};
}

/**
 * Below 0 when `a` is the better day: its tightest limit leaves more, then its next tightest, then it is the shorter
 * one.
 */
export function byBetterDay(a: DayPlan, b: DayPlan): number {
	const [x, y] = [limits(a.slack), limits(b.slack)];
	for (let i = 0; i < Math.max(x.length, y.length); i++) {
		const by = (y[i] ?? Infinity) - (x[i] ?? Infinity);
		if (by !== 0 && !Number.isNaN(by)) return by;
	}
	return a.end_min - a.start_min - (b.end_min - b.start_min) || a.start_min - b.start_min;
}

const limits = ({ holding_min, closing_min, light_min }: Slack): number[] =>
	[holding_min, closing_min, light_min].filter((m): m is number => m !== null).sort((a, b) => a - b);
