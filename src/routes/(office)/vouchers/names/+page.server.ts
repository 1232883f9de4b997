import { namingRecord } from '$lib/core/score-schemes';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { animalsKnown } from '$lib/server/db/queries/own-animals';
import { checksOf } from '$lib/server/vouchers/checked';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { programId } = locals.member!;
	const [checked, animals, people] = await Promise.all([
		checksOf(database(), programId),
		animalsKnown(database(), programId),
		peopleOf(database(), programId)
	]);
	const byPerson = [...new Set(checked.map((c) => c.by))].map((by) => ({
		id: by,
		name: people[by]?.name ?? 'somebody who has left',
		record: namingRecord(
			checked.filter((c) => c.by === by),
			animals
		)!
	}));
	return {
		all: namingRecord(checked, animals),
		people: byPerson.sort((a, b) => b.record.checked - a.record.checked || a.name.localeCompare(b.name, 'en'))
	};
};
