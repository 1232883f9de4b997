import { verticalVelocity } from '../../discharge';
import { inPlaceUnit, type AsTyped } from '../../quantity';
import type { GaugingMethod, VelocityPointMethod } from './branch';
import type { GaugingSheet } from './how';
import type { GaugingView, VerticalView } from './view';

export type VerticalSheet = NonNullable<GaugingSheet['verticals']>[string];
type Length = AsTyped<'m' | 'cm' | 'ft' | 'inch'>;
export const metres = (typed: Length): number => inPlaceUnit(typed, 'm');
export const metresOrNull = (typed: Length | undefined): number | null => (typed === undefined ? null : metres(typed));

/** Fields of a vertical that hold a velocity. */
export type Reading = 'velocity_m_s' | 'velocity02_m_s' | 'velocity06_m_s' | 'velocity08_m_s';
/** Those that count in a vertical. */
export type InUse = (v: VerticalSheet) => readonly Reading[];

/**
 * Where nobody chose a point method, a vertical is read by what was measured in it; by the card's where that is not
 * whole either.
 */
export function pointMethodRead(v: VerticalSheet, asked: VelocityPointMethod): VelocityPointMethod {
	const has = (...readings: Reading[]) => readings.every((r) => v[r] !== undefined);
	if (asked === 'raise') return asked;
	if (has('velocity02_m_s', 'velocity08_m_s')) return has('velocity06_m_s') ? 'three-point' : 'two-point';
	if (v.velocity02_m_s !== undefined || v.velocity08_m_s !== undefined) return asked;
	return has('velocity06_m_s') || has('velocity_m_s') ? 'one-point' : asked;
}

/**
 * The readings that count in a vertical: only those of the method in use. What was read otherwise stays in the
 * logbook.
 */
export function readingsInUse(v: VerticalSheet, by: VelocityPointMethod, isRaised: boolean): readonly Reading[] {
	switch (by) {
		case 'raise':
			return ['velocity_m_s'];
		case 'one-point':
			// older logbooks keep what was read at 0.6 as the vertical's mean; once the meter was raised, that place
			// holds something else
			return v.velocity06_m_s === undefined && v.velocity_m_s !== undefined && !isRaised
				? ['velocity_m_s']
				: ['velocity06_m_s'];
		case 'two-point':
			return ['velocity02_m_s', 'velocity08_m_s'];
		case 'three-point':
			return ['velocity02_m_s', 'velocity06_m_s', 'velocity08_m_s'];
	}
}

export const speedAt = (v: VerticalSheet, reading: Reading): number | null =>
	v[reading] === undefined ? null : inPlaceUnit(v[reading], 'm_s');

/** The mean velocity of a vertical; null while one of its readings is missing. */
function velocityOf(v: VerticalSheet, inUse: InUse): number | null {
	const read = inUse(v).map((r) => speedAt(v, r));
	if (read.some((r) => r === null)) return null;
	const [first, second, third] = read as number[];
	if (read.length === 2)
		return verticalVelocity({ method: 'twoPoint', velocity02_m_s: first!, velocity08_m_s: second! }).velocity_m_s;
	if (read.length === 3)
		return verticalVelocity({
			method: 'threePoint',
			velocity02_m_s: first!,
			velocity06_m_s: second!,
			velocity08_m_s: third!
		}).velocity_m_s;
	return first!;
}

/** The velocity of a sweep from edge to edge, which is that of every vertical. */
export const sweptVelocity = ({ sweepVelocity_m_s }: GaugingSheet): number | null =>
	sweepVelocity_m_s === undefined ? null : inPlaceUnit(sweepVelocity_m_s, 'm_s');

/** The verticals of a gauging in their order along the tape, as far as they are typed. */
export function verticalViews(gauging: GaugingSheet, method: GaugingMethod, inUse: InUse): VerticalView[] {
	const swept = method === 'sweep' ? sweptVelocity(gauging) : null;
	return Object.entries(gauging.verticals ?? {})
		.map(([id, v]) => ({
			id,
			distance_m: metresOrNull(v.distance_m),
			depth_m: metresOrNull(v.depth_m),
			velocity_m_s: method === 'sweep' ? swept : velocityOf(v, inUse),
			share_percent: null
		}))
		.sort((a, b) => (a.distance_m ?? Infinity) - (b.distance_m ?? Infinity) || (a.id < b.id ? -1 : 1));
}

/** The edges of the water, each where it is known. */
export function edgesOf({ edges }: GaugingSheet): Pick<GaugingView, 'start' | 'end'> {
	const edge = (distance: Length | undefined, depth: Length | undefined) =>
		distance === undefined ? null : { distance_m: metres(distance), depth_m: metresOrNull(depth) ?? 0 };
	return {
		start: edge(edges?.startDistance_m, edges?.startDepth_m),
		end: edge(edges?.endDistance_m, edges?.endDepth_m)
	};
}
