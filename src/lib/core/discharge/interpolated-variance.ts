import { atLeast, orDefault } from '../quantity';
import type { Section } from './section';
import { midSectionDischarge, total, type MidSection } from './velocity-area';

export interface InterpolatedVariance {
	discharge_m3_s: number;
	/** Verticals that have a vertical on either side: those that can be guessed from their neighbours. */
	verticalsUsed: number;
	depthSd_m: number | null;
	velocitySd_m_s: number | null;
	relativeUncertainty: number | null;
	/** Two standard uncertainties, in percent. */
	expandedPercent: number | null;
	/** Share of each vertical (in order of distance) in the variance that the verticals cause. */
	varianceShares: number[] | null;
}

export type SectionWithFractions = Section & { systematicFraction?: number | null; widthFraction?: number | null };

/**
 * How sure a mid-section discharge is, judged by how well each vertical can be guessed from its two neighbours: the
 * interpolated variance estimator of Cohn, Kiang & Mason 2013 (J. Hydraul. Eng. 139). Edges never count as
 * neighbours. Fewer than three verticals leave the uncertainty null; so does a discharge of 0. `known`, the section's
 * own discharge, saves working it out again. RangeError where the section is not one.
 */
export function iveUncertainty(section: SectionWithFractions, known?: MidSection): InterpolatedVariance {
	const { systematic, widthFraction } = fractionsOf(section);
	const { discharge_m3_s, panels } = known ?? midSectionDischarge(section);
	const n = section.verticals.length;
	const verticalsUsed = Math.max(0, n - 2);
	if (verticalsUsed === 0)
		return {
			discharge_m3_s,
			verticalsUsed,
			depthSd_m: null,
			velocitySd_m_s: null,
			relativeUncertainty: null,
			expandedPercent: null,
			varianceShares: null
		};

	const at = panels.map((p) => p.distance_m);
	const interpolationSdOf = (what: 'depth_m' | 'velocity_m_s') =>
		interpolationSd(
			at,
			panels.map((p) => p[what])
		);
	const spread = { depthSd_m: interpolationSdOf('depth_m'), velocitySd_m_s: interpolationSdOf('velocity_m_s') };
	const variances = panels.slice(1, -1).map((panel) => varianceOf(panel, spread, widthFraction));
	const variance = total(variances);
	const relativeUncertainty = relativeFrom(variance, discharge_m3_s, systematic);
	return {
		discharge_m3_s,
		verticalsUsed,
		...spread,
		relativeUncertainty,
		expandedPercent: relativeUncertainty === null ? null : 200 * relativeUncertainty,
		varianceShares: discharge_m3_s === 0 || variance === 0 ? null : variances.map((t) => t / variance)
	};
}

export interface Spread {
	depthSd_m: number;
	velocitySd_m_s: number;
}

/**
 * One vertical's share of the variance of the discharge: its width, depth and velocity each uncertain by themselves.
 * Cohn, Kiang & Mason 2013.
 */
export function varianceOf(
	panel: { width_m: number; depth_m: number; velocity_m_s: number },
	spread: Spread,
	widthFraction: number
): number {
	const { width_m: w, depth_m: d, velocity_m_s: v } = panel;
	return (w * d * v * widthFraction) ** 2 + (w * v * spread.depthSd_m) ** 2 + (w * d * spread.velocitySd_m_s) ** 2;
}

/**
 * One relative standard uncertainty from the variance that the verticals cause; null when the discharge is 0. Cohn,
 * Kiang & Mason 2013.
 */
export const relativeFrom = (variance: number, discharge_m3_s: number, systematic: number): number | null =>
	discharge_m3_s === 0 ? null : Math.sqrt(systematic ** 2 + variance / discharge_m3_s ** 2);

/** The fractions of a section, checked, with the estimator's own where none are given. Cohn, Kiang & Mason 2013. */
export const fractionsOf = (section: SectionWithFractions) => ({
	systematic: atLeast('systematicFraction', orDefault(section.systematicFraction, 0.01), 0),
	widthFraction: atLeast('widthFraction', orDefault(section.widthFraction, 0.005), 0)
});

/**
 * Root mean square by which a station misses the straight line between its neighbours, scaled to one reading's
 * spread.
 */
function interpolationSd(b: readonly number[], y: readonly number[]): number {
	let sum = 0;
	const n = b.length - 2;
	for (let i = 2; i <= n - 1; i++) {
		const w = (b[i + 1]! - b[i]!) / (b[i + 1]! - b[i - 1]!);
		const miss = y[i]! - (w * y[i - 1]! + (1 - w) * y[i + 1]!);
		sum += miss ** 2 / (1 + w ** 2 + (1 - w) ** 2);
	}
	return Math.sqrt(sum / (n - 2));
}
