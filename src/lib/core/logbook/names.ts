import type { AccessWay, Danger } from './branches/arrival';
import type { Technique } from './branches/bottles';
import type { DiscSpoiler } from './branches/field-tests';
import type { Arithmetic, GaugingMethod, VelocitySchool } from './branches/gaugings';

/** How the water was reached, in words. */
export const accessWords = {
	wade: 'waded',
	bank: 'from the bank',
	pole: 'with a pole',
	bridge: 'from the bridge',
	syringe: 'with a syringe',
	leave: 'not sampled'
} as const satisfies Record<AccessWay, string>;

/** Why somebody stays out, in words. */
export const dangerWords = {
	'high-water': 'high or rising water',
	ice: 'ice',
	storm: 'thunder, storm',
	sewage: 'sewage smell',
	slippery: 'slippery bed',
	'soft-silt': 'soft silt',
	animals: 'animals, stinging or biting',
	'no-leave': 'no permission to enter',
	alone: 'nobody to be with me'
} as const satisfies Record<Danger, string>;

/** How a bottle was filled, in words. */
export const techniqueWords = {
	hand: 'by hand',
	pole: 'on a pole',
	'bridge-bucket': 'bucket from a bridge',
	syringe: 'with a syringe',
	bank: 'from the bank',
	composite: 'composite across the stream'
} as const satisfies Record<Technique, string>;

/** What spoils a reading of the disc, in words. */
export const discSpoilerWords = {
	polarised: 'polarised glasses were worn',
	'low-sun': 'the sun stood low',
	glare: 'read in glare, not in shade',
	waves: 'the water was rough',
	'on-bed': 'the disc stood on the bed and was still in sight',
	current: 'the current carried the line off'
} as const satisfies Record<DiscSpoiler, string>;

/** How a flow is measured, in words. */
export const gaugingWords = {
	verticals: 'verticals across the stream',
	sweep: 'one sweep across the whole section',
	float: 'floats',
	flume: 'a throat flume',
	bucket: 'bucket and stopwatch'
} as const satisfies Record<GaugingMethod, string>;

/** Where in a vertical the velocity is read, in words. */
export const schoolWords = {
	'one-point': 'one point, at 0.6 of the depth',
	'two-point': 'two points, at 0.2 and 0.8',
	'three-point': 'three points, at 0.2, 0.6 and 0.8',
	raise: 'slowly raised and lowered, averaged'
} as const satisfies Record<VelocitySchool, string>;

export const arithmeticWords = {
	'mid-section': 'mid-section',
	'mean-section': 'mean-section',
	'mean-depth': 'mean depth × width × mean velocity'
} as const satisfies Record<Arithmetic, string>;
