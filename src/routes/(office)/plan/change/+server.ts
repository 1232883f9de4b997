import { json } from '@sveltejs/kit';
import { database } from '$lib/server/db/connect';
import { PlanChange } from '$lib/server/plan/asked-change';
import { changePlan } from '$lib/server/plan/change';
import { serverNow_ms } from '$lib/server/settings';
import type { RequestHandler } from './$types';

/** One change of the season: a round moved, refused, taken off, or a proposal taken. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const asked = PlanChange.safeParse(await request.json().catch(() => null));
	if (!asked.success)
		return json(
			{
				ok: false,
				why: asked.error.issues.map((i) => `${i.path.join('.') || 'the request'}: ${i.message}`).join('; ')
			},
			{ status: 400 }
		);
	const done = await changePlan(database(), locals.member!, asked.data, serverNow_ms());
	return json(done, { status: done.ok ? 200 : 409 });
};
