import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { loadLibrary } from '$lib/server/library/load';
import { schemesOf } from '$lib/server/schemes/keep';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const [library, schemes] = await Promise.all([
		loadLibrary(database(), member.programId),
		schemesOf(database(), member.programId)
	]);
	return {
		schemes: schemes.map(({ code, name, values }) => ({ code, name, values })),
		/** What the program says of its own, and where it says so. */
		own: library.animals.map(({ id, code, countsAs, because }) => ({
			id,
			code: code as string,
			countsAs: countsAs as string | null,
			because: because as string
		})),
		mayKeep: can(member, 'keep-library')
	};
};
