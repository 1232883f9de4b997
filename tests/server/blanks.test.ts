import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { database } from '../../src/lib/server/db/connect';
import { blankFigures, figuresUnder, usualOfBlanks } from '../../src/lib/server/db/queries/blank-figures';
import { visitFacts } from '../../src/lib/server/projection/facts';
import { aDevice, anOpening, aProgram, now_ms, send } from './a-program';

const db = database();
const HOUR_ms = 3_600_000;

/** A program with one visit whose bottles gave these figures of nitrite. */
async function withBottles(bottles: { role: string; kind?: string; figure: unknown }[]) {
	const program = await aProgram();
	const { members } = program;
	const visitId = v7();
	const write = aDevice(members.monitor, visitId, now_ms - 5 * HOUR_ms);
	const bench = aDevice(members.bench, visitId, now_ms - HOUR_ms);
	const field = bottles.flatMap(({ role, kind = 'nutrients' }, i) => [
		write(`bottles/b${i}/kind`, kind),
		write(`bottles/b${i}/role`, role),
		write(`bottles/b${i}/label`, `A1-260514-${i}`)
	]);
	const sent = [
		await send(members.monitor, [write('opening', anOpening(program, now_ms - 5 * HOUR_ms)), ...field]),
		await send(
			members.bench,
			bottles.map(({ figure }, i) => bench(`bottles/b${i}/results/nitrite`, figure))
		)
	];
	expect(sent.flatMap((s) => s.refused)).toEqual([]);
	return { ...program, visitId };
}

describe('figures of blanks', () => {
	it('are those of blank bottles, in the parameter’s unit; one under a limit has none', async () => {
		const { programId } = await withBottles([
			{ role: 'routine', figure: { value: 0.5, unit: 'mg_L_N' } },
			{ role: 'blank', figure: { value: 4, unit: 'ug_L_N' } },
			{ role: 'blank', figure: { below: 0.01, unit: 'mg_L_N' } },
			{ role: 'blank', figure: { above: 3, unit: 'mg_L_N' } }
		]);
		const found = await blankFigures(db, programId, {}, now_ms);
		expect(found.map((f) => f.value).sort()).toEqual([expect.closeTo(0.004, 9), null]);
		expect(new Set(found.map((f) => f.lab))).toEqual(new Set(['figures that were typed']));
		expect(await blankFigures(db, programId, {}, now_ms + 5 * 365 * 24 * HOUR_ms)).toEqual([]);
	});

	it('of other visits say what is usual; where one comes in, its visit is held against them', async () => {
		const figures = [0.002, 0.003, 0.004, 0.003, 0.002, 0.004, 0.003];
		const blanks = figures.map((value) => ({ role: 'blank', figure: { value, unit: 'mg_L_N' } }));
		const { programId, visitId, ...program } = await withBottles(blanks);
		const found = await blankFigures(db, programId, {}, now_ms);
		expect(usualOfBlanks(found, visitId)).toEqual([]);
		// mean 0.003, standard deviation √(4·10⁻⁶/6) = 0.000816, of which 1.645 above the mean 95 of 100 lie under
		const usual = [
			{ parameter: 'nitrite', lab: null, limit: expect.closeTo(0.003 + 1.645 * 8.165e-4, 5) as number, n: 7 }
		];
		expect(usualOfBlanks(found, v7())).toEqual(usual);
		const other = v7();
		const write = aDevice(program.members.monitor, other, now_ms - HOUR_ms);
		const sent = await send(program.members.monitor, [
			write('opening', anOpening({ programId, ...program }, now_ms - HOUR_ms)),
			write('bottles/k/role', 'blank')
		]);
		expect(sent.refused).toEqual([]);
		const [facts] = await visitFacts(db, programId, [other]);
		expect(facts!.blanksBefore).toEqual(usual);
	});

	it('are held against those of samples of the same program only', async () => {
		const its = await withBottles([{ role: 'routine', figure: { value: 0.05, unit: 'mg_L_N' } }]);
		const others = await withBottles([{ role: 'routine', figure: { value: 0.01, unit: 'mg_L_N' } }]);
		expect(await figuresUnder(db, its.programId, 'nitrite', 0.06)).toBe(1);
		expect(await figuresUnder(db, its.programId, 'nitrite', 0.05)).toBe(0);
		expect(await blankFigures(db, others.programId, {}, now_ms)).toEqual([]);
	});
});
