import { eq, sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { database } from '../../src/lib/server/db/connect';
import { flag, program as programTable, result, review, visit } from '../../src/lib/server/db/schema';
import { rebuildProgram } from '../../src/lib/server/projection/rebuild';
import { judge, strikeEntry } from '../../src/lib/server/reviews/judge';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const db = database();
const DAY_ms = 86_400_000;

/** A finished visit with a water temperature, an oxygen reading and nothing else. */
async function aVisit(program: AProgram, at_ms: number, temperature: number): Promise<string> {
	const { monitor } = program.members;
	const visitId = v7({ msecs: at_ms });
	const write = aDevice(monitor, visitId, at_ms);
	const answer = await send(monitor, [
		write('opening', anOpening(program, at_ms)),
		write('arrival/access', 'bank'),
		write('readings/water-temperature/main', { value: temperature, unit: 'degC' }),
		write('readings/dissolved-oxygen/left', { value: 9.1, unit: 'mg_L' }),
		write('leaving/at', new Date(at_ms).toISOString())
	]);
	expect(answer.refused).toEqual([]);
	return visitId;
}

const projected = async (programId: string) => ({
	results: await db.select().from(result).where(eq(result.programId, programId)).orderBy(result.at, result.parameter),
	flags: await db.select().from(flag).where(eq(flag.programId, programId)).orderBy(flag.visitId, flag.number),
	visits: await db.select().from(visit).where(eq(visit.programId, programId)).orderBy(visit.id)
});

/** What the database itself said, beneath the query builder's wrapping. */
const databaseSays = (refused: Promise<unknown>): Promise<string> =>
	refused.then(
		() => 'nothing',
		(error: unknown) => {
			const said = error instanceof Error && error.cause instanceof Error ? error.cause : error;
			return said instanceof Error ? said.message : 'something else';
		}
	);

describe('the logbook in the database', () => {
	it.each(['update entry set value = null', 'delete from entry', 'truncate entry cascade'])(
		'refuses %s',
		async (statement) => {
			expect(await databaseSays(db.execute(sql.raw(statement)))).toMatch(/append-only/);
		}
	);

	it('refuses a strike that names nothing', async () => {
		const program = await aProgram();
		const visitId = await aVisit(program, now_ms, 9);
		const statement = sql`insert into entry (program_id, id, seq, visit_id, at, by_member_id, device, path, op,
			received_at)
			values (${program.programId}, ${v7()}, 999999, ${visitId}, '2026-05-14T11:20:00.000Z-0000',
			${program.members.monitor.id}, 'd', 'arrival/depth_m', 'strike', now())`;
		expect(await databaseSays(db.execute(statement))).toMatch(/strike_names_entry/);
	});
});

describe('what follows from the logbook', () => {
	it('holds a figure against what its site has shown, as a phone does: a slip is asked about once', async () => {
		const program = await aProgram();
		for (let i = 0; i < 14; i++) await aVisit(program, now_ms - (14 - i) * 30 * DAY_ms, 6 + (i % 5) * 0.4);
		const slip = await aVisit(program, now_ms, 44.5); // 6.9 °C, read in Fahrenheit
		const said = (await projected(program.programId)).flags.filter(
			(f) => f.visitId === slip && f.parameter === 'water-temperature'
		);
		expect(said).toMatchObject([
			{
				code: 'unit-slip',
				evidence: { from: { visits: 14 }, retype: expect.objectContaining({ unit: 'degF' }) }
			}
		]);
	});

	it('can be thrown away and made again, to the letter', async () => {
		const program = await aProgram();
		for (let i = 0; i < 14; i++) await aVisit(program, now_ms - (14 - i) * 30 * DAY_ms, 8 + (i % 5) * 0.4);
		const odd = await aVisit(program, now_ms, 17);
		await judge(
			db,
			program.members.reviewer,
			odd,
			[{ parameter: 'water-temperature', verdict: 'accept', reason: '', judged: '17.0 °C' }],
			now_ms
		);
		const before = await projected(program.programId);
		expect(before.flags.map((f) => f.code)).toContain('outside-history');
		await db.execute(sql`delete from result where program_id = ${program.programId}`);
		await db.execute(sql`delete from flag where program_id = ${program.programId}`);
		await db.execute(
			sql`update visit set sheet = '{}', awaits_review = 0, is_finished = false where program_id = ${program.programId}`
		);
		expect(await rebuildProgram(db, program.programId, now_ms)).toBe(15);
		expect(await projected(program.programId)).toEqual(before);
	});

	it('keeps the figure that a strike leaves', async () => {
		const program = await aProgram();
		const { monitor, coordinator, reviewer } = program.members;
		const visitId = await aVisit(program, now_ms, 9);
		const rival = aDevice(
			coordinator,
			visitId,
			now_ms + 60_000
		)('readings/water-temperature/main', { value: 14, unit: 'degC' });
		await send(coordinator, [rival]);
		const conflicts = () => db.select({ n: visit.conflicts }).from(visit).where(eq(visit.id, visitId));
		expect(await conflicts()).toEqual([{ n: 1 }]);
		expect(await strikeEntry(db, monitor, visitId, { entryId: v7(), reason: 'x' }, now_ms)).toMatchObject({
			ok: false
		});
		expect(
			await strikeEntry(db, reviewer, visitId, { entryId: rival.id, reason: 'wrong thermometer' }, now_ms)
		).toEqual({ ok: true });
		expect(await conflicts()).toEqual([{ n: 0 }]);
		const [temperature] = await db
			.select({ value: result.value })
			.from(result)
			.where(sql`visit_id = ${visitId} and parameter = 'water-temperature'`);
		expect(temperature?.value).toBe(9);
	});
});

describe('a review', () => {
	it('is a line like any other, seen in the result', async () => {
		const program = await aProgram();
		const visitId = await aVisit(program, now_ms, 9);
		const said = {
			parameter: 'water-temperature',
			verdict: 'qualify',
			reason: 'thermometer unchecked',
			judged: '9.0 °C'
		} as const;
		expect(await judge(db, program.members.reviewer, visitId, [said], now_ms)).toEqual({ ok: true });
		expect(await db.select().from(review).where(eq(review.visitId, visitId))).toMatchObject([
			{ verdict: 'qualify', reason: 'thermometer unchecked', byMemberId: program.members.reviewer.id }
		]);
		expect(
			await db
				.select({ status: result.status })
				.from(result)
				.where(sql`visit_id = ${visitId} and parameter = 'water-temperature'`)
		).toEqual([{ status: 'qualified' }]);
	});

	it('is all written or, where one cannot be, none of it', async () => {
		const program = await aProgram();
		const visitId = await aVisit(program, now_ms, 9);
		const good = { parameter: 'water-temperature', verdict: 'accept', reason: '', judged: '9.0 °C' } as const;
		const lost = { ...good, parameter: 'ph' } as const;
		expect(await judge(db, program.members.reviewer, visitId, [good, lost], now_ms)).toEqual({
			ok: false,
			why: 'This visit has no such result.',
			at: 'ph '
		});
		expect(await db.select().from(review).where(eq(review.visitId, visitId))).toEqual([]);
	});

	it('is others’ to give where the program wants that, through whichever door', async () => {
		const program = await aProgram();
		const { coordinator, monitor, reviewer } = program.members;
		const visitId = v7();
		const write = aDevice(coordinator, visitId);
		await send(coordinator, [
			write('opening', anOpening(program)),
			write(`arrival/crew/${monitor.initials}/initials`, monitor.initials),
			write('readings/water-temperature/left', { value: 9, unit: 'degC' }),
			write('leaving/at', new Date(now_ms + 60_000).toISOString())
		]);
		const verdict = { verdict: 'accept', reason: '', judged: '9.0 °C' } as const;
		const said = [{ parameter: 'water-temperature', ...verdict } as const];
		await db
			.update(programTable)
			.set({ settings: { whoJudges: 'others' } })
			.where(eq(programTable.id, program.programId));
		const refusal = { ok: false, why: expect.stringMatching(/others judge it/) as string };
		expect(await judge(db, coordinator, visitId, said, now_ms)).toMatchObject(refusal);
		const past = await send(coordinator, [write('reviews/water-temperature', verdict)]);
		expect(past.refused[0]?.why).toMatch(/others judge it/);
		expect(await judge(db, reviewer, visitId, said, now_ms)).toEqual({ ok: true });
		await db.update(programTable).set({ settings: {} }).where(eq(programTable.id, program.programId));
		expect(await judge(db, coordinator, visitId, said, now_ms)).toEqual({ ok: true });
	});

	it('is not given to a figure that has changed meanwhile, nor by one who may not', async () => {
		const program = await aProgram();
		const visitId = await aVisit(program, now_ms, 9);
		const said = { parameter: 'water-temperature', verdict: 'accept', reason: '', judged: '8.0 °C' } as const;
		expect(await judge(db, program.members.reviewer, visitId, [said], now_ms)).toMatchObject({
			ok: false,
			why: expect.stringMatching(/changed while you were reading/)
		});
		expect(await judge(db, program.members.monitor, visitId, [{ ...said, judged: '9.0 °C' }], now_ms)).toMatchObject({
			ok: false,
			why: expect.stringMatching(/may not write/)
		});
	});
});
