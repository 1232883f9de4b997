import { eq } from 'drizzle-orm';
import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { database } from '../../src/lib/server/db/connect';
import { vouchersOf } from '../../src/lib/server/db/queries/vouchers';
import { program as programs } from '../../src/lib/server/db/schema';
import { nameVoucher } from '../../src/lib/server/reviews/judge';
import { checksFor } from '../../src/lib/core/score-schemes';
import { checksOf } from '../../src/lib/server/vouchers/checked';
import { keepVoucher } from '../../src/lib/server/vouchers/keep';
import { aDevice, anOpening, aProgram, now_ms, send } from './a-program';

const db = database();
const DAY_ms = 86_400_000;

/** A program whose crew kept one lot a year and more ago. */
async function withLot(keptIn = 'ethanol', taxon = 'Baetidae') {
	const program = await aProgram();
	const { programId, members } = program;
	const kept_ms = now_ms - 400 * DAY_ms;
	const visitId = v7();
	const write = aDevice(members.monitor, visitId, kept_ms);
	const { refused } = await send(members.monitor, [
		write('opening', anOpening(program, kept_ms)),
		write('vouchers/v1/taxon', taxon),
		write('vouchers/v1/keptIn', keptIn),
		write('vouchers/v1/keptAt', new Date(kept_ms).toISOString())
	]);
	expect(refused).toEqual([]);
	const [own] = await db.select().from(programs).where(eq(programs.id, programId));
	const as = (role: keyof typeof members) => ({ ...members[role], program: own! });
	const at = { visitId, voucher: 'v1' };
	const lot = async () => (await vouchersOf(db, members.coordinator, 9))[0]!;
	return { at, as, lot, programId, sampler: members.monitor };
}

describe('the shelf of kept animals', () => {
	it('keeps the place, the ethanol and the loans of a lot, each the last that was said', async () => {
		const { at, as, lot } = await withLot();
		const bench = as('bench');
		for (const shelf of ['rack 1', 'rack 2'])
			expect(await keepVoucher(db, bench, at, { deed: 'place', shelf }, now_ms)).toBe(null);
		expect(await keepVoucher(db, bench, at, { deed: 'top-up' }, now_ms)).toBe(null);
		expect(await lot()).toMatchObject({ shelf: 'rack 2', toppedUpOn: '2026-05-14', loans: null });
		expect(await keepVoucher(db, bench, at, { deed: 'lend', to: 'a school' }, now_ms)).toBe(null);
		expect(await keepVoucher(db, bench, at, { deed: 'lend', to: 'a museum' }, now_ms)).toEqual({
			why: 'a school has it since 2026-05-14. Say first that it is back.'
		});
		expect(await keepVoucher(db, bench, at, { deed: 'take-back' }, now_ms + DAY_ms)).toBe(null);
		expect(Object.values((await lot()).loans!)).toEqual([
			{ to: 'a school', lentOn: '2026-05-14', backOn: '2026-05-15' }
		]);
		expect(await keepVoucher(db, bench, at, { deed: 'take-back' }, now_ms)).toMatchObject({
			why: expect.stringContaining('Nobody has it') as string
		});
	});

	it('tops up nothing that lies in no ethanol, and keeps nothing that is not there', async () => {
		const { at, as } = await withLot('dry');
		expect(await keepVoucher(db, as('bench'), at, { deed: 'top-up' }, now_ms)).toEqual({
			why: 'It lies in no ethanol.'
		});
		const gone = { why: 'This visit kept no such animals.' };
		expect(await keepVoucher(db, as('bench'), { ...at, voucher: 'v2' }, { deed: 'top-up' }, now_ms)).toEqual(gone);
		expect(await keepVoucher(db, as('bench'), { ...at, visitId: v7() }, { deed: 'top-up' }, now_ms)).toEqual(gone);
	});

	it('tells whose name was right and whose was not, and no phone carries whose', async () => {
		const { at, as, programId, sampler } = await withLot();
		expect(await checksOf(db, programId)).toEqual([]);
		const named = { voucher: at.voucher, taxon: 'Nemouridae' };
		expect(await nameVoucher(db, as('reviewer'), at.visitId, named, now_ms)).toEqual({ ok: true });
		const checked = { counted: 'Baetidae', is: 'Nemouridae' };
		expect(await checksOf(db, programId)).toEqual([{ ...checked, by: sampler.id }]);
		expect(checksFor(await checksOf(db, programId), [sampler.id])).toEqual([checked]);
		expect(checksFor(await checksOf(db, programId), ['another'])).toEqual([{ ...checked, isByOther: true }]);
		// who differ settle nothing
		expect((await nameVoucher(db, as('coordinator'), at.visitId, { ...named, taxon: 'Perlidae' }, now_ms)).ok).toBe(
			true
		);
		expect(await checksOf(db, programId)).toEqual([]);
	});

	it('counts no name as wrong where there was none', async () => {
		const { at, as, programId } = await withLot('ethanol', 'unknown-IQ-1');
		const named = { voucher: at.voucher, taxon: 'Nemouridae' };
		expect(await nameVoucher(db, as('reviewer'), at.visitId, named, now_ms)).toEqual({ ok: true });
		expect(await checksOf(db, programId)).toEqual([]);
	});

	it('is another program’s: its lots cannot be moved, nor by a reviewer’s hand', async () => {
		const [mine, theirs] = [await withLot(), await withLot()];
		expect(await keepVoucher(db, mine.as('coordinator'), theirs.at, { deed: 'top-up' }, now_ms)).not.toBe(null);
		expect(await keepVoucher(db, mine.as('reviewer'), mine.at, { deed: 'top-up' }, now_ms)).not.toBe(null);
		expect((await theirs.lot()).toppedUpOn).toBe(null);
	});
});
