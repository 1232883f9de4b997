import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	bestDay,
	byBetterDay,
	followOrder,
	ifDelayed,
	ifLeftOut,
	remedies,
	restOfDay,
	waitsOf,
	withoutFirstWait,
	type DayPlan,
	type RoundQuestion
} from '..';

function* permutations(items: readonly number[]): Generator<number[]> {
	if (items.length === 0) yield [];
	for (const [i, item] of items.entries())
		for (const rest of permutations([...items.slice(0, i), ...items.slice(i + 1)])) yield [item, ...rest];
}

/** Every order at every start: slow, and beyond doubt. */
function bruteForce(question: RoundQuestion): DayPlan | null {
	let best: DayPlan | null = null;
	for (const order of permutations(question.stops.map((_, i) => i)))
		for (let s = question.start.earliest_min; s <= question.start.latest_min; s += question.start.step_min) {
			const plan = followOrder(question, order, s);
			if (plan && (best === null || byBetterDay(plan, best) < 0)) best = plan;
		}
	return best;
}

const minutes = (low: number, high: number) => fc.integer({ min: low, max: high });
const rounds = (most: number, windows: boolean): fc.Arbitrary<RoundQuestion> =>
	minutes(1, most).chain((n) =>
		fc
			.record({
				stops: fc.array(
					fc.record({
						visit_min: minutes(10, 90),
						bottle: fc.option(minutes(1, 9)),
						open: windows
							? fc.option(fc.record({ from_min: minutes(420, 700), for_min: minutes(0, 300) }))
							: fc.constant(null)
					}),
					{ minLength: n, maxLength: n }
				),
				fromStart: fc.array(minutes(5, 60), { minLength: n, maxLength: n }),
				toLab: fc.array(minutes(5, 60), { minLength: n, maxLength: n }),
				between: fc.array(fc.array(minutes(2, 50), { minLength: n, maxLength: n }), { minLength: n, maxLength: n }),
				holding_min: minutes(120, 480),
				opens_min: minutes(480, 840)
			})
			.map(({ stops, fromStart, toLab, between, holding_min, opens_min }) => ({
				stops: stops.map((s, i) => ({
					id: `s${i}`,
					visit_min: s.visit_min,
					bottle_min: s.bottle,
					...(s.open ? { open: { from_min: s.open.from_min, to_min: s.open.from_min + s.open.for_min } } : {})
				})),
				drive: { fromStart, between, toLab },
				holding_min,
				bench_min: 15,
				lab: { opens_min, closes_min: opens_min + 240 },
				start: { earliest_min: 420, latest_min: 600, step_min: 60 },
				light: { from_min: 400, to_min: 1200 }
			}))
	);

describe('the best order of a round', () => {
	it.each([
		['without windows', false],
		['with tides and gates', true]
	])('is the one that trying every order finds, %s', (_, windows) => {
		fc.assert(
			fc.property(rounds(6, windows), (question) => {
				const [best, brute] = [bestDay(question), bruteForce(question)];
				expect(best?.plan.slack).toEqual(brute?.slack);
				expect(best?.isExact ?? true).toBe(true);
			}),
			{ numRuns: 60 }
		);
	});

	it('is still that at eight stops', () => {
		fc.assert(
			fc.property(
				rounds(8, false).filter((q) => q.stops.length === 8),
				(question) => {
					expect(bestDay({ ...question, start: { ...question.start, latest_min: 420 } })?.plan.slack).toEqual(
						bruteForce({ ...question, start: { ...question.start, latest_min: 420 } })?.slack
					);
				}
			),
			{ numRuns: 3 }
		);
	});

	it('says when it has not weighed every order, and still visits every site once', () => {
		fc.assert(
			fc.property(fc.integer({ min: 13, max: 16 }), (n) => {
				const x = Array.from({ length: n }, (_, i) => ((i * 37) % 29) + 1);
				const best = bestDay({
					...day(n),
					drive: { fromStart: x, toLab: x.map((v) => 30 - v), between: x.map((a) => x.map((b) => Math.abs(a - b) + 2)) }
				})!;
				expect(best.isExact).toBe(false);
				expect([...best.plan.order].sort((a, b) => a - b)).toEqual(x.map((_, i) => i));
			}),
			{ numRuns: 4 }
		);
	});

	it('puts a site without a bottle first, so that the clock starts late', () => {
		const question = day(2);
		const stops = [question.stops[0]!, { ...question.stops[1]!, bottle_min: null }];
		expect(bestDay({ ...question, stops })!.plan.order).toEqual([1, 0]);
	});

	it('takes the longer way to the first bottle where the lab opens late: the bottle is younger then', () => {
		const question: RoundQuestion = {
			...day(4, 150),
			stops: [0, 1, 2, 3].map((i) => ({ id: `s${i}`, visit_min: 30, bottle_min: i === 3 ? 5 : null })),
			drive: {
				fromStart: [10, 12, 60, 60],
				between: [
					[0, 10, 10, 60],
					[20, 0, 10, 60],
					[60, 60, 0, 10],
					[60, 60, 60, 0]
				],
				toLab: [60, 60, 60, 10]
			},
			lab: { opens_min: 760, closes_min: 1000 },
			start: { earliest_min: 480, latest_min: 480, step_min: 5 }
		};
		expect(bestDay(question)!.plan.order).toEqual(bruteForce(question)!.order);
		expect(followOrder(question, [0, 1, 2, 3], 480)!.slack.least_min).toBeLessThan(
			bestDay(question)!.plan.slack.least_min
		);
	});

	it('says that it has not weighed every way to a bottle that comes after seven stops without one', () => {
		const stops = day(8).stops.map((s, i) => (i === 7 ? s : { ...s, bottle_min: null }));
		expect(bestDay({ ...day(8), stops, start: { earliest_min: 480, latest_min: 480, step_min: 5 } })!.isExact).toBe(
			false
		);
		expect(
			bestDay({ ...day(8), stops, lab: null, start: { earliest_min: 480, latest_min: 480, step_min: 5 } })!.isExact
		).toBe(true);
	});

	it('does not leave so early that bottles wait at a closed door', () => {
		const best = bestDay({ ...day(2), lab: { opens_min: 780, closes_min: 1400 } })!.plan;
		expect(best.end_min).toBeGreaterThanOrEqual(780);
		expect(best.end_min).toBeLessThan(800);
	});

	it('has no order when a gate shuts before anyone can come', () => {
		const question = day(2);
		const stops = question.stops.map((s) => ({ ...s, open: { from_min: 0, to_min: 60 } }));
		expect(bestDay({ ...question, stops })).toBeNull();
		expect(bestDay(day(0))).toBeNull();
	});
});

/** Stops in a row, ten minutes apart, half an hour at each. */
function day(n: number, holding_min = 360): RoundQuestion {
	const at = Array.from({ length: n }, (_, i) => i);
	return {
		stops: at.map((i) => ({ id: `s${i}`, visit_min: 30, bottle_min: 5 })),
		drive: {
			fromStart: at.map((i) => 10 * (i + 1)),
			between: at.map((i) => at.map((j) => 10 * Math.abs(i - j))),
			toLab: at.map((i) => 10 * (n - i))
		},
		holding_min,
		bench_min: 20,
		lab: { opens_min: 600, closes_min: 900 },
		start: { earliest_min: 480, latest_min: 720, step_min: 5 },
		light: { from_min: 300, to_min: 1200 }
	};
}

describe('the day that an order comes to', () => {
	it('is added up from drives and visits, and its slack is what the tightest limit leaves', () => {
		const plan = followOrder(day(3), [0, 1, 2], 480)!;
		expect(plan.stops.map((s) => [s.arrive_min, s.leave_min])).toEqual([
			[490, 520],
			[530, 560],
			[570, 600]
		]);
		expect(plan).toMatchObject({ firstBottle_min: 495, end_min: 610, plated_min: 630 });
		expect(plan.slack).toEqual({ holding_min: 495 + 360 - 630, closing_min: 290, light_min: 600, least_min: 225 });
	});

	it('needs no lab', () => {
		const plan = followOrder({ ...day(1), lab: null }, [0], 480)!;
		expect(plan).toMatchObject({ end_min: 520, plated_min: null });
		expect(plan.slack).toEqual({ holding_min: null, closing_min: null, light_min: 680, least_min: 680 });
	});

	it('says what a delay at each stop does', () => {
		const question = day(3, 150);
		const plan = followOrder(question, [0, 1, 2], 480)!;
		expect(ifDelayed(question, plan, 20).map((d) => d.least_min)).toEqual([-5, -5, -5]);
		const unbottled = { ...question, stops: [{ ...question.stops[0]!, bottle_min: null }, ...question.stops.slice(1)] };
		// its delay comes before any bottle
		expect(ifDelayed(unbottled, followOrder(unbottled, [0, 1, 2], 480)!, 20)[0]!.least_min).toBe(55);
	});

	it('names the site whose loss frees most', () => {
		const question = day(3, 150);
		const far = { ...question, stops: question.stops.map((s) => (s.id === 's1' ? { ...s, visit_min: 90 } : s)) };
		expect(ifLeftOut(far)[0]!.id).toBe('s1');
	});
});

describe('a wait', () => {
	const tidal = {
		...day(3),
		stops: day(3).stops.map((s, i) => (i === 0 ? { ...s, open: { from_min: 600, to_min: 660 } } : s))
	};

	it('is seen with its reason: the window of a site, or the dark', () => {
		expect(waitsOf(tidal, followOrder(tidal, [0, 1, 2], 480)!)).toEqual([
			{ id: 's0', from_min: 490, until_min: 600, because: 'window' }
		]);
		const dark = { ...day(2), light: { from_min: 500, to_min: 1200 } };
		expect(waitsOf(dark, followOrder(dark, [0, 1], 480)!)).toEqual([
			{ id: 's0', from_min: 490, until_min: 500, because: 'dark' }
		]);
		expect(waitsOf(dark, followOrder(dark, [0, 1], 500)!)).toEqual([]);
	});

	it('at the first site is slept through: the day leaves later, and nothing else moves', () => {
		const early = followOrder(tidal, [0, 1, 2], 480)!;
		const later = withoutFirstWait(tidal, early);
		expect(later.start_min).toBe(590);
		expect(waitsOf(tidal, later)).toEqual([]);
		expect({ ...later, start_min: 0, stops: later.stops.slice(1) }).toEqual({
			...early,
			start_min: 0,
			stops: early.stops.slice(1)
		});
	});

	it('is never at the first site of the best day', () => {
		fc.assert(
			fc.property(rounds(5, true), (question) => {
				const best = bestDay(question);
				expect(best === null || waitsOf(question, best.plan).every((w) => w.id !== best.plan.stops[0]!.id)).toBe(true);
			}),
			{ numRuns: 60 }
		);
	});
});

describe('when no order works', () => {
	const hopeless = day(4, 120);
	it('each remedy it names does work', () => {
		expect(bestDay(hopeless)!.plan.slack.least_min).toBeLessThan(0);
		const found = remedies(hopeless, {
			labs: [{ name: 'the near lab', lab: hopeless.lab!, toLab: [1, 1, 1, 1], holding_min: 300 }],
			schools: [
				{ name: '2 h', holding_min: 120 },
				{ name: '6 h', holding_min: 360 },
				{ name: '8 h', holding_min: 480 }
			]
		});
		expect(found.map((r) => r.change)).toEqual(
			['other-lab', 'leave-out', 'split', 'longer-holding'].filter((c) => found.some((r) => r.change === c))
		);
		expect(found.every((r) => r.least_min >= 0)).toBe(true);
		expect(found.find((r) => r.change === 'longer-holding')).toMatchObject({ school: '6 h' });
		const split = found.find((r) => r.change === 'split')!;
		expect([...split.first, ...split.second].sort()).toEqual(['s0', 's1', 's2', 's3']);
	});

	it('an earlier start helps against a closing door, not against the bottles’ clock', () => {
		const late = { ...day(3), lab: { opens_min: 540, closes_min: 600 } };
		expect(bestDay(late)!.plan.slack.least_min).toBeLessThan(0);
		const earlier = remedies(late, { labs: [], schools: [] }).find((r) => r.change === 'start-earlier')!;
		expect(earlier.start_min).toBeLessThan(480);
		expect(remedies(hopeless, { labs: [], schools: [] }).some((r) => r.change === 'start-earlier')).toBe(false);
	});
});

describe('a day under way', () => {
	const question = day(3);
	it('keeps the first bottle’s clock and plans what is left from where the crew is', () => {
		const rest = restOfDay(question, {
			now_min: 540,
			done: [{ id: 's1', leave_min: 535, bottle_min: 505 }],
			at: null
		})!.plan;
		expect(rest.stops.map((s) => s.id).sort()).toEqual(['s0', 's2']);
		expect(rest.firstBottle_min).toBe(505);
		expect(rest.stops[0]!.arrive_min).toBe(550);
	});

	it('waits for the visit that is going on, and for one that takes too long', () => {
		const at = { id: 's0', begin_min: 500, bottle_min: 503 };
		expect(restOfDay(question, { now_min: 510, done: [], at })!.plan.start_min).toBe(530);
		expect(restOfDay(question, { now_min: 555, done: [], at })!.plan.start_min).toBe(555);
	});

	it('counts the bottle that is still to be filled where the crew is', () => {
		const at = { id: 's0', begin_min: 500, bottle_min: null };
		expect(restOfDay(question, { now_min: 502, done: [], at })!.plan.firstBottle_min).toBe(505);
		expect(restOfDay(question, { now_min: 512, done: [], at })!.plan.firstBottle_min).toBe(512);
	});

	it('goes to the lab when nothing is left, and starts anew when nothing has happened', () => {
		const done = ['s0', 's1', 's2'].map((id, i) => ({ id, leave_min: 520 + 40 * i, bottle_min: 495 + 40 * i }));
		const rest = restOfDay(question, { now_min: 601, done, at: null })!.plan;
		expect(rest).toMatchObject({ stops: [], end_min: 611, firstBottle_min: 495 });
		expect(rest.slack.holding_min).toBe(495 + 360 - 631);
		expect(restOfDay(question, { now_min: 500, done: [], at: null })!.plan.start_min).toBe(500);
	});
});
