import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { kinds, lookupIn, writeRow } from '../../src/lib/core/library';
import { Satchel } from '../../src/lib/core/satchel';
import { database } from '../../src/lib/server/db/connect';
import { samplersOut } from '../../src/lib/server/db/queries/samplers';
import { sampler } from '../../src/lib/server/db/schema';
import { keepTexts } from '../../src/lib/server/library/keep';
import { loadLibrary } from '../../src/lib/server/library/load';
import { samplerTasksOf } from '../../src/lib/server/plan/season';
import { packSatchel } from '../../src/lib/server/sync/satchel';
import { aDevice, anOpening, aProgram, now_ms, send } from './a-program';

const db = database();
const samplers = kinds.find((k) => k.name === 'samplers')!;

/** A program with two samplers in the stream, and a hand that writes of them at a visit. */
async function withSamplers() {
	const program = await aProgram();
	const { programId, siteId, members } = program;
	await db.insert(sampler).values(
		['PS-1', 'PS-2'].map((code) => ({
			programId,
			id: v7(),
			code,
			siteId,
			kind: 'plate stack' as const,
			outOn: '2026-04-02'
		}))
	);
	const who = { ...members.monitor, program: { id: programId, name: 'T', timeZone: 'Etc/UTC', isDemo: false } };
	const write = aDevice(members.monitor, v7());
	const say = async (...lines: ReturnType<typeof write>[]) => {
		expect((await send(members.monitor, lines)).refused).toEqual([]);
	};
	await say(write('opening', anOpening(program)));
	return {
		write,
		say,
		out: async () => (await samplersOut(db, programId)).map((s) => s.code),
		tasks: async () => [...new Set((await samplerTasksOf(db, programId, [])).map((t) => t.samplerId))],
		liftedOn: async () =>
			Object.fromEntries(
				(await loadLibrary(db, programId)).samplers.map((r): [string, unknown] => [String(r['code']), r['liftedOn']])
			),
		setKind: async (code: string, kind: string) => {
			const library = await loadLibrary(db, programId);
			const row = library.samplers.find((r) => r['code'] === code)!;
			const texts = { ...writeRow(samplers, row, lookupIn(library)), kind };
			expect(await keepTexts(db, who, samplers, row.id, texts, now_ms)).toEqual({ ok: true, id: row.id });
		},
		packed: async () => Satchel.parse(await packSatchel(db, who, { now_ms, isFixed: true })).sites[0]!.samplers
	};
}

describe('samplers that stand in the stream', () => {
	it('go with every phone; one that a visit lifted is asked for no more, and the library says since when', async () => {
		const { write, say, out, tasks, liftedOn, packed, setKind } = await withSamplers();
		expect(await packed()).toEqual([
			{ code: 'PS-1', kind: 'plate stack', outOn: '2026-04-02' },
			{ code: 'PS-2', kind: 'plate stack', outOn: '2026-04-02' }
		]);
		await say(write('samplers/stack/code', 'PS-1'), write('samplers/stack/state', 'found'));
		expect(await out()).toEqual(['PS-1', 'PS-2']); // found, and not lifted yet
		const lifted = write('samplers/stack/liftedAt', new Date(now_ms).toISOString());
		await say(lifted);
		expect([await out(), await tasks()]).toEqual([['PS-2'], ['PS-2']]);
		expect(await liftedOn()).toEqual({ 'PS-1': '2026-05-14', 'PS-2': null });
		expect(await packed()).toHaveLength(1);
		// the library's form shows that day; kept for another reason, it does not write it down
		await setKind('PS-1', 'leaf bag');
		expect(await liftedOn()).toEqual({ 'PS-1': '2026-05-14', 'PS-2': null });
		// it was the other one after all
		await say(write('samplers/stack/liftedAt', 'a slip', { op: 'strike', was: lifted.id }));
		expect(await out()).toEqual(['PS-1', 'PS-2']);
	});

	it('that were lost are gone from the day of the visit', async () => {
		const { write, say, liftedOn } = await withSamplers();
		await say(write('samplers/stack/code', 'PS-2'), write('samplers/stack/state', 'lost'));
		expect(await liftedOn()).toEqual({ 'PS-1': null, 'PS-2': '2026-05-14' });
	});
});
