import { detectionLimit } from '../statistics';

/** Blanks with a figure from which on a limit is told: a standard deviation of fewer says little. */
export const LEAST_BLANKS = 7;

/** What a program's blanks of one parameter and one lab say together, in that parameter's unit. */
export interface BlanksSay {
	/** How many had a figure, and how many lay only under the lab's own limit. */
	n: number;
	below: number;
	/** Null: too few have a figure, or more than half of them have none. */
	limits: { mean: number; blank: number; detection: number } | null;
}

/**
 * The least that can be told from nothing, by blanks that went the whole way of a sample (Currie 1968). What lies under
 * a lab's limit has no figure; where that is so for most, those with one are the dirty ones, and say nothing of the
 * others.
 */
export function blanksSay(figures: readonly number[], below: number): BlanksSay {
	const n = figures.length;
	const isEnough = n >= LEAST_BLANKS && n >= below;
	const { mean, limitOfBlank, limitOfDetection } = detectionLimit({ blanks: figures });
	const limits =
		isEnough && mean !== null && limitOfBlank !== null && limitOfDetection !== null
			? { mean, blank: limitOfBlank, detection: limitOfDetection }
			: null;
	return { n, below, limits };
}
