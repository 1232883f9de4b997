import { error } from '@sveltejs/kit';
import { database } from '$lib/server/db/connect';
import { settingsAsCsv } from '$lib/server/library/card-file';
import { cardVersions } from '$lib/server/library/cards';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params, url }) => {
	const versions = (await cardVersions(database(), locals.member!.programId)).get(params.code);
	const asked = url.searchParams.get('version');
	const version = asked === null ? versions?.[0] : versions?.find((v) => String(v.version) === asked);
	if (!version) error(404, 'There is no such version of a card in your program.');
	return new Response(settingsAsCsv(version.card), {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="${params.code}-${version.version}.csv"`
		}
	});
};
