import { drizzle, type NodePgDatabase, type NodePgQueryResultHKT } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase } from 'drizzle-orm/pg-core';
import pg from 'pg';
import { settings } from '../settings';
import * as schema from './schema';

/** A database or a transaction in it. */
export type Db = PgDatabase<NodePgQueryResultHKT, typeof schema>;

let connected: { pool: pg.Pool; db: NodePgDatabase<typeof schema> } | null = null;

function connection() {
	if (connected) return connected;
	const pool = new pg.Pool({ connectionString: settings().DATABASE_URL, max: 10 });
	pool.on('error', () => undefined); // an idle connection that the server closed is replaced at the next query
	process.once('sveltekit:shutdown', () => void pool.end());
	return (connected = { pool, db: drizzle(pool, { schema }) });
}

/** The one database of this process, connected at first use. */
export const database = (): Db => connection().db;

/** The pool beneath, for what needs a connection of its own (COPY, migrations). */
export const connectionPool = (): pg.Pool => connection().pool;

/** Brings the schema up to date; many processes may start at once. */
export async function migrateDatabase(pool: pg.Pool, migrationsFolder: string): Promise<void> {
	const client = await pool.connect();
	try {
		await client.query('select pg_advisory_lock(727001)');
		await migrate(drizzle(client), { migrationsFolder });
	} finally {
		await client.query('select pg_advisory_unlock(727001)');
		client.release();
	}
}
