import { writeFixed } from '../../quantity';
import type { BranchWords } from '../branch-words';
import type { Arithmetic, GaugingMethod, VelocityPointMethod } from './branch';

/** How a flow is measured, in words. */
export const gaugingWords = {
	verticals: 'verticals across the stream',
	sweep: 'one sweep across the whole section',
	float: 'floats',
	flume: 'a throat flume',
	bucket: 'bucket and stopwatch'
} as const satisfies Record<GaugingMethod, string>;

/** A share of the depth, down from the surface, in tenths: as whoever reads writes numbers. */
export const depthShare = (tenths: 2 | 6 | 8): string => writeFixed(tenths / 10, 1);

/** Where in a vertical the velocity is read, in words; asked anew each time, since who reads may change. */
export const pointMethodWords = {
	get 'one-point'() {
		return `one point, at ${depthShare(6)} of the depth`;
	},
	get 'two-point'() {
		return `two points, at ${depthShare(2)} and ${depthShare(8)}`;
	},
	get 'three-point'() {
		return `three points, at ${depthShare(2)}, ${depthShare(6)} and ${depthShare(8)}`;
	},
	raise: 'slowly raised and lowered, averaged'
} as const satisfies Record<VelocityPointMethod, string>;

export const arithmeticWords = {
	'mid-section': 'mid-section',
	'mean-section': 'mean-section',
	'mean-depth': 'mean depth × width × mean velocity'
} as const satisfies Record<Arithmetic, string>;

/** How the places of a sheet that this subject owns are said in the logbook. */
export const gaugingPlaces: BranchWords = {
	name: 'flow',
	keys: {
		instrument: 'instrument',
		method: 'method',
		school: 'velocity point method',
		arithmetic: 'discharge arithmetic',
		because: 'why another way',
		wettedWidth_m: 'width of the water',
		bankfullWidth_m: 'bankfull width',
		tapeSag_m: 'sag of the tape',
		sweepVelocity_m_s: 'velocity of the sweep',
		floats: 'float',
		length_m: 'length of the reach',
		coefficient: 'coefficient',
		depth_m: 'depth',
		averaging: 'averaging',
		runs: 'run',
		time_s: 'time',
		areas: 'mark',
		area_m2: 'area',
		width_m: 'width of the water',
		depths: 'depth',
		flume: 'flume',
		rating: 'rating',
		head_m: 'head',
		tailDepth_m: 'depth below it',
		isLevelAlong: 'level along',
		isLevelAcross: 'level across',
		isTight: 'no water round or under it',
		fills: 'fill of the bucket',
		volume_L: 'volume',
		edges: 'edge',
		startDistance_m: 'first edge',
		endDistance_m: 'far edge',
		startDepth_m: 'depth at the first edge',
		endDepth_m: 'depth at the far edge',
		startVelocityFraction: 'share of the velocity at the first edge',
		endVelocityFraction: 'share of the velocity at the far edge',
		verticals: 'vertical',
		distance_m: 'place on the tape',
		velocity_m_s: 'velocity',
		get velocity02_m_s() {
			return `velocity at ${depthShare(2)}`;
		},
		get velocity06_m_s() {
			return `velocity at ${depthShare(6)}`;
		},
		get velocity08_m_s() {
			return `velocity at ${depthShare(8)}`;
		},
		points: 'points'
	},
	values: { method: gaugingWords, school: pointMethodWords, arithmetic: arithmeticWords }
};
