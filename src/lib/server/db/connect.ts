import { drizzle, type NodePgDatabase, type NodePgQueryResultHKT } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase } from 'drizzle-orm/pg-core';
import pg from 'pg';
import { settings } from '../settings';
import * as schema from './schema';

/** A database or a transaction in it. */
export type Db = PgDatabase<NodePgQueryResultHKT, typeof schema>;

const CONNECT_WITHIN_ms = 8000;
const STATEMENT_WITHIN_ms = 60_000;
const LOCK_WITHIN_ms = 20_000;
const IDLE_WITHIN_ms = 120_000;

/** Classes and codes by which PostgreSQL says that it cannot serve: connection lost, no room, shutting down. */
const AWAY_CODES = /^(08|53|57P0)/;
const AWAY_WORDS =
	/connection terminated|timeout exceeded when trying to connect|client has encountered a connection error|the database system is/i;
const AWAY_SYSTEM = ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ENOENT', 'ETIMEDOUT'];

/** Whether trouble is the database's being away, not the query's being wrong. */
export function isDatabaseAway(trouble: unknown): boolean {
	for (let cause = trouble, depth = 0; cause instanceof Error && depth < 5; cause = cause.cause, depth++) {
		const { code } = cause as { code?: unknown };
		if (typeof code === 'string' && (AWAY_CODES.test(code) || (AWAY_SYSTEM.includes(code) && 'syscall' in cause)))
			return true;
		if (AWAY_WORDS.test(cause.message) && !cause.message.startsWith('Failed query')) return true;
	}
	return false;
}

let connected: { pool: pg.Pool; db: NodePgDatabase<typeof schema> } | null = null;

function connection() {
	if (connected) return connected;
	const pool = new pg.Pool({
		connectionString: settings().DATABASE_URL,
		max: 10,
		connectionTimeoutMillis: CONNECT_WITHIN_ms,
		statement_timeout: STATEMENT_WITHIN_ms,
		lock_timeout: LOCK_WITHIN_ms,
		idle_in_transaction_session_timeout: IDLE_WITHIN_ms,
		// compiling a query takes longer than any of ours runs
		options: '-c jit=off'
	});
	pool.on('error', () => undefined); // an idle connection that the server closed is replaced at the next query
	// one that is lost while a transaction has it fails that transaction's next query, which says so; it must not end
	// the process
	pool.on('connect', (client) => client.on('error', () => undefined));
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
		await client.query('set statement_timeout = 0');
		await client.query('set lock_timeout = 0');
		await client.query('select pg_advisory_lock(727001)');
		await migrate(drizzle(client), { migrationsFolder });
	} finally {
		await client.query('select pg_advisory_unlock(727001)');
		client.release();
	}
}
