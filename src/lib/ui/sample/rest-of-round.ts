import { sayDuration, sayTime } from '$lib/core/interpret';
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

/** The next stop and the slack at the lab as they stand now, worked out on the phone; null where the round's day is not known here. */
export function restOfRound(
	round: Round,
	visits: readonly VisitOfRound[],
	now_ms: number,
	timeZone: string,
	nameOf: (siteId: string) => string
): RestOfRound | null {
	if (!round.day) return null;
	const { question, lab, midnight_ms } = round.day;
	const minute = (iso: string) => Math.round((Date.parse(iso) - midnight_ms) / 60_000);
	const bottle = (v: VisitOfRound) => (v.bottleAt === undefined ? null : minute(v.bottleAt));
	const here = visits.find((v) => v.leftAt === undefined);
	const soFar: SoFar = {
		now_min: Math.round((now_ms - midnight_ms) / 60_000),
		done: visits.flatMap((v) => (v.leftAt === undefined ? [] : [{ id: v.siteId, leave_min: minute(v.leftAt), bottle_min: bottle(v) }])),
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
		lab: sayLab(lab, Math.min(plan.slack.holding_min ?? Infinity, plan.slack.closing_min ?? Infinity), at(plan.end_min))
	};
}

function sayLab(lab: string | null, slack_min: number, at: string): RestOfRound['lab'] {
	if (lab === null || !Number.isFinite(slack_min)) return null;
	const span = sayDuration(slack_min * 60_000);
	return slack_min < 0
		? { isLate: true, words: `${lab} at ${at}: ${span} too late for the first bottle. Go straight there, or leave a stop out.` }
		: { isLate: false, words: `${lab} at ${at}, with ${span} to spare for the first bottle.` };
}
