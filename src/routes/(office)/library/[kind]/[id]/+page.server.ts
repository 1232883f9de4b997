import { error, fail, redirect } from '@sveltejs/kit';
import { message, setError, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { emptyLibrary, lookupIn, textsOf, writeRow } from '$lib/core/library';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { auditOf, keepTexts, removeRow, textsBefore, todayOf } from '$lib/server/library/keep';
import { loadLibrary } from '$lib/server/library/load';
import { accessOf, joinWord } from '$lib/server/library/people';
import { decideLateLines, waitingLateLines } from '$lib/server/sync/late-decisions';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';
import { theKind } from '../the-kind';

const Id = z.uuid();

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const member = locals.member!;
	const kind = theKind(params.kind);
	const mayKeep = can(member, 'keep-library');
	const library = await loadLibrary(database(), member.programId);
	const lookup = lookupIn(library);
	const row = library[kind.name].find((r) => r.id === params.id) ?? null;
	const isNew = params.id === 'new' && kind.name !== 'program';
	if (!row && !(isNew && mayKeep)) error(404, `There is no such ${kind.one} here.`);
	const asked = Id.safeParse(url.searchParams.get('before'));
	const before =
		row && mayKeep && asked.success ? await textsBefore(database(), member, kind, row.id, asked.data, library) : null;
	const like = isNew ? (kind.startFrom?.(url.searchParams.get('like') ?? '') ?? null) : null;
	const shown = row ?? (like && { id: '', ...like });
	const texts = shown ? writeRow(kind, shown, lookup) : {};
	if (!mayKeep) delete texts['email'];
	return {
		kindName: kind.name,
		id: row?.id ?? null,
		name: row ? kind.nameOf(row, lookup) : null,
		texts,
		form: await superValidate(before ?? texts, zod4(textsOf(kind)), { errors: false }),
		isBefore: before !== null,
		mayKeep,
		today: todayOf(member, serverNow_ms()),
		// what typing is checked against; whoever may only read needs none of it
		library: mayKeep ? library : emptyLibrary(),
		late:
			row && mayKeep && kind.name === 'people'
				? ((await waitingLateLines(database(), member.programId)).find((l) => l.memberId === row.id) ?? null)
				: null,
		access: row && mayKeep && kind.name === 'people' ? await accessOf(database(), member.programId, row.id) : [],
		audit: row && mayKeep ? await auditOf(database(), member, kind, row.id, library) : []
	};
};

export const actions: Actions = {
	keep: async ({ locals, params, request }) => {
		const member = locals.member!;
		if (!can(member, 'keep-library')) error(403, 'Only a coordinator changes the library.');
		const kind = theKind(params.kind);
		const form = await superValidate(request, zod4(textsOf(kind)));
		if (!form.valid) return fail(400, { form });
		const id = params.id === 'new' ? null : params.id;
		const kept = await keepTexts(database(), member, kind, id, form.data, serverNow_ms());
		if (!kept.ok) {
			for (const { field, why } of kept.objections) setError(form, field, why);
			return fail(400, { form });
		}
		if (id === null) redirect(303, kind.name === 'people' ? `/library/people/${kept.id}` : `/library/${kind.name}`);
		return message(form, 'Saved.');
	},
	remove: async ({ locals, params }) => {
		const member = locals.member!;
		if (!can(member, 'keep-library')) error(403, 'Only a coordinator changes the library.');
		const kind = theKind(params.kind);
		const removed = await removeRow(database(), member, kind, params.id, serverNow_ms());
		if (!removed.ok) return fail(400, { why: removed.why });
		redirect(303, `/library/${kind.name}`);
	},
	late: async ({ locals, params, request }) => {
		const member = locals.member!;
		if (!can(member, 'keep-library') || params.kind !== 'people')
			error(403, 'Only a coordinator decides on late lines.');
		if (!Id.safeParse(params.id).success) error(404, 'There is no such person here.');
		const isTaken = (await request.formData()).get('take') === 'yes';
		const { accepted, refused } = await decideLateLines(database(), member, params.id, isTaken, serverNow_ms());
		const why = [...new Set(refused.map((r) => r.why))].slice(0, 3).join('; ');
		return {
			said: isTaken
				? `${accepted.length} lines taken in${refused.length ? `, ${refused.length} refused: ${why}` : ''}.`
				: 'Left where they are; none of it is in the logbook.'
		};
	},
	join: async ({ locals, params, url }) => {
		const member = locals.member!;
		if (!can(member, 'keep-library') || params.kind !== 'people') error(403, 'Only a coordinator makes such a link.');
		if (!Id.safeParse(params.id).success) error(404, 'There is no such person here.');
		const word = await joinWord(database(), member, params.id);
		if ('why' in word) return fail(400, { why: word.why });
		return { join: `${url.origin}/join/${word.token}` };
	}
};
