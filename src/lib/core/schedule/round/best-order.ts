import { byBetterDay, followOrder, type DayPlan, type RoundQuestion } from './day';
import { withoutFirstWait } from './waits';

/** Up to this many stops every order is weighed. */
export const EXACT_STOPS = 12;
/**
 * Of the stops without a bottle this many may come in every order before the first bottle; beyond, only the quickest
 * ways to do so are kept.
 */
const MOST_BEFORE_BOTTLES = 6;

export interface BestDay {
	plan: DayPlan;
	/** Whether every order was weighed, or only good ones. */
	isExact: boolean;
}

/**
 * The order and the start with the most slack, over all orders of up to 12 stops and the starts that are `step_min`
 * apart, left no earlier than the first site can be begun. Null where no order meets every window. Beyond 12 stops:
 * insertion, then exchanges, which is said by `isExact`.
 *
 * Method: dynamic programming over sets of stops (Held and Karp 1962), carrying for each set and last stop every
 * combination of time gone by and time since the first bottle that no other beats in both. Before the first bottle
 * the quicker way is not the better one: where the lab is not open yet, or a gate is shut, a bottle filled later is
 * younger.
 */
export function bestDay(question: RoundQuestion): BestDay | null {
	const n = question.stops.length;
	if (n === 0) return null;
	if (n > EXACT_STOPS) return nearlyBest(question);
	const starts = startsOf(question);
	// without a window, and once nobody can come before it is light, the day only shifts with its start
	const shifts =
		question.stops.every((s) => !s.open) &&
		starts[0]! + Math.min(...question.drive.fromStart) >= question.light.from_min;
	const groups = shifts ? [starts] : starts.map((s) => [s]);
	let best: DayPlan | null = null;
	for (const group of groups)
		for (const order of worthwhileOrders(question, group[0]!))
			for (const start of group) {
				const plan = followOrder(question, order, start);
				if (plan && (best === null || byBetterDay(plan, best) < 0)) best = plan;
			}
	if (best === null) return null;
	return { plan: withoutFirstWait(question, best), isExact: stopsBeforeBottles(question) <= MOST_BEFORE_BOTTLES };
}

/** How many stops can come before the first bottle on a day on which that bottle's clock matters. */
function stopsBeforeBottles({ stops, lab, firstBottle_min }: RoundQuestion): number {
	const without = stops.filter((s) => s.bottle_min === null).length;
	return lab === null || firstBottle_min !== undefined || without === stops.length ? 0 : without;
}

function startsOf({ start }: RoundQuestion): number[] {
	const starts: number[] = [];
	for (let s = start.earliest_min; s <= start.latest_min; s += start.step_min) starts.push(s);
	return starts.length ? starts : [start.earliest_min];
}

/** Orders that no other beats in every respect, for a day that starts then. */
function worthwhileOrders(question: RoundQuestion, start_min: number): number[][] {
	const { stops, drive, light } = question;
	const n = stops.length;
	const full = (1 << n) - 1;
	const first = question.firstBottle_min;
	// a label: a way to have visited a set; `at` when its last stop is left, `bottle` when its first bottle was filled
	const at: number[] = [];
	const bottle: number[] = [];
	const from: number[] = [];
	const last: number[] = [];
	const next: number[] = [];
	const head = new Int32Array((full + 1) * n).fill(-1);
	const NONE = -Infinity;
	const before = stopsBeforeBottles(question);
	const isQuickerBetter = before === 0 || before > MOST_BEFORE_BOTTLES;

	const offer = (mask: number, i: number, atMoment: number, bottleMoment: number, via: number) => {
		const state = mask * n + i;
		const isOpenStill = bottleMoment === NONE && !isQuickerBetter;
		let kept = -1;
		for (let label = head[state]!; label !== -1; label = next[label]!) {
			if (isOpenStill ? at[label] === atMoment : at[label]! <= atMoment && bottle[label]! >= bottleMoment) return;
			if (!isOpenStill && at[label]! >= atMoment && bottle[label]! <= bottleMoment) {
				if (kept === -1) head[state] = next[label]!;
				else next[kept] = next[label]!;
			} else kept = label;
		}
		at.push(atMoment);
		bottle.push(bottleMoment);
		from.push(via);
		last.push(i);
		next.push(head[state]!);
		head[state] = at.length - 1;
	};
	const visit = (mask: number, i: number, arrive: number, bottleMoment: number, via: number) => {
		const stop = stops[i]!;
		const begin = Math.max(arrive, stop.open?.from_min ?? arrive, light.from_min);
		if (stop.open && begin > stop.open.to_min) return;
		offer(
			mask | (1 << i),
			i,
			begin + stop.visit_min,
			bottleMoment === NONE && stop.bottle_min !== null ? begin + stop.bottle_min : bottleMoment,
			via
		);
	};

	for (let i = 0; i < n; i++) visit(0, i, start_min + drive.fromStart[i]!, first ?? NONE, -1);
	for (let mask = 1; mask < full; mask++)
		for (let i = 0; i < n; i++) {
			if (!(mask & (1 << i))) continue;
			for (let label = head[mask * n + i]!; label !== -1; label = next[label]!)
				for (let j = 0; j < n; j++)
					if (!(mask & (1 << j))) visit(mask, j, at[label]! + drive.between[i]![j]!, bottle[label]!, label);
		}
	const orders: number[][] = [];
	for (let i = 0; i < n; i++)
		for (let label = head[full * n + i]!; label !== -1; label = next[label]!) {
			const order: number[] = [];
			for (let l = label; l !== -1; l = from[l]!) order.push(last[l]!);
			orders.push(order.reverse());
		}
	return orders;
}

/** Cheapest insertion, then moves and reversals of stretches as long as they help. */
function nearlyBest(question: RoundQuestion): BestDay | null {
	const starts = startsOf(question);
	const dayOf = (order: number[]): DayPlan | null =>
		starts.reduce<DayPlan | null>((best, start) => {
			const plan = followOrder(question, order, start);
			return plan && (best === null || byBetterDay(plan, best) < 0) ? plan : best;
		}, null);
	let best: DayPlan | null = null;
	let order: number[] = [];
	for (let i = 0; i < question.stops.length; i++) {
		const tried = Array.from({ length: order.length + 1 }, (_, k) => [...order.slice(0, k), i, ...order.slice(k)]);
		const plans = tried.map((o) => dayOf(o)).filter((p) => p !== null);
		if (!plans.length) return null;
		best = plans.sort(byBetterDay)[0]!;
		order = [...best.order];
	}
	for (let helped = true; helped;) {
		helped = false;
		for (const other of neighbours([...best!.order])) {
			const plan = dayOf(other);
			if (plan && byBetterDay(plan, best!) < 0) {
				best = plan;
				helped = true;
				break;
			}
		}
	}
	return best && { plan: withoutFirstWait(question, best), isExact: false };
}

function* neighbours(order: readonly number[]): Generator<number[]> {
	for (let i = 0; i < order.length; i++)
		for (let j = i + 1; j < order.length; j++) {
			yield [...order.slice(0, i), ...order.slice(i, j + 1).reverse(), ...order.slice(j + 1)];
			const without = order.filter((_, k) => k !== i);
			yield [...without.slice(0, j), order[i]!, ...without.slice(j)];
			const earlier = order.filter((_, k) => k !== j);
			yield [...earlier.slice(0, i), order[j]!, ...earlier.slice(i)];
		}
}
