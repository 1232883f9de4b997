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
			changed: i === versions.length - 1 ? null : changedValues(then.values, versions[i + 1]!.scheme.values)
		}))
	};
};

/** Animals whose value differs from that of the version before, with both. */
function changedValues(now: Readonly<Record<string, number>>, before: Readonly<Record<string, number>>) {
	const codes = [...new Set([...Object.keys(now), ...Object.keys(before)])].sort();
	return codes.flatMap((code) =>
		now[code] === before[code] ? [] : [{ code, from: before[code] ?? null, to: now[code] ?? null }]
	);
}
