import { stringify } from 'csv-stringify/sync';
import { database } from '$lib/server/db/connect';
import { pointsOf } from '$lib/server/db/queries/series';
import { serverNow_ms } from '$lib/server/settings';
import type { RequestHandler } from './$types';
import { askedOf } from '../asked';

const MOST_ROWS = 100_000;

/**
 * What the site page shows, as CSV: one row a result, the unit in the header, "below" and "above" in a column of
 * their own.
 */
export const GET: RequestHandler = async ({ locals, params, url }) => {
	const { site, parameter, known, span, acceptedOnly } = await askedOf(
		database(),
		locals.member!,
		params.code,
		url,
		serverNow_ms()
	);
	const points = parameter
		? await pointsOf(database(), locals.member!.programId, site.id, parameter, span, acceptedOnly, MOST_ROWS)
		: [];
	const unit = known?.unit ?? 'value';
	const rows = points.map((p) => ({
		site: site.code,
		parameter,
		at: new Date(p.at_ms).toISOString(),
		[`value_${unit}`]: p.value,
		qualifier: p.qualifier ?? '',
		[`expanded_uncertainty_${unit}`]: p.uncertainty ?? '',
		[`lower_95_${unit}`]: p.lower ?? '',
		[`upper_95_${unit}`]: p.upper ?? '',
		simulated: p.isSimulated ? 'yes' : '',
		found_by: p.way,
		review: p.status,
		visit: p.visitId
	}));
	const columns = [
		'site',
		'parameter',
		'at',
		`value_${unit}`,
		'qualifier',
		`expanded_uncertainty_${unit}`,
		'review',
		'visit',
		`lower_95_${unit}`,
		`upper_95_${unit}`,
		'simulated',
		'found_by'
	];
	return new Response(stringify(rows, { header: true, columns, bom: true }), {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="${site.code}-${parameter ?? 'nothing'}.csv"`
		}
	});
};
