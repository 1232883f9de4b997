import { and, eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { ReportMapping } from '../../src/lib/core/lab-report';
import { database } from '../../src/lib/server/db/connect';
import { wayPairs } from '../../src/lib/server/db/queries/ways-apart';
import { entry, flag, labReport, place, result } from '../../src/lib/server/db/schema';
import { dropReport, keepReport, reportOf, waitingReports } from '../../src/lib/server/lab/reports';
import { lookAtReport, reportMappingOf, takeReport, type Said } from '../../src/lib/server/lab/take';
import { rebuildProgram } from '../../src/lib/server/projection/rebuild';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const db = database();
const DAY_ms = 86_400_000;
const filled_ms = now_ms - 10 * DAY_ms;
const day = (days: number) => new Date(filled_ms + days * DAY_ms).toISOString().slice(0, 10);

/** A program whose crew filled bottles with these labels ten days ago, one visit each. */
async function withBottles(...labels: string[]) {
	const program = await aProgram();
	const { programId, members } = program;
	const visits: string[] = [];
	for (const label of labels) {
		const visitId = v7();
		visits.push(visitId);
		const write = aDevice(members.monitor, visitId, filled_ms);
		const { refused } = await send(members.monitor, [
			write('opening', anOpening(program, filled_ms)),
			write('bottles/nutrients/kind', 'nutrients'),
			write('bottles/nutrients/label', label),
			write('bottles/nutrients/filledAt', new Date(filled_ms).toISOString()),
			write('bottles/nutrients/preservedWith', 'sulphuric acid'),
			write('leaving/at', new Date(filled_ms + 3_600_000).toISOString())
		]);
		expect(refused).toEqual([]);
	}
	const labId = v7();
	await db.insert(place).values({ programId, id: labId, kind: 'lab', name: 'Millrace', latitude: 1, longitude: 1 });
	return { program, labId, visits };
}

const HEADINGS = 'Sample;Analyte;Result;Units;RL;Analysed';
const file = (...rows: string[]) => [HEADINGS, ...rows].join('\r\n');
const nothingSaid: Said = { mapping: ReportMapping.parse({}), corrections: {} };

async function brought({ program, labId }: { program: AProgram; labId: string }, content: string, name = '26-0117') {
	const kept = await keepReport(db, program.members.coordinator, { labId, name, content }, now_ms);
	if ('why' in kept) throw new Error(kept.why);
	return (await reportOf(db, program.programId, kept.id))!;
}

async function looked(program: AProgram, report: Awaited<ReturnType<typeof brought>>, said = nothingSaid) {
	const plan = await lookAtReport(db, program.programId, report, said, now_ms);
	if ('why' in plan) throw new Error(plan.why);
	return plan;
}

async function take(program: AProgram, report: Awaited<ReturnType<typeof brought>>, said = nothingSaid) {
	const { fingerprint } = await looked(program, report, said);
	return takeReport(db, program.members.bench, report.id, { ...said, confirmed: fingerprint }, now_ms);
}

const figuresOf = (programId: string) =>
	db
		.select({
			visitId: result.visitId,
			parameter: result.parameter,
			value: result.value,
			qualifier: result.qualifier,
			way: result.way,
			basis: result.basis,
			uncertainty: result.uncertainty
		})
		.from(result)
		.where(eq(result.programId, programId))
		.orderBy(result.parameter, result.visitId);

describe('a report of a lab', () => {
	it('is written only when it was looked at, and every figure stands with its visit', async () => {
		const its = await withBottles('S1-A-N', 'S1-B-N');
		const { program, visits } = its;
		const report = await brought(
			its,
			file(`S1-A-N;TP;84;µg/L;5;${day(4)}`, `S1-B-N;TP;<5;µg/L;5;${day(4)}`, `S1-A-N;NH4-N;0,12;mg/L;;${day(4)}`)
		);
		expect(await figuresOf(program.programId)).toEqual([]);
		expect(await waitingReports(db, program.programId)).toBe(1);
		expect(await take(program, report)).toEqual({ written: 3 });
		const [ammonium, first, second] = await figuresOf(program.programId);
		expect(ammonium).toMatchObject({ parameter: 'ammonium', value: 0.12, way: 'lab' });
		expect(first).toMatchObject({ visitId: visits[0], value: 0.084, qualifier: null });
		expect(first!.basis).toBe('Millrace, report 26-0117, bottle S1-A-N');
		expect(second).toMatchObject({ visitId: visits[1], value: 0.005, qualifier: 'below' });
		expect(await waitingReports(db, program.programId)).toBe(0);
	});

	it('is written once, and the same file is the same report', async () => {
		const its = await withBottles('S1-A-N');
		const content = file('S1-A-N;TP;0.08;mg/L;;');
		const report = await brought(its, content);
		expect((await brought(its, content)).id).toBe(report.id);
		expect(await take(its.program, report)).toEqual({ written: 1 });
		expect(await take(its.program, report)).toEqual({ why: 'The figures of this report have been written already.' });
		expect(await dropReport(db, its.program.programId, report.id)).toBe(false);
	});

	it('that changed under the eye is not written', async () => {
		const its = await withBottles('S1-A-N');
		const report = await brought(its, file('S1-A-N;TP;0.08;mg/L;;'));
		const stale = (await looked(its.program, report)).fingerprint;
		await take(its.program, await brought(its, file('S1-A-N;TP;0.09;mg/L;;'), 'other'));
		const said = { ...nothingSaid, confirmed: stale };
		expect(await takeReport(db, its.program.members.bench, report.id, said, now_ms)).toEqual({
			why: 'Something has changed since you looked. Nothing was written; look again.'
		});
	});

	it('that is corrected replaces its figure, and the earlier line stays readable', async () => {
		const its = await withBottles('S1-A-N');
		const { programId } = its.program;
		await take(its.program, await brought(its, file('S1-A-N;TP;0.08;mg/L;;')));
		const again = await brought(its, file('S1-A-N;TP;0.11;mg/L;;'), '26-0117, corrected');
		expect((await looked(its.program, again)).lines[0]).toMatchObject({ verdict: 'corrects', was: { value: 0.08 } });
		await take(its.program, again);
		expect(await figuresOf(programId)).toMatchObject([{ value: 0.11 }]);
		const lines = await db
			.select({ id: entry.id, was: entry.was })
			.from(entry)
			.where(and(eq(entry.programId, programId), eq(entry.path, 'bottles/nutrients/reports/total-phosphorus')))
			.orderBy(entry.at);
		expect(lines).toHaveLength(2);
		expect(lines[1]!.was).toBe(lines[0]!.id);
		expect(
			await db
				.select()
				.from(flag)
				.where(and(eq(flag.programId, programId), eq(flag.code, 'two-values')))
		).toEqual([]);
	});

	it('is remembered by its lab: what a word meant is not asked twice', async () => {
		const its = await withBottles('S1-A-N', 'S1-B-N');
		const strange = (row: string) => `Ref;What;Found;In;Remark\n${row}`;
		const report = await brought(its, strange('S1-A-N;P ges.;84;µg P/L;none'));
		const asked = await looked(its.program, report);
		expect(asked.missingFields).toEqual(['label', 'parameter', 'value', 'unit']);
		const mapping = ReportMapping.parse({
			headings: { Ref: 'label', What: 'parameter', Found: 'value', In: 'unit' },
			parameters: { 'P ges.': 'total-phosphorus' }
		});
		expect(await take(its.program, report, { mapping, corrections: {} })).toEqual({ written: 1 });
		const next = await brought(its, strange('S1-B-N;P ges.;91;µg P/L;none'), 'next');
		const known = await reportMappingOf(db, its.program.programId, its.labId);
		const plan = await looked(its.program, next, { mapping: known, corrections: {} });
		expect([plan.missingFields, plan.unknown, plan.strange]).toEqual([[], [], []]);
		expect(plan.lines[0]!.verdict).toBe('new');
	});

	it('with a misread label says which bottle it may be, the one that is missing first', async () => {
		const its = await withBottles('S1-260504-N', 'S2-260504-N', 'S3-260504-N');
		const report = await brought(
			its,
			file('S1-260504-N;TP;0.1;mg/L;;', 'S2-260540-N;TP;0.2;mg/L;;', 'XX-9;TP;1;mg/L;;')
		);
		const plan = await looked(its.program, report);
		expect(plan.near['S2-260540-N']![0]).toBe('S2-260504-N');
		expect(plan.near['XX-9']).toEqual([]);
		expect(plan.missing.map((m) => m.label).sort()).toEqual(['S2-260504-N', 'S3-260504-N']);
		const corrections = { 3: { label: 'S2-260504-N' } };
		expect(await take(its.program, report, { ...nothingSaid, corrections })).toEqual({ written: 2 });
		expect((await reportOf(db, its.program.programId, report.id))!.corrections).toEqual(corrections);
	});

	it('knows no bottle of another program', async () => {
		await withBottles('OTHER-N');
		const its = await withBottles('S1-A-N');
		const [line] = (await looked(its.program, await brought(its, file('OTHER-N;TP;0.1;mg/L;;')))).lines;
		expect(line).toMatchObject({ verdict: 'refused', isLabelUnknown: true });
		const theirs = await brought(its, file('S1-A-N;TP;0.1;mg/L;;'));
		const [stranger] = [(await withBottles('S9-N')).program];
		expect(await reportOf(db, stranger.programId, theirs.id)).toBeNull();
	});

	it('of a bottle that was analysed too late, or that cannot give it, is flagged with its visit', async () => {
		const its = await withBottles('S1-A-N');
		const report = await brought(its, file(`S1-A-N;TP;0.1;mg/L;;${day(45)}`, `S1-A-N;NO2-N;0.02;mg/L;;${day(2)}`));
		await take(its.program, report);
		const flags = await db.select({ code: flag.code }).from(flag).where(eq(flag.programId, its.program.programId));
		expect(flags.map((f) => f.code)).toEqual(expect.arrayContaining(['analysed-late', 'not-from-this-bottle']));
	});

	it('with a thousand labels that nobody knows writes nothing, and says so of each', async () => {
		const its = await withBottles('S1-A-N');
		const rows = Array.from({ length: 1000 }, (_, i) => `Q${i}-N;TP;0.1;mg/L;;`);
		const plan = await looked(its.program, await brought(its, file(...rows)));
		expect(plan.lines.every((l) => l.verdict === 'refused' && l.isLabelUnknown)).toBe(true);
		expect(Object.keys(plan.near)).toHaveLength(60);
	});

	it('is the same after everything is worked out anew', async () => {
		const its = await withBottles('S1-A-N');
		await take(its.program, await brought(its, file('S1-A-N;TP;0.08;mg/L;;')));
		const before = await figuresOf(its.program.programId);
		await rebuildProgram(db, its.program.programId, now_ms);
		expect(await figuresOf(its.program.programId)).toEqual(before);
	});

	it('that cannot be read says where', async () => {
		const its = await withBottles('S1-A-N');
		const why = async (content: string) => {
			const plan = await lookAtReport(db, its.program.programId, await brought(its, content), nothingSaid, now_ms);
			return 'why' in plan ? plan.why : null;
		};
		expect(await why(`${HEADINGS}\n"S1-A-N;TP;0.1`)).toContain('A quotation mark may not be closed');
		expect(await why(HEADINGS)).toBe('There is no row under the headings of this file.');
		expect(await keepReport(db, its.program.members.bench, { labId: v7(), name: 'x', content: 'x' }, now_ms)).toEqual({
			why: 'Say which lab it comes from.'
		});
		expect(await db.$count(labReport, eq(labReport.programId, its.program.programId))).toBe(2);
	});
});

describe('pairs of two ways', () => {
	it(
		'are those of one visit, held against the way that is reported first; limits and rejected ones prove ' + 'nothing',
		async () => {
			const its = await withBottles('S1-A-N');
			const { program, visits } = its;
			const write = aDevice(program.members.bench, visits[0]!, filled_ms + DAY_ms);
			const plate = (n: number, count: number) => [
				write(`plates/${n}/bottle`, 'nutrients'),
				write(`plates/${n}/volume_mL`, 2),
				write(`plates/${n}/pouredAt`, new Date(filled_ms).toISOString()),
				write(`plates/${n}/readAt`, new Date(filled_ms + 2 * DAY_ms).toISOString()),
				write(`plates/${n}/state`, 'counted'),
				write(`plates/${n}/count`, count)
			];
			await send(program.members.bench, [...plate(1, 20), ...plate(2, 24)]);
			await take(program, await brought(its, file('S1-A-N;E. coli;1000;MPN/100 mL;;')));
			// 44 colonies of 4 mL
			expect(await wayPairs(db, program.programId)).toMatchObject([
				{ parameter: 'e-coli', first: 'plates', second: 'lab', firstValue: 1100, secondValue: 1000, site: 'S1' }
			]);
			await take(program, await brought(its, file('S1-A-N;E. coli;>2420;MPN/100 mL;;'), 'corrected'));
			expect(await wayPairs(db, program.programId)).toEqual([]);
		}
	);
});
