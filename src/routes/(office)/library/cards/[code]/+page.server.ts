import { error, fail } from '@sveltejs/kit';
import { z } from 'zod';
import { compose, orderSteps, readChanges, settingsOf } from '$lib/core/method';
import { againSettings, stepsToAdd } from '$lib/core/subjects/step-settings';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { definedParameters } from '$lib/server/db/queries/own-parameters';
import { cardVersions, keepVersion, keptBy, roundsThatWouldMove } from '$lib/server/library/cards';
import { previewSettings, readSettings } from '$lib/server/library/card-file';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const member = locals.member!;
	const versions = (await cardVersions(database(), member.programId)).get(params.code);
	if (!versions) error(404, 'There is no such card in your program.');
	const by = await keptBy(database(), member.programId, versions[0]!.cardId);
	// changes are of one version: once that is kept as the next, they are made
	const isOfThis = url.searchParams.get('on') === String(versions[0]!.version);
	const asked = readChanges(isOfThis ? url.searchParams.getAll('with') : []);
	const draft = compose(versions[0]!.card, asked.changes);
	const order = orderSteps(draft.card);
	return {
		code: params.code,
		mayKeep: can(member, 'keep-library'),
		title: versions[0]!.card.title,
		version: versions[0]!.version,
		settings: settingsOf(draft.card, await definedParameters(database(), member.programId)),
		changes: asked.words,
		draftSaid: [
			...asked.why,
			...draft.why,
			...draft.rulesGone.map((r) => `The rule “${r.because}” goes: no step is left that it speaks of.`)
		],
		inCard: draft.card.steps.map((s) => ({
			id: s.id,
			title: s.title,
			tags: s.tags,
			canRepeat: againSettings(s, '-2') !== null
		})),
		kinds: stepsToAdd(draft.card.steps),
		steps: 'steps' in order ? order.steps.map((s) => ({ title: s.step.title, because: s.because })) : [],
		versions: versions.map((v) => ({ version: v.version, since: v.since, by: by[v.version] ?? null }))
	};
};

const Given = z.object({
	on: z.coerce.number().int().positive(),
	texts: z.record(z.string(), z.string().max(4000, 'That is too long.'))
});

const keep = async (locals: App.Locals, code: string, on: unknown, texts: Record<string, string>, words: unknown[]) => {
	if (!can(locals.member!, 'keep-library')) error(403, 'Only a coordinator changes the library.');
	const given = Given.safeParse({ on, texts });
	if (!given.success)
		return fail(400, { texts, why: given.error.issues.map((i) => ({ path: String(i.path.at(-1)), why: i.message })) });
	const asked = readChanges(words);
	if (asked.why.length) return fail(400, { texts, why: asked.why.map((why) => ({ path: '', why })) });
	const kept = await keepVersion(
		database(),
		locals.member!,
		code,
		given.data.on,
		given.data.texts,
		serverNow_ms(),
		asked.changes
	);
	if (!kept.ok) return fail(400, { texts, why: kept.why });
	const moved = kept.roundsMoved
		? ` ${kept.roundsMoved} planned ${kept.roundsMoved === 1 ? 'round goes' : 'rounds go'} over to it.`
		: '';
	return {
		said: `Saved as version ${kept.version}, in use from now on.${moved} Visits keep the version they were made with.`
	};
};

export const actions: Actions = {
	keep: async ({ locals, params, request }) => {
		const form = await request.formData();
		const words = form.getAll('with');
		form.delete('with');
		const { on, ...texts } = Object.fromEntries(
			[...form].filter((f): f is [string, string] => typeof f[1] === 'string')
		);
		return keep(locals, params.code, on, texts, words);
	},
	import: async ({ locals, params, request }) => {
		const member = locals.member!;
		if (!can(member, 'keep-library')) error(403, 'Only a coordinator changes the library.');
		const file = (await request.formData()).get('file');
		const read = readSettings(file instanceof File ? await file.text() : '');
		if ('why' in read) return fail(400, { texts: null, why: [{ path: '', why: read.why }] });
		const latest = (await cardVersions(database(), member.programId)).get(params.code)?.[0];
		if (!latest) error(404, 'There is no such card in your program.');
		const seen = previewSettings(latest.card, read, await definedParameters(database(), member.programId));
		if ('why' in seen) return fail(400, { texts: null, why: seen.why });
		const rounds = await roundsThatWouldMove(database(), member.programId, latest.cardId, serverNow_ms());
		return { preview: { ...seen, texts: read.texts, on: latest.version, rounds } };
	}
};
