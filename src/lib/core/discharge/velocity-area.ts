import { addedUp, given, minus, over, plus, times, type Working } from '../quantity';
import { stations, type Section } from './section';

export interface Panel {
	width_m: number;
	area_m2: number;
	discharge_m3_s: number;
	/** Share of the whole, with its sign; null when the whole is 0. */
	percent: number | null;
}

export interface Gauging<P extends Panel = Panel> {
	width_m: number;
	area_m2: number;
	discharge_m3_s: number;
	meanVelocity_m_s: number | null;
	meanDepth_m: number;
	panels: P[];
}

/**
 * Discharge by the mid-section method: each station carries the water halfway to its neighbours.
 * Panels from edge to edge, edges included. ISO 748:2007. RangeError where the section is not one.
 */
export function midSectionDischarge(section: Section): MidSection {
	const { b, d, v } = stations(section);
	const last = b.length - 1;
	const panels = b.map((distance_m, i) => {
		const width_m = (b[Math.min(i + 1, last)]! - b[Math.max(i - 1, 0)]!) / 2;
		const [depth_m, velocity_m_s] = [d[i]!, v[i]!];
		return {
			distance_m,
			width_m,
			depth_m,
			velocity_m_s,
			area_m2: width_m * depth_m,
			discharge_m3_s: panelStep({ width_m, depth_m, velocity_m_s }).number
		};
	});
	return gauging(b[last]! - b[0]!, panels);
}

/**
 * Discharge by the mean-section method: between two stations runs the mean of their depths and velocities.
 * ISO 748:2007. RangeError where the section is not one.
 */
export function meanSectionDischarge(
	section: Section
): Gauging<Panel & { fromDistance_m: number; toDistance_m: number }> {
	const { b, d, v } = stations(section);
	const panels = b.slice(1).map((toDistance_m, i) => {
		const width_m = toDistance_m - b[i]!;
		const area_m2 = (width_m * (d[i]! + d[i + 1]!)) / 2;
		return {
			fromDistance_m: b[i]!,
			toDistance_m,
			width_m,
			area_m2,
			discharge_m3_s: (area_m2 * (v[i]! + v[i + 1]!)) / 2
		};
	});
	return gauging(b.at(-1)! - b[0]!, panels);
}

/**
 * The simple school: mean depth × width × mean velocity. The depths are divided by their number or, counting the two
 * dry edges as one more, by one more. Edge depths and fractions are not used. RangeError as above or on another
 * divisor. Continuity over the whole section, ISO 748:2007 in its simplest form.
 */
export function meanDepthDischarge({ edges, verticals, depthDivisor }: Section & { depthDivisor: 'n' | 'nPlusOne' }) {
	if (depthDivisor !== 'n' && depthDivisor !== 'nPlusOne')
		throw new RangeError(`depthDivisor must be n or nPlusOne: ${String(depthDivisor)}`);
	const { b, d, v } = stations({ edges, verticals });
	const n = verticals.length;
	const width = minus(given(b.at(-1)!, 'm'), given(b[0]!, 'm'));
	const meanDepth = over(addedUp(d.slice(1, -1), 'm'), given(depthDivisor === 'n' ? n : n + 1));
	const meanVelocity = over(addedUp(v.slice(1, -1), 'm/s'), given(n));
	const area = times(width, meanDepth);
	const step = times(area, meanVelocity);
	return {
		width_m: width.number,
		meanDepth_m: meanDepth.number,
		meanVelocity_m_s: meanVelocity.number,
		area_m2: area.number,
		discharge_m3_s: step.number,
		working: { step, unit: 'm³/s' } satisfies Working
	};
}

export type MidPanel = Panel & { distance_m: number; depth_m: number; velocity_m_s: number };

/** A discharge by the mid-section method, from which the figures of how sure it is go on. */
export type MidSection = Gauging<MidPanel>;

/** What one panel carries: its width × depth × velocity. */
const panelStep = (p: Pick<MidPanel, 'width_m' | 'depth_m' | 'velocity_m_s'>) =>
	times(given(p.width_m, 'm'), given(p.depth_m, 'm'), given(p.velocity_m_s, 'm/s'));

/**
 * How a mid-section gauging comes about: what each panel carries, added up. Panels that carry nothing are left out;
 * null where none does. ISO 748:2007, 8.2.
 */
export function midSectionWorking({ panels }: MidSection): Working | null {
	const [first, ...rest] = panels.filter((p) => p.discharge_m3_s !== 0).map(panelStep);
	return first ? { step: plus(first, ...rest), unit: 'm³/s' } : null;
}

export const total = (numbers: readonly number[]): number => numbers.reduce((sum, x) => sum + x, 0);

function gauging<P extends Omit<Panel, 'percent'>>(width_m: number, panels: P[]): Gauging<P & Panel> {
	const area_m2 = total(panels.map((p) => p.area_m2));
	const discharge_m3_s = total(panels.map((p) => p.discharge_m3_s));
	return {
		width_m,
		area_m2,
		discharge_m3_s,
		meanVelocity_m_s: area_m2 === 0 ? null : discharge_m3_s / area_m2,
		meanDepth_m: area_m2 / width_m,
		panels: panels.map((p) => ({
			...p,
			percent: discharge_m3_s === 0 ? null : (100 * p.discharge_m3_s) / discharge_m3_s
		}))
	};
}
