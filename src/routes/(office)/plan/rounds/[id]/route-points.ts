import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { database } from '$lib/server/db/connect';
import type { Membership } from '$lib/server/db/queries/members';
import { loadRoundDay } from '$lib/server/plan/round-day';
import { dateOfDay } from '$lib/server/plan/local-day';
import { serverNow_ms } from '$lib/server/settings';

/** A round's stops in the order of its plan, for map files. Answers 404 where there is no such round. */
export async function routePoints(member: Membership, id: string) {
	const round = z.uuid().safeParse(id).success ? await loadRoundDay(database(), member, id, serverNow_ms()) : null;
	if (!round) error(404, 'There is no such round in your program’s plan.');
	return {
		name: `${round.name}, ${dateOfDay(round.day)}`,
		fileName: `round-${dateOfDay(round.day)}`,
		points: round.sites.map((s) => ({
			name: `${s.code} ${s.name}`,
			about: [s.about, s.hazards].filter(Boolean).join('. '),
			latitude: s.latitude,
			longitude: s.longitude
		}))
	};
}
