import { database } from '$lib/server/db/connect';
import { streamNetwork } from '$lib/server/db/queries/catchment';
import { peopleOf } from '$lib/server/db/queries/members';
import { letterheadOf } from '$lib/server/paper/letterhead';
import { loadSeason } from '$lib/server/plan/season';
import { serverNow_ms } from '$lib/server/settings';
import { beside } from '$lib/server/threads/beside';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) => {
	const member = locals.member!;
	const db = database();
	const { wire, rounds } = await loadSeason(db, member, serverNow_ms());
	const { sites } = await streamNetwork(db, member.programId);
	const people = await peopleOf(db, member.programId);
	const pdf = await beside('season', {
		letterhead: await letterheadOf(db, member.programId),
		from: wire.from,
		to: wire.to,
		rounds: rounds.map(({ day, name, state, refusedBecause, quality, siteIds, crew }) => ({
			...{ day, name, state, refusedBecause, quality },
			codes: siteIds.map((id) => sites.find((s) => s.id === id)?.code ?? '?'),
			initials: crew.map((id) => people[id]?.initials ?? '?')
		}))
	});
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="season.pdf"' }
	});
};
