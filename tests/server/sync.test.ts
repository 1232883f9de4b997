import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { database } from '../../src/lib/server/db/connect';
import { entry, flag, member, result, visit } from '../../src/lib/server/db/schema';
import { projectVisits } from '../../src/lib/server/projection/project';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

let program: AProgram;
let visitId: string;
beforeEach(async () => {
	program = await aProgram();
	visitId = v7();
});

const open = async (who = program.members.monitor) => {
	const write = aDevice(who, visitId);
	const answer = await send(who, [write('opening', anOpening(program))]);
	expect(answer.refused).toEqual([]);
	return write;
};
const worked = async () => {
	const db = database();
	return {
		visits: await db.select().from(visit).where(eq(visit.id, visitId)),
		results: await db.select().from(result).where(eq(result.visitId, visitId)),
		flags: await db.select().from(flag).where(eq(flag.visitId, visitId))
	};
};
const whyRefused = async (lines: unknown[], who = program.members.monitor) =>
	(await send(who, lines)).refused.map((r) => r.why).join('; ');

describe('what a phone hands in', () => {
	it('is kept, and comes to the others of its team but not to other teams', async () => {
		const write = await open();
		const depth = write('arrival/depth_m', 0.2);
		expect((await send(program.members.monitor, [depth])).accepted).toEqual([depth.id]);
		expect((await send(program.members.coordinator, [])).entries.map((e) => e.path)).toEqual([
			'opening',
			'arrival/depth_m'
		]);
		expect((await send(program.members.other, [])).entries).toEqual([]);
		expect((await send(program.members.viewer, [])).entries).toEqual([]);
	});

	it('may be handed in again, in part or whole: nothing changes', async () => {
		const write = await open();
		const lines = [write('arrival/depth_m', 0.2), write('arrival/velocity_m_s', 0.3)];
		await send(program.members.monitor, lines);
		const again = await send(program.members.monitor, [...lines, lines[0]]);
		expect([...again.accepted].sort()).toEqual(lines.map((l) => l.id).sort());
		expect(await database().select().from(entry).where(eq(entry.visitId, visitId))).toHaveLength(3);
	});

	it('is worked out as the logbook holds it, whether it is new, came again, or clashes with what is there', async () => {
		const write = await open();
		const first = write('readings/water-temperature/one', { value: 11.2, unit: 'degC' });
		const second = write('readings/water-temperature/two', { value: 11.4, unit: 'degC' });
		const depth = write('arrival/depth_m', 0.2);
		await send(program.members.monitor, [first, depth]);
		const told = await worked();
		expect(told.results).toMatchObject([{ parameter: 'water-temperature', value: 11.2, readings: 1 }]);
		const { refused } = await send(program.members.monitor, [first, { ...depth, value: 0.9 }, second]);
		expect(refused.map((r) => r.path)).toEqual(['arrival/depth_m']);
		const after = await worked();
		expect(after.visits[0]!.sheet).toMatchObject({ arrival: { depth_m: 0.2 } });
		expect(after.results).toMatchObject([{ value: 11.3, readings: 2 }]);
		for (const ids of [[], [visitId]]) {
			await projectVisits(database(), program.programId, ids, now_ms);
			expect(await worked()).toEqual(after);
		}
		await send(program.members.monitor, [first, second, depth]);
		expect(await worked()).toEqual(after);
	});

	it('goes on from the cursor', async () => {
		const write = await open();
		const { cursor } = await send(program.members.monitor, [write('arrival/depth_m', 0.2)]);
		const byOther = aDevice(program.members.coordinator, visitId)('arrival/velocity_m_s', 0.3);
		await send(program.members.coordinator, [byOther]);
		expect((await send(program.members.monitor, [], { since: cursor })).entries).toEqual([byOther]);
	});

	it('brings back what others wrote, and nothing of what it just handed in, new or again', async () => {
		const write = await open();
		const start = (await send(program.members.monitor, [])).cursor;
		const early = write('arrival/depth_m', 0.2);
		await send(program.members.monitor, [early]);
		const byOther = aDevice(program.members.coordinator, visitId)('arrival/velocity_m_s', 0.3);
		await send(program.members.coordinator, [byOther]);
		// the answer to the first was lost on the way
		const late = write('arrival/depth_m', 0.25);
		const answer = await send(program.members.monitor, [early, late], { since: start });
		expect(answer.accepted.toSorted()).toEqual([early.id, late.id].toSorted());
		expect(answer.entries).toEqual([byOther]);
		expect((await send(program.members.monitor, [], { since: answer.cursor })).entries).toEqual([]);
	});

	it('starts from the beginning when the cursor is another person’s', async () => {
		await open();
		const { cursor } = await send(program.members.coordinator, []);
		expect((await send(program.members.monitor, [], { since: cursor })).entries).toHaveLength(1);
	});
});

describe('what is refused, one by one, the rest being kept', () => {
	it.each<[string, string, unknown, RegExp]>([
		['a place that there is not', 'arrival/shoe_size', 44, /no such place/],
		['a value of another kind', 'arrival/depth_m', 'deep', /must be a number/],
		['a figure that no stream has', 'readings/water-temperature/main', { value: 112, unit: 'degC' }, /not possible/],
		[
			'a review by a monitor',
			'reviews/e-coli',
			{ verdict: 'accept', reason: '', judged: '1' },
			/as monitor you may not/
		]
	])('%s', async (_, path, value, why) => {
		const write = await open();
		const good = write('arrival/depth_m', 0.2);
		const answer = await send(program.members.monitor, [write(path, value), good]);
		expect(answer.accepted).toEqual([good.id]);
		expect(answer.refused).toEqual([{ id: expect.any(String), path, why: expect.stringMatching(why) }]);
	});

	it('things that are no entries at all', async () => {
		const answer = await send(program.members.monitor, [null, 7, 'x', { id: 'y' }]);
		expect(answer.refused).toHaveLength(4);
		expect(answer.refused[3]).toMatchObject({ id: 'y', path: null });
	});

	it('an entry that says someone else wrote it', async () => {
		const write = await open();
		expect(await whyRefused([write('arrival/depth_m', 0.2, { by: program.members.coordinator.id })])).toMatch(
			/someone else/
		);
	});

	it('another entry under an id that is taken', async () => {
		const write = await open();
		const first = write('arrival/depth_m', 0.2);
		await send(program.members.monitor, [first]);
		expect(await whyRefused([{ ...first, value: 0.9 }])).toMatch(/already/);
		expect(await database().select({ value: entry.value }).from(entry).where(eq(entry.id, first.id))).toEqual([
			{ value: 0.2 }
		]);
	});

	it('entries of another program’s visit, and openings at another program’s site', async () => {
		await open();
		const elsewhere = await aProgram();
		const stranger = elsewhere.members.coordinator;
		expect(await whyRefused([aDevice(stranger, visitId)('arrival/depth_m', 0.2)], stranger)).toMatch(/no such visit/);
		expect(await whyRefused([aDevice(stranger, v7())('opening', anOpening(program))], stranger)).toMatch(
			/not one of this program/
		);
	});

	it('a monitor’s line in another team’s visit', async () => {
		await open();
		expect(
			await whyRefused([aDevice(program.members.other, visitId)('arrival/depth_m', 0.2)], program.members.other)
		).toMatch(/may not write/);
	});
});

describe('a clock that is a year off', () => {
	it('is noted, said and flagged; the times stay as they were written', async () => {
		const ahead_ms = now_ms + 365 * 86_400_000;
		const write = aDevice(program.members.monitor, visitId, ahead_ms);
		const line = write('opening', anOpening(program));
		const answer = await send(program.members.monitor, [line], { deviceTime: new Date(ahead_ms).toISOString() });
		expect(answer.accepted).toEqual([line.id]);
		expect(answer.notes.join()).toMatch(/365 days ahead/);
		const [kept] = await database().select().from(entry).where(eq(entry.id, line.id));
		expect(kept?.at).toBe(line.at);
		expect(await database().select({ code: flag.code }).from(flag).where(eq(flag.visitId, visitId))).toContainEqual({
			code: 'clock-skew'
		});
	});
});

describe('a person who has left the program', () => {
	it('reads no more, but what was written before is taken', async () => {
		const write = await open();
		const before = write('arrival/depth_m', 0.2);
		const removedAt = new Date(now_ms + 60_000);
		await database().update(member).set({ removedAt }).where(eq(member.id, program.members.monitor.id));
		const gone = { ...program.members.monitor, removedAt };
		const after = aDevice(gone, visitId, now_ms + 120_000)('arrival/velocity_m_s', 0.3);
		const answer = await send(gone, [before, after]);
		expect(answer.accepted).toEqual([before.id]);
		expect(answer.refused[0]?.why).toMatch(/no longer belong/);
		expect(answer.entries).toEqual([]);
	});
});
