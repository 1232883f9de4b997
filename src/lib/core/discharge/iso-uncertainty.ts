import { atLeast } from '../quantity';
import { orderedVerticals, type Section, type Vertical } from './section';
import { midSectionDischarge, type MidSection } from './velocity-area';

export interface IsoComponents {
	systematicPercent: number;
	widthPercent: number;
	depthPercent: number;
	calibrationPercent: number;
	exposurePercent: number;
}

/**
 * Uncertainty of a mid-section discharge from the components of ISO 748:2007, one standard uncertainty in percent.
 * The number of verticals and of points in each carry the standard's tabled figures (three points: taken as two).
 * Fewer than five verticals, or a discharge of 0, leave it null. `known`, the section's own discharge, saves working
 * it out again. RangeError for a negative component or another number of points.
 */
export function isoUncertainty(section: Section<Vertical & { points: number }> & IsoComponents, known?: MidSection) {
	const [us, ub, ud, uc, ue] = (
		['systematicPercent', 'widthPercent', 'depthPercent', 'calibrationPercent', 'exposurePercent'] as const
	).map((name) => atLeast(name, section[name], 0)) as [number, number, number, number, number];
	const verticals = orderedVerticals(section);
	const { discharge_m3_s, panels } = known ?? midSectionDischarge(section);
	const scatter = verticals.reduce((sum, { points }, i) => {
		const q = panels[i + 1]!.discharge_m3_s;
		return sum + q ** 2 * (ub ** 2 + ud ** 2 + pointsPercent(points) ** 2 + (uc ** 2 + ue ** 2) / points);
	}, 0);
	const verticalsPercent = numberOfVerticalsPercent(verticals.length);
	const uncertaintyPercent =
		verticalsPercent === null || discharge_m3_s === 0
			? null
			: Math.sqrt(verticalsPercent ** 2 + us ** 2 + scatter / discharge_m3_s ** 2);
	return {
		discharge_m3_s,
		verticalsPercent,
		uncertaintyPercent,
		expandedPercent: uncertaintyPercent === null ? null : 2 * uncertaintyPercent
	};
}

// ISO 748:2007, annex E
const BY_VERTICALS = [
	[5, 7.5],
	[10, 4.5],
	[15, 3],
	[20, 2.5],
	[25, 2],
	[30, 1.5],
	[35, 1],
	[40, 1]
] as const;
const BY_POINTS = new Map([
	[1, 7.5],
	[2, 3.5],
	[3, 3.5],
	[5, 2.5]
]);

function pointsPercent(points: number): number {
	const percent = BY_POINTS.get(points);
	if (percent === undefined) throw new RangeError(`points in a vertical must be 1, 2, 3 or 5: ${points}`);
	return percent;
}

function numberOfVerticalsPercent(n: number): number | null {
	if (n < 5) return null;
	const after = BY_VERTICALS.findIndex(([m]) => m > n);
	if (after === -1) return 1;
	const [m0, u0] = BY_VERTICALS[after - 1]!;
	const [m1, u1] = BY_VERTICALS[after]!;
	return u0 + ((u1 - u0) * (n - m0)) / (m1 - m0);
}
