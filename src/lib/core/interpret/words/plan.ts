import type { Blocker, Breach, GearWarning, Remedy, SamplerNeed, Unmet, Wait } from '../../schedule';
import { isParameterCode, parameterOf, writeNumber } from '../../quantity';
import { inSentence, sayDay, sayDuration, sayMinute } from '../../wording';

const DAY_ms = 86_400_000;
const MINUTE_ms = 60_000;
const weekdayWords = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** A day number of a plan in words. */
export const sayPlanDay = (day: number): string => sayDay(day * DAY_ms, 'UTC');

export const sayMinutes = (minutes: number): string => sayDuration(minutes * MINUTE_ms);

const days = (n: number): string => `${n} ${n === 1 ? 'day' : 'days'}`;

/** The rule that a date breaks, in words, with the figures that show it. */
export function sayBreach(breach: Breach | Blocker, nameOf: (personId: string) => string): string {
	switch (breach.rule) {
		case 'too-soon':
			return breach.neighbour === 'last'
				? `${days(breach.days)} after the last grab; at least ${breach.least_days}.`
				: `${days(breach.days)} before the next grab; at least ${breach.least_days}.`;
		case 'refused':
			return `This date was refused${breach.because ? `: ${breach.because}` : ''}.`;
		case 'barred':
			return `${breach.site} may not be visited: ${breach.why}.`;
		case 'no-order':
			return 'No order of its stops gets the bottles to the lab in time, by daylight.';
		case 'kit-twice':
			return `${breach.other} has “${breach.kit}” that day.`;
		case 'too-far':
			return `${days(breach.days)} after the last grab; at most ${breach.most_days}.`;
		case 'weekday':
			return (
				`A ${weekdayWords[breach.weekday]}; this round goes on ` +
				`${list(breach.allowed.map((d) => `${weekdayWords[d]}s`))}.`
			);
		case 'lab-closed':
			return `The lab takes no bottles that ${weekdayWords[breach.weekday]}.`;
		case 'lab-full':
			return `${breach.bottles} bottles for the lab that day; it takes ${breach.most}.`;
		case 'wet-gear':
			return (
				`The gear of ${breach.kit} was in ${breach.water} ${days(breach.days)} apart; it dries ` +
				`${days(breach.dry_days)}, or is disinfected.`
			);
		case 'crew-short':
			return `${breach.have} of ${breach.want} people.`;
		case 'skill-missing':
			return `Nobody for “${breach.skill}”.`;
		case 'nobody-free':
			return 'Too few people are free.';
		case 'not-free':
			return `${nameOf(breach.personId)} cannot come that day.`;
		case 'twice-that-day':
			return `${nameOf(breach.personId)} is on another round that day.`;
		case 'holiday':
			return 'A holiday: nobody is sent out.';
		case 'outside-season':
			return 'Outside its season.';
	}
}

const changeWords: Record<Blocker['rule'], (b: Blocker) => string> = {
	weekday: (b) => `if it could go on a ${weekdayWords[(b as Extract<Blocker, { rule: 'weekday' }>).weekday]}`,
	holiday: () => 'if people would go on a holiday',
	'wet-gear': () => 'if its gear were disinfected before',
	'lab-full': () => 'if the lab took more bottles that day',
	'nobody-free': () => 'if one more person could come',
	'skill-missing': (b) => `if somebody else were trained: ${(b as Extract<Blocker, { rule: 'skill-missing' }>).skill}`,
	'lab-closed': () => 'if the lab took bottles that day',
	refused: () => 'if the date were not refused',
	barred: (b) => `if ${(b as Extract<Blocker, { rule: 'barred' }>).site} could be visited`,
	'no-order': () => 'if a site were left out or the lab stayed open longer',
	'kit-twice': () => 'if the gear were not out on another round'
};

/** Why a circuit waits too long, and the smallest change that would help: two sentences. */
export function sayUnmet(unmet: Unmet, circuitName: string): string {
	const between = `${circuitName}: nothing from ${sayPlanDay(unmet.from)} to ${sayPlanDay(unmet.to)}.`;
	const why = unmet.shutBy.map(({ blocker, days: n }) => `${days(n)} ${shutWords[blocker.rule]}`);
	const because = why.length ? ` Of the days that would do, ${list(why)}.` : '';
	const change = unmet.change
		? ` ${sayPlanDay(unmet.change.day)} would do ${changeWords[unmet.change.blocker.rule](unmet.change.blocker)}.`
		: ' No single change would do.';
	return `${between}${because}${change}`;
}

const shutWords: Record<Blocker['rule'], string> = {
	refused: 'were refused',
	barred: 'have a site that may not be visited',
	'no-order': 'leave no order that works',
	'kit-twice': 'find the gear on another round',
	weekday: 'fall on a weekday it does not go',
	holiday: 'are holidays',
	'lab-closed': 'find the lab shut',
	'lab-full': 'find the lab full',
	'wet-gear': 'come before the gear is dry',
	'nobody-free': 'have too few people free',
	'skill-missing': 'have nobody with the skill'
};

/** One change that would make a day work, in words. */
export function sayRemedy(remedy: Remedy, nameOf: (siteId: string) => string): string {
	const left = `${sayMinutes(remedy.least_min)} of slack`;
	switch (remedy.change) {
		case 'start-earlier':
			return `Start at ${sayMinute(remedy.start_min)}: ${left}.`;
		case 'split':
			return (
				`Split it in two: ${list(remedy.first.map(nameOf))}; and ${list(remedy.second.map(nameOf))}: ${left} on ` +
				'the tighter day.'
			);
		case 'other-lab':
			return `Take the bottles to ${remedy.lab}: ${left}.`;
		case 'longer-holding':
			return `With a holding limit of ${sayMinutes(remedy.holding_min)} (${remedy.school}): ${left}. Ask the lab
			and your rules first.`;
		case 'leave-out':
			return `Leave out ${nameOf(remedy.id)}: ${left}.`;
	}
}

/** Why a crew stands at a site without beginning, and how long. */
export function sayWait({ from_min, until_min, because }: Wait): string {
	const why = because === 'dark' ? 'it is dark until then' : 'it may be visited from then on';
	return `Waits ${sayMinutes(until_min - from_min)} until ${sayMinute(until_min)}: ${why}.`;
}

/** What is wrong with a piece of gear, and what to do. */
export function sayGear(warning: GearWarning, timeZone: string): string {
	const named = (parameter: string) =>
		isParameterCode(parameter) ? inSentence(parameterOf(parameter, undefined).name) : parameter;
	switch (warning.kind) {
		case 'calibrate':
			return warning.days === null
				? `${warning.code} has never been calibrated for ${named(warning.parameter)}. Do it before the round.`
				: `${warning.code} was calibrated for ${named(warning.parameter)} ${days(warning.days)} before the round; ` +
						`the limit is ${days(warning.limit_days)}. Do it again.`;
		case 'battery':
			return (
				`${warning.code} got a new battery on ${sayDay(warning.changed_ms, timeZone)}, after its calibration ` +
				`for ${named(warning.parameter)}. Calibrate again.`
			);
		case 'velocity-range':
			return (
				`${warning.code} reads ${writeNumber(warning.low_m_s)} to ${writeNumber(warning.high_m_s)} m/s; ` +
				`${warning.site} has shown ${writeNumber(warning.seen_m_s)} m/s. Outside its range is not a measurement.`
			);
		case 'still-wet':
			return (
				`${warning.kit} was in ${warning.water} and is dry on ${sayDay(warning.dry_ms, timeZone)}. Disinfect ` +
				'it, or take other gear.'
			);
		case 'out-of-date':
			return `${warning.what} ran out on ${sayDay(warning.expired_ms, timeZone)}. Take fresh.`;
	}
}

function list(words: readonly string[]): string {
	return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

const samplerDeeds: Record<SamplerNeed['task']['why'], string> = {
	grown: 'is lifted',
	weekly: 'is looked at',
	storm: 'is looked at after the storm'
};

/**
 * What a sampler asks for and which round does it, or how the nearest one misses: `round` is the name of that round.
 */
export function saySamplerNeed(
	{ task, metBy, nearest }: SamplerNeed,
	site: string,
	today: number,
	round: string
): string {
	const span =
		task.earliest === task.latest
			? `on ${sayPlanDay(task.earliest)}`
			: `from ${sayPlanDay(Math.max(task.earliest, today))} to ${sayPlanDay(task.latest)}`;
	const asks = `${task.samplerId} at ${site} ${samplerDeeds[task.why]} ${span}`;
	if (metBy !== null) return `${asks}: ${round}.`;
	if (!nearest) return `${asks}; no round goes there.`;
	return `${asks}; ${round} comes ${days(Math.abs(nearest.off_days))} too ${nearest.off_days < 0 ? 'early' : 'late'}.`;
}
