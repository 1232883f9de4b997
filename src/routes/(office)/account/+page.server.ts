import { redirect } from '@sveltejs/kit';
import { lastAccess, markTold } from '$lib/server/auth/access-events';
import { database } from '$lib/server/db/connect';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	events: await lastAccess(database(), locals.member!.userId)
});

export const actions: Actions = {
	told: async ({ locals }) => {
		await markTold(database(), locals.member!.userId);
		redirect(303, '/account');
	}
};
