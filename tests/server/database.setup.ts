import pg from 'pg';
import { migrateDatabase } from '../../src/lib/server/db/connect';

/** The server tests run on a real, private PostgreSQL that `npm test` starts; its address comes by the environment. */
export default async function setup(): Promise<void> {
	const connectionString = process.env['DATABASE_URL'];
	if (!connectionString) throw new Error('The server tests need a database: run them with npm test.');
	const pool = new pg.Pool({ connectionString, max: 1 });
	await migrateDatabase(pool, 'src/lib/server/db/migrations');
	await pool.end();
}
