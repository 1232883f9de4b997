import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { ImportMapping } from '$lib/core/library';
import { database } from '$lib/server/db/connect';
import { jsonField } from '$lib/server/json-field';
import { importFile, mappingOf } from '$lib/server/library/keep';
import { loadLibrary } from '$lib/server/library/load';
import { serverNow_ms } from '$lib/server/settings';
import { beside } from '$lib/server/threads/beside';
import type { Actions, PageServerLoad } from './$types';
import { theKind } from '../the-kind';

/**
 * A file as the page sends it: its text, what stands where it says nothing, and what was looked at before it is
 * written.
 */
const Asked = z.object({
	text: z
		.string()
		.min(1, 'Choose a file first, or paste its rows.')
		.max(3_600_000, 'That is more than 3.5 MB. Leave out what is not needed; nothing was written.'),
	defaults: jsonField(
		z.record(z.string(), z.string().max(400)),
		'What stands where the file says nothing could not be read. Load the page again.'
	),
	mapping: jsonField(ImportMapping, 'What the headings mean could not be read. Load the page again.'),
	confirmed: z.string().nullable()
});

export const load: PageServerLoad = async ({ locals, params }) => {
	const kind = theKind(params.kind);
	const { programId } = locals.member!;
	const [library, mapping] = await Promise.all([
		loadLibrary(database(), programId),
		mappingOf(database(), programId, kind.name)
	]);
	return { kindName: kind.name, library, mapping };
};

export const actions: Actions = {
	default: async ({ locals, params, request }) => {
		const kind = theKind(params.kind);
		const form = await request.formData();
		const asked = Asked.safeParse({
			text: form.get('text') ?? '',
			defaults: form.get('defaults') ?? '{}',
			mapping: form.get('mapping') ?? '{}',
			confirmed: form.get('confirmed')
		});
		if (!asked.success) return fail(400, { why: asked.error.issues[0]!.message });
		if (kind.name === 'program') return fail(400, { why: 'A program is not brought in from a file.' });
		const read = await beside('read-file', asked.data.text, kind.name);
		if ('why' in read) return fail(400, { why: read.why });
		try {
			const done = await importFile(
				database(),
				locals.member!,
				kind,
				{ rows: read.rows, ...asked.data },
				serverNow_ms()
			);
			const lines = done.plan.lines.map(({ line, name, verdict, changes, why }) => ({
				line,
				name,
				verdict,
				changes,
				why
			}));
			return {
				lines,
				unknown: done.plan.unknown,
				strange: done.plan.strange,
				missing: done.plan.missing,
				fingerprint: done.fingerprint,
				written: done.written,
				why: done.why
			};
		} catch (trouble) {
			if (trouble instanceof RangeError) return fail(400, { why: `${trouble.message} Nothing was written.` });
			throw trouble;
		}
	}
};
