import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/db/connect';
import { serverNow_ms } from '$lib/server/settings';
import { exchange } from '$lib/server/sync/exchange';
import { SyncRequest } from '$lib/server/sync/request';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, locals }) => {
	const body: unknown = await request.json().catch(() => undefined);
	const asked = SyncRequest.safeParse(body);
	if (!asked.success)
		return json(
			{ message: body === undefined ? 'The body is not JSON; nothing was written.' : z.prettifyError(asked.error) },
			{ status: 400 }
		);
	return json(await exchange(database(), locals.member!, asked.data, serverNow_ms()));
};
