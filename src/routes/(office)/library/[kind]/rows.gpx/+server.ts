import { error } from '@sveltejs/kit';
import { database } from '$lib/server/db/connect';
import { loadLibrary } from '$lib/server/library/load';
import { asGpx } from '$lib/server/library/write-file';
import { theKind } from '../the-kind';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const kind = theKind(params.kind);
	if (kind.name !== 'sites') error(404, 'Only sites go out as GPX.');
	return new Response(asGpx(kind, await loadLibrary(database(), locals.member!.programId)), {
		headers: { 'content-type': 'application/gpx+xml', 'content-disposition': 'attachment; filename="sites.gpx"' }
	});
};
