import { fail, redirect } from '@sveltejs/kit';
import { database } from '$lib/server/db/connect';
import { serverNow_ms } from '$lib/server/settings';
import { bottlesToSend } from '$lib/server/shipments/bottles';
import { journeyAhead } from '$lib/server/shipments/journey';
import { chosenBottles, Started } from '$lib/server/shipments/form';
import { contents, couriered, shipmentsOf, startShipment } from '$lib/server/shipments/shipments';
import type { Actions, PageServerLoad } from './$types';

/** Older ones are found through the visits whose bottles they held. */
const MOST = 100;

export const load: PageServerLoad = async ({ locals }) => {
	const { programId, program } = locals.member!;
	const db = database();
	const now_ms = serverNow_ms();
	const [shipments, held, waiting, labs] = await Promise.all([
		shipmentsOf(db, programId, MOST),
		contents(db, programId),
		bottlesToSend(db, programId, now_ms),
		couriered(db, programId)
	]);
	return {
		waiting,
		labs: labs.map((lab) => ({
			id: lab.id,
			name: lab.name,
			analyses: lab.analyses,
			ahead: journeyAhead(lab, now_ms, program.timeZone)
		})),
		shipments: shipments.map(({ id, code, lab, handedOverAt, expectedAt, arrivedAt, arrived_C }) => ({
			id,
			code,
			lab,
			handedOver_ms: handedOverAt && +handedOverAt,
			expected_ms: expectedAt && +expectedAt,
			arrived_ms: arrivedAt && +arrivedAt,
			arrived_C,
			...(held.get(id) ?? { bottles: 0, reported: 0 })
		}))
	};
};

export const actions: Actions = {
	default: async ({ locals, request }) => {
		const form = await request.formData();
		const started = Started.safeParse({ labId: form.get('labId'), bottles: chosenBottles(form) });
		if (!started.success) return fail(400, { why: started.error.issues[0]!.message });
		const { labId, bottles } = started.data;
		const made = await startShipment(database(), locals.member!, { labId, chosen: bottles }, serverNow_ms());
		if ('why' in made) return fail(409, made);
		redirect(303, `/shipments/${made.id}`);
	}
};
