import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { voucherStandings } from '$lib/core/subjects/voucher/agreed-name';
import { needsVialLabel } from '$lib/core/subjects/voucher/branch';
import { database } from '$lib/server/db/connect';
import { animalsKnown } from '$lib/server/db/queries/own-animals';
import { MOST_VOUCHERS, vouchersOf } from '$lib/server/db/queries/vouchers';
import { letterheadOf } from '$lib/server/paper/letterhead';
import { beside } from '$lib/server/threads/beside';
import type { RequestHandler } from './$types';

/** Labels for vials: of all animals kept on visits that the member may see, or of those whose names stand so. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const member = locals.member!;
	const shown = z.enum(voucherStandings).nullable().safeParse(url.searchParams.get('shown'));
	if (!shown.success) error(400, `Which are shown is one of ${voucherStandings.join(', ')}, or left out for all.`);
	const all = await vouchersOf(database(), member, MOST_VOUCHERS);
	const animals = await animalsKnown(database(), member.programId);
	const labels = all
		.filter((v) => shown.data === null || v.standing === shown.data)
		.filter(needsVialLabel)
		.map(({ label, site, started_ms, taxon, count, keptIn }) => ({
			code: label,
			site,
			at_ms: started_ms,
			taxon,
			called: animals.nameOf(taxon),
			count,
			keptIn
		}));
	if (labels.length === 0) error(404, 'None of these animals lies in a vial with a label.');
	const { timeZone } = member.program;
	const letterhead = await letterheadOf(database(), member.programId);
	const pdf = await beside('vials', labels, { letterhead, timeZone });
	return new Response(new Uint8Array(pdf), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': 'inline; filename="vial-labels.pdf"',
			'cache-control': 'private, no-store'
		}
	});
};
