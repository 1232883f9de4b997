import { database } from '$lib/server/db/connect';
import { seasonCalendar } from '$lib/server/plan/calendar';
import { serverNow_ms } from '$lib/server/settings';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) =>
	new Response(await seasonCalendar(database(), locals.member!, serverNow_ms()), {
		headers: {
			'content-type': 'text/calendar; charset=utf-8',
			'content-disposition': 'attachment; filename="season.ics"'
		}
	});
