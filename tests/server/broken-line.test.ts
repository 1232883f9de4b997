import { and, eq, sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { database } from '../../src/lib/server/db/connect';
import { entry, methodCardVersion, visit } from '../../src/lib/server/db/schema';
import { log } from '../../src/lib/server/log';
import { aDevice, anOpening, aProgram, send, type AProgram } from './a-program';

/** More visits than are worked out before the first of them are written. */
const MORE_THAN_A_BATCH = 260;

const db = database();
let program: AProgram;
beforeEach(async () => {
	program = await aProgram();
	vi.spyOn(log, 'error').mockImplementation(() => undefined);
});
afterEach(() => void vi.restoreAllMocks());

/** Another version of the program's card, as whole as the first. */
async function anotherCard(): Promise<string> {
	const { programId, cardVersionId } = program;
	const ours = and(eq(methodCardVersion.programId, programId), eq(methodCardVersion.id, cardVersionId));
	const [card] = await db.select().from(methodCardVersion).where(ours);
	const id = v7();
	await db.insert(methodCardVersion).values({ ...card!, id, version: card!.version + 1 });
	return id;
}
const kept = async (visitId: string) =>
	(await db.select({ path: entry.path }).from(entry).where(eq(entry.visitId, visitId))).map((e) => e.path);

describe('a visit that cannot be worked out, while its lines are on their way to the database', () => {
	it('takes no other line with it: its own are refused singly, the others kept once and worked out', async () => {
		const cardVersionId = await anotherCard();
		const [broken, whole] = [v7(), v7()];
		const me = program.members.monitor;
		const [writeBroken, writeWhole] = [aDevice(me, broken), aDevice(me, whole)];
		const opened = [
			writeBroken('opening', { ...anOpening(program), cardVersionId }),
			writeWhole('opening', anOpening(program))
		];
		expect((await send(me, opened)).refused).toEqual([]);
		// nothing known makes the arithmetic of a visit throw: its card is spoiled in the database
		await db.execute(sql`update method_card_version set body = '{}' where id = ${cardVersionId}::uuid`);

		const bad = [writeBroken('arrival/depth_m', 0.2), writeBroken('arrival/velocity_m_s', 0.3)];
		const good = [
			writeWhole('arrival/depth_m', 0.2),
			writeWhole('readings/water-temperature/main', { value: 11.2, unit: 'degC' })
		];
		const answer = await send(me, [good[0], bad[0], good[1], bad[1]]);
		const why = expect.stringContaining('cannot take this line') as string;
		expect(answer.refused).toMatchObject(bad.map(({ id }) => ({ id, why })));
		expect([...answer.accepted].sort()).toEqual(good.map(({ id }) => id).sort());
		expect(await kept(broken)).toEqual(['opening']);
		expect(await kept(whole)).toEqual(['opening', 'arrival/depth_m', 'readings/water-temperature/main']);
		const [worked] = await db.select().from(visit).where(eq(visit.id, whole));
		expect(worked?.sheet).toMatchObject({ readings: { 'water-temperature': { main: { value: 11.2 } } } });
		expect(log.error).toHaveBeenCalledTimes(bad.length);
	});

	it('nor visits that were written before it was come to', async () => {
		const cardVersionId = await anotherCard();
		const me = program.members.monitor;
		const visits = Array.from({ length: MORE_THAN_A_BATCH }, () => {
			const id = v7();
			return { id, write: aDevice(me, id) };
		});
		const last = visits.at(-1)!; // they began together: by their ids the last is worked out last
		const opened = visits.map((v) =>
			v.write('opening', { ...anOpening(program), ...(v === last && { cardVersionId }) })
		);
		expect((await send(me, opened)).refused).toEqual([]);
		await db.execute(sql`update method_card_version set body = '{}' where id = ${cardVersionId}::uuid`);

		const warm = visits.map((v, i) => v.write('readings/water-temperature/main', { value: i / 100, unit: 'degC' }));
		const answer = await send(me, warm);
		expect(answer.refused).toMatchObject([{ id: warm.at(-1)!.id }]);
		expect(answer.accepted).toHaveLength(visits.length - 1);
		const results = await db.execute<{ visit_id: string; value: number }>(
			sql`select visit_id, value from result where program_id = ${program.programId} and parameter = 'water-temperature'
				order by value`
		);
		expect(results.rows).toEqual(visits.slice(0, -1).map(({ id }, i) => ({ visit_id: id, value: i / 100 })));
	});
});
