import { z } from 'zod';
import { database } from '$lib/server/db/connect';
import { find } from '$lib/server/db/queries/find';
import type { PageServerLoad } from './$types';

const Asked = z.string().trim().max(80).catch('');

export const load: PageServerLoad = async ({ locals, url }) => {
	const member = locals.member!;
	const asked = Asked.parse(url.searchParams.get('q') ?? '');
	return { asked, groups: asked === '' ? [] : await find(database(), member, asked, member.program.timeZone) };
};
