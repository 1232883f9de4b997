import { error, fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { isForLab } from '$lib/core/custody';
import { database } from '$lib/server/db/connect';
import { serverNow_ms } from '$lib/server/settings';
import { bottlesIn, bottlesToSend } from '$lib/server/shipments/bottles';
import { Arrived, chosenBottles, HandedOver, instantIn, Packed, PutIn, TakenOut } from '$lib/server/shipments/form';
import { arrive, handOver, takeBack } from '$lib/server/shipments/hand-over';
import { journeyAhead } from '$lib/server/shipments/journey';
import { changeShipment, couriered, shipmentOf, unpack, type Change } from '$lib/server/shipments/shipments';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** The box of the page's address. */
function asked(id: string): string {
	const read = z.uuid().safeParse(id);
	if (!read.success) error(404, 'The program has no such box.');
	return read.data;
}

export const load: PageServerLoad = async ({ locals, params }) => {
	const { programId, program } = locals.member!;
	const db = database();
	const now_ms = serverNow_ms();
	const box = await shipmentOf(db, programId, asked(params.id));
	if (!box) error(404, 'The program has no such box.');
	const { id, code, labId, packed, seal, courier, arrived_C, handedOverAt, expectedAt, arrivedAt } = box;
	const [bottles, waiting, labs] = await Promise.all([
		bottlesIn(db, programId, box.id),
		handedOverAt ? [] : bottlesToSend(db, programId, now_ms),
		couriered(db, programId)
	]);
	const lab = labs.find((l) => l.id === labId);
	return {
		box: {
			id,
			code,
			lab: box.lab,
			packed,
			seal,
			courier,
			arrived_C,
			handedOver_ms: handedOverAt && +handedOverAt,
			expected_ms: expectedAt && +expectedAt,
			arrived_ms: arrivedAt && +arrivedAt
		},
		bottles,
		waiting: waiting.filter((b) => isForLab(b.kind, lab?.analyses ?? [])),
		ahead: lab && !handedOverAt ? journeyAhead(lab, now_ms, program.timeZone) : null
	};
};

type Read<T> = z.ZodSafeParseResult<T>;
type Refused = { why: string } | null;

/** Does to the page's box what was asked, where it can be read and may be done. */
async function doing<T>({ params }: RequestEvent, read: Read<T>, deed: (id: string, said: T) => Promise<Refused>) {
	if (!read.success) return fail(400, { why: read.error.issues[0]!.message });
	const refused = await deed(asked(params.id), read.data);
	return refused ? fail(409, refused) : { done: true };
}

const change = (event: RequestEvent, read: Read<Change>) =>
	doing(event, read, (id, said) => changeShipment(database(), event.locals.member!, id, said, serverNow_ms()));

export const actions: Actions = {
	put: async (event) => {
		const form = await event.request.formData();
		return change(
			event,
			PutIn.transform((p): Change => ({ put: p.bottles })).safeParse({ bottles: chosenBottles(form) })
		);
	},
	takeOut: async (event) => {
		const form = await event.request.formData();
		const out = TakenOut.transform((t): Change => ({ takeOut: t.bottle }));
		return change(event, out.safeParse({ bottle: form.get('bottle') }));
	},
	pack: async (event) => {
		const form = Object.fromEntries(await event.request.formData());
		return change(event, Packed.safeParse(form));
	},
	handOver: async (event) => {
		const member = event.locals.member!;
		const form = Object.fromEntries(await event.request.formData());
		return doing(event, HandedOver.safeParse(form), (id, { at, ...said }) => {
			const at_ms = instantIn(at, member.program.timeZone);
			return handOver(database(), member, id, { ...said, at_ms }, serverNow_ms());
		});
	},
	arrive: async (event) => {
		const member = event.locals.member!;
		const form = Object.fromEntries(await event.request.formData());
		return doing(event, Arrived.safeParse(form), (id, { at, temperature_C }) => {
			const at_ms = instantIn(at, member.program.timeZone);
			return arrive(database(), member, id, { at_ms, temperature_C }, serverNow_ms());
		});
	},
	takeBack: async ({ locals, params }) => {
		const refused = await takeBack(database(), locals.member!, asked(params.id), serverNow_ms());
		return refused ? fail(409, refused) : { done: true };
	},
	unpack: async ({ locals, params }) => {
		if (!(await unpack(database(), locals.member!, asked(params.id))))
			return fail(409, { why: 'This box has left; its bottles are in it.' });
		redirect(303, '/shipments');
	}
};
