import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { database } from '../../src/lib/server/db/connect';
import { entry, visit } from '../../src/lib/server/db/schema';
import { log } from '../../src/lib/server/log';
import { aDevice, anOpening, aProgram, send, type AProgram } from './a-program';

const BREAKS_m = 0.77;
/** Nothing known makes the arithmetic of a visit throw; here one depth does, as a mistake of ours might. */
vi.mock('../../src/lib/core/visit', async (load) => {
	const real = await load<typeof import('../../src/lib/core/visit')>();
	const evaluate: typeof real.evaluate = (folded, ...rest) => {
		if (folded.sheet.arrival?.depth_m === BREAKS_m) throw new Error('a mistake of ours');
		return real.evaluate(folded, ...rest);
	};
	return { ...real, evaluate };
});

let program: AProgram;
beforeEach(async () => {
	program = await aProgram();
	vi.spyOn(log, 'error').mockImplementation(() => undefined);
});

const kept = async (visitId: string) =>
	(await database().select({ path: entry.path }).from(entry).where(eq(entry.visitId, visitId))).map((e) => e.path);

describe('a line on which working the visit out breaks, while the lines are on their way to the database', () => {
	it('is refused alone; the others are kept once, and worked out', async () => {
		const [broken, whole] = [v7(), v7()];
		const [writeBroken, writeWhole] = [broken, whole].map((id) => aDevice(program.members.monitor, id));
		const opened = [broken, whole].map((id) => aDevice(program.members.monitor, id)('opening', anOpening(program)));
		expect((await send(program.members.monitor, opened)).refused).toEqual([]);
		const bad = writeBroken?.('arrival/depth_m', BREAKS_m);
		const good = [
			writeBroken?.('arrival/velocity_m_s', 0.3),
			writeWhole?.('readings/water-temperature/main', { value: 11.2, unit: 'degC' })
		];
		const answer = await send(program.members.monitor, [good[0], bad, good[1]]);
		expect(answer.refused).toMatchObject([
			{ id: bad?.id, why: expect.stringContaining('cannot take this line') as string }
		]);
		expect([...answer.accepted].sort()).toEqual(good.map((line) => line?.id).sort());
		expect(await kept(broken)).toEqual(['opening', 'arrival/velocity_m_s']);
		expect(await kept(whole)).toEqual(['opening', 'readings/water-temperature/main']);
		const [sheet] = await database().select().from(visit).where(eq(visit.id, whole));
		expect(sheet?.sheet).toMatchObject({ readings: { 'water-temperature': { main: { value: 11.2 } } } });
		expect(log.error).toHaveBeenCalledOnce();
	});
});
