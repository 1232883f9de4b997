/* Whether a production install starts: what is built, and not one package of development. */
import { spawn } from 'node:child_process';
import { chmodSync, cpSync, mkdirSync, mkdtempSync, rmSync, symlinkSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { SOURCES } from './build.mjs';
import { freePort } from './cluster.mjs';
import { markInstalled } from './packages.mjs';
import { run } from './run.mjs';

/** Throws, with what was said, where it does not start, answer, and end when it is told to. */
export async function productionStarts(project) {
	const folder = mkdtempSync(join(tmpdir(), 'keen-riffle-production-'));
	chmodSync(folder, 0o755); // the database's own user comes in
	let child;
	try {
		await install(project, folder);
		const port = await freePort();
		child = spawn(process.execPath, ['scripts/start.mjs'], {
			cwd: folder,
			env: {
				PATH: process.env.PATH,
				HOME: process.env.HOME,
				PORT: String(port),
				ORIGIN: `http://127.0.0.1:${port}`,
				KEEN_RIFFLE_SECRET: 'a secret of the tests, long enough to be one',
				KEEN_RIFFLE_DATA: join(folder, 'data')
			}
		});
		let said = '';
		child.stdout.on('data', (part) => (said += part));
		child.stderr.on('data', (part) => (said += part));
		const ended = new Promise((done) => child.on('exit', (code) => done(code)));
		const isReady = new Promise((done) =>
			child.stdout.on('data', () => said.includes(`ready: http://127.0.0.1:${port}`) && done(true))
		);
		if (!(await Promise.race([isReady, ended.then(() => false)]))) throw new Error(`It did not start:\n${said}`);
		const answer = await fetch(`http://127.0.0.1:${port}/begin`);
		const page = await answer.text();
		child.kill('SIGTERM');
		await ended;
		if (answer.status !== 200 || !page.includes('Keen Riffle'))
			throw new Error(`It answered with ${answer.status}:\n${said}`);
	} finally {
		child?.kill('SIGTERM');
		rmSync(folder, { recursive: true, force: true });
	}
}

/** A folder as `npm ci --omit=dev` leaves it, the packages linked and not fetched again. */
async function install(project, folder) {
	for (const part of ['build', 'scripts', ...SOURCES])
		cpSync(join(project, part), join(folder, part), { recursive: true });
	const listed = await run('npm', ['ls', '--omit=dev', '--all', '--parseable'], { cwd: project });
	const modules = join(project, 'node_modules');
	const packages = listed
		.split('\n')
		.filter((path) => path.startsWith(modules))
		.map((path) => relative(modules, path))
		.filter((name) => !name.includes('node_modules'));
	for (const name of packages) {
		const link = join(folder, 'node_modules', name);
		mkdirSync(dirname(link), { recursive: true });
		symlinkSync(join(modules, name), link);
	}
	markInstalled(folder, { production: true });
}
