import { error } from '@sveltejs/kit';
import { database } from '$lib/server/db/connect';
import { loadLibrary } from '$lib/server/library/load';
import { asGeoJson } from '$lib/server/library/write-file';
import { theKind } from '../the-kind';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const kind = theKind(params.kind);
	if (!('latitude' in kind.fields) && kind.name !== 'streams') error(404, `${kind.many} are on no map.`);
	return new Response(JSON.stringify(asGeoJson(kind, await loadLibrary(database(), locals.member!.programId))), {
		headers: {
			'content-type': 'application/geo+json',
			'content-disposition': `attachment; filename="${kind.name}.geojson"`
		}
	});
};
