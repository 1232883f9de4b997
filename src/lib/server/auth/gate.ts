import { createHash } from 'node:crypto';
import pLimit from 'p-limit';
import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { database } from '../db/connect';
import { rowsOf } from '../db/rows';

/*
 * Checking a password is slow on purpose. So few at a time are checked, few wait, and an account that is guessed at
 * is shut for a while, whoever asks and from wherever.
 */

const AT_ONCE = 2; // of the four threads that do such work, and read files
const MOST_WAITING = 60;
const WINDOW_ms = 15 * 60_000;
const MOST_FAILURES = 20; // in the window, for one account

const turn = pLimit(AT_ONCE);
const Email = z.object({ email: z.string().max(300) });

/** Lets a try through when its turn comes: 429 where too many wait, or this account was tried too often. */
export async function throughGate(body: unknown, attempt: () => Promise<Response>): Promise<Response> {
	const asked = Email.safeParse(body);
	const key = asked.success
		? `account ${createHash('sha256').update(asked.data.email.trim().toLowerCase()).digest('hex')}`
		: null;
	if (turn.pendingCount >= MOST_WAITING || (key !== null && (await failures(key)) >= MOST_FAILURES))
		return new Response(null, { status: 429 });
	const response = await turn(attempt);
	if (key !== null && (response.status === 401 || response.status === 403)) await noteFailure(key);
	return response;
}

async function failures(key: string): Promise<number> {
	const rows = await rowsOf(
		database(),
		z.object({ count: z.number() }),
		sql`select count from rate_limit where key = ${key} and last_request > ${Date.now() - WINDOW_ms}`
	);
	return rows[0]?.count ?? 0;
}

async function noteFailure(key: string): Promise<void> {
	const now = Date.now();
	await database().execute(sql`
		insert into rate_limit (id, key, count, last_request) values (${key}, ${key}, 1, ${now})
		on conflict (key) do update set last_request = ${now},
			count = case when rate_limit.last_request > ${now - WINDOW_ms} then rate_limit.count + 1 else 1 end`);
}
