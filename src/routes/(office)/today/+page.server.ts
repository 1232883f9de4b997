import { siteLine, sayItem, type Said } from '$lib/core/interpret';
import type { Item } from '$lib/core/schedule';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { latestFigures, streamNetwork } from '$lib/server/db/queries/catchment';
import { thresholdsOf } from '$lib/server/db/queries/thresholds';
import { waitingReports } from '$lib/server/lab/reports';
import { todayFor } from '$lib/server/plan/today';
import { boxesAsk } from '$lib/server/shipments/ask';
import { waitingLateLines } from '$lib/server/sync/late-decisions';
import { serverNow_ms } from '$lib/server/settings';
import type { PageServerLoad } from './$types';
import { drawn, lanesOf, standings, type Standing } from './on-the-thread';

/** Of each part of the list; what is beyond them waits for its turn, and is counted. */
const MOST_ITEMS = 20;

export const load: PageServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const db = database();
	const now_ms = serverNow_ms();
	const { timeZone } = member.program;
	const [{ facts, items, openable }, network, thresholds, late, reportsWaiting, boxes] = await Promise.all([
		todayFor(db, member, now_ms),
		streamNetwork(db, member.programId),
		thresholdsOf(db, member.programId),
		can(member, 'keep-library') ? waitingLateLines(db, member.programId) : [],
		can(member, 'take-reports') ? waitingReports(db, member.programId) : 0,
		can(member, 'ship') ? boxesAsk(db, member.programId, now_ms) : null
	]);
	/** A visit of another team is told of, and not linked to: the link would end in a refusal. */
	const reachable = (item: Item, said: Said) =>
		'visitId' in item && !openable.has(item.visitId) ? { ...said, act: null } : said;
	const part = (word: string, of: readonly Item[]) => ({
		word,
		items: of
			.slice(0, MOST_ITEMS)
			.map((i) => ({ when: i.when, at_ms: i.at_ms, kind: i.kind, ...reachable(i, sayItem(i, now_ms, timeZone)) })),
		more: Math.max(0, of.length - MOST_ITEMS)
	});
	const parts = [
		part(
			'Now',
			items.filter((i) => i.when !== 'later')
		),
		part(
			'Tomorrow and after',
			items.filter((i) => i.when === 'later')
		)
	];
	const standing = standings(facts, now_ms);
	const shown = drawn(network.sites, standing);
	const ids = shown.map((s) => s.id);
	const latest = await latestFigures(db, member.programId, ids, !can(member, 'see-unreviewed'));
	const sites = shown.map(({ stands, ...site }) => {
		const say = sayStanding(stands) ?? siteLine(latest.get(site.id) ?? {}, thresholds, member.program.units);
		return { ...site, say, state: stands.state, href: `/sites/${site.code}` };
	});
	return {
		late,
		reportsWaiting,
		boxes,
		parts,
		rail: lanesOf(items, now_ms, timeZone),
		streams: network.streams,
		sites,
		sitesInAll: facts.sites.length,
		/** A program that has neither been sampled nor planned has all of its work before it in the library. */
		isBeginning: facts.rounds.length === 0 && facts.sites.every((s) => s.lastGrab_ms === null),
		mayKeep: can(member, 'keep-library')
	};
};

/** What is said under a site where somebody is, or should have been; null where its last figures say more. */
function sayStanding(stands: Standing): string | null {
	if (stands.open) {
		const { crew, done, asked } = stands.open;
		return `${crew.map((n) => n.split(' ')[0]).join(' and ')}, step ${Math.min(done + 1, asked)} of ${asked}`;
	}
	if (stands.grab === null) return 'not sampled yet';
	return stands.grab.state === 'late' ? `late: day ${stands.grab.daysSince}` : null;
}
