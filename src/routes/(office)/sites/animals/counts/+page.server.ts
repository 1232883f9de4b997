import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { CountMapping } from '$lib/core/animal-counts';
import { SheetId } from '$lib/core/leaf';
import { isTool } from '$lib/core/subjects/steps';
import { takeBackCounts } from '$lib/server/animal-counts/take-back';
import { countMappingOf, lookAtCounts, takeCounts } from '$lib/server/animal-counts/take';
import { traysOf } from '$lib/server/animal-counts/trays';
import { database } from '$lib/server/db/connect';
import { jsonField } from '$lib/server/json-field';
import { cardVersions } from '$lib/server/library/cards';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

/** A file of counts as the page sends it, and what was looked at before it is written. */
const Asked = z.object({
	text: z
		.string()
		.min(1, 'Choose a file first, or paste its rows.')
		.max(3_600_000, 'That is more than 3.5 MB. Bring it in in parts; nothing was written.'),
	from: z
		.string()
		.trim()
		.min(1, 'Say whose counts these are: it stands beside them for ever.')
		.max(80, 'At most 80 letters say whose counts these are.'),
	mapping: jsonField(CountMapping, 'What was said of its words could not be read. Load the page again.'),
	opensBy: z.union([z.literal('').transform(() => null), z.uuid('This card is not one of the program’s.')]),
	confirmed: z.string().length(64).nullable()
});
const Brought = z.object({ visitId: z.uuid(), step: SheetId });

export const load: PageServerLoad = async ({ locals }) => {
	const who = locals.member!;
	const db = database();
	const [mapping, trays, cards] = await Promise.all([
		countMappingOf(db, who.programId),
		traysOf(db, who),
		cardVersions(db, who.programId)
	]);
	return {
		mapping,
		waiting: trays
			.filter((t) => Object.keys(t.kinds).length === 0)
			.slice(-MOST)
			.reverse(),
		brought: trays
			.filter((t) => t.from !== null)
			.slice(-MOST)
			.reverse(),
		cards: [...cards.values()].flatMap(([latest]) =>
			latest?.card.steps.some((s) => isTool(s, 'tray') && s.school !== 'pick' && s.school !== 'squares')
				? [{ id: latest.id, name: latest.card.title }]
				: []
		)
	};
};
/** Older ones are found through their visits. */
const MOST = 40;

export const actions: Actions = {
	look: async ({ locals, request }) => {
		const form = await request.formData();
		const asked = Asked.safeParse({
			text: form.get('text') ?? '',
			from: form.get('from') ?? '',
			mapping: form.get('mapping') ?? '{}',
			opensBy: form.get('opensBy') ?? '',
			confirmed: form.get('confirmed')
		});
		if (!asked.success) return fail(400, { why: asked.error.issues[0]!.message });
		const { confirmed, ...brought } = asked.data;
		const who = locals.member!;
		if (confirmed === null) {
			const looked = await lookAtCounts(database(), who, brought, serverNow_ms());
			return 'why' in looked ? fail(400, looked) : { looked };
		}
		const taken = await takeCounts(database(), who, { ...brought, confirmed }, serverNow_ms());
		return 'why' in taken ? fail(409, taken) : { taken };
	},
	takeBack: async ({ locals, request }) => {
		const asked = Brought.safeParse(Object.fromEntries(await request.formData()));
		if (!asked.success) return fail(400, { why: 'This sample is not one of the program’s. Load the page again.' });
		return (await takeBackCounts(database(), locals.member!, asked.data, serverNow_ms()))
			? { takenBack: true }
			: fail(409, { why: 'No file brought counts for this sample, or they were struck already.' });
	}
};
