import { sql } from 'drizzle-orm';
import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { BoxWord, type BoxWordWithout } from '../../src/lib/core/custody';
import { fold } from '../../src/lib/core/logbook';
import { bottlesWaiting } from '../../src/lib/core/subjects/bottle/to-send';
import { database } from '../../src/lib/server/db/connect';
import { bottlesToSend } from '../../src/lib/server/shipments/bottles';
import { BoxWords, hearOfBoxes } from '../../src/lib/server/shipments/words';
import { aDevice, now_ms, send } from './a-program';
import { all, withBottles } from './bottles-to-send';

const db = database();
const MINUTE_ms = 60_000;
type Program = Awaited<ReturnType<typeof withBottles>>;
type Said = BoxWordWithout<'id' | 'at' | 'box'>;

const word = (box: string, done: Said, at_ms = now_ms - 30 * MINUTE_ms): BoxWord =>
	BoxWord.parse({ ...done, id: v7(), box, at: new Date(at_ms).toISOString() });
const begun = (its: Program, box: string, visits = its.visits) =>
	word(box, { does: 'start', labId: its.labId, bottles: all(visits) });
const hear = (its: Program, ...words: BoxWord[]) => hearOfBoxes(db, its.who, words, now_ms);

describe('what was done to a box where no network was', () => {
	it('is done in its order, and stands with each visit as if it had been said at a desk', async () => {
		const its = await withBottles('A', 'B', 'C');
		const [box, visits] = [v7(), its.visits.slice(0, 2)];
		const { refused, known } = await hear(
			its,
			begun(its, box, visits),
			word(box, { does: 'pack', step: 'ice', isDone: true }),
			word(box, { does: 'take-out', bottle: { visitId: visits[1]!, id: 'nutrients' } }),
			word(box, { does: 'put-in', bottles: all([its.visits[2]!]) }),
			word(box, { does: 'hand-over', courier: 'Fell and Moor', seal: '551' })
		);
		expect(refused).toEqual([]);
		expect(known.boxes).toMatchObject([
			{ id: box, lab: 'Millrace', packed: ['ice'], courier: 'Fell and Moor', handedOver_ms: now_ms - 30 * MINUTE_ms }
		]);
		expect(known.boxes[0]!.code).toMatch(/^S\d{6}-1$/);
		expect(known.boxes[0]!.bottles.map((b) => b.label).sort()).toEqual(['A', 'C']);
		expect(known.waiting.map((b) => b.label)).toEqual(['B']);
		expect(known.labs[0]!.journeys.length).toBeGreaterThan(1);
		const custody = await custodyOf(its.visits[0]!);
		expect(Object.values(custody)).toMatchObject([{ from: its.who.name, to: 'Fell and Moor', seal: '551' }]);
		expect(await custodyOf(its.visits[1]!)).toEqual({});
		const back = await hear(its, word(box, { does: 'take-back' }), word(box, { does: 'unpack' }));
		expect([back.refused, back.known.boxes]).toEqual([[], []]);
		expect(await custodyOf(its.visits[0]!)).toEqual({});
	});

	it('that a box has come is told from where one hears it, and stands with each bottle; a slip is struck', async () => {
		const its = await withBottles('A');
		const box = v7();
		const [left, came] = [now_ms - 40 * MINUTE_ms, now_ms - 10 * MINUTE_ms];
		const comes = (at_ms: number, temperature_C: number | null = 6.5) =>
			word(box, { does: 'arrive', temperature_C }, at_ms);
		const { refused, known } = await hear(
			its,
			begun(its, box),
			comes(came),
			word(box, { does: 'hand-over', courier: 'Fell and Moor', seal: '' }, left),
			comes(left - MINUTE_ms),
			comes(now_ms + 60 * MINUTE_ms),
			comes(came),
			comes(came)
		);
		expect(refused.map((r) => r.why)).toEqual([
			'This box has not left yet.',
			expect.stringMatching(/^It left after that, on \w{3} \d+ \w{3} at \d\d:\d\d\.$/),
			expect.stringContaining('still to come'),
			'It has arrived already, as somebody said.'
		]);
		expect(known.boxes).toMatchObject([{ id: box, arrived_ms: came, arrived_C: 6.5 }]);
		const bottle = (await sheetOf(its.visits[0]!)).bottles?.['nutrients'];
		expect(bottle).toMatchObject({ atLabAt: new Date(came).toISOString(), received: { temperature_C: 6.5 } });
		const back = await hear(its, word(box, { does: 'take-back' }));
		expect(back.known.boxes).toMatchObject([{ id: box, arrived_ms: null, handedOver_ms: left }]);
		expect((await sheetOf(its.visits[0]!)).bottles?.['nutrients']?.atLabAt).toBeUndefined();
		const later = await hearOfBoxes(db, its.who, [comes(came)], now_ms + 3 * 24 * 60 * MINUTE_ms);
		expect(later.known.boxes).toEqual([]);
	});

	it('is done once, however often it is told, and answered alike', async () => {
		const its = await withBottles('A');
		const [box, other] = [v7(), v7()];
		const words = [begun(its, box), begun(its, other)];
		const first = await hear(its, ...words);
		expect(first.refused).toMatchObject([{ id: words[1]!.id, why: expect.stringContaining('in another box') }]);
		const [again, atOnce] = await Promise.all([hear(its, ...words), hear(its, ...words)]);
		for (const told of [again, atOnce]) expect(told).toEqual(first);
	});

	it('of bottles that two cellars packed: those that still wait go in, of the others it is said', async () => {
		const its = await withBottles('A', 'B', 'C');
		const [here, there] = [v7(), v7()];
		await hear(its, begun(its, here, its.visits.slice(0, 1)));
		const { refused, known } = await hear(its, begun(its, there));
		expect(refused[0]!.why).toMatch(/^One of these bottles is in another box by now/);
		expect(known.boxes.map((b) => b.bottles.map(({ label }) => label))).toEqual([['A'], ['B', 'C']]);
	});

	it('that cannot be is refused by itself, with the reason; what comes after it is done', async () => {
		const its = await withBottles('A');
		const box = v7();
		const { refused, known } = await hear(
			its,
			word(box, { does: 'unpack' }),
			begun(its, box),
			word(box, { does: 'hand-over', courier: 'x', seal: '' }, now_ms - 30 * 60 * MINUTE_ms),
			word(box, { does: 'hand-over', courier: 'x', seal: '' }, now_ms + 60 * MINUTE_ms),
			word(box, { does: 'take-back' }),
			word(box, { does: 'pack', step: 'tape', isDone: true })
		);
		expect(refused.map((r) => r.why)).toEqual([
			expect.stringContaining('left already, or is gone'),
			expect.stringContaining('was filled after that'),
			expect.stringContaining('still to come'),
			'Nothing has been said of this box yet.'
		]);
		expect(known.boxes).toMatchObject([{ packed: ['tape'], handedOver_ms: null }]);
	});

	it('by one program touches no box and no bottle of another', async () => {
		const [its, others] = [await withBottles('A'), await withBottles('B')];
		const box = v7();
		await hear(its, begun(its, box));
		const { refused, known } = await hear(
			others,
			word(box, { does: 'unpack' }),
			word(v7(), { does: 'start', labId: others.labId, bottles: all(its.visits) }),
			word(v7(), { does: 'start', labId: its.labId, bottles: all(others.visits) })
		);
		expect(refused).toHaveLength(3);
		expect(known.boxes).toEqual([]);
		expect((await hear(its)).known.boxes.map((b) => b.id)).toEqual([box]);
	});

	it('that cannot be read is refused by itself too, and changes nothing', async () => {
		const its = await withBottles('A');
		const box = v7();
		const { refused, known } = await hear(
			its,
			begun(its, box),
			{ ...word(box, { does: 'unpack' }), does: 'burn' } as unknown as BoxWord,
			{ ...word(box, { does: 'unpack' }), box: 'x' },
			word(box, { does: 'pack', step: 'ice', isDone: true })
		);
		expect(refused.map((r) => r.why)).toEqual([
			expect.stringMatching(/^The server does not understand .* \(does: /),
			expect.stringMatching(/^The server does not understand .* \(box: /)
		]);
		expect(known.boxes).toMatchObject([{ id: box, packed: ['ice'] }]);
	});

	it('must be as a box takes it', () => {
		const why = (words: unknown) => BoxWords.safeParse({ words }).error?.issues[0]?.message;
		expect(why([{ does: 'unpack', id: 'x' }])).toBeDefined();
		expect(why(Array.from({ length: 201 }, () => word(v7(), { does: 'unpack' })))).toBe('at most 200 words at a time');
		expect(why('all')).toBeDefined();
	});
});

it('a phone and the server say alike which bottles wait', async () => {
	const its = await withBottles('A', 'B', 'C', 'D');
	const [plated, atLab, unfilled, left] = its.visits as [string, string, string, string];
	const line = (visitId: string, path: string, value: unknown) =>
		send(its.members.bench, [aDevice(its.members.bench, visitId)(path, value)]);
	await line(plated, 'plates/P1/bottle', 'nutrients');
	await line(atLab, 'bottles/nutrients/atLabAt', new Date(now_ms).toISOString());
	await send(its.members.coordinator, [aDevice(its.members.coordinator, unfilled)('bottles/spare/kind', 'nutrients')]);
	const onServer = (await bottlesToSend(db, its.programId, now_ms)).map((b) => `${b.visitId} ${b.id}`);
	const onPhone: string[] = [];
	for (const visitId of its.visits)
		onPhone.push(...bottlesWaiting(await sheetOf(visitId)).map((id) => `${visitId} ${id}`));
	expect(onServer.sort()).toEqual(onPhone.sort());
	expect(onServer.sort()).toEqual([`${unfilled} nutrients`, `${left} nutrients`].sort());
});

async function sheetOf(visitId: string): Promise<ReturnType<typeof fold>['sheet']> {
	const { rows } = await db.execute(sql`select sheet from visit where id = ${visitId}::uuid`);
	return rows[0]!.sheet as ReturnType<typeof fold>['sheet'];
}
const custodyOf = async (visitId: string) => (await sheetOf(visitId)).custody ?? {};
