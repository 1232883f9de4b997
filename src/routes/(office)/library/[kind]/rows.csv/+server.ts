import { database } from '$lib/server/db/connect';
import { loadLibrary } from '$lib/server/library/load';
import { asCsv } from '$lib/server/library/write-file';
import { theKind } from '../the-kind';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const kind = theKind(params.kind);
	return new Response(asCsv(kind, await loadLibrary(database(), locals.member!.programId)), {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="${kind.name}.csv"`
		}
	});
};
