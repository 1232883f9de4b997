import { siteLine, sayItem } from '$lib/core/interpret';
import { agenda, nextGrab } from '$lib/core/schedule';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { latestFigures, streamNetwork, thresholdsOf } from '$lib/server/db/queries/catchment';
import { programFacts } from '$lib/server/db/queries/program-facts';
import { waitingLateLines } from '$lib/server/sync/late-decisions';
import { serverNow_ms } from '$lib/server/settings';
import type { PageServerLoad } from './$types';
import { beadState, lanesOf } from './on-the-thread';

export const load: PageServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const db = database();
	const now_ms = serverNow_ms();
	const { timeZone } = member.program;
	const [facts, network, latest, thresholds, late] = await Promise.all([
		programFacts(db, member.programId, now_ms),
		streamNetwork(db, member.programId),
		latestFigures(db, member.programId, !can(member, 'see-unreviewed')),
		thresholdsOf(db, member.programId),
		can(member, 'keep-library') ? waitingLateLines(db, member.programId) : []
	]);
	const items = agenda(facts, now_ms).filter((i) => i.kind !== 'review' || can(member, 'see-queue'));
	const said = items.map((item) => ({ when: item.when, at_ms: item.at_ms, kind: item.kind, ...sayItem(item, now_ms, timeZone) }));
	const factsOf = new Map(facts.sites.map((s) => [s.code, s]));
	const openAt = new Map([...facts.openVisits].reverse().map((v) => [v.site, v]));
	const sites = network.sites.map((site) => {
		const open = openAt.get(site.name);
		const known = factsOf.get(site.code);
		const grab = known?.lastGrab_ms == null ? null : nextGrab(known.lastGrab_ms, now_ms, known.spacing);
		const say = open
			? `${open.crew.map((n) => n.split(' ')[0]).join(' and ')}, step ${Math.min(open.tied + 1, open.asked)} of ${open.asked}`
			: grab?.state === 'late'
				? `late: day ${grab.daysSince}`
				: siteLine(latest.get(site.id) ?? {}, thresholds);
		return { ...site, say, state: beadState(open !== undefined, grab), href: `/sites/${site.code}` };
	});
	return { late, said, lanes: lanesOf(items, now_ms, timeZone), streams: network.streams, sites };
};
