import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/db/connect';
import { programOfFeed, seasonCalendar } from '$lib/server/plan/calendar';
import { serverNow_ms } from '$lib/server/settings';
import type { RequestHandler } from './$types';

const Key = z.string().regex(/^[A-Za-z0-9_-]{16,64}\.ics$/);

export const GET: RequestHandler = async ({ params }) => {
	const key = Key.safeParse(params.key);
	const of = key.success ? await programOfFeed(database(), key.data.slice(0, -'.ics'.length)) : null;
	if (!of) error(404, 'There is no calendar at this address. It may have been given a new one.');
	return new Response(await seasonCalendar(database(), of, serverNow_ms()), {
		headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'private, max-age=900' }
	});
};
