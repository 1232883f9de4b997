import { atLeast, listOf } from '../quantity';
import { mean } from '../statistics';

/**
 * How far two figures lie apart, in percent of their mean; 0 where both are 0. RangeError below 0 or where one is
 * missing. U.S. EPA (2002), QA/G-8.
 */
export function relativePercentDifference({ first, second }: { first: number; second: number }): { percent: number } {
	const a = atLeast('first', first, 0);
	const b = atLeast('second', second, 0);
	return { percent: a + b === 0 ? 0 : (100 * Math.abs(a - b)) / ((a + b) / 2) };
}

type Pair = readonly [number, number];

/**
 * How far duplicate counts may lie apart, learned from earlier pairs: the mean of their log ranges times 3.27, and
 * whether each candidate pair stays within it. APHA Standard Methods 9020 B. A pair with a figure below 1 has 1 added
 * to both before the logs. RangeError for no earlier pair.
 */
export function logRangeDuplicatePrecision({
	pairs,
	candidates
}: {
	pairs: readonly Pair[];
	candidates: readonly Pair[];
}) {
	const logRanges = listOf('pairs', pairs, logRange);
	const candidateLogRanges = listOf('candidates', candidates, logRange);
	const meanLogRange = mean(logRanges);
	if (meanLogRange === null) throw new RangeError('pairs needs at least one pair of duplicates');
	const criterion = RANGE_LIMIT * meanLogRange;
	return {
		logRanges,
		meanLogRange,
		criterion,
		candidateLogRanges,
		candidateAcceptable: candidateLogRanges.map((r) => r <= criterion)
	};
}

const RANGE_LIMIT = 3.27; // upper limit of a range of two, in mean ranges

function logRange(place: string, pair: unknown): number {
	const [a, b, ...rest] = listOf(place, pair, (at, x) => atLeast(at, x, 0));
	if (a === undefined || b === undefined || rest.length > 0) throw new RangeError(`${place} must be a pair`);
	const add = a < 1 || b < 1 ? 1 : 0;
	return Math.abs(Math.log10(a + add) - Math.log10(b + add));
}
