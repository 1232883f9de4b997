import { error, fail } from '@sveltejs/kit';
import { can } from '$lib/server/access';
import { database } from '$lib/server/db/connect';
import { streamNetwork } from '$lib/server/db/queries/catchment';
import { peopleOf } from '$lib/server/db/queries/members';
import { loadSeason } from '$lib/server/plan/season';
import { feedKeyOf, newFeedKey } from '$lib/server/plan/calendar';
import { dateOfDay, minuteOfDay } from '$lib/server/plan/local-day';
import { afterStorm, rainLately, RainRead, typeRain } from '$lib/server/plan/storm';
import { serverNow_ms } from '$lib/server/settings';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const member = locals.member!;
	const db = database();
	const now_ms = serverNow_ms();
	const rain = await rainLately(db, member, now_ms);
	const season = await loadSeason(
		db,
		member,
		now_ms,
		rain.storms.map((s) => s.day)
	);
	return {
		...season,
		weather: afterStorm(rain, season, minuteOfDay(now_ms, member.program.timeZone)),
		network: await streamNetwork(db, member.programId),
		people: await peopleOf(db, member.programId),
		feed: await feedKeyOf(db, member.programId).then((key) =>
			key === null ? null : `${url.origin}/calendar/${key}.ics`
		),
		isRainTyped: rain.gauge !== null && !rain.gauge.isSimulated,
		date: dateOfDay(season.today),
		mayPlan: can(member, 'plan')
	};
};

export const actions: Actions = {
	rain: async ({ locals, request }) => {
		const member = locals.member!;
		if (!can(member, 'plan')) error(403, 'Only a coordinator types what the rain gauge shows.');
		const said = RainRead.safeParse(Object.fromEntries(await request.formData()));
		if (!said.success) return fail(400, { rain: said.error.issues.map((i) => i.message).join(' ') });
		const done = await typeRain(database(), member, said.data, serverNow_ms());
		return done.ok ? {} : fail(400, { rain: done.why });
	},
	feed: async ({ locals }) => {
		const member = locals.member!;
		if (!can(member, 'plan')) error(403, 'Only a coordinator makes a calendar feed.');
		await newFeedKey(database(), member.programId);
	}
};
