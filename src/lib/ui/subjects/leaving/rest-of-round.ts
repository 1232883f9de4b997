import type { LabDeadline } from '$lib/core/custody';
import { sayDeadline } from '$lib/core/interpret';
import { sayDuration, sayTime } from '$lib/core/wording';
import { restOfDay, type SoFar } from '$lib/core/schedule';
import type { Satchel } from '$lib/core/satchel';

/** What a round still has before it, told on the phone. */
export interface RestOfRound {
	next: { name: string; arrive: string } | null;
	/** Slack at the lab in words, and whether it is too little. */
	lab: { words: string; isLate: boolean } | null;
}
type Round = Satchel['rounds'][number];

/** A visit of the round as this phone knows it. */
export interface VisitOfRound {
	siteId: string;
	startedAt: string;
	leftAt: string | undefined;
	bottleAt: string | undefined;
}

/**
 * The next stop and the slack at the lab as they stand now, worked out on the phone; null where the round's day is
 * not known here.
 */
export function restOfRound(
	round: Round,
	visits: readonly VisitOfRound[],
	now_ms: number,
	timeZone: string,
	nameOf: (siteId: string) => string,
	deadline: LabDeadline | null
): RestOfRound | null {
	if (!round.day) return null;
	const { question, lab, midnight_ms } = round.day;
	const minute = (iso: string) => Math.round((Date.parse(iso) - midnight_ms) / 60_000);
	const bottle = (v: VisitOfRound) => (v.bottleAt === undefined ? null : minute(v.bottleAt));
	const here = visits.find((v) => v.leftAt === undefined);
	const soFar: SoFar = {
		now_min: Math.round((now_ms - midnight_ms) / 60_000),
		done: visits.flatMap((v) =>
			v.leftAt === undefined ? [] : [{ id: v.siteId, leave_min: minute(v.leftAt), bottle_min: bottle(v) }]
		),
		// whoever asks is about to leave: the rest of the usual time on site is not waited for
		at: here ? { id: here.siteId, begin_min: -Infinity, bottle_min: bottle(here) } : null
	};
	const rest = restOfDay(question, soFar);
	if (!rest) return null;
	const at = (min: number) => sayTime(midnight_ms + min * 60_000, timeZone);
	const { plan } = rest;
	const first = plan.stops[0];
	return {
		next: first ? { name: nameOf(first.id), arrive: at(first.arrive_min) } : null,
		lab: sayLab(lab, at(plan.end_min), midnight_ms + plan.end_min * 60_000, deadline, timeZone)
	};
}

/** The way to the lab against the one moment by which the bottles must be there. */
function sayLab(
	lab: string | null,
	at: string,
	arrive_ms: number,
	deadline: LabDeadline | null,
	timeZone: string
): RestOfRound['lab'] {
	if (lab === null || deadline === null) return null;
	const by = sayDeadline(deadline, deadline.last_ms, timeZone);
	const slack_ms = deadline.last_ms - arrive_ms;
	const span = sayDuration(slack_ms);
	return slack_ms < 0 || deadline.isShut
		? {
				isLate: true,
				words:
					`${by} From here ${lab} is reached at ${at}${slack_ms < 0 ? `, ${span} too late` : ''}. Go straight ` +
					'there, leave a stop out, or ring the lab now.'
			}
		: { isLate: false, words: `${by} From here it is reached at ${at}, with ${span} to spare.` };
}
