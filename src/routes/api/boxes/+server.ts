import { json } from '@sveltejs/kit';
import { database } from '$lib/server/db/connect';
import { serverNow_ms } from '$lib/server/settings';
import { BoxWords, hearOfBoxes } from '$lib/server/shipments/words';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, locals }) => {
	const read = BoxWords.safeParse(await request.json().catch(() => null));
	if (!read.success)
		return json(
			{ why: read.error.issues.map((i) => `${i.path.join('.') || 'the request'}: ${i.message}`).join('; ') },
			{ status: 400 }
		);
	return json(await hearOfBoxes(database(), locals.member!, read.data.words, serverNow_ms()));
};
