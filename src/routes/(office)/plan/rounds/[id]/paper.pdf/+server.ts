import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { followOrder, waitsOf } from '$lib/core/schedule';
import { sayPlanDay } from '$lib/core/interpret';
import { orderSteps } from '$lib/core/method';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { letterheadOf } from '$lib/server/paper/letterhead';
import { dateOfDay } from '$lib/server/plan/local-day';
import { labelsOf, loadRoundDay, sheetsOfRound } from '$lib/server/plan/round-day';
import { serverNow_ms } from '$lib/server/settings';
import { beside } from '$lib/server/threads/beside';
import type { RequestHandler } from './$types';

/** What a crew carries on paper: the round sheet, blank field sheets, or the custody form. */
export const GET: RequestHandler = async ({ locals, params, url }) => {
	const member = locals.member!;
	const what = z.enum(['round', 'field', 'custody']).catch('round').parse(url.searchParams.get('what'));
	const db = database();
	const round = z.uuid().safeParse(params.id).success
		? await loadRoundDay(db, member, params.id, serverNow_ms())
		: null;
	if (round && !can(member, 'see-round', { round }))
		error(403, 'The papers of a round are for its own team, and for those who answer for all.');
	const plan = round && followOrder(round.question, round.order, round.start_min);
	if (!round || !plan)
		error(404, 'There is no such round in your program’s plan, or no site of it can be reached in time.');
	const people = await peopleOf(db, member.programId);
	const order = orderSteps(round.card);
	const pdf = await beside(what, {
		title: round.name,
		date: sayPlanDay(round.day),
		crew: round.crewIds.map((id) => people[id]?.name ?? '?').join(' and ') || 'Crew: ____________',
		depot: round.depot,
		lab: round.lab,
		sites: round.sites,
		plan,
		waits: waitsOf(round.question, plan),
		card: round.card,
		steps: 'steps' in order ? order.steps : round.card.steps.map((step) => ({ step, because: [] })),
		labels: labelsOf(round),
		sheets: await sheetsOfRound(db, member.programId, round.id),
		timeZone: member.program.timeZone,
		letterhead: await letterheadOf(db, member.programId)
	});
	return new Response(new Uint8Array(pdf), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${what}-${dateOfDay(round.day)}.pdf"`,
			'cache-control': 'private, no-store'
		}
	});
};
