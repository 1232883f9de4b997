import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	Board,
	openSites,
	placeQualitySamples,
	propose,
	samplerNeeds,
	samplerTasks,
	samplerTrip,
	weekday,
	weekOf,
	type Circuit,
	type SeasonFacts,
	type SeasonRound,
	type Volunteer
} from '..';

const from = 20_529; // a Tuesday
const circuit = (n: number, more: Partial<Circuit> = {}): Circuit => ({
	id: `c${n}`,
	name: `circuit ${n}`,
	siteIds: [`s${n}`],
	water: 'Tessel',
	kit: `kit ${n}`,
	teamId: 't',
	weekdays: [1, 2, 3],
	spacing: { least_days: 15, aim_days: 30, most_days: 37 },
	crew: 2,
	needs: [],
	labId: 'l',
	bottles: 1,
	...more
});
const person = (n: number, more: Partial<Volunteer> = {}): Volunteer => ({
	id: `p${n}`,
	teamId: 't',
	skills: ['trained crew'],
	trainedUntil: null,
	weekdays: [0, 1, 2, 3, 4, 5, 6],
	away: [],
	...more
});
const season = (more: Partial<SeasonFacts> = {}): SeasonFacts => ({
	from,
	to: from + 200,
	circuits: [circuit(0)],
	people: [0, 1, 2, 3].map((n) => person(n)),
	labs: { l: { weekdays: [1, 2, 3, 4, 5], closed: [], bottlesADay: 20 } },
	dryingDays: () => 7,
	disinfected: new Set(),
	...more
});
const newId = (circuitId: string, n: number) => `${circuitId}-${n}`;
const proposed = (facts: SeasonFacts, fixed: SeasonRound[] = [], seed = 1) => propose(facts, fixed, { seed, newId });
const round = (day: number, more: Partial<SeasonRound> = {}): SeasonRound => ({
	id: `r${day}`,
	circuitId: 'c0',
	day,
	crew: ['p0', 'p1'],
	state: 'planned',
	...more
});

describe('the rules of a season', () => {
	const tuesday = from + 28;
	it.each<[string, SeasonRound, Partial<SeasonFacts>, SeasonRound[], unknown]>([
		[
			'too soon after the last',
			round(tuesday),
			{},
			[round(tuesday - 14)],
			{ rule: 'too-soon', days: 14, least_days: 15, neighbour: 'last' }
		],
		[
			'too soon before the next',
			round(tuesday),
			{},
			[round(tuesday + 7)],
			{ rule: 'too-soon', days: 7, least_days: 15, neighbour: 'next' }
		],
		[
			'too long after the last',
			round(tuesday),
			{},
			[round(tuesday - 42)],
			{ rule: 'too-far', days: 42, most_days: 37 }
		],
		['a holiday', round(tuesday), { holidays: [tuesday] }, [], { rule: 'holiday' }],
		['a wrong weekday', round(tuesday + 2), {}, [], { rule: 'weekday', weekday: 4, allowed: [1, 2, 3] }],
		[
			'a closed lab',
			round(tuesday),
			{ labs: { l: { weekdays: [2], closed: [tuesday], bottlesADay: 9 } } },
			[],
			{ rule: 'lab-closed', weekday: 2 }
		],
		[
			'a full lab',
			round(tuesday),
			{ labs: { l: { weekdays: [2], closed: [], bottlesADay: 0 } } },
			[],
			{ rule: 'lab-full', bottles: 1, most: 0 }
		],
		['a lone sampler', round(tuesday, { crew: ['p0'] }), {}, [], { rule: 'crew-short', have: 1, want: 2 }],
		[
			'someone away',
			round(tuesday),
			{ people: [person(0, { away: [{ from: tuesday, to: tuesday }] }), person(1)] },
			[],
			{ rule: 'not-free', personId: 'p0' }
		],
		[
			'nobody trained',
			round(tuesday),
			{ circuits: [circuit(0, { needs: ['plates'] })] },
			[],
			{ rule: 'skill-missing', skill: 'plates' }
		],
		[
			'a date that was refused for this circuit',
			round(tuesday),
			{},
			[round(tuesday, { id: 'no', state: 'refused', refusedBecause: 'angling day' })],
			{ rule: 'refused', because: 'angling day' }
		],
		[
			'a site whose owner refused',
			round(tuesday, { siteIds: ['s0'] }),
			{
				circuits: [
					circuit(0, { barred: [{ siteId: 's0', site: 'Site 0', why: 'permission was refused', from: null }] })
				]
			},
			[],
			{ rule: 'barred', site: 'Site 0', why: 'permission was refused' }
		],
		['no order that works on its own day', round(tuesday, { hasNoOrder: true }), {}, [], { rule: 'no-order' }],
		[
			'no order that works on such a weekday',
			round(tuesday),
			{ circuits: [circuit(0, { noOrderOn: [2] })] },
			[],
			{ rule: 'no-order' }
		],
		[
			'one kit on two rounds',
			round(tuesday),
			{ circuits: [circuit(0), circuit(1, { kit: 'kit 0' })] },
			[round(tuesday, { id: 'other', circuitId: 'c1', crew: ['p2', 'p3'] })],
			{ rule: 'kit-twice', kit: 'kit 0', other: 'circuit 1' }
		],
		[
			'a lab that its duplicates fill',
			round(tuesday, { bottles: 4 }),
			{ labs: { l: { weekdays: [2], closed: [], bottlesADay: 3 } } },
			[],
			{ rule: 'lab-full', bottles: 4, most: 3 }
		],
		[
			'a site that the last round left out',
			round(tuesday, { siteIds: ['s0', 's9'] }),
			{ circuits: [circuit(0, { siteIds: ['s0', 's9'] })] },
			[
				round(tuesday - 60, { id: 'before', state: 'done', visited: ['s0', 's9'] }),
				round(tuesday - 30, { id: 'last', state: 'done', visited: ['s0'] })
			],
			{ rule: 'too-far', days: 60, most_days: 37 }
		],
		['before the season', round(from - 7), {}, [], { rule: 'outside-season' }],
		[
			'one person in two places',
			round(tuesday),
			{ circuits: [circuit(0), circuit(1)] },
			[round(tuesday, { id: 'other', circuitId: 'c1' })],
			{ rule: 'twice-that-day', personId: 'p0' }
		],
		[
			'gear still wet from another river',
			round(tuesday),
			{ circuits: [circuit(0), circuit(1, { kit: 'kit 0', water: 'Other' })] },
			[round(tuesday - 5, { circuitId: 'c1', id: 'wet' })],
			{ rule: 'wet-gear', kit: 'kit 0', water: 'Other', days: 5, dry_days: 7 }
		]
	])('%s', (_, moved, facts, others, breach) => {
		expect(new Board(season(facts), others).breaches(moved)).toContainEqual(breach);
	});

	it('a good round breaks none, and rounds that never took place keep nobody back', () => {
		const board = new Board(season(), [
			round(tuesday - 28),
			round(tuesday - 2, { state: 'refused' }),
			round(tuesday + 3, { state: 'missed' })
		]);
		expect(board.breaches(round(tuesday))).toEqual([]);
	});

	it('disinfected gear may go on', () => {
		const facts = season({
			circuits: [circuit(0), circuit(1, { kit: 'kit 0', water: 'Other' })],
			disinfected: new Set(['kit 0'])
		});
		expect(new Board(facts, [round(tuesday - 5, { circuitId: 'c1', id: 'wet' })]).breaches(round(tuesday))).toEqual([]);
	});

	it('knows the days of the week', () => {
		expect([weekday(0), weekday(from), weekday(-1)]).toEqual([4, 2, 3]); // 1970-01-01 was a Thursday
		expect([weekOf(from), weekday(weekOf(from)), weekOf(weekOf(from))]).toEqual([from - 1, 1, from - 1]);
	});
});

describe('a proposed season', () => {
	it('comes as near the wished spacing as weekdays allow', () => {
		const { rounds, unmet } = proposed(season());
		expect(unmet).toEqual([]);
		const gaps = rounds.slice(1).map((r, i) => r.day - rounds[i]!.day);
		expect(gaps.every((g) => g >= 26 && g <= 34)).toBe(true);
		expect(rounds.length).toBeGreaterThanOrEqual(6);
	});

	const anySeason: fc.Arbitrary<SeasonFacts> = fc.record({
		from: fc.constant(from),
		to: fc.integer({ min: from + 20, max: from + 130 }),
		circuits: fc
			.array(
				fc.record({
					water: fc.constantFrom('Tessel', 'Other'),
					kit: fc.constantFrom('a', 'b'),
					weekdays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 4 }),
					crew: fc.integer({ min: 1, max: 2 }),
					needs: fc.constantFrom<Circuit['needs']>([], ['plates']),
					bottles: fc.integer({ min: 0, max: 4 })
				}),
				{ minLength: 1, maxLength: 5 }
			)
			.map((list) => list.map((c, n) => circuit(n, c))),
		people: fc
			.array(
				fc.record({
					skills: fc.constantFrom<Volunteer['skills']>([], ['plates']),
					weekdays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 7 }),
					away: fc.array(
						fc.integer({ min: from, max: from + 130 }).map((d) => ({ from: d, to: d + 9 })),
						{ maxLength: 2 }
					)
				}),
				{ maxLength: 6 }
			)
			.map((list) => list.map((p, n) => person(n, p))),
		labs: fc.record({
			l: fc.record({
				weekdays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 5 }),
				closed: fc.array(fc.integer({ min: from, max: from + 130 }), { maxLength: 5 }),
				bottlesADay: fc.integer({ min: 1, max: 6 })
			})
		}),
		holidays: fc.array(fc.integer({ min: from, max: from + 130 }), { maxLength: 6 }),
		dryingDays: fc.constantFrom(3, 7, 18).map((n) => () => n),
		disinfected: fc.constantFrom<ReadonlySet<string>>(new Set(), new Set(['a']))
	});

	it('breaks no rule, whatever the season', () => {
		fc.assert(
			fc.property(anySeason, fc.integer(), (facts, seed) => {
				const { rounds, unmet } = proposed(facts, [], seed);
				const board = new Board(facts, rounds);
				const broken = rounds.flatMap((r) => board.breaches(r)).filter((b) => b.rule !== 'too-far');
				expect(broken).toEqual([]);
				// what is too far apart is owned up to
				const isTooFar = rounds.some((r) => board.breaches(r).some((b) => b.rule === 'too-far'));
				expect(!isTooFar || unmet.length > 0).toBe(true);
			}),
			{ numRuns: 120 }
		);
	});

	it('is the same for the same seed', () => {
		fc.assert(
			fc.property(
				anySeason,
				fc.integer(),
				(facts, seed) => void expect(proposed(facts, [], seed)).toEqual(proposed(facts, [], seed))
			),
			{ numRuns: 20 }
		);
	});

	it('leaves alone what is there, and plans on from it', () => {
		const done = round(from - 10, { state: 'done' });
		const { rounds } = proposed(season(), [done]);
		expect(rounds[0]).toBe(done);
		expect(rounds[1]!.day - done.day).toBeGreaterThanOrEqual(26);
		expect(rounds[1]!.day - done.day).toBeLessThanOrEqual(34);
	});

	it('keeps a circuit’s own season, and owes it nothing outside', () => {
		const own = { from: from + 20, to: from + 120 };
		const { rounds, unmet } = proposed(season({ circuits: [circuit(0, { season: own })] }));
		expect(rounds.length).toBeGreaterThan(1);
		for (const { day } of rounds) {
			expect(day).toBeGreaterThanOrEqual(own.from);
			expect(day).toBeLessThanOrEqual(own.to);
		}
		expect(unmet).toEqual([]);
		const open = { from: null, to: null };
		expect(proposed(season({ circuits: [circuit(0, { season: open })] }))).toEqual(proposed(season()));
	});

	it('goes to the sites that may be visited, and leaves out those that may not', () => {
		const barred = [{ siteId: 's1', site: 'Site 1', why: 'permission was refused', from: null }];
		const two = circuit(0, { siteIds: ['s0', 's1'], barred });
		expect(openSites(two, from)).toEqual(['s0']);
		expect(proposed(season({ circuits: [two] })).rounds.length).toBeGreaterThan(4);
		expect(proposed(season({ circuits: [{ ...two, siteIds: ['s1'] }] })).rounds).toEqual([]);
	});

	it('never takes a date that was refused, and spreads circuits over the days', () => {
		const facts = season({
			circuits: [0, 1, 2].map((n) => circuit(n)),
			people: Array.from({ length: 8 }, (_, n) => person(n))
		});
		const refused = proposed(facts).rounds.map((r, i): SeasonRound => ({ ...r, id: `no ${i}`, state: 'refused' }));
		const again = proposed(facts, refused).rounds.filter((r) => r.state === 'planned');
		expect(again.length).toBeGreaterThan(3);
		for (const r of again) expect(refused.some((no) => no.circuitId === r.circuitId && no.day === r.day)).toBe(false);
		expect(new Set(again.map((r) => r.day)).size).toBe(again.length);
	});

	it('shares the work', () => {
		const { rounds } = proposed(
			season({ circuits: [0, 1, 2].map((n) => circuit(n)), people: [0, 1, 2, 3, 4].map((n) => person(n)) })
		);
		const times = [0, 1, 2, 3, 4].map((n) => rounds.filter((r) => r.crew.includes(`p${n}`)).length);
		expect(Math.max(...times) - Math.min(...times)).toBeLessThanOrEqual(1);
	});

	it.each<[string, Partial<SeasonFacts>, string]>([
		['the lab takes nothing on those days', { labs: { l: { weekdays: [5], closed: [], bottlesADay: 20 } } }, 'weekday'],
		['nobody is free', { people: [person(0)] }, 'nobody-free'],
		['nobody may pour plates', { circuits: [circuit(0, { needs: ['plates'] })] }, 'skill-missing'],
		['too many bottles', { labs: { l: { weekdays: [1, 2, 3], closed: [], bottlesADay: 0 } } }, 'lab-full']
	])('says why a wish is not met, and the smallest change: %s', (_, more, rule) => {
		const { rounds, unmet } = proposed(season(more));
		expect(rounds).toEqual([]);
		expect(unmet[0]).toMatchObject({ circuitId: 'c0', change: { blocker: { rule } } });
		expect(unmet[0]!.shutBy[0]!.days).toBeGreaterThan(0);
	});

	it('tells its progress and stops when told to', () => {
		const heard: number[] = [];
		propose(season(), [], { seed: 1, newId, onProgress: (share) => heard.push(share) });
		expect(heard.at(-1)).toBe(1);
		const stop = () => {
			throw new Error('stopped');
		};
		expect(() => propose(season(), [], { seed: 1, newId, onProgress: stop })).toThrow('stopped');
	});
});

describe('duplicates and blanks', () => {
	it('are one in ten and one in twenty, spread over sites and people', () => {
		const visits = Array.from({ length: 100 }, (_, i) => ({
			roundId: `r${i}`,
			siteId: `s${i % 10}`,
			crew: [`p${i % 4}`, `p${(i + 1) % 4}`]
		}));
		const placed = placeQualitySamples(visits);
		const duplicates = placed.filter((q) => q.kind === 'duplicate');
		expect([duplicates.length, placed.length]).toEqual([10, 15]);
		expect(new Set(duplicates.map((d) => d.siteId)).size).toBe(10);
		expect(placeQualitySamples(visits.slice(0, 9))).toEqual([]);
	});
});

describe('samplers in the stream', () => {
	it('plate stacks come out at six weeks', () => {
		expect(samplerTasks({ id: 'a', siteId: 's', kind: 'plate-stack', out_day: 100 }, [105])).toEqual([
			{ samplerId: 'a', siteId: 's', what: 'lift', why: 'grown', earliest: 138, latest: 146 }
		]);
	});
	it('leaf bags are looked at weekly and after a storm, and lifted at three to four weeks', () => {
		const tasks = samplerTasks({ id: 'a', siteId: 's', kind: 'leaf-bag', out_day: 100 }, [99, 110, 140]);
		expect(tasks.map((t) => `${t.what} ${t.why} ${t.earliest}-${t.latest}`)).toEqual([
			'look weekly 106-108',
			'look storm 111-113',
			'look weekly 113-115',
			'lift grown 121-128'
		]);
	});
});

describe('samplers in the stream', () => {
	const task = {
		samplerId: 'LB-1',
		siteId: 's0',
		what: 'look' as const,
		why: 'weekly' as const,
		earliest: from + 40,
		latest: from + 42
	};
	const visit = (day: number, state = 'planned') => ({ id: `r${day}`, day, siteIds: ['s0'], state });

	it('are met by the round that comes in time, or say by how many days the nearest misses', () => {
		expect(samplerNeeds([task], [visit(from + 41)], from)[0]).toMatchObject({ metBy: `r${from + 41}`, nearest: null });
		expect(samplerNeeds([task], [visit(from + 38), visit(from + 60)], from)[0]).toMatchObject({
			metBy: null,
			nearest: { roundId: `r${from + 38}`, off_days: -2 }
		});
		expect(samplerNeeds([task], [visit(from + 41, 'refused')], from)[0]).toMatchObject({ metBy: null, nearest: null });
		expect(samplerNeeds([task], [], from + 43)).toEqual([]);
	});

	it('draw the proposed rounds towards the days on which they are due', () => {
		const days = (tasks: (typeof task)[]) => proposed(season({ tasks })).rounds.map((r) => r.day);
		const inTime = (list: number[]) => list.some((d) => d >= task.earliest && d <= task.latest);
		expect(inTime(days([]))).toBe(false);
		expect(inTime(days([task]))).toBe(true);
	});

	it('are reached by a trip of their own, without bottles, on any weekday', () => {
		const shut = season({ labs: { l: { weekdays: [], closed: [], bottlesADay: 0 } } });
		expect(samplerTrip(new Board(shut, []), task, from)).toEqual({
			circuitId: 'c0',
			day: from + 40,
			crew: ['p0', 'p1']
		});
		expect(samplerTrip(new Board(season({ people: [] }), []), task, from)).toBeNull();
		expect(new Board(shut, []).breaches(round(from + 40, { purpose: 'sampler' })).map((b) => b.rule)).not.toContain(
			'lab-closed'
		);
	});
});
