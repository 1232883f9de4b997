import { dryingDays, type DryingTimes } from '../drying';
import type { SeasonFacts } from './season';

/** A season's facts as they travel to a page and into a worker: plain data, the drying rule as its numbers. */
export type SeasonWire = Omit<SeasonFacts, 'dryingDays' | 'disinfected'> & {
	drying: DryingTimes;
	southern: boolean;
	disinfected: readonly string[];
};

const DAY_ms = 86_400_000;

export const factsFromWire = ({ drying, southern, disinfected, ...facts }: SeasonWire): SeasonFacts => ({
	...facts,
	dryingDays: (day) => dryingDays(day * DAY_ms, drying, southern),
	disinfected: new Set(disinfected)
});
