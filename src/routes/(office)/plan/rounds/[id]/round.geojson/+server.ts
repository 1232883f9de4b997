import { routeAsGeoJson } from '$lib/core/interchange';
import { routePoints } from '../route-points';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const { name, fileName, points } = await routePoints(locals.member!, params.id);
	return new Response(JSON.stringify(routeAsGeoJson(name, points)), {
		headers: {
			'content-type': 'application/geo+json',
			'content-disposition': `attachment; filename="${fileName}.geojson"`
		}
	});
};
