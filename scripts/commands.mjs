/* What the commands share: getting everything ready, and serving. */
import { spawn } from 'node:child_process';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildIfStale, isBuilt } from './build.mjs';
import { runningCluster, startCluster } from './cluster.mjs';
import { dataFolder, keptSecret, takeFolder } from './data-folder.mjs';
import { checkNode, debianPackages, nodeModules } from './packages.mjs';
import { run } from './run.mjs';

export const project = resolve(dirname(fileURLToPath(import.meta.url)), '..');
export const bin = (name) => join(project, 'node_modules', '.bin', name);

/**
 * Everything on the machine that the application needs; `also` names further Debian packages. In production a build
 * that is there needs no package of development.
 */
export async function readyMachine({ also = [], production = false } = {}) {
	checkNode();
	await debianPackages(['postgresql', ...also]);
	await nodeModules(project, { production: production && isBuilt(project) });
}

/** The database: the one of DATABASE_URL, or the private one of the data folder. */
export async function readyDatabase({ folderName, database, like, quiet, fresh } = {}) {
	const folder = await dataFolder(project, folderName);
	if (process.env.DATABASE_URL) return { folder, url: process.env.DATABASE_URL, release: async () => undefined };
	const letGo = takeFolder(folder);
	try {
		const cluster = await startCluster(folder, { database, like, quiet, fresh });
		return {
			folder,
			url: cluster.url,
			release: async () => {
				await cluster.stop();
				letGo();
			}
		};
	} catch (error) {
		letGo();
		throw error;
	}
}

/**
 * The database as it is now: that of DATABASE_URL, or the private one, which is borrowed where it runs and started
 * where it does not.
 */
export async function databaseAsItIs() {
	if (!process.env.DATABASE_URL) {
		const url = await runningCluster(await dataFolder(project));
		if (url !== null) return { url, release: async () => undefined };
	}
	return readyDatabase();
}

export const readyBuild = (told) => buildIfStale(project, told);

/** The environment in which the application runs. */
export function serverEnvironment({ url, folder, port, origin = `http://127.0.0.1:${port}` }) {
	return {
		NODE_ENV: 'production',
		PORT: String(port),
		HOST: '127.0.0.1',
		ORIGIN: origin,
		DATABASE_URL: url,
		KEEN_RIFFLE_SECRET: process.env.KEEN_RIFFLE_SECRET ?? keptSecret(folder, 'secret'),
		BODY_SIZE_LIMIT: '4M'
	};
}

/** A script of ours: as it was built, where it was; else from its source. */
export const runScript = (name, args, options) =>
	isBuilt(project)
		? run(process.execPath, [`build/threads/${name}.js`, ...args], options)
		: run(bin('tsx'), [`scripts/${name}.ts`, ...args], options);

export const prepareDatabase = (env, args = [], options = {}) =>
	runScript('prepare-database', args, {
		cwd: project,
		env,
		failing: 'Preparing the database',
		...options
	});

/** Starts the built application. Resolves once it answers; rejects when it ends first. */
export function serve(env, { log = 'inherit' } = {}) {
	const child = spawn(process.execPath, ['scripts/serve.mjs'], {
		cwd: project,
		env: { ...process.env, ...env },
		stdio: ['ignore', log, 'inherit']
	});
	// the code it ended with; one that was stopped on purpose ended well
	const ended = new Promise((done) =>
		child.on('exit', (code, signal) => done(code ?? (signal === 'SIGTERM' || signal === 'SIGINT' ? 0 : 1)))
	);
	const answers = async () => {
		for (;;) {
			if (child.exitCode !== null) throw new Error(`The application ended with ${child.exitCode} before it answered.`);
			try {
				const { ok } = await fetch(`http://127.0.0.1:${env.PORT}/sign-in`);
				if (ok) return;
			} catch {
				// not listening yet
			}
			await new Promise((wait) => setTimeout(wait, 100));
		}
	};
	return { child, ended, ready: answers() };
}
