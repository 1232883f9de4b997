import { ascending } from '../samples';

/*
 * Kendall's S by counting inversions in a merge sort, n log n for what a plain double loop does in n²: Knight 1966
 * (J. Am. Stat. Assoc. 61).
 */

/** Pairs i < j of which the first is the larger. `values` is left sorted. */
export function inversions(values: Float64Array): number {
	const n = values.length;
	let count = 0;
	for (let from = 0; from < n; from += RUN) count += insertionSort(values, from, Math.min(from + RUN, n));
	let source: Float64Array = values;
	let target: Float64Array = new Float64Array(n > RUN ? n : 0);
	for (let width = RUN; width < n; width *= 2) {
		for (let from = 0; from < n; from += 2 * width)
			count += merge(source, target, from, Math.min(from + width, n), Math.min(from + 2 * width, n));
		[source, target] = [target, source];
	}
	if (source !== values) values.set(source);
	return count;
}

const RUN = 16; // below this, moving neighbours is quicker than merging

function insertionSort(a: Float64Array, from: number, to: number): number {
	let count = 0;
	for (let i = from + 1; i < to; i++) {
		const x = a[i]!;
		let k = i;
		for (; k > from && a[k - 1]! > x; k--) a[k] = a[k - 1]!;
		a[k] = x;
		count += i - k;
	}
	return count;
}

function merge(source: Float64Array, target: Float64Array, from: number, middle: number, to: number): number {
	let count = 0;
	let i = from;
	let j = middle;
	for (let k = from; k < to; k++) {
		if (j >= to || (i < middle && source[i]! <= source[j]!)) target[k] = source[i++]!;
		else {
			count += middle - i;
			target[k] = source[j++]!;
		}
	}
	return count;
}

/** What `sum` over groups of equal values in ascending order gives, group by group of more than one. Kendall 1975. */
export function overTies(sorted: Float64Array, sum: (size: number) => number): number {
	let total = 0;
	for (let from = 0; from < sorted.length;) {
		let to = from + 1;
		while (to < sorted.length && sorted[to] === sorted[from]) to++;
		if (to - from > 1) total += sum(to - from);
		from = to;
	}
	return total;
}

const pairsIn = (n: number) => (n * (n - 1)) / 2;

export interface Concordance {
	/** Pairs that rise less pairs that fall. */
	s: number;
	/** Values in ascending order, for their ties. */
	sorted: Float64Array;
	tiedPairs: number;
}

/** S of values in order of time, where no two times are the same. Kendall 1975. */
export function concordanceInTime(values: Float64Array): Concordance {
	const sorted = values.slice();
	const falls = inversions(sorted);
	const tiedPairs = overTies(sorted, pairsIn);
	return { s: pairsIn(values.length) - tiedPairs - 2 * falls, sorted, tiedPairs };
}

/** Σ sgn(Δx Δy) over all pairs of two lists of whole ranks 0..n−1, ties in either counting nothing. Kendall 1975. */
export function concordanceOfRanks(x: ArrayLike<number>, y: ArrayLike<number>, ranks: number): number {
	const n = x.length;
	const keys = new Float64Array(n); // x first, y within: one number that sorts as the pair does
	for (let i = 0; i < n; i++) keys[i] = x[i]! * ranks + y[i]!;
	keys.sort();
	const inX = new Float64Array(n);
	const inY = new Float64Array(n);
	for (let i = 0; i < n; i++) {
		inX[i] = Math.floor(keys[i]! / ranks);
		inY[i] = keys[i]! - inX[i]! * ranks;
	}
	const discordant = inversions(inY); // leaves inY sorted
	return pairsIn(n) - overTies(inX, pairsIn) - overTies(inY, pairsIn) + overTies(keys, pairsIn) - 2 * discordant;
}

/** Ranks 0, 1, 2 … of values, equal ones alike. */
export function wholeRanks(values: Float64Array): { ranks: Float64Array; sorted: Float64Array } {
	const sorted = ascending(values);
	const first = new Map<number, number>();
	for (let i = sorted.length - 1; i >= 0; i--) first.set(sorted[i]!, i);
	return { ranks: values.map((v) => first.get(v)!), sorted };
}
