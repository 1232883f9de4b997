import { expect, test } from '@playwright/test';
import { hashPassword } from 'better-auth/crypto';
import pg from 'pg';
import { v7 } from 'uuid';
import { tick, type Entry } from '../../src/lib/core/logbook';
import { streamVisit } from '../../src/lib/core/method';
import type { Satchel } from '../../src/lib/core/satchel';
import { seeded } from '../../src/lib/core/statistics';
import { migrateDatabase } from '../../src/lib/server/db/connect';
import { OwnServer } from './own-server';

/*
 * Several phones write while connections are cut, answers are lost, the same lines are sent twice at once, the
 * database drops connections, and the application is killed and started again. At the end every line that was written
 * is in the logbook, once.
 */

const DEVICES = 6;
const LINES_A_DEVICE = 90;
const KILLS = 4;
const chance = seeded(20_261);
const maybe = (share: number) => chance.uniform() < share;

interface Device {
	cookie: string;
	by: string;
	visitId: string;
	last: string | null;
	cursor: string | null;
	queue: Entry[];
	written: string[];
}

test('nothing is lost and nothing doubled, whatever breaks', async () => {
	test.setTimeout(180_000);
	let signIns: string[] = [];
	const application = await OwnServer.startOn(
		'nothing at all',
		async (url) => void (signIns = await aProgramWithPasswords(url)),
		{ PGAPPNAME: 'campaign' }
	);
	const pool = new pg.Pool({ connectionString: application.env['DATABASE_URL']!, max: 2 });
	try {
		const devices: Device[] = [];
		for (let i = 0; i < DEVICES; i++) devices.push(await aPhone(application.url, signIns[i % signIns.length]!));
		let turns = 0;
		let kills = 0;
		while (devices.some((d) => d.written.length < LINES_A_DEVICE || d.queue.length > 0)) {
			turns++;
			expect(turns).toBeLessThan(2000);
			for (const device of devices)
				if (device.written.length < LINES_A_DEVICE) write(device, 1 + Math.floor(chance.uniform() * 8));
			const exchanges = devices.filter((d) => d.queue.length > 0).map((d) => exchange(application.url, d));
			if (kills < KILLS && turns % 4 === 0) {
				kills++;
				await application.kill();
				await application.start();
			} else if (turns % 5 === 0)
				await pool.query(
					`select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database()
					and application_name = 'campaign' and state <> 'idle'`
				);
			await Promise.all(exchanges);
		}
		expect(kills).toBe(KILLS);
		for (const device of devices) {
			const { rows } = await pool.query<{ id: string; n: string }>(
				'select id, count(*) as n from entry where visit_id = $1 group by id',
				[device.visitId]
			);
			expect(rows.every((r) => r.n === '1')).toBe(true);
			expect(rows.map((r) => r.id).sort()).toEqual([...device.written].sort());
		}
		const { rows } = await pool.query<{ twice: string }>(
			'select count(*) - count(distinct (program_id, seq)) as twice from entry'
		);
		expect(rows[0]!.twice).toBe('0');
	} finally {
		await pool.end();
		await application.end();
	}
});

const PASSWORD = 'heron under wet bridge';

/** A small program in it, and the e-mails of three people who can sign in. */
async function aProgramWithPasswords(databaseUrl: string): Promise<string[]> {
	const pool = new pg.Pool({ connectionString: databaseUrl, max: 1 });
	await migrateDatabase(pool, 'src/lib/server/db/migrations');
	const [program, site, stream, card, version, team] = Array.from({ length: 6 }, () => v7());
	await pool.query(
		`insert into program (id, code, name, time_zone, settings)
		values ($1, 'c', 'Campaign', 'Etc/UTC', '{"thresholds": []}')`,
		[program]
	);
	await pool.query('insert into logbook_tip (program_id) values ($1)', [program]);
	await pool.query(`insert into team (program_id, id, name) values ($1, $2, 'team')`, [program, team]);
	await pool.query(`insert into stream (program_id, id, name, length_km) values ($1, $2, 'Stream', 9)`, [
		program,
		stream
	]);
	await pool.query(
		`insert into site (program_id, id, stream_id, code, name, about, hazards, river_km, elevation_m, latitude,
		longitude) values ($1, $2, $3, 'S1', 'Site 1', '', '', 2, 200, 0, 0)`,
		[program, site, stream]
	);
	await pool.query(`insert into method_card (program_id, id, code) values ($1, $2, 'stream-visit')`, [program, card]);
	await pool.query(
		'insert into method_card_version (program_id, id, card_id, version, body, in_use_since) values ($1, $2, $3, 1, ' +
			'$4, now())',
		[program, version, card, JSON.stringify(streamVisit)]
	);
	const emails: string[] = [];
	for (const [i, role] of ['monitor', 'coordinator', 'monitor'].entries()) {
		const [userId, email] = [v7(), `phone-${i}@campaign.invalid`];
		await pool.query('insert into "user" (id, name, email) values ($1, $2, $3)', [userId, role, email]);
		await pool.query(
			`insert into account (id, user_id, provider_id, account_id, password) values ($1, $2, 'credential', $2, $3)`,
			[v7(), userId, await hashPassword(PASSWORD)]
		);
		await pool.query(
			'insert into member (program_id, id, user_id, role, name, initials, team_id) values ($1, $2, $3, $4, $5, $6, $7)',
			[program, v7(), userId, role, role, `P${i}`, team]
		);
		emails.push(email);
	}
	await pool.end();
	return emails;
}

async function aPhone(url: string, email: string): Promise<Device> {
	const answer = await fetch(`${url}/api/auth/sign-in/email`, {
		method: 'POST',
		headers: { 'content-type': 'application/json', origin: url },
		body: JSON.stringify({ email, password: PASSWORD })
	});
	expect(answer.status).toBe(200);
	const cookie = answer.headers
		.getSetCookie()
		.map((line) => line.split(';')[0])
		.join('; ');
	const satchel = (await (await fetch(`${url}/api/satchel`, { headers: { cookie } })).json()) as Satchel;
	const device: Device = {
		cookie,
		by: satchel.member.id,
		visitId: v7(),
		last: null,
		cursor: satchel.cursor,
		queue: [],
		written: []
	};
	const startedAt = new Date(Date.parse(satchel.packedAt)).toISOString();
	line(device, 'opening', {
		siteId: satchel.sites[0]!.id,
		cardVersionId: satchel.cards.find((c) => c.inUse)!.id,
		startedAt
	});
	return device;
}

function line(device: Device, path: string, value: unknown): void {
	device.last = tick(device.last, Date.UTC(2026, 4, 14, 11, 20) + device.written.length * 1000);
	const entry: Entry = {
		id: v7(),
		visitId: device.visitId,
		at: device.last,
		by: device.by,
		device: `phone ${device.visitId.slice(-4)}`,
		path,
		op: 'set',
		value,
		was: null
	};
	device.queue.push(entry);
	device.written.push(entry.id);
}

const write = (device: Device, count: number) => {
	for (let i = 0; i < count; i++)
		line(device, `readings/water-temperature/s${device.written.length}`, {
			value: Number((5 + 10 * chance.uniform()).toFixed(1)),
			unit: 'degC'
		});
};

/** One try of a phone: what was said to be taken leaves its queue, whatever else happened. */
async function exchange(url: string, device: Device): Promise<void> {
	const sent = device.queue.slice(0, 40);
	const body = JSON.stringify({ since: device.cursor, entries: sent });
	const tries = maybe(0.25) ? 2 : 1; // the same lines twice at once
	const isCut = maybe(0.3);
	await Promise.all(
		Array.from({ length: tries }, async () => {
			const cut = new AbortController();
			const answer = fetch(`${url}/api/sync`, {
				method: 'POST',
				headers: { cookie: device.cookie, 'content-type': 'application/json' },
				body,
				signal: cut.signal
			});
			// the request is on its way, and its answer never comes
			if (isCut) setImmediate(() => cut.abort());
			const said = await answer
				.then(
					async (r) =>
						r.ok ? ((await r.json()) as { accepted: string[]; refused: { why: string }[]; cursor: string }) : null,
					() => null
				)
				.catch(() => null);
			if (said === null) return;
			expect(said.refused).toEqual([]);
			const taken = new Set(said.accepted);
			device.queue = device.queue.filter((e) => !taken.has(e.id));
			device.cursor = said.cursor;
		})
	);
}
