import type { GrabSpacing } from '../spacing';
import type { SamplerTask } from './samplers';

/*
 * A season as the planner sees it: circuits (sites that are visited together by one team), their rounds, the people,
 * the lab. Days are whole numbers, days since 1970-01-01 in the program's own calendar.
 */

/** What somebody is trained in, in the program's own words. */
export type Skill = string;

export interface Circuit {
	id: string;
	name: string;
	siteIds: readonly string[];
	/** Rivers whose water wets the gear: gear goes into another one only dry or disinfected. */
	water: string;
	/** The gear that is carried: nets, boots, buckets of one team. */
	kit: string;
	teamId: string;
	/** Days of the week on which it may run, 0 Sunday to 6 Saturday. */
	weekdays: readonly number[];
	spacing: GrabSpacing;
	/** Its own season, first and last day, inside the program's; left out, the whole of that. */
	season?: { from: number | null; to: number | null } | undefined;
	crew: number;
	needs: readonly Skill[];
	/** After this nobody sets out any more that day, minutes since midnight. */
	latestStart_min?: number | undefined;
	/** Where its bottles go; null where none are taken. */
	labId: string | null;
	/**
	 * Bottles that one round hands in: those of the card at each site. What a round adds to check is counted with the
	 * round.
	 */
	bottles: number;
	/** Sites at which nobody may be, why, and from which day on; null from ever. */
	barred?: readonly { siteId: string; site: string; why: string; from: number | null }[] | undefined;
	/** Days of the week on which no order of its stops meets the lab's hours, the light and the windows. */
	noOrderOn?: readonly number[] | undefined;
}

export interface Volunteer {
	id: string;
	teamId: string | null;
	skills: readonly Skill[];
	/** The last day on which the training counts; null where it has no end. */
	trainedUntil: number | null;
	weekdays: readonly number[];
	/** Days away, first and last. */
	away: readonly { from: number; to: number }[];
}

/**
 * What a round is for. Storm rounds and trips to a sampler stand outside the spacing of grabs; a trip takes no
 * bottles.
 */
export type Purpose = 'grab' | 'storm' | 'sampler';

export interface SeasonRound {
	id: string;
	circuitId: string;
	day: number;
	crew: readonly string[];
	state: 'planned' | 'done' | 'missed' | 'refused';
	/** Where it goes, where that is not everywhere its circuit does. */
	siteIds?: readonly string[] | undefined;
	/** Sites of which there is a visit. */
	visited?: readonly string[] | undefined;
	/** Bottles that it hands in, duplicates and blanks among them. */
	bottles?: number | undefined;
	/** No order of its stops works on its own day. */
	hasNoOrder?: boolean | undefined;
	refusedBecause?: string | null | undefined;
	/** Where it hands in; left out, where its circuit does. */
	labId?: string | null | undefined;
	/** Left out, it is a grab. */
	purpose?: Purpose | undefined;
}

/** When a lab takes bottles, and how many. */
export interface SeasonLab {
	weekdays: readonly number[];
	closed: readonly number[];
	bottlesADay: number;
}

/** What keeps a person from going out on a day: away, or never on that day of the week; null where nothing does. */
export function whyNotFree(person: Pick<Volunteer, 'weekdays' | 'away'>, day: number): 'away' | 'weekday' | null {
	if (person.away.some((a) => day >= a.from && day <= a.to)) return 'away';
	return person.weekdays.includes(weekday(day)) ? null : 'weekday';
}

/** Whether a person's training counts on a day. */
export const isTrained = (person: Volunteer, skill: Skill, day: number): boolean =>
	person.skills.includes(skill) && (person.trainedUntil === null || day <= person.trainedUntil);

export interface SeasonFacts {
	from: number;
	to: number;
	circuits: readonly Circuit[];
	people: readonly Volunteer[];
	/** Days on which nobody is sent out. */
	holidays?: readonly number[] | undefined;
	labs: Readonly<Record<string, SeasonLab>>;
	/** Days that gear dries if it got wet on that day. */
	dryingDays: (day: number) => number;
	/** Kits that are disinfected between waters. */
	disinfected: ReadonlySet<string>;
	/** What samplers in the stream ask for: rounds are drawn towards these days. */
	tasks?: readonly SamplerTask[] | undefined;
}

/** The first and the last day on which a circuit may run. */
export const seasonOf = ({ from, to }: Pick<SeasonFacts, 'from' | 'to'>, { season }: Pick<Circuit, 'season'>) => ({
	from: Math.max(from, season?.from ?? from),
	to: Math.min(to, season?.to ?? to)
});

/** The day of the week of a day number, 0 Sunday to 6 Saturday. */
export const weekday = (day: number): number => (((day + 4) % 7) + 7) % 7;

/** Monday of the week of a day. */
export const weekOf = (day: number): number => day - ((weekday(day) + 6) % 7);
