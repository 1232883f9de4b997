import { database } from '$lib/server/db/connect';
import { ownAnimalsOf } from '$lib/server/db/queries/own-animals';
import { letterheadOf } from '$lib/server/paper/letterhead';
import { beside } from '$lib/server/threads/beside';
import type { RequestHandler } from './$types';

/** The drawings of the key on paper, for those without a phone. */
export const GET: RequestHandler = async ({ locals }) => {
	const { programId } = locals.member!;
	const [letterhead, own] = await Promise.all([
		letterheadOf(database(), programId),
		ownAnimalsOf(database(), programId)
	]);
	const pdf = await beside('animals', { letterhead, own });
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="animals.pdf"' }
	});
};
