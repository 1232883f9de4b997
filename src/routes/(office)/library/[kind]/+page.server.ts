import { error, fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { lookupIn, writeRow } from '$lib/core/library';
import { counted } from '$lib/core/wording';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { changeSeveral, keepExamples, todayOf } from '$lib/server/library/keep';
import { loadLibrary } from '$lib/server/library/load';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';
import { theKind } from './the-kind';

/** One field of several rows, as it is to be. */
const Several = z.object({
	ids: z
		.string()
		.transform((text) => text.split(' ').filter(Boolean))
		.pipe(
			z
				.array(z.uuid('A row that was chosen has no such id. Load the page again.'))
				.min(1, 'Choose rows first.')
				.max(5000)
		),
	field: z.string().min(1, 'Say which field is changed.').max(60),
	text: z.string().max(4000, 'That is too long.').default('')
});

export const load: PageServerLoad = async ({ locals, params }) => {
	const member = locals.member!;
	const kind = theKind(params.kind);
	if (kind.name === 'program') redirect(307, `/library/program/${member.programId}`);
	const library = await loadLibrary(database(), member.programId);
	const lookup = lookupIn(library);
	const today = todayOf(member, serverNow_ms());
	const mayKeep = can(member, 'keep-library');
	return {
		kindName: kind.name,
		mayKeep,
		choices: Object.fromEntries(
			Object.entries(kind.fields).flatMap(([name, { refers, optionsIn }]) => {
				if (optionsIn) return [[name, optionsIn(library)]];
				return refers ? [[name, refers.flatMap((k) => library[k].map((row) => lookup.nameOf([k], row.id)))]] : [];
			})
		),
		rows: library[kind.name].map((row) => {
			const texts = writeRow(kind, row, lookup);
			if (!mayKeep) delete texts['email'];
			return {
				id: row.id,
				name: kind.nameOf(row, lookup),
				unit: kind.unitIn?.(row, library) ?? '',
				texts,
				endedOn: kind.endedOn?.(row) ?? null,
				doubts: kind.endedOn?.(row) ? [] : (kind.doubts?.(row, library, today) ?? []).map((d) => d.why)
			};
		})
	};
};

export const actions: Actions = {
	examples: async ({ locals, params }) => {
		const member = locals.member!;
		const kind = theKind(params.kind);
		if (!can(member, 'keep-library')) error(403, 'The library is kept by coordinators.');
		const isDone = await keepExamples(database(), member, kind, serverNow_ms());
		return isDone
			? { said: `${kind.many} to begin with are here.` }
			: fail(400, { why: `There are ${kind.many.toLowerCase()} here already.` });
	},
	several: async ({ locals, params, request }) => {
		const member = locals.member!;
		const kind = theKind(params.kind);
		if (!can(member, 'keep-library')) error(403, 'The library is kept by coordinators.');
		const asked = Several.safeParse(Object.fromEntries(await request.formData()));
		if (!asked.success) return fail(400, { why: asked.error.issues[0]!.message });
		const done = await changeSeveral(database(), member, kind, asked.data, serverNow_ms());
		return 'why' in done
			? fail(400, done)
			: {
					said:
						`${counted(done.changed, kind.one, kind.many.toLowerCase())} ` +
						`changed${done.same ? `, ${done.same} had it already` : ''}.`
				};
	}
};
