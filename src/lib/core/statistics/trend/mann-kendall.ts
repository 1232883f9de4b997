import { normalTwoSided } from '../distributions/normal';
import type { Gappy } from '../samples';
import { concordanceInTime, overTies } from './concordance';
import { orderedSeries } from './ordered-series';

export interface MannKendall {
	s: number | null;
	varS: number | null;
	z: number | null;
	p: number | null;
	tau: number | null;
	n: number;
}

/**
 * Is there a trend: Mann 1945 and Kendall 1975, with variance corrected for ties, continuity-corrected normal p, and
 * tau-b. Takes n log n, so that a logger's record can be tested. All null but n for fewer than two values; tau null
 * where every value is the same. RangeError as for the series.
 */
export function mannKendall(series: { times?: Gappy | null; values: Gappy }): MannKendall {
	const { values } = orderedSeries(series);
	const n = values.length;
	if (n < 2) return { s: null, varS: null, z: null, p: null, tau: null, n };
	const { s, varS, tauScale } = kendallOf(values);
	return { s, varS, ...kendallTest(s, varS), tau: tauScale === 0 ? null : s / tauScale, n };
}

/**
 * S, its variance and the S of a perfect trend (0 where all values are alike), of two or more values in order of time.
 * Mann 1945; Kendall 1975.
 */
export function kendallOf(values: Float64Array): { s: number; varS: number; tauScale: number } {
	const n = values.length;
	const { s, sorted, tiedPairs } = concordanceInTime(values);
	const ties = overTies(sorted, (t) => t * (t - 1) * (2 * t + 5));
	const pairs = (n * (n - 1)) / 2;
	return {
		s,
		varS: (n * (n - 1) * (2 * n + 5) - ties) / 18,
		tauScale: Math.sqrt(pairs - tiedPairs) * Math.sqrt(pairs)
	};
}

/** z of an S, one step taken off towards 0, and its two-sided p. No variance: z 0 and p 1. Mann 1945; Kendall 1975. */
export function kendallTest(s: number, varS: number): { z: number; p: number } {
	const z = varS > 0 ? (s - Math.sign(s)) / Math.sqrt(varS) : 0;
	return { z, p: normalTwoSided(z) };
}
