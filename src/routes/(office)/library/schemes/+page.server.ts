import { error, fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { animalsKnown } from '$lib/server/db/queries/own-animals';
import { keepScheme, readScheme, schemesOf } from '$lib/server/schemes/keep';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

const Brought = z.object({
	text: z
		.string()
		.min(1, 'Choose a file first, or paste its rows.')
		.max(400_000, 'That is more than 400 kB: no scheme is so long.'),
	isConfirmed: z.literal('yes').optional()
});

export const load: PageServerLoad = async ({ locals }) => ({
	schemes: await schemesOf(database(), locals.member!.programId),
	mayKeep: can(locals.member!, 'keep-library')
});

export const actions: Actions = {
	default: async ({ locals, request }) => {
		const member = locals.member!;
		if (!can(member, 'keep-library')) error(403, 'Schemes are brought in by the coordinator.');
		const brought = Brought.safeParse(Object.fromEntries(await request.formData()));
		if (!brought.success) return fail(400, { why: [brought.error.issues[0]!.message] });
		const read = readScheme(brought.data.text, await animalsKnown(database(), member.programId));
		if ('why' in read) return fail(400, read);
		if (brought.data.isConfirmed === undefined) return { looked: read.scheme };
		await keepScheme(database(), member, read.scheme, serverNow_ms());
		redirect(303, `/library/schemes/${read.scheme.code}`);
	}
};
