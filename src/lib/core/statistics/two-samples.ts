import { listOf, openShare, orDefault, positive } from '../quantity';
import { studentTwoSided, studentWithin } from './distributions/student';
import { zOf } from './distributions/normal';
import { medianOfSorted } from './order';
import { ascending, present, type Gappy } from './samples';
import { mean, standardDeviation } from './spread';

/** A difference of two means with its interval; all but the difference null where a side has fewer than two values. */
export interface Welch {
	difference: number | null;
	lower: number | null;
	upper: number | null;
	t: number | null;
	df: number | null;
	p: number | null;
}
const OPEN = { lower: null, upper: null, t: null, df: null, p: null };
/** Spread of less than this share of the values is what arithmetic leaves behind. */
const NO_SPREAD = 1e-12;

/** Mean of u less mean of v, each with a spread of its own. Welch 1947. */
export function welch(u: readonly number[], v: readonly number[], confidence: number): Welch {
	const [meanU, meanV] = [mean(u), mean(v)];
	if (meanU === null || meanV === null) return { difference: null, ...OPEN };
	const difference = meanU - meanV;
	const [sdU, sdV] = [standardDeviation(u), standardDeviation(v)];
	if (sdU === null || sdV === null) return { difference, ...OPEN };
	const [a, b] = [sdU ** 2 / u.length, sdV ** 2 / v.length];
	const se = Math.sqrt(a + b);
	if (se <= NO_SPREAD * Math.max(...[...u, ...v].map(Math.abs))) return { difference, ...OPEN };
	const df = (a + b) ** 2 / (a ** 2 / (u.length - 1) + b ** 2 / (v.length - 1));
	const t = difference / se;
	const half = studentWithin(confidence, df) * se;
	return { difference, lower: difference - half, upper: difference + half, t, df, p: studentTwoSided(t, df) };
}

const confidenceOf = (given: number | null | undefined) => openShare('confidence', orDefault(given, 0.95));

/**
 * By how much x lies above y: the median of all differences, with limits by their ranks (null where too few allow
 * none). Nulls are dropped; RangeError on what is not a number. Hodges & Lehmann 1963.
 */
export function hodgesLehmannShift(sample: { x: Gappy; y: Gappy; confidence?: number | null }): {
	shift: number | null;
	lower: number | null;
	upper: number | null;
	pairs: number;
} {
	const [x, y] = [present('x', sample.x), present('y', sample.y)];
	const z = zOf(confidenceOf(sample.confidence));
	const pairs = x.length * y.length;
	if (pairs === 0) return { shift: null, lower: null, upper: null, pairs };
	const [m, k] = [x.length, y.length];
	const at = allDifferences(x, y);
	const rank = Math.floor(pairs / 2 - z * Math.sqrt((pairs * (m + k + 1)) / 12));
	const shift = medianOfSorted(at);
	if (rank < 1) return { shift, lower: null, upper: null, pairs };
	return { shift, lower: at[rank - 1]!, upper: at[pairs - rank]!, pairs };
}

function allDifferences(x: readonly number[], y: readonly number[]): Float64Array {
	const differences = new Float64Array(x.length * y.length);
	x.forEach((a, i) => y.forEach((b, j) => (differences[i * y.length + j] = a - b)));
	return ascending(differences);
}

interface Pair {
	control?: number | null;
	impact?: number | null;
}

/**
 * What came of something that was done at one of two stations: the change of impact less control, after against before,
 * with its interval. A pair of which one is null is dropped. RangeError on what is not a number. Stewart-Oaten, Murdoch
 * & Parker 1986.
 */
export function beforeAfterControlImpact(sample: {
	before: readonly Pair[];
	after: readonly Pair[];
	confidence?: number | null;
}): { effect: number | null; nBefore: number; nAfter: number } & Omit<Welch, 'difference'> {
	const confidence = confidenceOf(sample.confidence);
	const differences = (name: string, pairs: readonly Pair[]) =>
		listOf(name, pairs, (place, pair) => {
			const { control, impact } = (pair ?? {}) as Pair;
			const [c] = present(`${place}.control`, [control]);
			const [i] = present(`${place}.impact`, [impact]);
			return c === undefined || i === undefined ? null : i - c;
		}).filter((d) => d !== null);
	const [before, after] = [differences('before', sample.before), differences('after', sample.after)];
	const { difference, ...rest } = welch(after, before, confidence);
	return { effect: difference, nBefore: before.length, nAfter: after.length, ...rest };
}

/**
 * How many times larger x is than y, by their geometric means, with its interval. Nulls are dropped; RangeError at 0 or
 * below. Welch 1947.
 */
export function geometricMeanRatio(sample: { x: Gappy; y: Gappy; confidence?: number | null }): {
	ratio: number | null;
} & Omit<Welch, 'difference'> {
	const logs = (name: 'x' | 'y') => present(name, sample[name]).map((v, i) => Math.log(positive(`${name}[${i}]`, v)));
	const { difference, lower, upper, ...rest } = welch(logs('x'), logs('y'), confidenceOf(sample.confidence));
	const back = (log: number | null) => (log === null ? null : Math.exp(log));
	return { ratio: back(difference), lower: back(lower), upper: back(upper), ...rest };
}
