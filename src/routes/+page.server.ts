import { redirect } from '@sveltejs/kit';
import { can } from '$lib/server/access';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) =>
	redirect(307, can(locals.member!, 'see-today') ? '/today' : '/sites');
