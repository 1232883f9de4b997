import { and, eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { v7 } from 'uuid';
import { noteAccess, untoldAccess, markTold } from '../../src/lib/server/auth/access-events';
import { addUser, auth, choosePassword, joinToken, shutOut } from '../../src/lib/server/auth/library';
import { whyWeak } from '../../src/lib/server/auth/new-password';
import { connectionPool, database, isDatabaseAway } from '../../src/lib/server/db/connect';
import {
	entry,
	lateLine,
	member,
	program as programTable,
	session,
	verification,
	visit
} from '../../src/lib/server/db/schema';
import { log, told } from '../../src/lib/server/log';
import { setAside, setAsideOf } from '../../src/lib/server/reviews/set-aside';
import { decideLateLines, waitingLateLines } from '../../src/lib/server/sync/late-decisions';
import { packSatchel } from '../../src/lib/server/sync/satchel';
import { ownPath } from '../../src/routes/(public)/sign-in/sign-in-form';
import { aPlan } from './a-plan';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const db = database();
let program: AProgram;
let visitId: string;
beforeEach(async () => {
	program = await aProgram();
	visitId = v7();
});
const DAY_ms = 86_400_000;

async function open(who = program.members.monitor, more: object = {}) {
	const write = aDevice(who, visitId);
	expect((await send(who, [write('opening', { ...anOpening(program), ...more })])).refused).toEqual([]);
	return write;
}
const linesOf = async (id: string) =>
	(await db.select({ path: entry.path }).from(entry).where(eq(entry.visitId, id))).map((e) => e.path);

describe('ids in capitals', () => {
	it('are the same ids: another team’s visit stays shut, and a line sent again changes nothing', async () => {
		await open();
		const { other } = program.members;
		const forged = aDevice(other, visitId.toUpperCase())('arrival/depth_m', 0.9);
		expect((await send(other, [forged])).refused[0]?.why).toMatch(/may not write here/);
		const write = aDevice(program.members.monitor, visitId, now_ms + DAY_ms / 24);
		const line = write('arrival/depth_m', 0.2);
		await send(program.members.monitor, [line]);
		const again = await send(program.members.monitor, [
			{ ...line, id: line.id.toUpperCase(), by: line.by.toUpperCase() }
		]);
		expect(again).toMatchObject({ accepted: [line.id], refused: [] });
		expect(await linesOf(visitId)).toEqual(['opening', 'arrival/depth_m']);
	});
	it('in an opening lead to the same site for the office and the sheet', async () => {
		const write = aDevice(program.members.monitor, visitId);
		await send(program.members.monitor, [
			write('opening', { ...anOpening(program), siteId: program.siteId.toUpperCase() })
		]);
		const [kept] = await db.select().from(visit).where(eq(visit.id, visitId));
		expect([kept!.siteId, kept!.sheet.opening!.siteId]).toEqual([program.siteId, program.siteId]);
	});
});

describe('a line that nothing can be done with', () => {
	const deep = JSON.parse('['.repeat(100_000) + ']'.repeat(100_000)) as unknown;
	it.each<[string, string, unknown, RegExp]>([
		['a text with NUL', 'remarks/leave', 'a\0b', /cannot be kept/],
		['half of a letter', 'remarks/leave', 'a\ud800b', /cannot be kept/],
		['a hundred thousand brackets', 'remarks/leave', deep, /nested/],
		['a text of four megabytes', 'remarks/leave', 'x'.repeat(4_000_000), /longer than 16 kB/],
		[
			'a key that no leaf has',
			'arrival/position',
			{ latitude: 1, longitude: 1, accuracy_m: 5, isSimulated: false, extra: 'x' },
			/extra|[Uu]nrecognized/
		],
		['a unit with a passenger', 'arrival/depth_m', { value: 0.3, unit: 'm', extra: 'x' }, /no “extra”/],
		['the year 9999', 'bottles/b/filledAt', '9999-05-14T09:00:00Z', /2000 and 2100/],
		['the year 0000', 'bottles/b/filledAt', '0000-05-14T09:00:00Z', /2000 and 2100|instant is like/]
	])('%s is refused with its reason, and the rest is kept', async (_, path, value, why) => {
		const write = await open();
		const [before, bad, after] = [
			write('arrival/depth_m', 0.2),
			write(path, value),
			write('arrival/velocity_m_s', 0.3)
		];
		const answer = await send(program.members.monitor, [before, bad, after]);
		expect(answer.accepted).toEqual([before.id, after.id]);
		expect(answer.refused).toMatchObject([{ id: bad.id, why: expect.stringMatching(why) }]);
	});
	it('is no instrument called “constructor”: that is only one that nobody has', async () => {
		const write = await open();
		const lines = ['constructor', '__proto__', 'toString'].map((instrument, i) =>
			write(`readings/water-temperature/s${i}`, { value: 11, unit: 'degC', instrument })
		);
		expect((await send(program.members.monitor, lines)).accepted).toHaveLength(3);
	});
	it('written in the year 9999 is refused too', async () => {
		const write = await open();
		const line = { ...write('arrival/depth_m', 0.2), at: '9999-05-14T09:00:00.000Z-0000' };
		expect((await send(program.members.monitor, [line])).refused[0]?.why).toMatch(/2000 and 2100/);
	});
});

describe('an opening', () => {
	it('in 2099 is refused, unless the device’s own clock is there', async () => {
		const far = now_ms + 73 * 365 * DAY_ms;
		const write = aDevice(program.members.monitor, visitId);
		expect((await send(program.members.monitor, [write('opening', anOpening(program, far))])).refused[0]?.why).toMatch(
			/in the future/
		);
		const answer = await send(program.members.monitor, [write('opening', anOpening(program, far))], {
			deviceTime: new Date(far).toISOString()
		});
		expect(answer.refused).toEqual([]);
		const [kept] = await db.select({ startedAt: visit.startedAt }).from(visit).where(eq(visit.id, visitId));
		expect(+kept!.startedAt).toBe(now_ms); // and does not stay “last” for ever
	});
	it('of a visit that is open already may not name another site', async () => {
		const plan = await aPlan();
		visitId = v7();
		const { who } = plan;
		const write = aDevice(who, visitId);
		const opened = write('opening', {
			siteId: plan.siteId,
			cardVersionId: plan.program.cardVersionId,
			startedAt: new Date(now_ms).toISOString()
		});
		await send(who, [opened]);
		const second = write('opening', {
			siteId: program.siteId,
			cardVersionId: plan.program.cardVersionId,
			startedAt: new Date(now_ms).toISOString()
		});
		expect((await send(who, [second])).refused[0]?.why).toMatch(/open already/);
		expect((await send(who, [write('opening', 'wrong', { op: 'strike', was: opened.id })])).refused[0]?.why).toMatch(
			/stays the visit/
		);
	});
	it('on a round of another team is refused', async () => {
		const plan = await aPlan();
		const stranger = plan.program.members.other;
		const line = aDevice(stranger, v7())('opening', {
			siteId: plan.siteId,
			cardVersionId: plan.program.cardVersionId,
			roundId: plan.roundId,
			startedAt: new Date(now_ms).toISOString()
		});
		expect((await send(stranger, [line])).refused[0]?.why).toMatch(/another team/);
	});
});

describe('figures from stand-ins', () => {
	const figure = { value: 9.8, unit: 'mg_L', isSimulated: true };
	const place = { latitude: 1, longitude: 1, accuracy_m: 5, isSimulated: true };
	it('are refused by a real program, whoever sends them', async () => {
		const write = await open();
		const answer = await send(program.members.monitor, [
			write('readings/dissolved-oxygen/left', figure),
			write('readings/dissolved-oxygen/right', { value: 9.8, unit: 'mg_L', method: 'meter, simulated' }),
			write('arrival/position', place)
		]);
		expect(answer.refused.map((r) => r.why)).toEqual([0, 1, 2].map(() => expect.stringMatching(/stand-in/) as string));
	});
	it('are taken by a demo, and marked in the result', async () => {
		await db.update(programTable).set({ isDemo: true }).where(eq(programTable.id, program.programId));
		const write = await open();
		expect((await send(program.members.monitor, [write('readings/dissolved-oxygen/left', figure)])).refused).toEqual(
			[]
		);
	});
});

describe('somebody who has left', () => {
	it('cannot date lines back into the logbook: they wait for the coordinator, who takes them in', async () => {
		const write = await open();
		const { monitor, coordinator } = program.members;
		const removedAt = new Date(now_ms + DAY_ms);
		await db.update(member).set({ removedAt }).where(eq(member.id, monitor.id));
		const gone = { ...monitor, removedAt };
		const late = write('arrival/depth_m', 0.2);
		expect((await send(gone, [late], {}, now_ms + 40 * DAY_ms)).accepted).toEqual([late.id]);
		expect((await send(gone, [late], {}, now_ms + 41 * DAY_ms)).accepted).toEqual([late.id]); // once
		expect(await linesOf(visitId)).toEqual(['opening']);
		expect(await waitingLateLines(db, program.programId)).toMatchObject([
			{ memberId: monitor.id, lines: 1, visits: 1 }
		]);
		expect((await decideLateLines(db, coordinator, monitor.id, true, now_ms + 42 * DAY_ms)).accepted).toEqual([
			late.id
		]);
		expect(await linesOf(visitId)).toEqual(['opening', 'arrival/depth_m']);
		expect(await waitingLateLines(db, program.programId)).toEqual([]);
	});
	it('or leaves them where they are, kept and in no visit', async () => {
		const write = await open();
		const { monitor, coordinator } = program.members;
		const gone = { ...monitor, removedAt: new Date(now_ms + DAY_ms) };
		await send(gone, [write('arrival/depth_m', 0.2)]);
		await decideLateLines(db, coordinator, monitor.id, false, now_ms);
		expect(await linesOf(visitId)).toEqual(['opening']);
		const of = and(eq(lateLine.programId, program.programId), eq(lateLine.byMemberId, monitor.id));
		expect(
			await db.select({ isTaken: lateLine.isTaken, decidedBy: lateLine.decidedBy }).from(lateLine).where(of)
		).toEqual([{ isTaken: false, decidedBy: coordinator.id }]);
	});
});

describe('a line that poisons a visit', () => {
	it('is set aside: kept, neither worked with nor sent, and taken back', async () => {
		const write = await open();
		const { monitor, coordinator } = program.members;
		const bad = write('remarks/leave', 'x');
		await send(monitor, [bad]);
		const read = async () => (await send(coordinator, [])).entries.map((e) => e.path);
		expect(
			await setAside(db, coordinator, visitId, { entryId: bad.id, reason: 'nobody can open this visit' }, now_ms)
		).toEqual({ ok: true });
		expect(await read()).toEqual(['opening']);
		expect(
			(
				await packSatchel(
					db,
					{ ...coordinator, program: { id: program.programId, name: '', timeZone: 'Etc/UTC', isDemo: false } },
					{ now_ms, isFixed: true }
				)
			).entries.map((e) => e.path)
		).toEqual(['opening']);
		expect((await setAsideOf(db, program.programId, visitId)).map((a) => a.reason)).toEqual([
			'nobody can open this visit'
		]);
		expect(await linesOf(visitId)).toEqual(['opening', 'remarks/leave']);
		await setAside(db, coordinator, visitId, { entryId: bad.id, reason: null }, now_ms);
		expect(await read()).toEqual(['opening', 'remarks/leave']);
	});
});

describe('answers', () => {
	it('come in pages by bytes, with every line in one of them', async () => {
		const write = await open();
		const lines = Array.from({ length: 1100 }, (_, i) => write(`remarks/r${i}`, 'y'.repeat(1900)));
		await send(program.members.monitor, lines);
		const seen: string[] = [];
		let cursor: string | null = null;
		for (let more = true; more;) {
			const answer = await send(program.members.coordinator, [], { since: cursor });
			expect(JSON.stringify(answer.entries).length).toBeLessThan(2_500_000);
			seen.push(...answer.entries.map((e) => e.id));
			({ cursor, more } = answer);
		}
		expect(seen).toHaveLength(1101);
		expect(new Set(seen).size).toBe(1101);
	});
});

describe('passwords and links', () => {
	const someone = () => addUser(db, { email: `${v7()}@weir.invalid`, name: 'Ina', password: null });
	const sessionOf = (userId: string) =>
		db.insert(session).values({ id: v7(), userId, token: v7(), expiresAt: new Date(Date.now() + DAY_ms) });
	it('a new password ends every session and every other link', async () => {
		const userId = await someone();
		const first = await joinToken(db, userId);
		const second = await joinToken(db, userId);
		await sessionOf(userId);
		expect(await choosePassword(db, first, 'heron under wet bridge')).toBe(false); // the later link took its place
		expect(await choosePassword(db, second, 'heron under wet bridge')).toBe(true);
		expect(await db.select().from(session).where(eq(session.userId, userId))).toEqual([]);
		expect(await choosePassword(db, second, 'another one entirely')).toBe(false);
		expect((await untoldAccess(db, userId)).map((e) => e.kind)).toEqual(['password']);
	});
	it('no link lies in clear', async () => {
		const userId = await someone();
		const token = await joinToken(db, userId);
		const [kept] = await db.select().from(verification).where(eq(verification.value, userId));
		expect(JSON.stringify(kept)).not.toContain(token);
	});
	it('who is shut out has neither link nor session', async () => {
		const userId = await someone();
		const token = await joinToken(db, userId);
		await sessionOf(userId);
		await shutOut(db, userId);
		expect(await choosePassword(db, token, 'heron under wet bridge')).toBe(false);
		expect(await db.select().from(session).where(eq(session.userId, userId))).toEqual([]);
	});
	it('a way in that somebody else made is told until it was read', async () => {
		const userId = await someone();
		await noteAccess(db, { userId, kind: 'link', by: 'Orla' });
		await noteAccess(db, { userId, kind: 'sign-in', by: null });
		expect(await untoldAccess(db, userId)).toMatchObject([{ kind: 'link', by: 'Orla' }]);
		await markTold(db, userId);
		expect(await untoldAccess(db, userId)).toEqual([]);
	});
	it.each(['password123', 'qwertyuiop12', 'aaaaaaaaaaaa'])('%s would be guessed', (weak) =>
		expect(whyWeak(weak)).toMatch(/guessed/)
	);
	it('four plain words would not', () => expect(whyWeak('heron under wet bridge')).toBeNull());
});

describe('where signing in leads', () => {
	it.each([
		'/\t/evil.invalid',
		'//evil.invalid',
		'/\\evil.invalid',
		'https://evil.invalid',
		'/\n/evil.invalid',
		'/..//evil.invalid',
		'today',
		''
	])('%j is none of ours', (to) => expect(ownPath(to)).toBeNull());
	it.each(['/today', '/sites/TE3?p=ph&span=1', '/visits/x#ph'])('%s is', (to) => expect(ownPath(to)).toBe(to));
});

describe('the database', () => {
	it('that goes away in the middle of a transaction fails that transaction, and nothing else', async () => {
		const lost = db.transaction(async (tx) => {
			await tx.execute('select pg_terminate_backend(pg_backend_pid())');
			await tx.execute('select 1');
		});
		const trouble: unknown = await lost.then(
			() => null,
			(error: unknown) => error
		);
		expect(isDatabaseAway(trouble)).toBe(true);
		expect((await connectionPool().query('select 1 as one')).rows).toEqual([{ one: 1 }]);
	});
	it('is not called away where a query is wrong', async () => {
		const trouble: unknown = await db.execute('select no_such_column').then(
			() => null,
			(error: unknown) => error
		);
		expect(isDatabaseAway(trouble)).toBe(false);
	});
	it('keeps what a failed query carried out of the log', async () => {
		const twice = { id: v7(), identifier: 'secret-token', value: 'v', expiresAt: new Date() };
		const trouble: unknown = await db
			.insert(verification)
			.values([twice, twice])
			.then(
				() => null,
				(error: unknown) => error
			);
		const query: unknown = await db.execute(`select 'secret-token'::uuid`).then(
			() => null,
			(error: unknown) => error
		);
		for (const one of [trouble, query]) {
			expect(one).toBeInstanceOf(Error);
			expect(JSON.stringify(told(one))).not.toContain('secret-token');
		}
		const written = vi.spyOn(log, 'error').mockImplementation(() => undefined);
		auth().options.logger.log('error', `INTERNAL_SERVER_ERROR ${String(query)}`, query);
		expect(written).toHaveBeenCalledOnce();
		expect(JSON.stringify(written.mock.calls)).not.toContain('secret-token');
		written.mockRestore();
	});
	it('has limits of time for every connection', async () => {
		const { rows } = await connectionPool().query<{ name: string; setting: string }>(
			`select name, setting from pg_settings
			where name in ('statement_timeout', 'lock_timeout', 'idle_in_transaction_session_timeout')`
		);
		expect(rows.every((r) => Number(r.setting) > 0)).toBe(true);
	});
});
