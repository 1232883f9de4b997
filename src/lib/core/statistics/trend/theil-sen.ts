import { openShare, orDefault } from '../../quantity';
import { zOf } from '../distributions/normal';
import { median } from '../order';
import type { Gappy } from '../samples';
import { kendallOf } from './mann-kendall';
import { orderedSeries } from './ordered-series';
import { pairsOf, placesOf, slopesAt } from './slopes';

export interface TheilSen {
	slope: number | null;
	intercept: number | null;
	lower: number | null;
	upper: number | null;
	pairs: number;
	n: number;
}

/**
 * How steep a trend is: the median of the slopes between all pairs of points, with its interval from Kendall's variance
 * (Sen 1968). Units: of the value for one unit of time. Does not hold all pairs. `progress` as for the slopes. Null for
 * fewer than two points; RangeError as for the series.
 */
export function theilSen(
	series: { times?: Gappy | null; values: Gappy; confidence?: number | null },
	progress?: (share: number) => void
): TheilSen {
	const confidence = openShare('confidence', orDefault(series.confidence, 0.9));
	const { times, values } = orderedSeries(series);
	const n = values.length;
	if (n < 2) return { slope: null, intercept: null, lower: null, upper: null, pairs: 0, n };
	const ordered = [{ times, values }];
	const pairs = pairsOf(ordered);
	const c = zOf(confidence) * Math.sqrt(kendallOf(values).varS);
	const [a, b, lower, upper] = slopesAt(ordered, placesOf(pairs, c), progress) as [number, number, number, number];
	const slope = (a + b) / 2;
	return { slope, intercept: median(Array.from(values))! - slope * median(Array.from(times))!, lower, upper, pairs, n };
}
