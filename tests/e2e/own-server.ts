import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { promisify } from 'node:util';
import { test as base, expect, request, type BrowserContext } from '@playwright/test';
import pg from 'pg';
import type { Role } from '../../src/lib/core/library';
import { pairOf } from './application';

type SignedIn = Awaited<ReturnType<BrowserContext['storageState']>>;

const inOurs = async (sql: string): Promise<void> => {
	const client = new pg.Client({ connectionString: process.env['DATABASE_URL']! });
	await client.connect();
	await client.query(sql).finally(() => client.end());
};

/** A second copy of the application, to be killed and started again, on the same database or on one of its own. */
export class OwnServer {
	#child: ChildProcess | null = null;
	/** The database that goes with it. */
	#own: string | null = null;
	private constructor(
		readonly port: number,
		readonly env: NodeJS.ProcessEnv
	) {}

	get url(): string {
		return `http://127.0.0.1:${this.port}`;
	}

	static async start(): Promise<OwnServer> {
		const server = new OwnServer(await freePort(), process.env);
		await server.start();
		return server;
	}

	/**
	 * On a database of its own, made ready before it starts: where something is done to the whole program, nobody else
	 * meets it. What runs it ends it.
	 */
	static async startOn(
		database: 'nothing at all' | 'the demo',
		makeReady?: (databaseUrl: string) => Promise<void>,
		more: NodeJS.ProcessEnv = {}
	): Promise<OwnServer> {
		const address = new URL(process.env['DATABASE_URL']!);
		const port = await freePort();
		const name = `own_${port}_${Date.now().toString(36)}`;
		address.pathname = name;
		const server = new OwnServer(port, { ...process.env, ...more, DATABASE_URL: address.href });
		server.#own = name;
		const template =
			database === 'the demo' ? new URL(process.env['DEMO_DATABASE_URL']!).pathname.slice(1) : 'template1';
		await inOurs(`create database ${name} template ${template}`);
		try {
			await makeReady?.(address.href);
			await server.start();
		} catch (error) {
			await server.end();
			throw error;
		}
		return server;
	}

	/** On a database in which there is nothing at all, not even a program. */
	static startEmpty = (): Promise<OwnServer> =>
		OwnServer.startOn('nothing at all', async (url) => {
			const env = { ...process.env, DATABASE_URL: url, ORIGIN: 'http://127.0.0.1' };
			await promisify(execFile)('node_modules/.bin/tsx', ['scripts/prepare-database.ts'], { env });
		});

	async start(): Promise<void> {
		const child = spawn(process.execPath, ['build'], {
			env: { ...this.env, PORT: String(this.port), ORIGIN: this.url, HOST: '127.0.0.1', NODE_ENV: 'production' },
			stdio: 'ignore'
		});
		this.#child = child;
		const answers = () => {
			if (child.exitCode !== null) throw new Error(`the server ended with ${child.exitCode}`);
			return fetch(`${this.url}/sign-in`).then(
				(r) => r.ok,
				() => false
			);
		};
		await expect.poll(answers, { intervals: [50] }).toBe(true);
	}

	/** As when the power goes: nothing is finished, nothing is said. */
	async kill(): Promise<void> {
		const child = this.#child;
		if (!child || child.exitCode !== null || child.signalCode !== null) return;
		const ended = new Promise((done) => child.once('exit', done));
		child.kill('SIGKILL');
		await ended;
	}

	async end(): Promise<void> {
		await this.kill();
		if (this.#own) await inOurs(`drop database if exists ${this.#own} with (force)`);
	}

	/** Somebody of the demo, signed in at this copy. */
	async signedIn(role: Role): Promise<SignedIn> {
		const { email, password } = pairOf(role);
		const api = await request.newContext({ baseURL: this.url });
		const answer = await api.post('/api/auth/sign-in/email', {
			data: { email, password },
			headers: { origin: this.url }
		});
		expect(answer.status()).toBe(200);
		const state = await api.storageState();
		await api.dispose();
		return state;
	}
}

const freePort = () =>
	new Promise<number>((resolve, reject) => {
		const probe = createServer();
		probe.on('error', reject);
		probe.listen(0, '127.0.0.1', () => {
			const { port } = probe.address() as AddressInfo;
			probe.close(() => resolve(port));
		});
	});

/** A test that has the whole demo to itself, with its coordinator signed in. */
export const testOnOwnDemo = base.extend<{ own: OwnServer }>({
	// eslint-disable-next-line no-empty-pattern -- how the runner is told that it needs nothing
	own: async ({}, use) => {
		const server = await OwnServer.startOn('the demo');
		await use(server);
		await server.end();
	},
	baseURL: ({ own }, use) => use(own.url),
	storageState: async ({ own }, use) => use(await own.signedIn('coordinator'))
});
