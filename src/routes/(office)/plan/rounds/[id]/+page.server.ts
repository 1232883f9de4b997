import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { restOfDay } from '$lib/core/schedule';
import { isTool } from '$lib/core/subjects/steps';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { loadRoundDay } from '$lib/server/plan/round-day';
import { whoCouldGo } from '$lib/server/plan/who-could-go';
import { rememberedBeside } from '$lib/server/threads/remembered';
import { serverNow_ms } from '$lib/server/settings';
import type { PageServerLoad } from './$types';

/** Under this much slack a day is called thin, and what would help is worked out. */
const THIN_min = 45;
const solveDay = rememberedBeside('day', 200);

export const load: PageServerLoad = async ({ locals, params }) => {
	const member = locals.member!;
	const db = database();
	const day = z.uuid().safeParse(params.id).success ? await loadRoundDay(db, member, params.id, serverNow_ms()) : null;
	if (!day) error(404, 'There is no such round in your program’s plan.');
	const { question } = day;
	const answers = await solveDay(question, day.alternatives, THIN_min);
	const hasAnimals = day.card.steps.some((s) => isTool(s, 'tray'));
	const round = { ...day, card: null, hasAnimals }; // the card is for paper; the page needs none of it
	return {
		round,
		...answers,
		thin_min: THIN_min,
		rest: day.soFar ? restOfDay(question, day.soFar) : null,
		people: await peopleOf(db, member.programId),
		couldGo: await whoCouldGo(db, member.programId, day),
		mayPlan: can(member, 'plan'),
		/** Papers, labels and files tell crews and keys: of another team’s round they stay closed. */
		mayTake: can(member, 'see-round', { round: day })
	};
};
