/* Builds the application when what it is built from has changed. */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './run.mjs';
import { step } from './say.mjs';

const SOURCES = [
	'src',
	'static',
	'package.json',
	'package-lock.json',
	'svelte.config.js',
	'vite.config.ts',
	'vite.threads.config.ts',
	'tsconfig.json'
];

export async function buildIfStale(project) {
	const stamp = join(project, 'build', '.sources');
	const sources = fingerprint(project);
	if (existsSync(stamp) && readFileSync(stamp, 'utf8') === sources) return;
	await step('Building the application', async () => {
		const bin = (name) => join(project, 'node_modules', '.bin', name);
		await run(bin('svelte-kit'), ['sync'], { cwd: project, failing: 'svelte-kit sync' });
		await run(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: project, failing: 'vite build' });
		await run(bin('vite'), ['build', '--logLevel', 'warn', '--config', 'vite.threads.config.ts'], {
			cwd: project,
			failing: 'vite build of the threads'
		});
		writeFileSync(stamp, sources);
	});
}

function fingerprint(project) {
	const hash = createHash('sha256');
	const add = (path) => hash.update(path).update(readFileSync(path));
	for (const source of SOURCES) {
		const path = join(project, source);
		const isFile = /\.\w+$/.test(source);
		if (isFile) add(path);
		else
			for (const entry of readdirSync(path, { recursive: true, withFileTypes: true }).sort((a, b) =>
				a.parentPath + a.name < b.parentPath + b.name ? -1 : 1
			))
				if (entry.isFile()) add(join(entry.parentPath, entry.name));
	}
	return hash.digest('hex');
}
