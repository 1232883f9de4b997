import { error, fail } from '@sveltejs/kit';
import { z } from 'zod';
import { SheetId } from '$lib/core/leaf';
import { keepingOf } from '$lib/core/subjects/voucher/keeping';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { peopleOf } from '$lib/server/db/queries/members';
import { animalsKnown } from '$lib/server/db/queries/own-animals';
import { MOST_VOUCHERS, vouchersOf } from '$lib/server/db/queries/vouchers';
import { todayOf } from '$lib/server/library/keep';
import { nameVoucher } from '$lib/server/reviews/judge';
import { serverNow_ms } from '$lib/server/settings';
import { keepVoucher } from '$lib/server/vouchers/keep';
import type { Actions, PageServerLoad } from './$types';

const NO_NAME = 'Choose one of the names in the list.';
const Said = z.object({
	visit: z.uuid('Say which visit it is of.').toLowerCase(),
	voucher: SheetId,
	taxon: z.string(NO_NAME)
});

export const load: PageServerLoad = async ({ locals }) => {
	const member = locals.member!;
	const rows = await vouchersOf(database(), member, MOST_VOUCHERS);
	const today = todayOf(member, serverNow_ms());
	const people = await peopleOf(database(), member.programId);
	return {
		vouchers: rows.map(({ opinions, loans, keptAt, ...voucher }) => ({
			...voucher,
			keeping: keepingOf({ ...voucher, loans, keptAt }, today),
			said: Object.entries(opinions ?? {}).map(([by, taxon]) => ({ by: people[by]?.initials ?? '?', taxon })),
			own: opinions?.[member.id] ?? null
		})),
		mayName: can(member, 'see-queue'),
		mayKeep: can(member, 'keep-vouchers')
	};
};

const At = z.object({ visitId: z.uuid('Say which visit it is of.').toLowerCase(), voucher: SheetId });
const Word = (missing: string) => z.string(missing).trim().min(1, missing).max(80, 'At most 80 letters.');
const Deed = z.discriminatedUnion('deed', [
	z.object({ deed: z.literal('place'), shelf: Word('Say where it stands: the jar, the shelf.') }),
	z.object({ deed: z.literal('top-up') }),
	z.object({ deed: z.literal('lend'), to: Word('Say who has it.') }),
	z.object({ deed: z.literal('take-back') })
]);

export const actions: Actions = {
	keep: async ({ locals, request }) => {
		const member = locals.member!;
		if (!can(member, 'keep-vouchers')) error(403, 'The shelf is for the bench and the coordinator.');
		const given = Object.fromEntries(await request.formData());
		const at = At.safeParse(given);
		const deed = Deed.safeParse(given);
		const kept = typeof given['voucher'] === 'string' ? given['voucher'] : '';
		if (!at.success || !deed.success) {
			const [issue] = [...(at.error?.issues ?? []), ...(deed.error?.issues ?? [])];
			return fail(400, { kept, why: issue!.message });
		}
		const refused = await keepVoucher(database(), member, at.data, deed.data, serverNow_ms());
		return refused ? fail(409, { kept, ...refused }) : { done: true };
	},
	name: async ({ locals, request }) => {
		const member = locals.member!;
		if (!can(member, 'see-queue')) error(403, 'A second name is for reviewers and coordinators.');
		const given = Object.fromEntries(await request.formData());
		const said = Said.safeParse(given);
		const at = typeof given['voucher'] === 'string' ? given['voucher'] : '';
		if (!said.success) return fail(400, { at, why: said.error.issues.map((i) => i.message).join(' ') });
		const animals = await animalsKnown(database(), member.programId);
		if (animals.of(said.data.taxon) === null) return fail(400, { at, why: NO_NAME });
		const done = await nameVoucher(database(), member, said.data.visit, said.data, serverNow_ms());
		return done.ok ? { done: true } : fail(400, { at, why: done.why });
	}
};
