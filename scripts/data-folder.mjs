/* Where the data live, and who is using them. */
import { createHash, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { run } from './run.mjs';
import { Stop, say } from './say.mjs';

const LEAST_FREE_MB = 400;

/**
 * The data folder: what KEEN_RIFFLE_DATA names, else `.data` in the project; or, when root runs the command in a place
 * that the database's own user cannot enter, a folder under /var/lib, which is said.
 */
export async function dataFolder(project, name = '.data') {
	const named = process.env.KEEN_RIFFLE_DATA;
	const wanted = named ? resolve(named, name === '.data' ? '.' : name) : join(project, name);
	if (process.getuid() !== 0) return made(wanted);
	made(wanted);
	if (await postgresCanEnter(wanted)) return wanted;
	if (named)
		throw new Stop(
			`The database's own user cannot enter ${wanted}. Set KEEN_RIFFLE_DATA to a folder that user postgres can reach.`
		);
	const elsewhere = join(
		'/var/lib/keen-riffle',
		`${createHash('sha256').update(project).digest('hex').slice(0, 8)}${name}`
	);
	say(`The database's own user cannot enter ${wanted}; the data are in ${elsewhere}.`);
	return made(elsewhere);
}

function made(folder) {
	try {
		mkdirSync(folder, { recursive: true });
	} catch (error) {
		throw new Stop(`${folder} cannot be made: ${error.message}`);
	}
	const { bavail, bsize } = statfsSync(folder);
	const free_MB = Math.floor((bavail * bsize) / 1e6);
	if (free_MB < LEAST_FREE_MB)
		throw new Stop(
			`Only ${free_MB} MB are free where the data are kept (${folder}); ${LEAST_FREE_MB} MB are needed. Make room, ` +
				'or set KEEN_RIFFLE_DATA. Nothing was changed.'
		);
	return folder;
}

const postgresCanEnter = (folder) =>
	run('runuser', ['-u', 'postgres', '--', 'test', '-x', folder]).then(
		() => true,
		() => false
	);

/**
 * Takes the folder for this process; a Stop when another living process has it. Left behind by a dead one, it is
 * taken over.
 */
export function takeFolder(folder) {
	const lock = join(folder, 'in-use-by');
	if (existsSync(lock)) {
		const pid = Number(readFileSync(lock, 'utf8'));
		if (pid !== process.pid && isAlive(pid))
			throw new Stop(
				`The data in ${folder} are in use by process ${pid}. Stop that one first, or set KEEN_RIFFLE_DATA to another ` +
					'folder.'
			);
	}
	writeFileSync(lock, String(process.pid));
	return () => rmSync(lock, { force: true });
}

function isAlive(pid) {
	try {
		process.kill(pid, 0);
		return existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('node') : true;
	} catch (error) {
		return error.code === 'EPERM';
	}
}

/** A secret that is made once and kept beside the data. */
export function keptSecret(folder, name) {
	const file = join(folder, name);
	if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 });
	return readFileSync(file, 'utf8');
}
