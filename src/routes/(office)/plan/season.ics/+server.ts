import { error } from '@sveltejs/kit';
import { createEvents, type EventAttributes } from 'ics';
import { database } from '$lib/server/db/connect';
import { streamNetwork } from '$lib/server/db/queries/catchment';
import { peopleOf } from '$lib/server/db/queries/members';
import { loadSeason } from '$lib/server/plan/season';
import { dateOfDay } from '$lib/server/plan/local-day';
import { serverNow_ms, settings } from '$lib/server/settings';
import type { RequestHandler } from './$types';

/** The planned rounds as an iCalendar file: a day each, for the day's own times are found in its plan. */
export const GET: RequestHandler = async ({ locals }) => {
	const member = locals.member!;
	const db = database();
	const { rounds } = await loadSeason(db, member, serverNow_ms());
	const people = await peopleOf(db, member.programId);
	const { sites } = await streamNetwork(db, member.programId);
	const dayParts = (day: number) => dateOfDay(day).split('-').map(Number) as [number, number, number];
	const events = rounds
		.filter((r) => r.state === 'planned')
		.map((r): EventAttributes => ({
			uid: `${r.id}@keen-riffle`,
			title: r.name,
			start: dayParts(r.day),
			end: dayParts(r.day + 1),
			description: [
				`Sites: ${r.siteIds.map((id) => sites.find((s) => s.id === id)?.name ?? '?').join(', ')}`,
				`Crew: ${r.crew.map((id) => people[id]?.name ?? '?').join(', ') || 'nobody yet'}`
			].join('\n'),
			url: `${settings().ORIGIN}/plan/rounds/${r.id}`
		}));
	const { value, error: trouble } = createEvents(events, { productId: 'keen-riffle', calName: `${member.program.name}: rounds` });
	if (trouble || value === undefined) error(500, 'The calendar could not be written.');
	return new Response(value, { headers: { 'content-type': 'text/calendar; charset=utf-8', 'content-disposition': 'attachment; filename="season.ics"' } });
};
