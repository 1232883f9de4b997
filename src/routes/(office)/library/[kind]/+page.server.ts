import { error, fail, redirect } from '@sveltejs/kit';
import { lookupIn, writeRow } from '$lib/core/library';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { keepExamples, todayOf } from '$lib/server/library/keep';
import { loadLibrary } from '$lib/server/library/load';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';
import { theKind } from './the-kind';

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
		rows: library[kind.name].map((row) => {
			const texts = writeRow(kind, row, lookup);
			if (!mayKeep) delete texts['email'];
			return {
				id: row.id,
				name: kind.nameOf(row, lookup),
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
		return isDone ? { done: true } : fail(400, { why: `There are ${kind.many.toLowerCase()} here already.` });
	}
};
