import type { Arithmetic, GaugingMethod, VelocityPointMethod } from './branch';

/** How a flow is measured, in words. */
export const gaugingWords = {
	verticals: 'verticals across the stream',
	sweep: 'one sweep across the whole section',
	float: 'floats',
	flume: 'a throat flume',
	bucket: 'bucket and stopwatch'
} as const satisfies Record<GaugingMethod, string>;

/** Where in a vertical the velocity is read, in words. */
export const pointMethodWords = {
	'one-point': 'one point, at 0.6 of the depth',
	'two-point': 'two points, at 0.2 and 0.8',
	'three-point': 'three points, at 0.2, 0.6 and 0.8',
	raise: 'slowly raised and lowered, averaged'
} as const satisfies Record<VelocityPointMethod, string>;

export const arithmeticWords = {
	'mid-section': 'mid-section',
	'mean-section': 'mean-section',
	'mean-depth': 'mean depth × width × mean velocity'
} as const satisfies Record<Arithmetic, string>;
