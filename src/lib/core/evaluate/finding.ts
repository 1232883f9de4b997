import { sourceOf } from './determination';
import type { Finding } from './outcome';

type Told = Pick<
	Finding,
	'parameter' | 'way' | 'figure' | 'uncertainty' | 'readings' | 'source' | 'basis' | 'working' | 'place'
> &
	Partial<Pick<Finding, 'limits' | 'parents' | 'isSimulated'>>;

/** A finding from what its subject knows; most follow from no other figure and have no limits but ±. */
export const finding = (told: Told): Finding => ({
	limits: null,
	parents: [],
	isSimulated: false,
	from: sourceOf(told.place),
	...told
});
