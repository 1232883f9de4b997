import { RULES_VERSION } from '../../src/lib/server/db/schema';
import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrateDatabase } from '../../src/lib/server/db/connect';

/* A database of its own for each side: others write into the common one while this compares. */

const here = new URL(process.env['DATABASE_URL']!);
const at = (name: string) => Object.assign(new URL(here), { pathname: `/${name}` }).href;
const mark = Date.now().toString(36);
const [source, target] = [`backup_from_${mark}`, `backup_to_${mark}`];
const folder = mkdtempSync(join(tmpdir(), 'backup-'));
const file = join(folder, 'all.backup');
const command = (script: string, database: string, name = file) =>
	promisify(execFile)(process.execPath, [`scripts/${script}.mjs`, name], {
		env: { ...process.env, DATABASE_URL: at(database) }
	});
const refusal = (script: string, database: string, name = file) =>
	command(script, database, name).then(
		() => 'it ended well',
		(error: unknown) => {
			const { code, stderr } = error as { code: number; stderr: string };
			return `${code} ${stderr}`;
		}
	);

async function on<T>(database: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
	const client = new pg.Client({ connectionString: at(database) });
	await client.connect();
	try {
		return await work(client);
	} finally {
		await client.end();
	}
}

beforeAll(async () => {
	await on(here.pathname.slice(1), async (c) => {
		await c.query(`create database ${source}`);
		await c.query(`create database ${target}`);
	});
	const pool = new pg.Pool({ connectionString: at(source), max: 1 });
	await migrateDatabase(pool, 'src/lib/server/db/migrations');
	await pool.end();
	await on(source, async (c) => {
		const id = '01890000-0000-7000-8000-000000000001';
		await c.query(
			`insert into program (worked_out_by, id, code, name, time_zone, settings)
			values (${RULES_VERSION}, '${id}', 'a', 'Streams with “signs”', 'Etc/UTC', '{"thresholds": []}')`
		);
		await c.query(`insert into logbook_tip (program_id, last_seq) values ('${id}', 0)`);
		await c.query(`insert into "user" (id, name, email) values ('u', 'Ina', 'ina@weir.invalid')`);
		await c.query(
			`insert into member (program_id, id, user_id, role, name, initials)
			values ('${id}', '${id}', 'u', 'coordinator', 'Ina', 'IW')`
		);
		await c.query(`insert into stream (program_id, id, name, length_km) values ('${id}', '${id}', 'Stream', 0.1)`);
		await c.query(
			`insert into site (program_id, id, stream_id, code, name, about, hazards, river_km, elevation_m, latitude,
			longitude) values ('${id}', '${id}', '${id}', 'S1', 'Site', '', '', 0, 1.5, 0.1, 1e-9)`
		);
		await c.query(`insert into method_card (program_id, id, code) values ('${id}', '${id}', 'card')`);
		await c.query(
			`insert into method_card_version (program_id, id, card_id, version, body, in_use_since)
			values ('${id}', '${id}', '${id}', 1, '{"steps": [], "rules": []}', now())`
		);
		await c.query(
			`insert into visit (program_id, id, site_id, card_version_id, opened_by, started_at)
			values ('${id}', '${id}', '${id}', '${id}', '${id}', '2026-05-14T11:20:00.123456Z')`
		);
		await c.query(
			'insert into photo (program_id, sha256, visit_id, media_type, bytes, content, received_at) values ($1, $2, $1, ' +
				'$3, 4, $4, now())',
			[id, '0'.repeat(64), 'image/png', Buffer.from([0x89, 0, 0xff, 10])]
		);
	});
});
afterAll(async () => {
	rmSync(folder, { recursive: true, force: true });
	await on(here.pathname.slice(1), async (c) => {
		for (const name of [source, target]) await c.query(`drop database if exists ${name} with (force)`);
	});
});

/** Every table of a database with all its rows, as text. */
const contents = (database: string) =>
	on(database, async (c) => {
		const { rows: tables } = await c.query<{ name: string }>(
			`select format('%I.%I', schemaname, tablename) as name from pg_tables
			where schemaname not in ('pg_catalog', 'information_schema') order by 1`
		);
		const all: Record<string, string[]> = {};
		for (const { name } of tables)
			all[name] = (await c.query<{ row: string }>(`select t::text as row from ${name} t order by 1`)).rows.map(
				(r) => r.row
			);
		return all;
	});

describe('a backup', () => {
	it(
		'taken while somebody writes is of one moment, and brings every table back to the row',
		{ timeout: 60_000 },
		async () => {
			let isWriting = true;
			const writer = on(source, async (c) => {
				for (let seq = 1; isWriting && seq < 5000; seq++) {
					await c.query('begin');
					await c.query('update logbook_tip set last_seq = $1', [seq]);
					await c.query(
						`insert into entry (program_id, id, seq, visit_id, at, by_member_id, device, path, op, value, received_at)
					select program_id, gen_random_uuid(), $1, id, 'x', opened_by, 'd', 'remarks/r', 'set', '"ü"', now()
					from visit`,
						[seq]
					);
					await c.query('commit');
				}
			});
			await command('backup', source);
			isWriting = false;
			await writer;
			await command('restore', target);
			const brought = await on(
				target,
				async (c) =>
					(
						await c.query<{ tip: string; last: string }>(
							'select (select last_seq from logbook_tip) as tip, (select coalesce(max(seq), 0) from entry) as last'
						)
					).rows[0]!
			);
			expect(brought.tip).toBe(brought.last);
			const there = await on(
				source,
				async (c) =>
					(await c.query<{ n: string }>('select count(*) as n from entry where seq <= $1', [brought.tip])).rows[0]!.n
			);
			expect(there).toBe(brought.last);
			const [before, after] = [await contents(source), await contents(target)];
			expect(Object.keys(after)).toEqual(Object.keys(before));
			const moving = ['public.entry', 'public.logbook_tip'];
			for (const [table, rows] of Object.entries(before))
				if (!moving.includes(table)) expect([table, after[table]]).toEqual([table, rows]);
			for (const row of after['public.entry']!) expect(before['public.entry']).toContain(row);
		}
	);

	it('is not restored over what is there, and not written over a file', { timeout: 60_000 }, async () => {
		expect(await refusal('restore', target)).toMatch(/^1[\s\S]*restored into an empty one/);
		expect(await refusal('backup', source)).toMatch(/^1[\s\S]*left as it is/);
	});

	it('that is broken is refused before anything is written', { timeout: 60_000 }, async () => {
		const whole = readFileSync(file);
		const broken = join(folder, 'broken.backup');
		writeFileSync(broken, whole.subarray(0, Math.floor(whole.length / 2)));
		expect(await refusal('restore', target, broken)).toMatch(/^1[\s\S]*Reading the backup/);
	});
});
