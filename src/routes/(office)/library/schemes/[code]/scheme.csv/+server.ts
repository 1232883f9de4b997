import { fileOfScheme } from '$lib/server/schemes/keep';
import type { RequestHandler } from './$types';
import { theScheme } from '../the-scheme';

/** A scheme as the file that brings it in again. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const scheme = await theScheme(locals.member!.programId, params.code);
	return new Response(fileOfScheme(scheme), {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="${scheme.code}.csv"`
		}
	});
};
