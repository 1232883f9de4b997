import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { sayPlanDay } from '$lib/core/interpret';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { labelStocks } from '$lib/server/paper/labels';
import { dateOfDay } from '$lib/server/plan/local-day';
import { labelsOf, loadRoundDay } from '$lib/server/plan/round-day';
import { serverNow_ms, settings } from '$lib/server/settings';
import { beside } from '$lib/server/threads/beside';
import type { RequestHandler } from './$types';

/** Bottle labels of a round, to be stuck on before anything is filled. */
export const GET: RequestHandler = async ({ locals, params, url }) => {
	const stock = z.enum(labelStocks).catch('sheet').parse(url.searchParams.get('stock'));
	const round = z.uuid().safeParse(params.id).success
		? await loadRoundDay(database(), locals.member!, params.id, serverNow_ms())
		: null;
	if (!round) error(404, 'There is no such round in your program’s plan.');
	if (!can(locals.member!, 'see-round', { round }))
		error(403, 'The labels of a round are for its own team, and for those who answer for all.');
	const labels = labelsOf(round);
	if (labels.length === 0) error(404, 'This round’s card asks for no bottle.');
	const pdf = await beside(
		'labels',
		labels.map((l) => ({
			...l,
			day: sayPlanDay(round.day),
			program: locals.member!.program.name,
			siteName: round.sites.find((s) => s.code === l.site)?.name ?? l.site,
			address: `${settings().ORIGIN}/sample?label=${encodeURIComponent(l.code)}`
		})),
		stock
	);
	return new Response(new Uint8Array(pdf), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="labels-${dateOfDay(round.day)}.pdf"`,
			'cache-control': 'private, no-store'
		}
	});
};
