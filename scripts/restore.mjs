/*
 * npm run restore -- FILE: brings everything back from a backup into a place where there is nothing yet; all of it or
 * nothing.
 */
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import pg from 'pg';
import { postgresProgram } from './cluster.mjs';
import { prepareDatabase, readyDatabase, readyMachine, serverEnvironment } from './commands.mjs';
import { run } from './run.mjs';
import { endOn, say, step, Stop } from './say.mjs';

let release = async () => undefined;

try {
	const [given] = process.argv.slice(2);
	if (!given) throw new Stop('Say from which file: npm run restore -- FILE');
	const file = resolve(given);
	if (!existsSync(file)) throw new Stop(`There is no ${file}.`);
	await readyMachine();
	await step(
		'The file is whole',
		async () =>
			void (await run(postgresProgram('pg_restore'), ['--file=/dev/null', file], { failing: 'Reading the backup' }))
	);
	const database = await readyDatabase();
	release = database.release;
	const tables = await tablesIn(database.url);
	if (tables > 0)
		throw new Stop(
			`There are ${tables} tables in this place already. A backup is restored into an empty one: set ` +
				'KEEN_RIFFLE_DATA to a new folder. Nothing was changed.'
		);
	await step('Restore', async () => {
		await run(
			postgresProgram('pg_restore'),
			['--single-transaction', '--exit-on-error', '--no-owner', '--no-privileges', `--dbname=${database.url}`, file],
			{
				failing: 'pg_restore'
			}
		);
	});
	await step(
		'Database up to date',
		async () => void (await prepareDatabase(serverEnvironment({ ...database, port: 0 })))
	);
	say('Restored. Start it as before; everybody signs in anew where the secret is another one.');
} catch (error) {
	endOn(error);
} finally {
	await release();
}

async function tablesIn(connectionString) {
	const client = new pg.Client({ connectionString });
	await client.connect();
	try {
		const { rows } = await client.query(
			`select count(*)::int as tables from pg_tables where schemaname not in ('pg_catalog', 'information_schema')`
		);
		return rows[0].tables;
	} finally {
		await client.end();
	}
}
