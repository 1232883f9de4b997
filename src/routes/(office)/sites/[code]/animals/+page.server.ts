import { error } from '@sveltejs/kit';
import { indexChange, kindsThroughYears } from '$lib/core/macroinvertebrates';
import { checksFor, scoreSampling } from '$lib/core/score-schemes';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { animalsOf, countersOf } from '$lib/server/db/queries/animals';
import { ownAnimalsOf } from '$lib/server/db/queries/own-animals';
import { streamNetwork } from '$lib/server/db/queries/catchment';
import { schemesOf } from '$lib/server/schemes/keep';
import { checksOf } from '$lib/server/vouchers/checked';
import type { PageServerLoad } from './$types';

/** Samplings beside each other: more do not fit a page. */
const MOST = 12;

export const load: PageServerLoad = async ({ locals, params }) => {
	const member = locals.member!;
	const { sites } = await streamNetwork(database(), member.programId);
	const site = sites.find((s) => s.code === params.code);
	if (!site) error(404, `There is no site ${params.code} in your program.`);
	const samplings = await animalsOf(database(), member.programId, site.id, !can(member, 'see-unreviewed'), MOST);
	const last = samplings.at(-1);
	const [schemes, checks, animals, counters] = await Promise.all([
		schemesOf(database(), member.programId),
		checksOf(database(), member.programId),
		ownAnimalsOf(database(), member.programId),
		last ? countersOf(database(), member.programId, last) : []
	]);
	const checked = checksFor(checks, counters);
	const withIndex = samplings.filter((s) => s.said.index !== null);
	const [earliest, latest] = [withIndex[0], withIndex.at(-1)];
	return {
		site: { code: site.code, name: site.name },
		neighbours: sites
			.filter((s) => s.streamId === site.streamId)
			.sort((a, b) => b.river_km - a.river_km)
			.map(({ code, name }) => ({ code, name })),
		samplings: samplings.map(({ visitId, started_ms, school, said }) => ({ visitId, started_ms, school, said })),
		kinds: kindsThroughYears(samplings),
		scores: last ? schemes.map((scheme) => scoreSampling(scheme, { sampling: last, checked, animals })) : [],
		checked: { all: checked.length, byCounters: checked.filter((c) => !c.isByOther).length },
		change:
			earliest && latest && earliest !== latest
				? { from_ms: earliest.started_ms, to_ms: latest.started_ms, found: indexChange(earliest.said, latest.said) }
				: null,
		mayOpen: can(member, 'see-visit'),
		maySeeLibrary: can(member, 'see-library')
	};
};
