import { and, eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { kindNamed } from '../../src/lib/core/library';
import { factsFromWire, propose } from '../../src/lib/core/schedule';
import { database } from '../../src/lib/server/db/connect';
import {
	audit,
	calibration,
	circuit,
	consumable,
	gear,
	instrument,
	member,
	place,
	round,
	sampler,
	site,
	stream
} from '../../src/lib/server/db/schema';
import { feedKeyOf, newFeedKey, programOfFeed, seasonCalendar } from '../../src/lib/server/plan/calendar';
import { PlanChange } from '../../src/lib/server/plan/asked-change';
import { removeRow } from '../../src/lib/server/library/keep';
import { changePlan } from '../../src/lib/server/plan/change';
import { gearOfRound } from '../../src/lib/server/plan/gear';
import { PackWords, tellTicks } from '../../src/lib/server/plan/pack-ticks';
import { loadRoundDay } from '../../src/lib/server/plan/round-day';
import { loadSeason } from '../../src/lib/server/plan/season';
import { minuteOfDay } from '../../src/lib/server/plan/local-day';
import { afterStorm, rainLately } from '../../src/lib/server/plan/storm';
import { simulatedRainGauge } from '../../src/lib/server/services/rain-gauge';
import { aPlan } from './a-plan';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const db = database();
const DAY_ms = 86_400_000;
const HOUR_ms = 3_600_000;
const today = Math.floor(now_ms / DAY_ms);

const labOf = async (programId: string) =>
	(
		await db
			.select()
			.from(place)
			.where(and(eq(place.programId, programId), eq(place.kind, 'lab')))
	)[0]!.id;
const auditOf = (programId: string, rowId: string) =>
	db
		.select()
		.from(audit)
		.where(and(eq(audit.programId, programId), eq(audit.rowId, rowId)));

/** A visit of a round, from start to leaving. */
async function aVisit(program: AProgram, roundId: string, at_ms: number, minutes: number) {
	const write = aDevice(program.members.monitor, v7(), at_ms);
	const iso = (minute: number) => new Date(at_ms + minute * 60_000).toISOString();
	const lines = [
		write('opening', { ...anOpening(program, at_ms), roundId }),
		write('bottles/bacteria/kind', 'bacteria'),
		write('bottles/bacteria/label', 'S1-B'),
		write('bottles/bacteria/filledAt', iso(7)),
		write('leaving/at', iso(minutes))
	];
	expect((await send(program.members.monitor, lines, {}, at_ms + 2 * HOUR_ms)).refused).toEqual([]);
}

describe('a season', () => {
	it('is loaded with its rounds in their states', async () => {
		const { program, who, roundId } = await aPlan();
		const season = await loadSeason(db, who, now_ms);
		expect(season.rounds).toMatchObject([{ id: roundId, state: 'planned', day: today + 12 }]);
		expect(Object.values(season.wire.labs)).toEqual([{ weekdays: [1, 2, 3, 4], closed: [], bottlesADay: 5 }]);
		expect((await loadSeason(db, who, now_ms + 20 * DAY_ms)).rounds[0]!.state).toBe('missed');
		await aVisit(program, roundId, now_ms + 12 * DAY_ms, 60);
		expect((await loadSeason(db, who, now_ms + 20 * DAY_ms)).rounds[0]!.state).toBe('done');
	});

	it('a round is moved and refused, each with an audit line; what has begun or gone by is not touched', async () => {
		const { program, who, roundId } = await aPlan();
		const move = (day: number) => changePlan(db, who, { change: 'move', roundId, day }, now_ms);
		expect(await move(today + 13)).toMatchObject({ ok: true });
		expect((await loadSeason(db, who, now_ms)).rounds[0]!.day).toBe(today + 13);
		expect(await move(today - 1)).toEqual({ ok: false, why: 'That day has gone by.' });
		expect(await changePlan(db, who, { change: 'refuse', roundId, reason: 'ice' }, now_ms)).toMatchObject({ ok: true });
		expect((await loadSeason(db, who, now_ms)).rounds[0]).toMatchObject({ state: 'refused', refusedBecause: 'ice' });
		expect(await move(today + 14)).toMatchObject({ ok: false, why: expect.stringMatching(/refused/) as string });
		const lines = await auditOf(program.programId, roundId);
		expect(lines.map((l) => (l.after as { refusedBecause: string | null }).refusedBecause)).toEqual([null, 'ice']);

		const other = await aPlan();
		await aVisit(other.program, other.roundId, now_ms, 50);
		expect(await changePlan(db, other.who, { change: 'remove', roundId: other.roundId }, now_ms)).toMatchObject({
			ok: false,
			why: expect.stringMatching(/begun/) as string
		});
	});

	it('every change is taken back and done again, until somebody else has changed the round', async () => {
		const { program, who, roundId, siteId } = await aPlan();
		const { monitor, other } = program.members;
		const stands = async () => (await db.select().from(round).where(eq(round.id, roundId)))[0] ?? null;
		const lab = await labOf(who.programId);
		const changes: PlanChange[] = [
			{ change: 'move', roundId, day: today + 20 },
			{ change: 'crew', roundId, crew: [monitor.id] },
			{ change: 'lab', roundId, labId: lab },
			{ change: 'quality', roundId, quality: [{ siteId, kind: 'blank' }] },
			{ change: 'refuse', roundId, reason: 'ice' },
			{ change: 'lift', roundId },
			{ change: 'remove', roundId }
		];
		const seen = [await stands()];
		const made: string[][] = [];
		for (const change of changes) {
			const done = await changePlan(db, who, change, now_ms);
			if (!done.ok) throw new Error(done.why);
			made.push(done.audited);
			seen.push(await stands());
		}
		expect(seen.at(-1)).toBeNull();
		const undone: string[][] = [];
		for (let i = made.length - 1; i >= 0; i--) {
			const back = await changePlan(db, who, { change: 'undo', audited: made[i]! }, now_ms);
			if (!back.ok) throw new Error(back.why);
			undone.unshift(back.audited);
			expect(await stands()).toEqual(seen[i]);
		}
		expect(await changePlan(db, who, { change: 'undo', audited: undone[0]! }, now_ms)).toMatchObject({ ok: true });
		expect(await stands()).toEqual(seen[1]);
		await changePlan(db, who, { change: 'crew', roundId, crew: [other.id] }, now_ms);
		expect(await changePlan(db, who, { change: 'undo', audited: undone[1]! }, now_ms)).toMatchObject({
			ok: false,
			why: expect.stringMatching(/changed again since/) as string
		});
		expect(await changePlan(db, who, { change: 'undo', audited: [v7()] }, now_ms)).toMatchObject({ ok: false });
	});

	it('a lab that a round hands in at is not taken out of the library', async () => {
		const { who, roundId } = await aPlan();
		const labId = v7();
		await db
			.insert(place)
			.values({ programId: who.programId, id: labId, kind: 'lab', name: 'Far bench', latitude: 0, longitude: 0 });
		const lab = kindNamed('labs')!;
		await changePlan(db, who, { change: 'lab', roundId, labId }, now_ms);
		expect(await removeRow(db, who, lab, labId, now_ms)).toMatchObject({ ok: false });
		await changePlan(db, who, { change: 'lab', roundId, labId: null }, now_ms);
		expect(await removeRow(db, who, lab, labId, now_ms)).toMatchObject({ ok: true });
	});

	it('people, labs and sites of nowhere are not put down for a round', async () => {
		const { who, roundId } = await aPlan();
		const strangers = await aPlan();
		const lab = await labOf(strangers.who.programId);
		for (const change of [
			{ change: 'crew', roundId, crew: [strangers.program.members.monitor.id] },
			{ change: 'lab', roundId, labId: lab },
			{ change: 'quality', roundId, quality: [{ siteId: strangers.siteId, kind: 'blank' }] },
			{ change: 'lift', roundId }
		] as PlanChange[])
			expect(await changePlan(db, who, change, now_ms), change.change).toMatchObject({ ok: false });
		const { audited } = (await changePlan(
			db,
			strangers.who,
			{ change: 'move', roundId: strangers.roundId, day: today + 20 },
			now_ms
		)) as { audited: string[] };
		expect(await changePlan(db, who, { change: 'undo', audited }, now_ms)).toMatchObject({ ok: false });
	});

	it('one round goes against a rule with a reason, which stays with it', async () => {
		const { who, circuitId, program } = await aPlan();
		const one = { circuitId, day: today + 13, crew: [program.members.monitor.id] };
		expect(await changePlan(db, who, { change: 'take', rounds: [one] }, now_ms)).toMatchObject({ ok: false });
		const despite = 'the farmer is home only then';
		expect(await changePlan(db, who, { change: 'take', rounds: [{ ...one, despite }] }, now_ms)).toMatchObject({
			ok: true
		});
		expect((await loadSeason(db, who, now_ms)).rounds.map((r) => r.despite).sort()).toEqual(['', despite]);
	});

	it('a proposal is taken whole; one that breaks a rule by now is refused whole', async () => {
		const { who, circuitId } = await aPlan();
		const season = await loadSeason(db, who, now_ms);
		const facts = factsFromWire({ ...season.wire, from: today + 1 });
		const proposal = propose(facts, season.rounds, { seed: 1, newId: (c, n) => `proposed ${c} ${n}` });
		const rounds = proposal.rounds
			.filter((r) => r.id.startsWith('proposed'))
			.map(({ day, crew }) => ({ circuitId, day, crew: [...crew] }));
		expect(rounds.length).toBeGreaterThan(3);
		expect(await changePlan(db, who, { change: 'take', rounds }, now_ms)).toMatchObject({ ok: true });
		expect((await loadSeason(db, who, now_ms)).rounds).toHaveLength(rounds.length + 1);
		expect(await changePlan(db, who, { change: 'take', rounds }, now_ms)).toMatchObject({
			ok: false,
			why: expect.stringMatching(/changed meanwhile/) as string
		});
		expect((await loadSeason(db, who, now_ms)).rounds).toHaveLength(rounds.length + 1);
		expect(
			await changePlan(db, who, { change: 'take', rounds: [{ circuitId: v7(), day: today + 50, crew: [] }] }, now_ms)
		).toMatchObject({ ok: false });
	});

	it.each([
		[{ change: 'refuse', roundId: v7(), reason: ' ' }, /Say why/],
		[{ change: 'move', roundId: 'x', day: 3 }, /roundId|UUID/i],
		[{ change: 'take', rounds: [] }, /rounds|small|1/i]
	])('what makes no sense is refused at the door: %j', (asked, why) => {
		expect(PlanChange.safeParse(asked).error?.message).toMatch(why);
	});
});

describe('the day of a round', () => {
	it('knows timed drives from guessed ones, and learns visit lengths', async () => {
		const { program, who, roundId } = await aPlan();
		const before = (await loadRoundDay(db, who, roundId, now_ms))!;
		expect(before.question.stops[0]).toMatchObject({ visit_min: 60, bottle_min: 6 });
		expect(before.question.drive.fromStart).toEqual([25]);
		expect(before.guesses).toBe(1);
		expect(before.question.lab).toEqual({ opens_min: 720, closes_min: 960 });
		for (const [ago, minutes] of [
			[60, 40],
			[40, 44],
			[20, 90]
		] as const)
			await aVisit(program, roundId, now_ms - ago * DAY_ms, minutes);
		expect((await loadRoundDay(db, who, roundId, now_ms))!.question.stops[0]).toMatchObject({
			visit_min: 44,
			bottle_min: 7
		});
		expect(await loadRoundDay(db, who, v7(), now_ms)).toBeNull();
	});

	it('owns up when the lab takes nothing that day', async () => {
		const { who, roundId } = await aPlan();
		const daysToSaturday = (13 - new Date((today + 12) * DAY_ms).getUTCDay()) % 7;
		await changePlan(db, who, { change: 'move', roundId, day: today + 12 + daysToSaturday }, now_ms);
		expect(await loadRoundDay(db, who, roundId, now_ms)).toMatchObject({
			lab: 'lab',
			isLabShut: true,
			question: { lab: null }
		});
		const open = await aPlan();
		expect((await loadRoundDay(db, open.who, open.roundId, now_ms))!.isLabShut).toBe(false);
		const date = new Date((today + 12) * DAY_ms).toISOString().slice(0, 10);
		await db
			.update(place)
			.set({ closedOn: [date] })
			.where(and(eq(place.programId, open.who.programId), eq(place.kind, 'lab')));
		expect((await loadRoundDay(db, open.who, open.roundId, now_ms))!.isLabShut).toBe(true);
	});

	it('follows the crew’s own entries on the day', async () => {
		const { program, who, roundId, siteId } = await aPlan();
		const start_ms = (today + 12) * DAY_ms + 9 * HOUR_ms;
		await aVisit(program, roundId, start_ms, 50);
		const day = (await loadRoundDay(db, who, roundId, start_ms + HOUR_ms))!;
		expect(day.soFar).toEqual({ now_min: 600, done: [{ id: siteId, leave_min: 590, bottle_min: 547 }], at: null });
	});
});

describe('packing', () => {
	it('two people tick at once: the later word on a line stands, in whatever order it arrives', async () => {
		const { program, roundId } = await aPlan();
		const { monitor, coordinator } = program.members;
		const word = (isPacked: boolean, minute: number) =>
			PackWords.parse({
				rounds: [roundId],
				ticks: [{ roundId, line: 'ice', isPacked, at: new Date(now_ms + minute * 60_000).toISOString() }]
			});
		await tellTicks(db, monitor, word(true, -5), now_ms);
		await tellTicks(db, coordinator, word(false, -1), now_ms);
		const late = await tellTicks(db, monitor, word(true, -3), now_ms);
		expect(late).toEqual([
			{ roundId, line: 'ice', isPacked: false, at: new Date(now_ms - 60_000).toISOString(), by: coordinator.id }
		]);
		const future = await tellTicks(db, monitor, word(true, 600), now_ms);
		expect(future[0]!.at).toBe(new Date(now_ms).toISOString());
		// a device whose clock is ahead can still change its mind
		expect((await tellTicks(db, monitor, word(false, 601), now_ms))[0]).toMatchObject({
			isPacked: false,
			by: monitor.id
		});
		// and another person, whose clock is right, is heard after that
		expect((await tellTicks(db, coordinator, word(true, 1), now_ms + 60_000))[0]).toMatchObject({
			isPacked: true,
			by: coordinator.id
		});
		// another program's round is not there
		expect(await tellTicks(db, (await aProgram()).members.monitor, word(false, 5), now_ms + HOUR_ms)).toEqual([]);
	});

	it('says what is wrong with the gear that the team takes along', async () => {
		const { program, roundId } = await aPlan();
		const { programId, siteId, members, teams } = program;
		const toolId = v7();
		await db.insert(instrument).values({
			programId,
			id: toolId,
			code: 'M-9',
			kind: 'multimeter',
			serialNumber: '1',
			measures: { 'water-temperature': { low: -5, high: 50, resolution: 0.1, calibrationDays: 30 } },
			batteryChangedAt: new Date(now_ms - DAY_ms)
		});
		await db.insert(consumable).values({ programId, id: v7(), what: 'strips', expiresOn: '2026-05-01' });
		const write = aDevice(members.monitor, v7(), now_ms - 2 * DAY_ms);
		await send(members.monitor, [
			write('opening', { ...anOpening(program, now_ms - 2 * DAY_ms), roundId }),
			write('readings/water-temperature/main', { value: 12.1, unit: 'degC', instrument: 'M-9' })
		]);
		const ask = () => gearOfRound(db, programId, { teamId: teams[0], siteIds: [siteId], starts_ms: now_ms + HOUR_ms });
		const never = await ask();
		expect(never.kit).toEqual(['M-9']);
		expect(never.warnings.map((w) => w.kind)).toEqual(['calibrate', 'out-of-date']);
		await db.insert(calibration).values({
			programId,
			id: v7(),
			instrumentId: toolId,
			parameter: 'water-temperature',
			at: new Date(now_ms - 4 * DAY_ms),
			byMemberId: members.monitor.id,
			passed: true
		});
		expect((await ask()).warnings.map((w) => w.kind)).toEqual(['battery', 'out-of-date']);
	});
});

describe('gear that was wet elsewhere', () => {
	it(
		'is told until it is dry, unless it was disinfected, is another team’s, or was wet in this very ' + 'stream',
		async () => {
			const { program } = await aPlan();
			const { programId, siteId, teams } = program;
			const streamId = v7();
			await db.insert(stream).values({ programId, id: streamId, name: 'Elsewhere', length_km: 3 });
			const [own] = await db
				.select({ streamId: site.streamId })
				.from(site)
				.where(and(eq(site.programId, programId), eq(site.id, siteId)));
			const piece = (what: string, more: object) => ({
				programId,
				id: v7(),
				what,
				wetIn: streamId,
				wetOn: '2026-05-12',
				...more
			});
			await db
				.insert(gear)
				.values([
					piece('net', { teamId: teams[0] }),
					piece('bucket', {}),
					piece('waders', { disinfectedOn: '2026-05-12' }),
					piece('their net', { teamId: teams[1] }),
					piece('old net', { wetOn: '2026-02-01' }),
					piece('own net', { wetIn: own!.streamId })
				]);
			const { warnings } = await gearOfRound(db, programId, { teamId: teams[0], siteIds: [siteId], starts_ms: now_ms });
			expect(warnings).toEqual([
				{ kind: 'still-wet', kit: 'bucket', water: 'Elsewhere', dry_ms: Date.UTC(2026, 4, 30) },
				{ kind: 'still-wet', kit: 'net', water: 'Elsewhere', dry_ms: Date.UTC(2026, 4, 30) }
			]);
		}
	);
});

describe('after a storm', () => {
	it('the simulated gauge says the same for the same day, is marked, and now and then says nothing', async () => {
		const gauge = simulatedRainGauge(v7());
		const year = await gauge.daily(today - 700, today);
		expect(await gauge.daily(today - 700, today)).toEqual(year);
		expect(gauge).toMatchObject({ isSimulated: true, name: expect.stringMatching(/simulated/) });
		expect(year.some((r) => r.rain_mm === null)).toBe(true);
		const storms = year.filter((r) => (r.rain_mm ?? 0) >= 15).length;
		expect(storms).toBeGreaterThan(9);
		expect(storms).toBeLessThan(40);
	});

	it('a storm round is offered where it can still go, and is taken outside the spacing of grabs', async () => {
		const early = now_ms - 4 * HOUR_ms; // before the latest start of the day
		const { who, circuitId, program } = await aPlan();
		await db
			.update(member)
			.set({ skills: ['trained crew'] })
			.where(eq(member.programId, program.programId));
		const demo = { ...who, program: { ...who.program, isDemo: true } };
		const season = await loadSeason(db, demo, early);
		const { storm, offers, rain } = afterStorm(
			await rainLately(db, demo, early),
			season,
			minuteOfDay(early, 'Etc/UTC')
		);
		expect(storm).toMatchObject({ day: today - 1 });
		expect(rain).toHaveLength(15);
		const offer = offers.find((o) => o.circuitId === circuitId)!;
		expect(offer.go?.crew).toHaveLength(2);
		expect(
			await changePlan(db, who, { change: 'take', rounds: [{ circuitId, ...offer.go!, purpose: 'storm' }] }, early)
		).toMatchObject({
			ok: true,
			said: 'Upper, after the storm is in the plan.'
		});
		expect(
			afterStorm(await rainLately(db, demo, early), await loadSeason(db, demo, early), minuteOfDay(early, 'Etc/UTC'))
				.offers
		).toEqual([]);
	});
});

describe('the calendar', () => {
	it('is fed to whoever has its address, until there is a new one', async () => {
		const { who, program } = await aPlan();
		expect(await feedKeyOf(db, program.programId)).toBeNull();
		const key = await newFeedKey(db, program.programId);
		const of = (await programOfFeed(db, key))!;
		expect(await seasonCalendar(db, of, now_ms)).toBe(await seasonCalendar(db, who, now_ms));
		const again = await newFeedKey(db, program.programId);
		expect(await programOfFeed(db, key)).toBeNull();
		expect((await programOfFeed(db, again))?.programId).toBe(program.programId);
	});
});

describe('the sites of one round', () => {
	it('are picked for this once: the circuit keeps its own, and a duplicate goes with its site', async () => {
		const { who, program, roundId, circuitId } = await aPlan();
		const { programId, siteId } = program;
		const [own] = await db
			.select()
			.from(site)
			.where(and(eq(site.programId, programId), eq(site.id, siteId)));
		const [second, gone] = [v7(), v7()];
		await db.insert(site).values([
			{ ...own!, id: second, code: 'S2', name: 'Site 2' },
			{ ...own!, id: gone, code: 'S3', name: 'Site 3', retiredOn: '2026-01-01' }
		]);
		const key = and(eq(round.programId, programId), eq(round.id, roundId));
		await db
			.update(round)
			.set({ quality: [{ siteId, kind: 'duplicate' }] })
			.where(key);
		const pick = (siteIds: string[]) => changePlan(db, who, { change: 'sites', roundId, siteIds }, now_ms);
		expect(await pick([siteId, second])).toMatchObject({ ok: true, said: 'Upper goes to 2 sites.' });
		expect((await loadRoundDay(db, who, roundId, now_ms))!.sites.map((s) => s.code)).toEqual(['S1', 'S2']);
		expect((await loadRoundDay(db, who, roundId, now_ms))!.couldGoTo.map((s) => [s.code, s.isOwn])).toEqual([
			['S1', true],
			['S2', false]
		]);
		for (const bad of [[gone], [siteId, siteId], [v7()]]) expect(await pick(bad)).toMatchObject({ ok: false });
		await pick([second]);
		expect((await db.select().from(round).where(key))[0]).toMatchObject({ siteIds: [second], quality: [] });
		expect((await db.select().from(circuit).where(eq(circuit.id, circuitId)))[0]!.siteIds).toEqual([siteId]);
		expect(PlanChange.safeParse({ change: 'sites', roundId, siteIds: [] }).error?.issues[0]?.message).toBe(
			'A round goes to one site at least.'
		);
	});
});

describe('a site’s own limits', () => {
	it('its gate and its tide are when a visit may begin, and its lab’s shorter holding time counts', async () => {
		const { who, program, roundId } = await aPlan();
		const at = and(eq(site.programId, program.programId), eq(site.id, program.siteId));
		await db.update(site).set({ opens_min: 600, closes_min: 700 }).where(at);
		await db.update(place).set({ holding_h: 4 }).where(eq(place.programId, program.programId));
		const gated = (await loadRoundDay(db, who, roundId, now_ms))!;
		expect(gated.question.stops[0]!.open).toEqual({ from_min: 600, to_min: 700 });
		expect(gated.question.holding_min).toBe(240);
		await db
			.update(site)
			.set({ opens_min: null, closes_min: null, lowWaterAt: '2026-05-26 09:00', tideReach_min: 45 })
			.where(at);
		expect((await loadRoundDay(db, who, roundId, now_ms))!.question.stops[0]!.open).toEqual({
			from_min: 495,
			to_min: 585
		});
	});

	it('a lab open twice a day is planned for its last hours, the first being offered', async () => {
		const { who, program, roundId } = await aPlan();
		const hours = [1, 2, 3, 4].flatMap((weekday) => [
			{ weekday, opens_min: 540, closes_min: 660 },
			{ weekday, opens_min: 780, closes_min: 960 }
		]);
		await db
			.update(place)
			.set({ hours })
			.where(and(eq(place.programId, program.programId), eq(place.kind, 'lab')));
		const { question, alternatives } = (await loadRoundDay(db, who, roundId, now_ms))!;
		expect(question.lab).toEqual({ opens_min: 780, closes_min: 960 });
		expect(alternatives.labs).toMatchObject([{ name: 'lab before 11:00', lab: { closes_min: 660 } }]);
	});
});

describe('samplers', () => {
	it('are part of the season until they are lifted; a trip to one takes its own site and no duplicates', async () => {
		const { who, program, circuitId } = await aPlan();
		const { programId, siteId, members } = program;
		await db.insert(sampler).values([
			{ programId, id: v7(), code: 'LB-1', siteId, kind: 'leaf bag', outOn: '2026-05-09' },
			{ programId, id: v7(), code: 'PS-1', siteId, kind: 'plate stack', outOn: '2026-03-01', liftedOn: '2026-04-12' }
		]);
		const { wire } = await loadSeason(db, who, now_ms, [today - 1]);
		expect(wire.tasks!.map((t) => [t.samplerId, t.why, t.earliest - today])).toEqual([
			['LB-1', 'storm', 0],
			['LB-1', 'weekly', 1],
			['LB-1', 'weekly', 8],
			['LB-1', 'grown', 16]
		]);
		await db
			.update(member)
			.set({ skills: ['trained crew'] })
			.where(eq(member.programId, programId));
		const trip = {
			circuitId,
			day: today + 2,
			crew: [members.monitor.id, members.coordinator.id],
			purpose: 'sampler' as const
		};
		expect(await changePlan(db, who, { change: 'take', rounds: [{ ...trip, siteIds: [v7()] }] }, now_ms)).toMatchObject(
			{ ok: false }
		);
		const taken = await changePlan(db, who, { change: 'take', rounds: [{ ...trip, siteIds: [siteId] }] }, now_ms);
		expect(taken).toMatchObject({ ok: true, said: 'Upper, to the samplers is in the plan.' });
		const { rounds } = await loadSeason(db, who, now_ms);
		expect(rounds.find((r) => r.purpose === 'sampler')).toMatchObject({ siteIds: [siteId], quality: [] });
	});
});
