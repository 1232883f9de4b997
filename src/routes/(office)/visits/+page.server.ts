import { z } from 'zod';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { streamNetwork } from '$lib/server/db/queries/catchment';
import { listVisits, visitStates } from '$lib/server/db/queries/visit-list';
import type { PageServerLoad } from './$types';

const PAGE = 50;

/** What is asked for; what makes no sense is left out, so that an old address still shows something. */
const Asked = z.object({
	site: z.string().max(40).catch(''),
	from: z.iso.date().nullable().catch(null),
	to: z.iso.date().nullable().catch(null),
	crew: z.string().max(6).catch(''),
	state: z.enum([...visitStates, 'all']).catch('all'),
	page: z.coerce.number().int().min(1).max(100_000).catch(1)
});

export const load: PageServerLoad = async ({ locals, url }) => {
	const member = locals.member!;
	const db = database();
	const asked = Asked.parse(
		Object.fromEntries(Object.keys(Asked.shape).map((name) => [name, url.searchParams.get(name)]))
	);
	const { visits, inAll } = await listVisits(db, member, asked, { skip: (asked.page - 1) * PAGE, take: PAGE });
	const people = Object.values(await peopleOf(db, member.programId));
	return {
		asked,
		visits,
		inAll,
		pages: Math.max(1, Math.ceil(inAll / PAGE)),
		sites: (await streamNetwork(db, member.programId)).sites.map(({ code, name }) => ({ code, name })),
		mayTakeReports: can(member, 'take-reports'),
		mayShip: can(member, 'ship'),
		maySeePairs: can(member, 'see-unreviewed'),
		people: people.sort((a, b) => a.name.localeCompare(b.name, 'en'))
	};
};
