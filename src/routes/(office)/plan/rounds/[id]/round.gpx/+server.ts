import { routeAsGpx } from '$lib/server/gpx';
import { routePoints } from '../route-points';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const { name, fileName, points } = await routePoints(locals.member!, params.id);
	return new Response(routeAsGpx(name, points), {
		headers: { 'content-type': 'application/gpx+xml', 'content-disposition': `attachment; filename="${fileName}.gpx"` }
	});
};
