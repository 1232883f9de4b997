/**
 * A hybrid logical clock's reading: an ISO instant to the millisecond, then a count in four hexadecimal digits that
 * orders what falls in one millisecond. Of fixed width, so that text order is time order.
 * Kulkarni et al. 2014, Logical Physical Clocks.
 */
export type ClockReading = string;

const INSTANT_LENGTH = 24;
const LAST_COUNT = 0xffff;
/** A reading further ahead of the wall clock than this comes from a clock that is wrong, and is not followed. */
const MOST_AHEAD_ms = 3_600_000;

/** A device's clock that is further off the server's than this is told, to whoever holds it and to whoever reviews. */
export const SKEW_WORTH_SAYING_ms = 5 * 60_000;

/** Whether a reading's first part is a date that exists. */
export const isInstant = (reading: ClockReading): boolean =>
	!Number.isNaN(Date.parse(reading.slice(0, INSTANT_LENGTH)));

/** The instant in a reading, in milliseconds since 1970. */
export const instantOf = (reading: ClockReading): number => Date.parse(reading.slice(0, INSTANT_LENGTH));

/**
 * The next reading of a clock that has last seen `last` (null: nothing yet), at wall time `now_ms`. Always after
 * `last`, also when the wall clock has been set back; so entries keep the order in which they were made. A `last`
 * more than an hour ahead is left aside: one device whose clock is a year off must not carry the others with it.
 */
export function tick(last: ClockReading | null, now_ms: number): ClockReading {
	// instants are compared as text where they can be: to read one takes longer than all else that a line needs
	const now = isoOf(now_ms);
	const seen = last?.slice(0, INSTANT_LENGTH) ?? '';
	if (last === null || seen < now || (seen > now && Date.parse(seen) > now_ms + MOST_AHEAD_ms)) return reading(now, 0);
	const count = Number.parseInt(last.slice(INSTANT_LENGTH + 1), 16);
	return count < LAST_COUNT ? reading(seen, count + 1) : reading(isoOf(Date.parse(seen) + 1), 0);
}

const isoOf = (instant_ms: number): string => new Date(instant_ms).toISOString();
const reading = (instant: string, count: number): ClockReading => `${instant}-${count.toString(16).padStart(4, '0')}`;
