import { and, eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { database } from '../../src/lib/server/db/connect';
import { programFacts } from '../../src/lib/server/db/queries/program-facts';
import { todayFor } from '../../src/lib/server/plan/today';
import { flag, result } from '../../src/lib/server/db/schema';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const db = database();
const HOUR_ms = 3_600_000;
const iso = (hours: number) => new Date(now_ms + hours * HOUR_ms).toISOString();

/** A bacteria bottle that was filled two hours ago, and the bench that pours it. */
async function aBottle(program: AProgram) {
	const { monitor, bench } = program.members;
	const visitId = v7();
	const filled = aDevice(monitor, visitId, now_ms - 3 * HOUR_ms);
	await send(monitor, [
		filled('opening', anOpening(program)),
		filled('bottles/b/kind', 'bacteria'),
		filled('bottles/b/label', 'S1-B'),
		filled('bottles/b/filledAt', iso(-2))
	]);
	return { visitId, pour: aDevice(bench, visitId), bench };
}

const pouredPlate = (pour: ReturnType<typeof aDevice>, id: string, more: Record<string, unknown> = {}) =>
	Object.entries({ bottle: 'b', volume_mL: 3, pouredAt: iso(0), ...more }).map(([key, value]) =>
		pour(`plates/${id}/${key}`, value)
	);

describe('plates at the bench', () => {
	it('take the bottle’s clock over, and stand on the agenda until they are read', async () => {
		const program = await aProgram();
		const { pour, bench } = await aBottle(program);
		const who = {
			...program.members.bench,
			program: { id: program.programId, name: '', timeZone: 'Etc/UTC', isDemo: false }
		};
		const before = (await programFacts(db, program.programId, now_ms)).clocks;
		expect(before).toMatchObject([{ kind: 'bacteria-holding', label: 'S1-B' }]);
		expect((await send(bench, pouredPlate(pour, 'P1'))).refused).toEqual([]);
		const facts = await programFacts(db, program.programId, now_ms);
		expect(facts.clocks).toMatchObject([
			{ kind: 'incubation', label: 'P1', due_ms: now_ms + 48 * HOUR_ms, last_ms: now_ms + 72 * HOUR_ms }
		]);
		const { items } = await todayFor(db, who, now_ms + 50 * HOUR_ms);
		expect(items.filter((i) => i.kind === 'plate')).toMatchObject([{ when: 'now' }]);
		await send(bench, [
			pour('plates/P1/readAt', iso(52)),
			pour('plates/P1/state', 'counted'),
			pour('plates/P1/count', 24)
		]);
		expect((await programFacts(db, program.programId, now_ms)).clocks).toEqual([]);
	});

	it('give the visit its figure, with its interval', async () => {
		const program = await aProgram();
		const { visitId, pour, bench } = await aBottle(program);
		await send(bench, [
			...pouredPlate(pour, 'P1', { readAt: iso(52), state: 'counted', count: 24 }),
			...pouredPlate(pour, 'P2', { volume_mL: 1, readAt: iso(52), state: 'counted', count: 9 })
		]);
		const [found] = await db
			.select()
			.from(result)
			.where(and(eq(result.programId, program.programId), eq(result.visitId, visitId)));
		expect(found).toMatchObject({ parameter: 'e-coli', value: 825, qualifier: null, source: 'lab' });
		expect(found!.uncertainty).toBeGreaterThan(250);
	});

	it('of a batch whose blank grew give none, and say so', async () => {
		const program = await aProgram();
		const { visitId, pour, bench } = await aBottle(program);
		await send(bench, [
			...pouredPlate(pour, 'P1', { state: 'counted', count: 24 }),
			...pouredPlate(pour, 'P0', { isBlank: true, state: 'counted', count: 2 })
		]);
		const of = { results: result, flags: flag };
		expect(
			await db
				.select()
				.from(of.results)
				.where(and(eq(result.programId, program.programId), eq(result.visitId, visitId)))
		).toEqual([]);
		const said = await db
			.select()
			.from(of.flags)
			.where(and(eq(flag.programId, program.programId), eq(flag.visitId, visitId)));
		expect(said.map((f) => f.code)).toContain('blank-grew');
	});

	it('are refused half a colony, a volume of nothing, and a state that is none, each with its place', async () => {
		const program = await aProgram();
		const { pour, bench } = await aBottle(program);
		const wrong = [
			pour('plates/P1/count', 2.5),
			pour('plates/P1/volume_mL', 0),
			pour('plates/P1/state', 'lively'),
			pour('plates/P1/colour', 'blue')
		];
		const { refused, accepted } = await send(bench, wrong);
		expect(accepted).toEqual([]);
		expect(refused.map((r) => r.path)).toEqual(wrong.map((w) => w.path));
		expect(refused.map((r) => r.why).join('; ')).toMatch(
			/whole.*not possible.*counted, too many, or spoiled.*no such place/
		);
	});
});
