import { json } from '@sveltejs/kit';
import { database } from '$lib/server/db/connect';
import { packSatchel } from '$lib/server/sync/satchel';
import { isClockFixed, serverNow_ms } from '$lib/server/settings';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) =>
	json(await packSatchel(database(), locals.member!, { now_ms: serverNow_ms(), isFixed: isClockFixed() }));
