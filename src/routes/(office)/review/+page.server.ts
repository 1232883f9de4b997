import { database } from '$lib/server/db/connect';
import { visitsAwaitingReview } from '$lib/server/db/queries/visits';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	visits: await visitsAwaitingReview(database(), locals.member!.programId)
});
