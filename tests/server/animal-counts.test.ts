import { and, eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { CountMapping } from '../../src/lib/core/animal-counts';
import { shippedCards } from '../../src/lib/core/method';
import { isTool } from '../../src/lib/core/subjects/steps';
import { takeBackCounts } from '../../src/lib/server/animal-counts/take-back';
import { countMappingOf, lookAtCounts, takeCounts } from '../../src/lib/server/animal-counts/take';
import { traysOf } from '../../src/lib/server/animal-counts/trays';
import { database } from '../../src/lib/server/db/connect';
import { animalsOf } from '../../src/lib/server/db/queries/animals';
import { methodCard, methodCardVersion, program as programs, visit } from '../../src/lib/server/db/schema';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const db = database();
const DAY_ms = 86_400_000;
const sampled_ms = now_ms - 20 * DAY_ms;
const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);
const counting = shippedCards.find((c) => c.steps.some((s) => isTool(s, 'tray') && s.school === 'count'))!;
const step = counting.steps.find((s) => isTool(s, 'tray'))!.id;

/** A program whose crew took a sample twenty days ago and sorted nothing of it. */
async function withSample() {
	const program = await aProgram();
	const { programId, members } = program;
	const [cardId, cardVersionId] = [v7(), v7()];
	await db.insert(methodCard).values({ programId, id: cardId, code: counting.code });
	await db
		.insert(methodCardVersion)
		.values({ programId, id: cardVersionId, cardId, version: 1, body: counting, inUseSince: new Date(sampled_ms) });
	const visitId = v7();
	const write = aDevice(members.monitor, visitId, sampled_ms);
	const { refused } = await send(members.monitor, [
		write('opening', { ...anOpening(program, sampled_ms), cardVersionId })
	]);
	expect(refused).toEqual([]);
	const [own] = await db.select().from(programs).where(eq(programs.id, programId));
	return { program, visitId, cardVersionId, who: { ...members.coordinator, program: own! } };
}
type Sampled = Awaited<ReturnType<typeof withSample>>;

const rows = (...lines: string[]) => ['site,day,animal,how many', ...lines].join('\n');
const brought = (text: string, opensBy: string | null = null) => ({
	text,
	from: 'the May counts',
	mapping: CountMapping.parse({}),
	opensBy
});

async function looked({ who }: Sampled, text: string, opensBy: string | null = null) {
	const plan = await lookAtCounts(db, who, brought(text, opensBy), now_ms);
	if ('why' in plan) throw new Error(plan.why);
	return plan;
}
async function take(sampled: Sampled, text: string, opensBy: string | null = null) {
	const { fingerprint } = await looked(sampled, text, opensBy);
	return takeCounts(db, sampled.who, { ...brought(text, opensBy), confirmed: fingerprint }, now_ms);
}
const animals = ({ programId, siteId }: AProgram) => animalsOf(db, programId, siteId, false, 20);

describe('counts made elsewhere', () => {
	it('are written into the visit of their site and day, once, and can be struck', async () => {
		const sampled = await withSample();
		const text = rows(`s1,${day(sampled_ms)},Baetis rhodani,30`, `S1,${day(sampled_ms)},Asellidae,4`);
		expect(await take(sampled, text)).toEqual({ written: 1, animals: 34 });
		const [sampling] = await animals(sampled.program);
		expect(sampling).toMatchObject({ visitId: sampled.visitId, said: { animals: 34, richness: 2 } });
		expect((await traysOf(db, sampled.who))[0]).toMatchObject({ from: 'the May counts', kinds: { Baetidae: 30 } });
		// the same file again says nothing new
		expect((await looked(sampled, text)).samples[0]!.verdict).toBe('same');
		expect(await take(sampled, text)).toMatchObject({ why: expect.stringContaining('Nothing of this file') });

		const at = { visitId: sampled.visitId, step };
		expect(await takeBackCounts(db, sampled.who, at, now_ms)).toBe(true);
		expect(await animals(sampled.program)).toEqual([]);
		expect(await takeBackCounts(db, sampled.who, at, now_ms)).toBe(false);
		expect(await take(sampled, text)).toEqual({ written: 1, animals: 34 });
	});

	it('that are taken back leave what was tapped at the tray meanwhile', async () => {
		const sampled = await withSample();
		await take(sampled, rows(`S1,${day(sampled_ms)},Baetidae,30`));
		const { monitor } = sampled.program.members;
		const tap = aDevice(monitor, sampled.visitId, now_ms)(`tallies/${step}/taxa/Baetidae`, 1, { op: 'add' });
		expect((await send(monitor, [tap])).refused).toEqual([]);
		await takeBackCounts(db, sampled.who, { visitId: sampled.visitId, step }, now_ms);
		expect((await traysOf(db, sampled.who))[0]).toMatchObject({ from: null, kinds: { Baetidae: 1 } });
	});

	it('open a visit where the day has none and a card was chosen, one for each sample', async () => {
		const sampled = await withSample();
		const text = rows('S1,2025-10-14,Baetidae,30', 'S1,2024-10-14,Baetidae,20', 'S1,2025-10-14,Perlidae,2');
		expect((await looked(sampled, text)).samples.map((s) => s.verdict)).toEqual(['refused', 'refused']);
		expect(await take(sampled, text, sampled.cardVersionId)).toEqual({ written: 2, animals: 52 });
		const found = await animals(sampled.program);
		expect(found.map((s) => [day(s.started_ms), s.said.animals])).toEqual([
			['2024-10-14', 20],
			['2025-10-14', 32]
		]);
		expect((await looked(sampled, text, sampled.cardVersionId)).samples.map((s) => s.verdict)).toEqual([
			'same',
			'same'
		]);
	});

	it('are not written when something changed since they were looked at', async () => {
		const sampled = await withSample();
		const text = rows(`S1,${day(sampled_ms)},Baetidae,30`);
		const { fingerprint } = await looked(sampled, text);
		const two = await Promise.all(
			[1, 2].map(() => takeCounts(db, sampled.who, { ...brought(text), confirmed: fingerprint }, now_ms))
		);
		expect(two.filter((t) => 'written' in t)).toHaveLength(1);
		expect((await animals(sampled.program))[0]!.said.animals).toBe(30);
	});

	it('of names that nobody knows wait, the nearest offered; what was said of them is remembered', async () => {
		const sampled = await withSample();
		const text = rows(`S1,${day(sampled_ms)},Betidae,30`);
		const { strange, near } = await looked(sampled, text);
		expect(strange).toEqual(['Betidae']);
		expect(near['Betidae']![0]).toBe('Baetidae');
		const mapping = CountMapping.parse({ animals: { Betidae: 'Baetidae' } });
		const asked = { ...brought(text), mapping };
		const plan = await lookAtCounts(db, sampled.who, asked, now_ms);
		if ('why' in plan) throw new Error(plan.why);
		await takeCounts(db, sampled.who, { ...asked, confirmed: plan.fingerprint }, now_ms);
		expect((await countMappingOf(db, sampled.program.programId)).animals).toEqual({ Betidae: 'Baetidae' });
	});

	it('of another program find nothing here, and a card of another opens nothing', async () => {
		const [mine, theirs] = [await withSample(), await withSample()];
		const card = await lookAtCounts(
			db,
			mine.who,
			brought(rows('S1,2025-10-14,Baetidae,3'), theirs.cardVersionId),
			now_ms
		);
		expect(card).toMatchObject({ why: expect.stringContaining('Choose another') });
		expect(await takeBackCounts(db, mine.who, { visitId: theirs.visitId, step }, now_ms)).toBe(false);
		const visits = await db
			.select()
			.from(visit)
			.where(and(eq(visit.programId, mine.program.programId)));
		expect(visits).toHaveLength(1);
	});

	it.each([
		['nothing', '', 'no row'],
		['a broken quotation', 'site,day,animal,how many\n"S1,2025', 'no CSV'],
		[
			'another table',
			rows(...Array.from({ length: 61 }, (_, i) => `S1,2025-10-14,thing${'x'.repeat(i)},1`)),
			'no animals'
		]
	])('of a file with %s are refused in words', async (_, text, why) => {
		const sampled = await withSample();
		expect(await lookAtCounts(db, sampled.who, brought(text), now_ms)).toMatchObject({
			why: expect.stringContaining(why)
		});
	});
});
