import { bestDay, byBetterDay, followOrder, type DayPlan, type RoundQuestion } from '../src/lib/core/schedule';
import { seeded } from '../src/lib/core/statistics';
import { bestOf, type Bench } from './measure';

/** A round of so many sites scattered over a valley, half an hour at each. */
function round(n: number): RoundQuestion {
	const chance = seeded(n);
	const at = Array.from({ length: n + 2 }, () => [60 * chance.uniform(), 40 * chance.uniform()] as const);
	const minutes = (a: number, b: number) => Math.round(Math.hypot(at[a]![0] - at[b]![0], at[a]![1] - at[b]![1])) + 3;
	const sites = Array.from({ length: n }, (_, i) => i);
	return {
		stops: sites.map((i) => ({ id: `s${i}`, visit_min: 25 + (i % 4) * 5, bottle_min: i % 5 === 0 ? null : 5 })),
		drive: {
			fromStart: sites.map((i) => minutes(i, n)),
			between: sites.map((i) => sites.map((j) => minutes(i, j))),
			toLab: sites.map((i) => minutes(i, n + 1))
		},
		holding_min: 360,
		bench_min: 30,
		lab: { opens_min: 720, closes_min: 960 },
		start: { earliest_min: 420, latest_min: 660, step_min: 15 },
		light: { from_min: 300, to_min: 1260 }
	};
}

function everyOrder(question: RoundQuestion): DayPlan | null {
	let best: DayPlan | null = null;
	const visit = (order: number[], left: number[]) => {
		if (left.length === 0)
			for (let s = question.start.earliest_min; s <= question.start.latest_min; s += question.start.step_min) {
				const plan = followOrder(question, order, s);
				if (plan && (best === null || byBetterDay(plan, best) < 0)) best = plan;
			}
		for (const next of left)
			visit(
				[...order, next],
				left.filter((i) => i !== next)
			);
	};
	visit(
		[],
		question.stops.map((_, i) => i)
	);
	return best;
}

export const route8: Bench = {
	name: 'route-8',
	unit: 'ms',
	reach: 0.1,
	theirs: 'every order tried',
	needs: 'nothing',
	run: () => {
		const question = round(8);
		let [found, brute]: [DayPlan | null, DayPlan | null] = [null, null];
		const theirs = bestOf(1, () => (brute = everyOrder(question)));
		const ours = bestOf(10, () => (found = bestDay(question)?.plan ?? null));
		const [a, b] = [found as DayPlan | null, brute as DayPlan | null];
		if (JSON.stringify(a?.slack) !== JSON.stringify(b?.slack)) throw new Error('not the same slack');
		return Promise.resolve({ ours, theirs, note: `the same slack, ${a?.slack.least_min} min` });
	}
};

export const route12: Bench = {
	name: 'route-12',
	unit: 'ms',
	reach: 1,
	theirs: 'limit 200 ms',
	needs: 'nothing',
	run: () => {
		const question = round(12);
		return Promise.resolve({ ours: bestOf(10, () => void bestDay(question)), theirs: 200 });
	}
};
