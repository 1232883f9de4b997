import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { letterheadOf } from '$lib/server/paper/letterhead';
import { bottlesIn } from '$lib/server/shipments/bottles';
import { couriered, shipmentOf } from '$lib/server/shipments/shipments';
import { beside } from '$lib/server/threads/beside';
import type { RequestHandler } from './$types';

/** A box's custody form and the sheet with its address. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const { programId, program } = locals.member!;
	const id = z.uuid().safeParse(params.id);
	const box = id.success ? await shipmentOf(database(), programId, id.data) : null;
	if (!box) error(404, 'The program has no such box.');
	const [bottles, labs, people, letterhead] = await Promise.all([
		bottlesIn(database(), programId, box.id),
		couriered(database(), programId),
		peopleOf(database(), programId),
		letterheadOf(database(), programId)
	]);
	const { code, courier, seal, handedOverAt, handedOverBy } = box;
	const from = (handedOverBy && people[handedOverBy]?.name) ?? 'somebody who has left';
	const pdf = await beside('shipment', {
		code,
		lab: { name: box.lab, address: labs.find((l) => l.id === box.labId)?.address ?? '' },
		bottles,
		left: handedOverAt && { from, courier, seal, at_ms: +handedOverAt },
		timeZone: program.timeZone,
		letterhead
	});
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${code}.pdf"` }
	});
};
