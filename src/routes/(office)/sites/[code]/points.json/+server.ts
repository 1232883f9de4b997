import { json } from '@sveltejs/kit';
import type { TrendPoint } from '$lib/core/interpret';
import { database } from '$lib/server/db/connect';
import { pointsOf } from '$lib/server/db/queries/series';
import { serverNow_ms } from '$lib/server/settings';
import type { RequestHandler } from './$types';
import { askedOf } from '../asked';

const MOST_POINTS = 100_000;

/** Every result of the span the site page shows, rejected ones left out, for what is worked out on the page. */
export const GET: RequestHandler = async ({ locals, params, url }) => {
	const { site, parameter, span, acceptedOnly } = await askedOf(
		database(),
		locals.member!,
		params.code,
		url,
		serverNow_ms()
	);
	const points = parameter
		? await pointsOf(database(), locals.member!.programId, site.id, parameter, span, acceptedOnly, MOST_POINTS)
		: [];
	return json(
		points
			.filter((p) => p.status !== 'rejected' && !p.isSimulated)
			.map(({ at_ms, value, qualifier, discharge_m3_s }): TrendPoint => ({ at_ms, value, qualifier, discharge_m3_s }))
	);
};
