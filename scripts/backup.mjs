/*
 * npm run backup -- FILE: everything in one file, photos included, as it stood at one moment, also while people
 * write. The file is read through from end to end before it takes its name: what has the name is whole.
 */
import { closeSync, existsSync, fsyncSync, openSync, renameSync, rmSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { postgresProgram } from './cluster.mjs';
import { databaseAsItIs } from './commands.mjs';
import { run } from './run.mjs';
import { endOn, say, step, Stop } from './say.mjs';

let release = async () => undefined;

try {
	const [given] = process.argv.slice(2);
	if (!given) throw new Stop('Say where to: npm run backup -- FILE');
	const file = resolve(given);
	if (existsSync(file)) throw new Stop(`${file} is there already, and is left as it is. Take another name.`);
	const database = await databaseAsItIs();
	release = database.release;
	const part = `${file}.part`;
	try {
		await step('Backup', async () => {
			await run(
				postgresProgram('pg_dump'),
				[
					'--format=custom',
					'--compress=6',
					'--no-owner',
					'--no-privileges',
					`--file=${part}`,
					`--dbname=${database.url}`
				],
				{
					failing: 'pg_dump'
				}
			);
			const handle = openSync(part, 'r');
			fsyncSync(handle);
			closeSync(handle);
			return `${(statSync(part).size / 1e6).toFixed(1)} MB`;
		});
		// every block of it is unpacked and thrown away
		await step(
			'Read through',
			async () =>
				void (await run(postgresProgram('pg_restore'), ['--file=/dev/null', part], { failing: 'Reading the backup' }))
		);
		renameSync(part, file);
		say(`${file} holds everything up to now. Keep it on another machine.`);
	} finally {
		rmSync(part, { force: true });
	}
} catch (error) {
	endOn(error);
} finally {
	await release();
}
