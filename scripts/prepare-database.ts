/*
 * Brings the database up to date and, with --demo, loads the demo when it is not there. Run by the commands before the
 * application is served; prints one line of progress that it overwrites.
 */
import pg from 'pg';
import { database, connectionPool, migrateDatabase } from '../src/lib/server/db/connect';
import { loadDemo } from '../src/lib/server/demo/load';
import { bringOver } from '../src/lib/server/projection/bring-over';
import { serverNow_ms, settings } from '../src/lib/server/settings';

const url = settings().DATABASE_URL;
const pool = new pg.Pool({ connectionString: url, max: 1 });
await migrateDatabase(pool, 'src/lib/server/db/migrations');
await pool.end();
await bringOver(database(), serverNow_ms());

if (process.argv.includes('--demo')) {
	let said = -1;
	const outcome = await loadDemo(database(), serverNow_ms(), (share) => {
		const percent = Math.floor(share * 10) * 10;
		if (percent > said) process.stdout.write(`${(said = percent)} % `);
	});
	console.log(outcome);
}
await connectionPool().end();
