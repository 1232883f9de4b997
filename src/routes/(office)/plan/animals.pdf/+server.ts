import { database } from '$lib/server/db/connect';
import { letterheadOf } from '$lib/server/paper/letterhead';
import { beside } from '$lib/server/threads/beside';
import type { RequestHandler } from './$types';

/** The drawings of the key on paper, for those without a phone. */
export const GET: RequestHandler = async ({ locals }) => {
	const pdf = await beside('animals', { letterhead: await letterheadOf(database(), locals.member!.programId) });
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="animals.pdf"' }
	});
};
