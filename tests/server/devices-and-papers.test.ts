import { and, eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { kindNamed, lookupIn } from '../../src/lib/core/library';
import { parameters } from '../../src/lib/core/quantity';
import { settingsOf } from '../../src/lib/core/method';
import { can } from '../../src/lib/server/access';
import { database } from '../../src/lib/server/db/connect';
import { circuit, instrument, program as programTable, runningClock } from '../../src/lib/server/db/schema';
import { previewSettings, readSettings, settingsAsCsv } from '../../src/lib/server/library/card-file';
import { cardVersions, roundsThatWouldMove } from '../../src/lib/server/library/cards';
import { keepTexts } from '../../src/lib/server/library/keep';
import { loadLibrary } from '../../src/lib/server/library/load';
import { readFile } from '../../src/lib/server/library/read-file';
import { Calibrated } from '../../src/lib/core/quality';
import { calibrate, calibrationsOf, wayOf } from '../../src/lib/server/plan/calibrate';
import { RainRead, rainLately, typeRain } from '../../src/lib/server/plan/storm';
import { dayWorks } from '../../src/lib/server/plan/day-works';
import { loadSeason } from '../../src/lib/server/plan/season';
import { tripsOf } from '../../src/lib/server/plan/trip';
import { packSatchel } from '../../src/lib/server/sync/satchel';
import { beside } from '../../src/lib/server/threads/beside';
import { aPlan } from './a-plan';
import { aDevice, now_ms, send } from './a-program';

const db = database();

describe('calibrating', () => {
	it('pH in buffers is judged by its slope and kept', async () => {
		const { who } = await aPlan();
		const id = v7();
		await db.insert(instrument).values({
			programId: who.programId,
			id,
			code: 'P-1',
			kind: 'multimeter',
			serialNumber: '1',
			measures: { ph: { low: 0, high: 14, calibrationDays: 1 } }
		});
		expect((await calibrationsOf(db, who.programId, 'P-1'))!.due).toMatchObject([
			{ parameter: 'ph', way: 'buffers', last: null }
		]);
		const good = Calibrated.parse({ way: 'buffers', low: '4.02', middle: '7.01', high: '9.98' });
		expect(await calibrate(db, who, id, 'ph', good, now_ms)).toMatchObject({
			ok: true,
			passed: true,
			said: expect.stringMatching(/^slope 99 %/)
		});
		const worn = Calibrated.parse({ way: 'buffers', low: '4.3', middle: '7', high: '' });
		expect(await calibrate(db, who, id, 'ph', worn, now_ms)).toMatchObject({ ok: true, passed: false });
	});
	it('is asked for by the names that parameters have', () => {
		for (const parameter of Object.keys(wayOf)) expect(parameters).toHaveProperty([parameter]);
	});
	it('of oxygen in the sleeve knows what the meter calls 100 %', async () => {
		const { who } = await aPlan();
		const id = v7();
		await db.insert(instrument).values({
			programId: who.programId,
			id,
			code: 'O-1',
			kind: 'multimeter',
			serialNumber: '1',
			measures: { 'dissolved-oxygen': { low: 0, high: 20 } }
		});
		const at = {
			way: 'sleeve',
			percentOf: 'sea-level',
			reading_percent: '100',
			temperature_C: '15',
			elevation_m: '1000',
			settled_min: '12'
		};
		expect(await calibrate(db, who, id, 'dissolved-oxygen', Calibrated.parse(at), now_ms)).toMatchObject({
			passed: false
		});
		expect(
			await calibrate(
				db,
				who,
				id,
				'dissolved-oxygen',
				Calibrated.parse({ ...at, percentOf: 'local', elevation_m: '' }),
				now_ms
			)
		).toMatchObject({
			passed: true
		});
	});
});

describe('rain', () => {
	it('is invented in a demo alone; a real program types it or has no gauge', async () => {
		const { who } = await aPlan();
		expect(await rainLately(db, who, now_ms)).toMatchObject({ gauge: null, rain: [], storms: [] });
		const said = RainRead.parse({ day: '2026-05-13', rain_mm: '22.5' });
		expect(await typeRain(db, who, said, now_ms)).toMatchObject({ ok: false });
		await db
			.update(programTable)
			.set({ settings: { rain: 'typed' } })
			.where(eq(programTable.id, who.programId));
		expect(await typeRain(db, who, said, now_ms)).toEqual({ ok: true });
		expect(await typeRain(db, who, RainRead.parse({ day: '2026-05-12', rain_mm: 0 }), now_ms)).toEqual({ ok: true });
		expect(await typeRain(db, who, RainRead.parse({ day: '2026-05-15', rain_mm: 1 }), now_ms)).toMatchObject({
			ok: false,
			why: expect.stringMatching(/has not been/)
		});
		const lately = await rainLately(db, who, now_ms);
		expect(lately.gauge).toEqual({ name: 'Rain, as read at the gauge', isSimulated: false });
		expect(lately.storms).toMatchObject([{ rain_mm: 22.5 }]);
		expect(lately.rain.filter((r) => r.rain_mm !== null)).toHaveLength(2);
	});
});

describe('flumes', () => {
	it('go from the library into the phone, with all that their rating says', async () => {
		const { who } = await aPlan();
		const texts = {
			name: 'Narrow flume',
			throat_m: '0.1',
			coefficient: '0.18',
			exponent: '1.5',
			submergenceLimit: '0.5',
			minimumHead_m: '0.03',
			maximumHead_m: '0.3',
			source: 'rated by bucket, spring'
		};
		expect(await keepTexts(db, who, kindNamed('flumes')!, null, texts, now_ms)).toMatchObject({ ok: true });
		const { flumes } = await packSatchel(db, who, { now_ms, isFixed: true });
		expect(flumes).toEqual([
			{
				name: 'Narrow flume',
				throat_m: 0.1,
				coefficient: 0.18,
				exponent: 1.5,
				submergenceLimit: 0.5,
				minimumHead_m: 0.03,
				maximumHead_m: 0.3,
				source: 'rated by bucket, spring'
			}
		]);
	});
});

describe('a program', () => {
	it('says whom to tell, when a visit is overdue and whether there is a gauge', async () => {
		const { who } = await aPlan();
		const kind = kindNamed('program')!;
		const library = await loadLibrary(db, who.programId);
		const before = Object.fromEntries(
			Object.entries(kind.fields).map(([name, field]) => [
				name,
				field.write(library.program[0]![name], lookupIn(library))
			])
		);
		const kept = await keepTexts(
			db,
			who,
			kind,
			who.programId,
			{ ...before, rain: 'typed', reportTo: 'Orla, 0000', overdue_h: '3' },
			now_ms
		);
		expect(kept).toMatchObject({ ok: true });
		expect((await loadLibrary(db, who.programId)).program[0]).toMatchObject({
			rain: 'typed',
			reportTo: 'Orla, 0000',
			overdue_h: 3
		});
		expect((await packSatchel(db, who, { now_ms, isFixed: true })).program).toMatchObject({
			reportTo: 'Orla, 0000',
			isDemo: false
		});
	});
});

describe('the clock of a bottle', () => {
	it('counts from the first bottle of the trip, at every visit of it, and ends at the lab’s door', async () => {
		const plan = await aPlan();
		const { who, program } = plan;
		const at = (min: number) => new Date(now_ms + min * 60_000).toISOString();
		const visits = [v7(), v7()];
		for (const [i, visitId] of visits.entries()) {
			const write = aDevice(who, visitId, now_ms + i * 3_600_000);
			await send(
				who,
				[
					write('opening', {
						siteId: plan.siteId,
						cardVersionId: program.cardVersionId,
						roundId: plan.roundId,
						startedAt: at(-60 + 10 * i)
					}),
					write('bottles/bacteria/kind', 'bacteria'),
					write('bottles/bacteria/label', `S1-260514-B${i ? 'D' : ''}`),
					write('bottles/bacteria/filledAt', at(-40 + 20 * i))
				],
				{},
				now_ms + 7_200_000
			);
		}
		const clocks = await db
			.select()
			.from(runningClock)
			.where(and(eq(runningClock.programId, who.programId), eq(runningClock.kind, 'bacteria-holding')));
		expect(clocks).toHaveLength(2);
		expect(new Set(clocks.map((c) => +c.lastAt)).size).toBe(1);
		expect((await tripsOf(db, who.programId, [plan.roundId])).get(plan.roundId)!.first).toMatchObject({
			label: 'S1-260514-B'
		});
		// an earlier bottle, said late, moves the clock of all
		const write = aDevice(who, visits[1]!, now_ms + 9_000_000);
		const mend = write('bottles/bacteria/filledAt', at(-50));
		await send(who, [mend], {}, now_ms + 9_100_000);
		const after = await db.select().from(runningClock).where(eq(runningClock.programId, who.programId));
		expect(Math.min(...after.map((c) => +c.lastAt))).toBeLessThanOrEqual(+clocks[0]!.lastAt);
	});
});

describe('a card’s settings as a file', () => {
	it(
		'are shown before they count, with the rounds that go over; an unknown line is refused with its ' + 'number',
		async () => {
			const { who } = await aPlan();
			const [latest] = (await cardVersions(db, who.programId)).get('stream-visit')!;
			const csv = settingsAsCsv(latest!.card);
			const changed = csv.replace(/^(holding\.bacteria_h,.*,)[^,\n]*$/m, '$15');
			const read = readSettings(changed);
			expect(read).toHaveProperty('texts');
			const seen = previewSettings(latest!.card, read as Exclude<typeof read, { why: string }>, {});
			expect(seen).toMatchObject({ changes: [{ to: '5' }] });
			expect(await roundsThatWouldMove(db, who.programId, latest!.cardId, now_ms)).toMatchObject([{ name: 'Upper' }]);
			const strange = readSettings(`${csv.trimEnd()}\nno.such.setting,a,b,7\n`) as Exclude<
				typeof read,
				{ why: string }
			>;
			const line = csv.trimEnd().split('\n').length + 1; // a text may run over several
			expect(previewSettings(latest!.card, strange, {})).toMatchObject({
				why: [{ why: expect.stringMatching(new RegExp(`^Line ${line}, no\\.such\\.setting`)) as string }]
			});
		}
	);
	it('that would be formulas are written as words, and come back as they were', async () => {
		const { who } = await aPlan();
		const [latest] = (await cardVersions(db, who.programId)).get('stream-visit')!;
		const [first, ...steps] = latest!.card.steps;
		const card = { ...latest!.card, steps: [{ ...first!, how: '=1+1' }, ...steps] };
		const csv = settingsAsCsv(card);
		expect(csv).toContain("'=1+1");
		expect((readSettings(csv) as { texts: Record<string, string> }).texts).toEqual(
			Object.fromEntries(settingsOf(card).map((s) => [s.path, s.text]))
		);
	});
});

describe('files', () => {
	it('with a hundred thousand headings, or a cell of 300,000 blanks, are refused at once', () => {
		const began = performance.now();
		expect(readFile(Array.from({ length: 100_000 }, (_, i) => `h${i}`).join(','), 'sites')).toMatchObject({
			why: expect.stringMatching(/headings/) as string
		});
		expect(readFile(`code,name\n"${' x'.repeat(150_000)}",y\n`, 'sites')).toMatchObject({
			why: expect.stringMatching(/more than 20,000 letters/) as string
		});
		expect(performance.now() - began).toBeLessThan(5000);
	});
	it('of which too many come at once are answered in words: those that wait have a limit', async () => {
		const all = await Promise.allSettled(
			Array.from({ length: 40 }, () => beside('read-file', 'code,name\nA,B\n', 'sites'))
		);
		const refused = all.filter((a) => a.status === 'rejected');
		expect(refused).toHaveLength(40 - 18);
		expect(refused[0]!.reason).toMatchObject({
			status: 503,
			body: { message: expect.stringMatching(/Try again in a minute/) as string }
		});
		expect(all[0]).toMatchObject({ status: 'fulfilled', value: { rows: [{ cells: { code: 'A', name: 'B' } }] } });
	});
});

describe('the plan', () => {
	it('judges a round by bottles as they are counted, by permissions and by the hours of its own day', async () => {
		const { who } = await aPlan();
		const { wire, rounds } = await loadSeason(db, who, now_ms);
		expect(rounds[0]).toMatchObject({ state: 'planned', visited: [], hasNoOrder: false });
		expect(rounds[0]!.bottles).toBe(1 + rounds[0]!.quality.length);
		expect(wire.circuits[0]).toMatchObject({ noOrderOn: [], barred: [] });
	});
	it('carries its team’s gear, or a set that it shares', async () => {
		const { who } = await aPlan();
		const own = (await loadSeason(db, who, now_ms)).wire.circuits[0]!;
		await db.update(circuit).set({ kit: 'blue nets', disinfects: true }).where(eq(circuit.id, own.id));
		const { wire } = await loadSeason(db, who, now_ms);
		expect(own.kit).toMatch(/^gear of /);
		expect([wire.circuits[0]!.kit, wire.disinfected]).toEqual(['blue nets', ['blue nets']]);
	});
	it('knows a day that no order can do', () => {
		const question = {
			stops: [{ id: 's', visit_min: 60, bottle_min: 5 }],
			drive: { fromStart: [30], between: [[0]], toLab: [30] },
			holding_min: 360,
			bench_min: 20,
			lab: { opens_min: 480, closes_min: 960 },
			start: { earliest_min: 480, latest_min: 600, step_min: 5 },
			light: { from_min: 300, to_min: 1260 }
		};
		expect(dayWorks(question)).toBe(true);
		expect(dayWorks({ ...question, lab: { opens_min: 480, closes_min: 540 } })).toBe(false);
	});
	it('keeps the papers of a round to its own team', async () => {
		const { program } = await aPlan();
		const round = { teamId: program.teams[0], crewIds: [] as string[] };
		expect(can(program.members.monitor, 'see-round', { round })).toBe(true);
		expect(can(program.members.other, 'see-round', { round })).toBe(false);
		expect(can(program.members.other, 'see-round', { round: { ...round, crewIds: [program.members.other.id] } })).toBe(
			true
		);
		expect([program.members.reviewer, program.members.viewer].map((m) => can(m, 'see-round', { round }))).toEqual([
			true,
			false
		]);
	});
});
