/* Builds the application when what it is built from has changed. */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { run } from './run.mjs';
import { step } from './say.mjs';

/** What a build is made from. */
export const SOURCES = [
	'src',
	'static',
	'package.json',
	'package-lock.json',
	'svelte.config.js',
	'vite.config.ts',
	'vite.threads.config.ts',
	'tsconfig.json'
];

const stampOf = (project) => join(project, 'build', '.sources');

/** Whether what is built is built from what is there. */
export const isBuilt = (project) =>
	existsSync(stampOf(project)) && readFileSync(stampOf(project), 'utf8') === fingerprint(project);

export async function buildIfStale(project, told = step) {
	if (isBuilt(project)) return;
	await told('Building the application', async () => {
		const bin = (name) => join(project, 'node_modules', '.bin', name);
		await run(bin('svelte-kit'), ['sync'], { cwd: project, failing: 'svelte-kit sync' });
		await run(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: project, failing: 'vite build' });
		await run(bin('vite'), ['build', '--logLevel', 'warn', '--config', 'vite.threads.config.ts'], {
			cwd: project,
			failing: 'vite build of the threads'
		});
		writeFileSync(stampOf(project), fingerprint(project));
	});
}

function fingerprint(project) {
	const hash = createHash('sha256');
	// by their names within the project: a build that was carried elsewhere is still the same
	const add = (path) => hash.update(relative(project, path)).update(readFileSync(path));
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
