import { sayBetweenSites, sayIndexChange } from '$lib/core/interpret';
import { betweenSites, differs, indexChange, latestOfEach, quarterOf } from '$lib/core/macroinvertebrates';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { animalsOf, type SiteSampling } from '$lib/server/db/queries/animals';
import { streamNetwork } from '$lib/server/db/queries/catchment';
import type { PageServerLoad } from './$types';

/** Samplings that are looked through: ten years of fifty sites. */
const MOST = 1000;
const SEED = 20_26; // the same chance each time the page is opened: a verdict must not flicker

export const load: PageServerLoad = async ({ locals, url }) => {
	const member = locals.member!;
	const [{ sites, streams }, all] = await Promise.all([
		streamNetwork(database(), member.programId),
		animalsOf(database(), member.programId, null, !can(member, 'see-unreviewed'), MOST)
	]);
	const quarters = [
		...new Map(all.map((s) => [quarterOf(s.started_ms).id, quarterOf(s.started_ms)])).values()
	].reverse();
	const asked = quarters.find((q) => q.id === url.searchParams.get('when'))?.id ?? null;
	const latest = latestOfEach(all, asked);
	// along each stream, downstream; the stream that others join comes first
	const inOrder = streams
		.toSorted((a, b) => Number(a.joins !== null) - Number(b.joins !== null) || a.name.localeCompare(b.name))
		.map(({ id, name }) => ({
			name,
			sites: sites.filter((s) => s.streamId === id && latest.has(s.id)).sort((a, b) => b.river_km - a.river_km)
		}))
		.filter((stream) => stream.sites.length > 0);
	const shown = inOrder.flatMap((stream) => stream.sites);
	const besides = betweenSites(shown.map((s) => latest.get(s.id)!));
	return {
		quarters,
		asked,
		streams: inOrder.map((s) => ({ name: s.name, sites: s.sites.map(({ code }) => code) })),
		sites: shown.map(({ id, code, name, about }, i) => {
			const { started_ms, visitId, said, school } = latest.get(id)!;
			return { code, name, about, started_ms, visitId, said, school, place: besides.places[i]! };
		}),
		by: besides.by,
		shown: besides.shown,
		dissimilarities: besides.dissimilarities,
		steps: inOrder.flatMap((stream) => stream.sites.slice(1).map((lower, i) => step(stream.sites[i]!, lower, latest))),
		mayOpen: can(member, 'see-visit'),
		mayBringCounts: can(member, 'bring-counts')
	};
};

/** What changes from one site to the next downstream. */
function step(
	upper: { id: string; code: string; name: string },
	lower: { id: string; code: string; name: string },
	latest: ReadonlyMap<string, SiteSampling>
) {
	const [a, b] = [latest.get(upper.id)!, latest.get(lower.id)!];
	const found = differs(a, b, SEED);
	const change = indexChange(a.said, b.said);
	return {
		id: `${upper.code} ${lower.code}`,
		isTold: found?.isTold ?? false,
		said: sayBetweenSites(found, upper.name, lower.name),
		index: found?.isTold && change ? sayIndexChange(change, upper.name, lower.name) : null
	};
}
