import { listOf, pairedLists, positive } from '../../quantity';

/** A left-censored sample: where `censored`, the value is only known to lie below the limit given. Values above 0. */
export interface Censored {
	values: readonly number[];
	censored: readonly boolean[];
}

export interface CensoredSample {
	n: number;
	nCensored: number;
	/** Detected values, ascending. */
	detected: number[];
	/** Limits of the non-detects, ascending. */
	limits: number[];
}

/**
 * The sample checked and parted. RangeError for a value that is missing or not above 0, or lists of different length.
 */
export function censoredSample(sample: Censored): CensoredSample {
	const values = listOf('values', sample.values, positive);
	const censored = listOf('censored', sample.censored, (place, c) => {
		if (typeof c !== 'boolean') throw new RangeError(`${place} must be true or false: ${String(c)}`);
		return c;
	});
	pairedLists({ values, censored });
	const of = (side: boolean) => values.filter((_, i) => censored[i] === side).sort((a, b) => a - b);
	const [detected, limits] = [of(false), of(true)];
	return { n: values.length, nCensored: limits.length, detected, limits };
}
