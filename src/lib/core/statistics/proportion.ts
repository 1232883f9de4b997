import betaincinv from '@stdlib/math-base-special-kernel-betaincinv';
import { openShare, orDefault, whole } from '../quantity';

/** A share with the limits between which the true one lies, however few were looked at; null of none. */
export interface Proportion {
	proportion: number | null;
	lower: number | null;
	upper: number | null;
}

/**
 * So many of so many, with exact limits. RangeError for more successes than trials, or what is not whole. Clopper &
 * Pearson 1934.
 */
export function exactProportion(sample: { successes: number; n: number; confidence?: number | null }): Proportion {
	const n = whole('n', sample.n);
	const x = whole('successes', sample.successes);
	if (x > n) throw new RangeError(`successes must be at most n, ${n}: ${x}`);
	const tail = (1 - openShare('confidence', orDefault(sample.confidence, 0.95))) / 2;
	if (n === 0) return { proportion: null, lower: null, upper: null };
	return {
		proportion: x / n,
		lower: x === 0 ? 0 : betaincinv(x, n - x + 1, tail, 1 - tail)[0]!,
		upper: x === n ? 1 : betaincinv(x + 1, n - x, 1 - tail, tail)[0]!
	};
}
