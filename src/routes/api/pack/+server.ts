import { json } from '@sveltejs/kit';
import { database } from '$lib/server/db/connect';
import { PackWords, tellTicks } from '$lib/server/plan/pack-ticks';
import { serverNow_ms } from '$lib/server/settings';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ request, locals }) => {
	const words = PackWords.safeParse(await request.json().catch(() => null));
	if (!words.success)
		return json(
			{ why: words.error.issues.map((i) => `${i.path.join('.') || 'the request'}: ${i.message}`).join('; ') },
			{ status: 400 }
		);
	return json({ ticks: await tellTicks(database(), locals.member!, words.data, serverNow_ms()) });
};
