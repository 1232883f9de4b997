import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { thresholdsOf } from '../../src/lib/server/db/queries/thresholds';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { drizzle } from 'drizzle-orm/node-postgres';
import { eq, sql } from 'drizzle-orm';
import pg from 'pg';
import { describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { database, migrateDatabase, type Db } from '../../src/lib/server/db/connect';
import { pointsOf } from '../../src/lib/server/db/queries/series';
import * as schema from '../../src/lib/server/db/schema';
import { entry, result, review } from '../../src/lib/server/db/schema';
import { bringOver } from '../../src/lib/server/projection/bring-over';
import { rebuildProgram } from '../../src/lib/server/projection/rebuild';
import { GET } from '../../src/routes/(office)/sites/results.csv/+server';
import { parse } from 'csv-parse/sync';
import { judge } from '../../src/lib/server/reviews/judge';
import { aDevice, anOpening, aProgram, now_ms, send, type AProgram } from './a-program';

const db = database();

/** A meter's oxygen and two titrations of the same water, far from each other. */
async function aVisit(program: AProgram): Promise<string> {
	const { monitor } = program.members;
	const visitId = v7({ msecs: now_ms });
	const write = aDevice(monitor, visitId);
	const titration = (n: number, drops: number) => [
		write(`titrations/${n}/drops`, drops),
		write(`titrations/${n}/mgLPerDrop`, 0.5)
	];
	const answer = await send(monitor, [
		write('opening', anOpening(program)),
		write('readings/dissolved-oxygen/left', { value: 10.8, unit: 'mg_L' }),
		...titration(1, 5),
		...titration(2, 6),
		write('leaving/at', new Date(now_ms).toISOString())
	]);
	expect(answer.refused).toEqual([]);
	return visitId;
}

const kept = (of: Db, programId: string) =>
	of
		.select({
			parameter: result.parameter,
			from: result.from,
			way: result.way,
			value: result.value,
			isReported: result.isReported,
			status: result.status
		})
		.from(result)
		.where(eq(result.programId, programId))
		.orderBy(result.at, result.parameter, result.from);

const drawn = async ({ programId, siteId }: AProgram) => {
	const span = { from: new Date(now_ms - 86_400_000), to: new Date(now_ms + 86_400_000) };
	return (await pointsOf(db, programId, siteId, 'dissolved-oxygen', span, false, 10)).map(({ way, value, status }) => ({
		way,
		value,
		status
	}));
};

describe('determinations', () => {
	it('are all kept; charts and exports have the reported one, and its way', async () => {
		const program = await aProgram();
		await aVisit(program);
		expect(await kept(db, program.programId)).toEqual([
			{
				parameter: 'dissolved-oxygen',
				from: 'readings.dissolved-oxygen',
				way: 'meter',
				value: 10.8,
				isReported: true,
				status: 'waiting'
			},
			{
				parameter: 'dissolved-oxygen',
				from: 'titrations',
				way: 'titration',
				value: 2.5,
				isReported: false,
				status: 'waiting'
			}
		]);
		expect(await drawn(program)).toEqual([{ way: 'meter', value: 10.8, status: 'waiting' }]);
	});

	it('are judged one by one; what was rejected gives way to the other', async () => {
		const program = await aProgram();
		const { reviewer } = program.members;
		const visitId = await aVisit(program);
		const said = { parameter: 'dissolved-oxygen', reason: 'the probe was dry' } as const;
		expect(
			await judge(
				db,
				reviewer,
				visitId,
				[{ ...said, from: 'readings.dissolved-oxygen', verdict: 'reject', judged: '10.8 mg/L' }],
				now_ms
			)
		).toEqual({
			ok: true
		});
		expect(
			await judge(
				db,
				reviewer,
				visitId,
				[{ ...said, from: 'titrations', verdict: 'accept', judged: '2.5 mg/L' }],
				now_ms
			)
		).toEqual({ ok: true });
		expect((await kept(db, program.programId)).map(({ way, isReported, status }) => [way, isReported, status])).toEqual(
			[
				['meter', false, 'rejected'],
				['titration', true, 'accepted']
			]
		);
		expect(await drawn(program)).toEqual([{ way: 'titration', value: 2.5, status: 'accepted' }]);
		expect(await db.select().from(review).where(eq(review.visitId, visitId)).orderBy(review.from)).toMatchObject([
			{ from: 'readings.dissolved-oxygen', verdict: 'reject' },
			{ from: 'titrations', verdict: 'accept' }
		]);
	});

	it('one is reported instead of another by a reviewer, with why, and by nobody else', async () => {
		const program = await aProgram();
		const { reviewer, monitor, bench } = program.members;
		const visitId = await aVisit(program);
		const wish = {
			parameter: 'dissolved-oxygen',
			from: 'titrations',
			reason: 'the membrane was torn',
			verdict: 'report'
		} as const;
		for (const other of [monitor, bench])
			expect(await judge(db, other, visitId, [wish], now_ms)).toMatchObject({ ok: false });
		expect(await judge(db, reviewer, visitId, [{ ...wish, from: 'plates' }], now_ms)).toMatchObject({
			ok: false,
			why: expect.stringMatching(/no such result/) as string
		});
		expect(await judge(db, reviewer, visitId, [wish], now_ms)).toEqual({ ok: true });
		expect(await drawn(program)).toEqual([{ way: 'titration', value: 2.5, status: 'waiting' }]);
		const before = await kept(db, program.programId);
		await rebuildProgram(db, program.programId, now_ms);
		expect(await kept(db, program.programId)).toEqual(before);
	});
});

describe('names of determinations', () => {
	it('are never cut: bottles whose long names differ at their end are kept apart, on the server too', async () => {
		const program = await aProgram();
		const { monitor, bench } = program.members;
		const visitId = v7({ msecs: now_ms });
		const write = aDevice(monitor, visitId);
		const long = (end: string) => `${'n'.repeat(63)}${end}`;
		const opened = await send(monitor, [
			write('opening', anOpening(program)),
			...['a', 'b'].map((end) => write(`bottles/${long(end)}/kind`, 'nutrients'))
		]);
		const lab = aDevice(bench, visitId, now_ms + 60_000);
		const found = await send(
			bench,
			['a', 'b'].map((end, i) => lab(`bottles/${long(end)}/results/nitrate`, { value: 1 + i, unit: 'mg_L_N' }))
		);
		expect([opened.refused, found.refused]).toEqual([[], []]);
		expect((await kept(db, program.programId)).map((d) => [d.from, d.value])).toEqual([
			[`bottles.${long('a')}`, 1],
			[`bottles.${long('b')}`, 2]
		]);
		const said = {
			parameter: 'nitrate',
			verdict: 'reject',
			reason: 'another bottle',
			judged: '2.00 mg/L as N'
		} as const;
		const answer = await judge(
			db,
			program.members.reviewer,
			visitId,
			[{ ...said, from: `bottles.${long('b')}` }],
			now_ms
		);
		expect(answer.ok || answer.why).toBe(true);
	});
});

describe('a database of the version before', () => {
	it('comes over: nothing of its logbook changes, its figures and words on them stand, and what was not kept is there', async () => {
		const here = new URL(process.env['DATABASE_URL']!);
		const name = `older_${Date.now().toString(36)}`;
		await db.execute(sql.raw(`create database ${name}`));
		const pool = new pg.Pool({ connectionString: Object.assign(new URL(here), { pathname: `/${name}` }).href, max: 4 });
		const folder = mkdtempSync(join(tmpdir(), 'older-'));
		try {
			cpSync('src/lib/server/db/migrations', folder, { recursive: true });
			const journal = JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8')) as {
				entries: { tag: string }[];
			};
			const until = journal.entries.findIndex((e) => e.tag === '0008_determinations');
			writeFileSync(
				join(folder, 'meta/_journal.json'),
				JSON.stringify({ ...journal, entries: journal.entries.slice(0, until) })
			);
			await migrateDatabase(pool, folder);
			await pool.query(readFileSync('tests/server/dumps/before-determinations.sql', 'utf8'));
			await pool.query(`insert into audit (program_id, id, at, by_member_id, what, row_id, before, after)
				select program_id, id, now(), id, 'sites', id, null, '{"code": "S1", "leave": "asked", "leaveUntil": "2026-06-01"}' from member limit 1`);
			await pool.query(`update program set settings = '{"thresholds": [{"parameter": "oxygen-saturation", "use": "fish", "source": "ours",
				"bands": [{"from": 0, "word": "starved", "state": "act"}, {"from": 60, "word": "low", "state": "watch"},
					{"from": 80, "word": "well supplied", "state": "good"}, {"from": 120, "word": "over full",
					"state": "watch"}]}]}'`);
			const older = drizzle(pool, { schema });
			const lines = await older.select().from(entry).orderBy(entry.seq);
			await migrateDatabase(pool, 'src/lib/server/db/migrations');
			expect(await bringOver(older, now_ms)).toBe(1);

			const { programId } = (await older.select().from(result).limit(1))[0]!;
			expect((await kept(older, programId)).map((r) => [r.parameter, r.way, r.value, r.isReported, r.status])).toEqual([
				['dissolved-oxygen', 'meter', 9.1, true, 'waiting'],
				['oxygen-saturation', 'derived', expect.any(Number), true, 'waiting'],
				['water-temperature', 'thermometer', 9, true, 'accepted'],
				['dissolved-oxygen', 'meter', 10.8, true, 'qualified'],
				['dissolved-oxygen', 'titration', 2.5, false, 'waiting'],
				['oxygen-saturation', 'derived', expect.any(Number), true, 'waiting'],
				['water-temperature', 'thermometer', 10, true, 'waiting']
			]);
			// what stood in the settings is on the shelf now
			expect((await thresholdsOf(older, programId))[0]).toMatchObject({
				use: 'fish',
				source: 'ours',
				bands: [
					{ from: 0, word: 'starved', state: 'act' },
					{ from: 60, word: 'low', state: 'watch' },
					{ from: 80, word: 'well supplied', state: 'good' },
					{ from: 120, word: 'over full', state: 'watch' }
				]
			});
			expect(await older.select({ settings: schema.program.settings }).from(schema.program)).toEqual([
				{ settings: {} }
			]);
			expect(await older.select().from(review)).toHaveLength(2);
			expect(await older.select().from(entry).orderBy(entry.seq)).toEqual(lines);
			expect(await bringOver(older, now_ms)).toBe(0);
			// a site's past is read by the names that its fields have now
			expect(await older.select({ before: schema.audit.before, after: schema.audit.after }).from(schema.audit)).toEqual(
				[{ before: null, after: { code: 'S1', permission: 'asked', permissionUntil: '2026-06-01' } }]
			);
		} finally {
			await pool.end();
			rmSync(folder, { recursive: true });
			await db.execute(sql.raw(`drop database ${name}`));
		}
	});
});

describe('all results as one file', () => {
	const fileFor = async (program: AProgram, who: keyof AProgram['members'], query = '', timeZone = 'Etc/UTC') => {
		const url = new URL(`http://here/sites/results.csv?${query}`);
		const member = { ...program.members[who], program: { timeZone } };
		const event = { locals: { member }, url } as unknown as Parameters<typeof GET>[0];
		const text = await (await GET(event)).text();
		return parse<Record<string, string>>(text, { columns: true, bom: true });
	};

	it('has a row for each that is reported, or for every one, with unit, way and what review said', async () => {
		const program = await aProgram();
		await aVisit(program);
		expect(await fileFor(program, 'coordinator')).toMatchObject([
			{
				site: 'S1',
				parameter_name: 'Dissolved oxygen',
				value: '10.8',
				unit: 'mg/L',
				found_by: 'meter',
				reported: 'yes'
			}
		]);
		const all = await fileFor(program, 'coordinator', 'which=all');
		expect(all.map((r) => [r['found_by'], r['value'], r['reported']])).toEqual([
			['meter', '10.8', 'yes'],
			['titration', '2.5', '']
		]);
		expect(await fileFor(program, 'coordinator', 'parameter=ph')).toEqual([]);
		expect(await fileFor(program, 'coordinator', 'site=S1&to=2026-05-13')).toEqual([]);
		expect(await fileFor(program, 'viewer', 'which=all')).toEqual([]); // nothing is accepted yet
	});

	it('counts days as the program does', async () => {
		const program = await aProgram();
		await aVisit(program); // 11:20 UTC on the 14th
		const on = async (day: string, timeZone: string) =>
			(await fileFor(program, 'coordinator', `from=${day}&to=${day}`, timeZone)).length;
		expect([await on('2026-05-14', 'Etc/UTC'), await on('2026-05-15', 'Etc/UTC')]).toEqual([1, 0]);
		expect(await on('2026-05-15', 'Pacific/Kiritimati')).toBe(1);
		expect(await on('2026-05-14', 'Pacific/Kiritimati')).toBe(0);
	});

	it('comes in pieces, each result once, and never another program’s', async () => {
		const program = await aProgram();
		await aVisit(await aProgram());
		const visitId = await aVisit(program);
		await db.execute(sql`
			insert into result (program_id, site_id, parameter, at, visit_id, comes_from, way, is_reported, value, unit,
			readings, source, basis, status)
			select ${program.programId}, ${program.siteId}, 'ph', to_timestamp(1700000000 + n % 7), ${visitId}, 'n' || n,
			'meter', false, n, 'pH', 1, 'field', '', 'waiting'
			from generate_series(1, 11000) n`);
		const values = (await fileFor(program, 'coordinator', 'which=all&parameter=ph')).map((r) => Number(r['value']));
		expect(values.length).toBe(11_000);
		expect(new Set(values).size).toBe(11_000);
	});

	it('asked for nonsense, it says what is wrong', async () => {
		const program = await aProgram();
		await expect(fileFor(program, 'coordinator', 'from=yesterday')).rejects.toMatchObject({ status: 400 });
		await expect(fileFor(program, 'coordinator', 'parameter=phlogiston')).rejects.toMatchObject({
			body: { message: 'parameter: not the name of a parameter' }
		});
	});
});
