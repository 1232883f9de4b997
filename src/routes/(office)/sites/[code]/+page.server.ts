import { parameterOf } from '$lib/core/quantity';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { streamNetwork, thresholdsOf } from '$lib/server/db/queries/catchment';
import { seriesOf } from '$lib/server/db/queries/series';
import { visitsTo } from '$lib/server/db/queries/visits';
import { serverNow_ms } from '$lib/server/settings';
import type { PageServerLoad } from './$types';
import { askedOf, spans } from './asked';

const VISITS_SHOWN = 8;

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const member = locals.member!;
	const db = database();
	const { site, available, parameter, known, own, span, spanId, view, acceptedOnly } = await askedOf(
		db,
		member,
		params.code,
		url,
		serverNow_ms()
	);
	const [network, thresholds, series, visits] = await Promise.all([
		streamNetwork(db, member.programId),
		thresholdsOf(db, member.programId),
		parameter ? seriesOf(db, member.programId, site.id, parameter, span, acceptedOnly) : null,
		can(member, 'see-visit') ? visitsTo(db, member.programId, site.id, VISITS_SHOWN) : []
	]);
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
		threshold: thresholds.find((t) => t.parameter === parameter) ?? null,
		series,
		span: { from_ms: span.from.getTime(), to_ms: span.to.getTime(), id: spanId },
		spans,
		view,
		visits: visits.filter((v) => can(member, 'see-visit', { visit: v.subject })),
		acceptedOnly
	};
};
