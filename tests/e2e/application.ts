import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { promisify } from 'node:util';
import pg from 'pg';
import type { Page } from '@playwright/test';
import { DEMO_PASSWORD, emailOf, people } from '../../src/lib/server/demo/people';
import type { Role } from '../../src/lib/core/library';

/** Where the signed-in state of one person of each role is kept for the run. */
export const signedIn = (who: Role): string => `test-results/signed-in-${who}.json`;

const personOf = (role: Role) => people.find((p) => p.role === role)!;
export const pairOf = (role: Role) => ({
	email: emailOf(personOf(role)),
	password: DEMO_PASSWORD,
	name: personOf(role).name
});
export const roles: readonly Role[] = ['coordinator', 'monitor', 'reviewer', 'bench', 'viewer'];

/** A second copy of the application on the same database, to be killed and started again. */
export class OwnServer {
	#child: ChildProcess | null = null;
	private constructor(
		readonly port: number,
		readonly env: NodeJS.ProcessEnv
	) {}

	get url(): string {
		return `http://127.0.0.1:${this.port}`;
	}

	static async start(env: NodeJS.ProcessEnv = process.env): Promise<OwnServer> {
		const server = new OwnServer(await freePort(), env);
		await server.start();
		return server;
	}

	/** On a database in which there is nothing at all, not even a program. */
	static async startEmpty(): Promise<OwnServer> {
		const address = new URL(process.env['DATABASE_URL']!);
		const name = `empty_${Date.now().toString(36)}`;
		const client = new pg.Client({ connectionString: address.href });
		await client.connect();
		await client.query(`create database ${name}`);
		await client.end();
		address.pathname = name;
		const env = { ...process.env, DATABASE_URL: address.href };
		await promisify(execFile)('node_modules/.bin/tsx', ['scripts/prepare-database.ts'], {
			env: { ...env, ORIGIN: 'http://127.0.0.1' }
		});
		return OwnServer.start(env);
	}

	async start(): Promise<void> {
		this.#child = spawn(process.execPath, ['build'], {
			env: { ...this.env, PORT: String(this.port), ORIGIN: this.url },
			stdio: 'ignore'
		});
		for (let answered = false; !answered;) {
			answered = await fetch(`${this.url}/sign-in`).then(
				(r) => r.ok,
				() => false
			);
			if (this.#child.exitCode !== null) throw new Error(`the server ended with ${this.#child.exitCode}`);
		}
	}

	/** As when the power goes: nothing is finished, nothing is said. */
	async kill(): Promise<void> {
		const child = this.#child;
		if (!child || child.exitCode !== null || child.signalCode !== null) return;
		const ended = new Promise((done) => child.once('exit', done));
		child.kill('SIGKILL');
		await ended;
	}
}

const freePort = (): Promise<number> =>
	new Promise((resolve, reject) => {
		const probe = createServer();
		probe.on('error', reject);
		probe.listen(0, '127.0.0.1', () => {
			const address = probe.address();
			probe.close(() =>
				typeof address === 'object' && address ? resolve(address.port) : reject(new Error('no port'))
			);
		});
	});

/** The field app is packed and can start with no network: the worker is in charge and the satchel is there. */
export async function packField(page: Page, base = ''): Promise<void> {
	await page.goto(`${base}/sample`);
	await page.getByText(/^Packed /).waitFor();
	await page.evaluate(async () => {
		await navigator.serviceWorker.ready;
	});
}

/** Types one figure and keeps it, as a wet thumb would with a keyboard at hand. */
export async function keep(page: Page, text: string): Promise<void> {
	await page.keyboard.type(text);
	await page.keyboard.press('Enter');
}

export const goOn = (page: Page) => page.getByRole('link', { name: /^Go on/ }).click();

/** Types into the only or first figure of the step. */
export async function read(page: Page, heading: string, ...texts: string[]): Promise<void> {
	await page.getByRole('heading', { name: heading }).waitFor();
	await page.locator('.slots input').first().focus();
	for (const text of texts) await keep(page, text);
}
