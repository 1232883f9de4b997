import { text } from '@sveltejs/kit';
import { sql } from 'drizzle-orm';
import { database } from '$lib/server/db/connect';
import type { RequestHandler } from './$types';

/** The application and its database answer; where the database does not, the hook says so with 503. */
export const GET: RequestHandler = async () => {
	await database().execute(sql`select 1`);
	return text('ok', { headers: { 'cache-control': 'no-store' } });
};
