import { PhotoHash } from '$lib/core/leaf';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/db/connect';
import { photoFor, PhotoOf, takePhoto } from '$lib/server/photos/photos';
import { serverNow_ms } from '$lib/server/settings';
import type { RequestHandler } from './$types';

const YEAR_s = 31_536_000;

export const GET: RequestHandler = async ({ params, locals }) => {
	const name = PhotoHash.safeParse(params.sha256);
	const found = name.success ? await photoFor(database(), locals.member!, name.data) : null;
	if (!found) return json({ message: 'There is no such photo, or it is another team’s.' }, { status: 404 });
	return new Response(new Uint8Array(found.content), {
		headers: {
			'content-type': found.mediaType,
			'cache-control': `private, max-age=${YEAR_s}, immutable`, // its name is its content
			'x-content-type-options': 'nosniff'
		}
	});
};

export const PUT: RequestHandler = async ({ params, url, request, locals }) => {
	const name = PhotoHash.safeParse(params.sha256);
	const of = PhotoOf.safeParse({
		visit: url.searchParams.get('visit'),
		mediaType: request.headers.get('content-type')
	});
	const wrong = [name, of].flatMap((parsed) => (parsed.success ? [] : [z.prettifyError(parsed.error)]));
	if (!name.success || !of.success) return json({ message: wrong.join(' ') }, { status: 400 });
	const done = await takePhoto(
		database(),
		locals.member!,
		name.data,
		of.data,
		Buffer.from(await request.arrayBuffer()),
		serverNow_ms()
	);
	return done.ok ? json({ taken: name.data }) : json({ message: done.why }, { status: done.status });
};
