import { and, eq, like } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { database } from '../../src/lib/server/db/connect';
import { entry, flag, visit } from '../../src/lib/server/db/schema';
import { boxesAsk } from '../../src/lib/server/shipments/ask';
import { bottlesIn, bottlesToSend } from '../../src/lib/server/shipments/bottles';
import { arrive, handOver, takeBack } from '../../src/lib/server/shipments/hand-over';
import { journeyAhead } from '../../src/lib/server/shipments/journey';
import { changeShipment, couriered, shipmentOf, startShipment, unpack } from '../../src/lib/server/shipments/shipments';
import { now_ms } from './a-program';
import { all, filled_ms, iso, withBottles } from './bottles-to-send';

const db = database();
const HOUR_ms = 3_600_000;
async function packed(its: Awaited<ReturnType<typeof withBottles>>): Promise<string> {
	const said = await startShipment(db, its.who, { labId: its.labId, chosen: all(its.visits) }, now_ms);
	if ('why' in said) throw new Error(said.why);
	return said.id;
}

const custodyOf = (programId: string) =>
	db
		.select({ visitId: entry.visitId, path: entry.path, op: entry.op, value: entry.value })
		.from(entry)
		.where(and(eq(entry.programId, programId), like(entry.path, 'custody/%')))
		.orderBy(entry.seq);
const sheetOf = async (id: string) =>
	(await db.select({ sheet: visit.sheet }).from(visit).where(eq(visit.id, id)))[0]!.sheet;

describe('a box of bottles', () => {
	it('holds each bottle once, by a code of its own', async () => {
		const its = await withBottles('A1-260514-N', 'B1-260514-N');
		expect(await bottlesToSend(db, its.programId, now_ms)).toHaveLength(2);
		const id = await packed(its);
		expect(await bottlesToSend(db, its.programId, now_ms)).toEqual([]);
		expect((await bottlesIn(db, its.programId, id)).map((b) => [b.label, b.preserved])).toEqual([
			['A1-260514-N', 'sulphuric acid'],
			['B1-260514-N', 'sulphuric acid']
		]);
		const again = await startShipment(db, its.who, { labId: its.labId, chosen: all(its.visits) }, now_ms);
		expect(again).toEqual({ why: expect.stringContaining('in another box') as string });
		expect((await shipmentOf(db, its.programId, id))!.code).toMatch(/^S\d{6}-1$/);
	});

	it('is packed by two people at once, and still no bottle is in two of them', async () => {
		const its = await withBottles('A1-260514-N');
		const start = () => startShipment(db, its.who, { labId: its.labId, chosen: all(its.visits) }, now_ms);
		const said = await Promise.all([start(), start(), start()]);
		expect(said.filter((s) => 'id' in s)).toHaveLength(1);
	});

	it('gives a bottle back that was taken out, and all of them when it is unpacked', async () => {
		const its = await withBottles('A1-260514-N', 'B1-260514-N');
		const id = await packed(its);
		const [first] = all(its.visits);
		expect(await changeShipment(db, its.who, id, { takeOut: first! }, now_ms)).toBeNull();
		expect((await bottlesToSend(db, its.programId, now_ms)).map((b) => b.label)).toEqual(['A1-260514-N']);
		expect(await unpack(db, its.who, id)).toBe(true);
		expect(await bottlesToSend(db, its.programId, now_ms)).toHaveLength(2);
	});

	it('goes from hand to hand in the custody of each visit, and its bottles are at the lab', async () => {
		const its = await withBottles('A1-260514-N', 'B1-260514-N');
		const id = await packed(its);
		const { code } = (await shipmentOf(db, its.programId, id))!;
		const left_ms = now_ms - 10 * HOUR_ms;
		const there_ms = now_ms - HOUR_ms;
		expect(await handOver(db, its.who, id, { courier: 'the van', seal: '7', at_ms: left_ms }, now_ms)).toBeNull();
		expect(await arrive(db, its.who, id, { at_ms: there_ms, temperature_C: 14 }, now_ms)).toBeNull();
		for (const visitId of its.visits) {
			const { custody, bottles } = await sheetOf(visitId);
			expect(custody?.[code]).toMatchObject({ from: its.who.name, to: 'the van', seal: '7', at: iso(left_ms) });
			expect(custody?.[`${code}-lab`]).toMatchObject({ from: 'the van', to: 'Millrace', temperature_C: 14 });
			expect(bottles?.nutrients).toMatchObject({ atLabAt: iso(there_ms), received: { temperature_C: 14 } });
		}
		const late = await handOver(db, its.who, id, { courier: 'x', seal: '', at_ms: left_ms }, now_ms);
		expect(late).toEqual({ why: 'This box has left already.' });
		expect(await changeShipment(db, its.who, id, { step: 'ice', isDone: true }, now_ms)).not.toBeNull();
		expect(await unpack(db, its.who, id)).toBe(false);
	});

	it('comes too late for a bottle that keeps four weeks, and the visit says so', async () => {
		const its = await withBottles('A1-260514-N');
		const id = await packed(its);
		const later_ms = now_ms + 660 * HOUR_ms;
		await handOver(db, its.who, id, { courier: 'the van', seal: '', at_ms: now_ms }, later_ms);
		expect(await arrive(db, its.who, id, { at_ms: later_ms, temperature_C: null }, later_ms)).toBeNull();
		const flags = await db.select({ code: flag.code }).from(flag).where(eq(flag.visitId, its.visits[0]!));
		expect(flags.map((f) => f.code)).toContain('held-too-long');
	});

	it('takes back what was a slip by striking it, one thing after the other', async () => {
		const its = await withBottles('A1-260514-N');
		const id = await packed(its);
		await handOver(db, its.who, id, { courier: 'the van', seal: '7', at_ms: now_ms - HOUR_ms }, now_ms);
		await arrive(db, its.who, id, { at_ms: now_ms, temperature_C: 4 }, now_ms);
		const before = (await custodyOf(its.programId)).length;
		expect(await takeBack(db, its.who, id, now_ms)).toBeNull();
		const [visitId] = its.visits as [string];
		expect((await sheetOf(visitId)).bottles?.nutrients).not.toHaveProperty('atLabAt');
		expect((await sheetOf(visitId)).custody).toBeDefined();
		expect(await takeBack(db, its.who, id, now_ms)).toBeNull();
		expect((await sheetOf(visitId)).custody ?? {}).toEqual({});
		const lines = await custodyOf(its.programId);
		expect(lines.length).toBe(2 * before); // nothing is gone: each line has its strike
		expect(await takeBack(db, its.who, id, now_ms)).toEqual({ why: 'Nothing has been said of this box yet.' });
		expect(await handOver(db, its.who, id, { courier: 'the boat', seal: '', at_ms: now_ms }, now_ms)).toBeNull();
		expect(Object.values((await sheetOf(visitId)).custody ?? {})).toMatchObject([{ to: 'the boat' }]);
	});

	it.each([
		['after now', (filled: number) => ({ at_ms: filled + 400 * HOUR_ms }), /still to come/],
		['before its bottles were filled', (filled: number) => ({ at_ms: filled - HOUR_ms }), /was filled after that/]
	])('is not handed over %s', async (_, when, why) => {
		const its = await withBottles('A1-260514-N');
		const id = await packed(its);
		const refused = await handOver(db, its.who, id, { courier: 'x', seal: '', ...when(filled_ms) }, now_ms);
		expect(refused?.why).toMatch(why);
		expect(await custodyOf(its.programId)).toEqual([]);
	});

	it('does not leave with a bottle that has no label, or empty', async () => {
		const its = await withBottles('A1-260514-N', null);
		const id = await packed(its);
		const leave = () => handOver(db, its.who, id, { courier: 'x', seal: '', at_ms: now_ms }, now_ms);
		expect((await leave())?.why).toMatch(/without a label/);
		for (const one of all(its.visits)) await changeShipment(db, its.who, id, { takeOut: one }, now_ms);
		expect((await leave())?.why).toBe('This box is empty.');
	});

	it('does not arrive before it left', async () => {
		const its = await withBottles('A1-260514-N');
		const id = await packed(its);
		const came = (at_ms: number) => arrive(db, its.who, id, { at_ms, temperature_C: null }, now_ms);
		expect((await came(now_ms))?.why).toMatch(/has not left yet/);
		await handOver(db, its.who, id, { courier: 'x', seal: '', at_ms: now_ms - HOUR_ms }, now_ms);
		expect((await came(now_ms - 2 * HOUR_ms))?.why).toMatch(/left after that/);
	});

	it('is none of another program’s business', async () => {
		const [its, others] = [await withBottles('A1-260514-N'), await withBottles('B1-260514-N')];
		const id = await packed(its);
		expect(await shipmentOf(db, others.programId, id)).toBeNull();
		expect(await unpack(db, others.who, id)).toBe(false);
		const stolen = await startShipment(db, others.who, { labId: others.labId, chosen: all(its.visits) }, now_ms);
		expect(stolen).toHaveProperty('why');
		const elsewhere = await startShipment(db, others.who, { labId: its.labId, chosen: all(others.visits) }, now_ms);
		expect(elsewhere).toEqual({ why: 'Say which lab the bottles go to.' });
	});

	it('is asked for on Today when it is late, as are bottles that wait', async () => {
		const its = await withBottles('A1-260514-N', 'B1-260514-N');
		expect(await boxesAsk(db, its.programId, now_ms)).toEqual({ toSend: 2, late: [] });
		const id = await packed(its);
		await handOver(db, its.who, id, { courier: 'x', seal: '', at_ms: now_ms }, now_ms);
		const asked = await boxesAsk(db, its.programId, now_ms + 5 * 24 * HOUR_ms);
		expect(asked).toMatchObject({ toSend: 0, late: [{ id, lab: 'Millrace' }] });
		const { expectedAt } = (await shipmentOf(db, its.programId, id))!;
		const [lab] = await couriered(db, its.programId);
		expect(+expectedAt!).toBe(journeyAhead(lab!, now_ms, its.who.program.timeZone)!.by_ms);
	});
});
