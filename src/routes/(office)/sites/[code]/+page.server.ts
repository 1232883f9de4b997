import { parameterOf, unitRead } from '$lib/core/quantity';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { sitePositions, streamNetwork } from '$lib/server/db/queries/catchment';
import { picturesOf } from '$lib/server/db/queries/pictures';
import { thresholdsOf } from '$lib/server/db/queries/thresholds';
import { seriesOf } from '$lib/server/db/queries/series';
import { visitsTo } from '$lib/server/db/queries/visits';
import { serverNow_ms } from '$lib/server/settings';
import type { PageServerLoad } from './$types';
import { askedOf, spans } from './asked';
import { overSeason } from './over-season';

const VISITS_SHOWN = 8;
const PICTURES_SHOWN = 6;

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const member = locals.member!;
	const db = database();
	const now_ms = serverNow_ms();
	const { site, available, parameter, known, own, span, spanId, view, acceptedOnly } = await askedOf(
		db,
		member,
		params.code,
		url,
		now_ms
	);
	const [network, thresholds, series, visits, pictures, positions] = await Promise.all([
		streamNetwork(db, member.programId),
		thresholdsOf(db, member.programId),
		parameter ? seriesOf(db, member.programId, site.id, parameter, span, acceptedOnly) : null,
		can(member, 'see-visit') ? visitsTo(db, member.programId, site.id, VISITS_SHOWN) : [],
		can(member, 'see-visit') ? picturesOf(db, member, site.id, PICTURES_SHOWN) : [],
		can(member, 'see-visit') ? sitePositions(db, member.programId) : null
	]);
	const held = thresholds.filter((t) => t.parameter === parameter);
	return {
		// directions, access and permissions are for those who go there: the page needs none of them
		site: {
			id: site.id,
			code: site.code,
			name: site.name,
			about: site.about,
			river_km: site.river_km,
			elevation_m: site.elevation_m
		},
		stream: network.streams.find((s) => s.id === site.streamId)?.name ?? '',
		onStream: network.sites.filter((s) => s.streamId === site.streamId).sort((a, b) => b.river_km - a.river_km),
		parameters: available.map((a) => ({ code: a.parameter, name: parameterOf(a.parameter, own).name })),
		parameter,
		known,
		/** The unit that it is read in. */
		unit: known && unitRead(known, member.program.units),
		thresholds: held.filter((t) => t.statistic === 'each sample'),
		overSeason: await overSeason(db, member, site.id, held, acceptedOnly, now_ms),
		series,
		span: { from_ms: span.from.getTime(), to_ms: span.to.getTime(), id: spanId },
		spans,
		view,
		visits: visits.filter((v) => can(member, 'see-visit', { visit: v.subject })),
		pictures,
		map: positions && { streams: network.streams, sites: positions },
		acceptedOnly
	};
};
