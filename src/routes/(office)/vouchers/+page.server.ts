import { error, fail } from '@sveltejs/kit';
import { z } from 'zod';
import { SheetId } from '$lib/core/leaf';
import { taxonOf } from '$lib/core/macroinvertebrates';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { MOST_VOUCHERS, vouchersOf } from '$lib/server/db/queries/vouchers';
import { nameVoucher } from '$lib/server/reviews/judge';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

const NO_NAME = 'Choose one of the names in the list.';
const Said = z.object({
	visit: z.uuid('Say which visit it is of.').toLowerCase(),
	voucher: SheetId,
	taxon: z.string(NO_NAME).refine((code) => taxonOf(code) !== null, NO_NAME)
});

export const load: PageServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const rows = await vouchersOf(database(), member, MOST_VOUCHERS);
	const people = await peopleOf(database(), member.programId);
	return {
		vouchers: rows.map(({ opinions, ...voucher }) => ({
			...voucher,
			said: Object.entries(opinions ?? {}).map(([by, taxon]) => ({ by: people[by]?.initials ?? '?', taxon })),
			own: opinions?.[member.id] ?? null
		})),
		mayName: can(member, 'see-queue')
	};
};

export const actions: Actions = {
	name: async ({ locals, request }) => {
		const member = locals.member!;
		if (!can(member, 'see-queue')) error(403, 'A second name is for reviewers and coordinators.');
		const given = Object.fromEntries(await request.formData());
		const said = Said.safeParse(given);
		const at = typeof given['voucher'] === 'string' ? given['voucher'] : '';
		if (!said.success) return fail(400, { at, why: said.error.issues.map((i) => i.message).join(' ') });
		const done = await nameVoucher(database(), member, said.data.visit, said.data, serverNow_ms());
		return done.ok ? { done: true } : fail(400, { at, why: done.why });
	}
};
