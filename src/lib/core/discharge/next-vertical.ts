import {
	fractionsOf,
	iveUncertainty,
	relativeFrom,
	varianceOf,
	type InterpolatedVariance,
	type SectionWithFractions
} from './interpolated-variance';
import { stations } from './section';

export interface NextVertical {
	distance_m: number;
	/** Expanded uncertainty now and as it would be, percent. */
	nowPercent: number;
	thenPercent: number;
}

/**
 * Where one more vertical would lower the uncertainty most: every gap between two verticals halved in turn, the new
 * one taken on the straight line between its neighbours, the interpolated variance reckoned again. The spread seen so
 * far is held: a vertical on the straight line must not pretend that the bed became smoother. Only the two
 * neighbours' panels change, so all gaps together take no longer than one gauging. `known` saves working out the
 * section's uncertainty again. Null with fewer than three verticals, or when no gap would help. By the variance of
 * Cohn, Kiang & Mason 2013.
 */
export function nextBestVertical(section: SectionWithFractions, known?: InterpolatedVariance): NextVertical | null {
	const now = known ?? iveUncertainty(section);
	const { expandedPercent: nowPercent, depthSd_m, velocitySd_m_s, discharge_m3_s } = now;
	if (nowPercent === null || depthSd_m === null || velocitySd_m_s === null) return null;
	const { systematic, widthFraction } = fractionsOf(section);
	const { b, d, v } = stations(section);
	const term = (i: number, width_m: number) =>
		varianceOf({ width_m, depth_m: d[i]!, velocity_m_s: v[i]! }, { depthSd_m, velocitySd_m_s }, widthFraction);
	const width = (i: number) => (b[i + 1]! - b[i - 1]!) / 2;
	const last = b.length - 2;
	let variance = 0;
	for (let i = 1; i <= last; i++) variance += term(i, width(i));

	let best: NextVertical | null = null;
	for (let i = 1; i < last; i++) {
		const gap = b[i + 1]! - b[i]!;
		const added = { width_m: gap / 2, depth_m: (d[i]! + d[i + 1]!) / 2, velocity_m_s: (v[i]! + v[i + 1]!) / 2 };
		const narrower = [i, i + 1].map((k) => ({ k, from: width(k), to: width(k) - gap / 4 }));
		const thenVariance =
			narrower.reduce((sum, { k, from, to }) => sum - term(k, from) + term(k, to), variance) +
			varianceOf(added, { depthSd_m, velocitySd_m_s }, widthFraction);
		const thenDischarge =
			narrower.reduce((q, { k, from, to }) => q + (to - from) * d[k]! * v[k]!, discharge_m3_s) +
			added.width_m * added.depth_m * added.velocity_m_s;
		const then = relativeFrom(thenVariance, thenDischarge, systematic);
		if (then !== null && 200 * then < (best?.thenPercent ?? nowPercent - LEAST_GAIN_PERCENT))
			best = { distance_m: b[i]! + gap / 2, nowPercent, thenPercent: 200 * then };
	}
	return best;
}

const LEAST_GAIN_PERCENT = 0.05; // below this no one would wade out again
