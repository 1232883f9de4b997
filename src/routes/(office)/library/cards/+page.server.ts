import { error, fail, redirect } from '@sveltejs/kit';
import { compareCards, shippedCards } from '$lib/core/method';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { cardVersions, takeCard } from '$lib/server/library/cards';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const member = locals.member!;
	const own = await cardVersions(database(), member.programId);
	const sides = [
		...[...own].flatMap(([code, versions]) =>
			versions.map((v, i) => ({
				key: `${code} ${v.version}`,
				title: `${v.card.title}, version ${v.version}${i === 0 ? ', in use' : ''}`,
				card: v.card
			}))
		),
		...shippedCards.map((card) => ({ key: `shipped ${card.code}`, title: `${card.title}, as shipped`, card }))
	];
	const latest = [...own.values()][0];
	const asked = (name: string, usual: string | undefined) =>
		sides.find((s) => s.key === url.searchParams.get(name)) ?? sides.find((s) => s.key === usual) ?? sides[0]!;
	const a = asked(
		'a',
		latest?.[1] ? `${latest[1].card.code} ${latest[1].version}` : `shipped ${shippedCards[0]!.code}`
	);
	const b = asked('b', latest ? `${latest[0]!.card.code} ${latest[0]!.version}` : `shipped ${shippedCards[1]!.code}`);
	return {
		mayKeep: can(member, 'keep-library'),
		own: [...own].map(([code, versions]) => ({
			code,
			title: versions[0]!.card.title,
			summary: versions[0]!.card.summary,
			version: versions[0]!.version,
			since: versions[0]!.since
		})),
		shipped: shippedCards.filter((c) => !own.has(c.code)).map(({ code, title, summary }) => ({ code, title, summary })),
		sides: sides.map(({ key, title }) => ({ key, title })),
		a: a.key,
		b: b.key,
		differences: compareCards(a.card, b.card)
	};
};

export const actions: Actions = {
	take: async ({ locals, request }) => {
		const member = locals.member!;
		if (!can(member, 'keep-library')) error(403, 'Only a coordinator changes the library.');
		const code = (await request.formData()).get('code');
		if (typeof code !== 'string' || !(await takeCard(database(), member, code, serverNow_ms())))
			return fail(400, { why: 'This card is in the library already, or is not shipped.' });
		redirect(303, `/library/cards/${code}`);
	}
};
