import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { streamNetwork } from '$lib/server/db/queries/catchment';
import { peopleOf } from '$lib/server/db/queries/members';
import { loadSeason } from '$lib/server/plan/season';
import { serverNow_ms } from '$lib/server/settings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const db = database();
	return {
		...(await loadSeason(db, member, serverNow_ms())),
		network: await streamNetwork(db, member.programId),
		people: await peopleOf(db, member.programId),
		mayPlan: can(member, 'plan')
	};
};
