import { changedValues } from '$lib/core/score-schemes';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { versionsOf } from '$lib/server/schemes/keep';
import type { PageServerLoad } from './$types';
import { theScheme } from './the-scheme';

export const load: PageServerLoad = async ({ locals, params }) => {
	const { programId } = locals.member!;
	const scheme = await theScheme(programId, params.code);
	const [versions, people] = await Promise.all([
		versionsOf(database(), programId, scheme.code),
		peopleOf(database(), programId)
	]);
	return {
		scheme,
		versions: versions.map(({ scheme: then, added_ms, by }, i) => ({
			added_ms,
			by: people[by]?.name ?? 'somebody who has left',
			changed: i === versions.length - 1 ? null : changedValues(then, versions[i + 1]!.scheme)
		}))
	};
};
