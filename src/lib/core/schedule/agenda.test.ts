import { describe, expect, it } from 'vitest';
import { sayItem } from '../interpret';
import { agenda, concerning, nextGrab, type ProgramFacts } from '.';

const now = Date.UTC(2026, 4, 14, 11, 20);
const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const nothing: ProgramFacts = {
	clocks: [],
	openVisits: [],
	overdue_h: 2,
	sites: [],
	rounds: [],
	waiting: { results: 0, visits: 0, oldest_ms: null },
	conflicts: [],
	calibrations: [],
	consumables: [],
	samplers: [],
	storm: null
};

describe('the next grab', () => {
	it.each([
		[3, 'early'],
		[16, 'open'],
		[28, 'due'],
		[36, 'due'],
		[38, 'late']
	])('%d days after the last is %s', (days, state) => {
		expect(nextGrab(now - days * DAY, now).state).toBe(state);
	});
});

const ofTeam = { teamId: 't', crewIds: [], isStorm: false };

describe('the agenda', () => {
	const bottle = {
		kind: 'bacteria-holding',
		visitId: 'v',
		label: 'B1',
		site: 'Site',
		start_ms: now - HOUR,
		due_ms: now + 3 * HOUR,
		last_ms: now + 5 * HOUR,
		deadline: null
	};
	const out = {
		visitId: 'v',
		site: 'Site 1',
		crew: ['Ada'],
		done: 1,
		asked: 9,
		started_ms: now - HOUR,
		heard_ms: now - HOUR,
		waits: null,
		back_ms: null,
		isOnPaper: false
	};

	it('is empty when nothing is due', () => {
		expect(agenda(nothing, now)).toEqual([]);
	});

	it('puts what is lost next first, then what is late, then what is to come', () => {
		const items = agenda(
			{
				...nothing,
				clocks: [bottle, { ...bottle, label: 'B2', last_ms: now - HOUR }],
				rounds: [{ id: 'r', name: 'Upper round', starts_ms: now + 2 * DAY, sites: ['S1'], ...ofTeam }],
				conflicts: [{ visitId: 'v', site: 'Site' }],
				sites: [
					{ code: 'S1', name: 'Site 1', lastGrab_ms: now - 40 * DAY },
					{ code: 'S2', name: 'Site 2', lastGrab_ms: null }
				]
			},
			now
		);
		expect(items.map((i) => [i.kind, i.when])).toEqual([
			['bottle', 'now'],
			['grab', 'late'],
			['bottle', 'late'],
			['conflict', 'now'],
			['round', 'later']
		]);
	});

	it('knows the round that goes to a site that is due, and asks for none while someone is there', () => {
		const due: ProgramFacts = {
			...nothing,
			sites: [{ code: 'S1', name: 'Site 1', lastGrab_ms: now - 29 * DAY }],
			rounds: [{ id: 'r', name: 'Upper round', starts_ms: now + DAY, sites: ['S1'], ...ofTeam }]
		};
		const [grab] = agenda(due, now);
		expect(sayItem(grab!, now, 'Etc/UTC').reason).toBe(
			'Day 29 since the last; aimed at 30. Upper round goes there Fri 15 May.'
		);
		const there = { ...due, rounds: [], openVisits: [out] };
		expect(agenda(there, now).map((i) => i.kind)).toEqual(['open-visit']);
	});

	it('asks for calibration only of what is in use and has run out', () => {
		const meter = { instrument: 'M-1', parameter: 'dissolved oxygen', limit_days: 2, lastUsed_ms: now - DAY };
		const kinds = (last_ms: number | null, lastUsed_ms = now - DAY) =>
			agenda({ ...nothing, calibrations: [{ ...meter, last_ms, lastUsed_ms }] }, now).map((i) => i.kind);
		expect(kinds(now - 2 * DAY)).toEqual([]);
		expect(kinds(now - 200 * DAY)).toEqual(['calibration']);
		expect(kinds(null)).toEqual(['calibration']);
		expect(kinds(null, now - 90 * DAY)).toEqual([]);
	});

	it('puts a visit of which nothing is heard before all else, and says whom to call', () => {
		const late = (more: object) =>
			agenda({ ...nothing, clocks: [{ ...bottle, last_ms: now - HOUR }], openVisits: [{ ...out, ...more }] }, now)[0]!;
		expect(late({})).toMatchObject({ kind: 'bottle' }); // heard of an hour ago
		expect(late({ heard_ms: now - 3 * HOUR })).toMatchObject({ kind: 'open-visit', when: 'late', isOverdue: true });
		// who said when they would be back is waited for until then, whatever was heard
		expect(late({ heard_ms: now - 3 * HOUR, back_ms: now + HOUR })).toMatchObject({ kind: 'bottle' });
		expect(late({ heard_ms: now - 3 * HOUR, isOnPaper: true })).toMatchObject({ kind: 'bottle' });
		const said = sayItem(late({ back_ms: now - HOUR, waits: 'Ilse' }), now, 'Etc/UTC');
		expect(said.deed.join('')).toBe('Not back yet from Site 1');
		expect(said.reason).toMatch(/They meant to be back at 10:20: call them now, and Ilse, who waits for them\./);
	});

	it(
		'puts a bottle on the road before a calibration that ran out, and a storm, a sampler, old reagents in their ' +
			'places',
		() => {
			const items = agenda(
				{
					...nothing,
					clocks: [bottle],
					calibrations: [{ instrument: 'M-1', parameter: 'pH', limit_days: 2, last_ms: null, lastUsed_ms: now - DAY }],
					consumables: [
						{ what: 'buffer', lot: '7', expires_ms: now - DAY },
						{ what: 'strips', lot: '', expires_ms: now + 5 * DAY },
						{ what: 'film plates', lot: '', expires_ms: now + 50 * DAY }
					],
					samplers: [
						{ label: 'LB-1', site: 'Site', what: 'lift', from_ms: now - DAY, last_ms: now + HOUR },
						{ label: 'PS-1', site: 'Site', what: 'lift', from_ms: now + 30 * DAY, last_ms: now + 35 * DAY }
					],
					storm: { at_ms: now - DAY, rain_mm: 31.4, last_ms: now + DAY, isSimulated: false }
				},
				now
			);
			expect(items.map((i) => [i.kind, i.when])).toEqual([
				['sampler', 'now'],
				['bottle', 'now'],
				['storm', 'now'],
				['consumable', 'late'],
				['calibration', 'late'],
				['consumable', 'now']
			]);
			const said = items.map((i) => sayItem(i, now, 'Etc/UTC').deed.join(''));
			expect(said).toEqual([
				'Lift LB-1, Site',
				'Bring to the lab bottle B1',
				'Send a storm round',
				'Replace buffer, lot 7',
				'Calibrate M-1 for pH',
				'Order strips'
			]);
		}
	);

	it('says to each role what it can do something about', () => {
		const items = agenda(
			{
				...nothing,
				clocks: [bottle, { ...bottle, kind: 'incubation', label: 'P1', due_ms: now - HOUR }],
				waiting: { results: 3, visits: 1, oldest_ms: now - DAY },
				openVisits: [out]
			},
			now
		);
		const kinds = (...roles: Parameters<typeof concerning>[1]) =>
			concerning(items, roles)
				.map((i) => i.kind)
				.sort();
		expect(kinds('monitor')).toEqual(['bottle', 'open-visit']);
		expect(kinds('bench')).toEqual(['bottle', 'open-visit', 'plate']);
		expect(kinds('reviewer')).toEqual(['open-visit', 'review']);
		expect(kinds('monitor', 'reviewer')).toEqual(['bottle', 'open-visit', 'review']);
		expect(concerning(items, ['viewer', 'coordinator'])).toEqual(items);
		expect(kinds('viewer')).toEqual([]);
	});

	it('says of a bottle what sets its last moment', () => {
		const deadline = { because: 'closing' as const, lab: 'the lab', first: null, isShut: false };
		const [item] = agenda({ ...nothing, clocks: [{ ...bottle, deadline }] }, now);
		expect(sayItem(item!, now, 'Etc/UTC').reason).toMatch(/At the lab by 16:20: it closes then\./);
	});

	it('says every kind of item in whole words', () => {
		const items = agenda(
			{
				...nothing,
				clocks: [bottle],
				waiting: { results: 3, visits: 1, oldest_ms: now - DAY },
				conflicts: [{ visitId: 'v', site: 'Site' }],
				openVisits: [{ ...out, crew: [] }]
			},
			now
		);
		for (const item of items) {
			const said = sayItem(item, now, 'Etc/UTC');
			expect([said.deed.join(''), said.reason, said.lane.name].join(' ')).not.toMatch(/undefined|NaN|null/);
			expect(said.act?.href).toMatch(/^\/(visits|review|sites)/);
		}
	});
});
