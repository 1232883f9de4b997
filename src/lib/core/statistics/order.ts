import { inRange, orDefault } from '../quantity';
import { ascending, present, type Gappy } from './samples';

/** The median of values in ascending order: the mean of the two middle ones; null of none. Hyndman & Fan 1996. */
export function medianOfSorted(sorted: ArrayLike<number>): number | null {
	const n = sorted.length;
	return n === 0 ? null : (sorted[(n - 1) >> 1]! + sorted[n >> 1]!) / 2;
}

/** The median; null of none. Hyndman & Fan 1996. */
export const median = (values: readonly number[]): number | null => medianOfSorted(ascending(values));

/**
 * The quantile of a sample at a probability 0..1, of Hyndman & Fan's type 7 (the default) or 6 (Weibull). Null
 * entries are dropped; null of nothing. RangeError for another type or a probability outside 0..1. Hyndman & Fan
 * 1996.
 */
export function quantile({ values, probability, type }: { values: Gappy; probability: number; type?: number | null }): {
	quantile: number | null;
} {
	const sorted = ascending(present('values', values));
	const p = inRange('probability', probability, 0, 1);
	const kind = orDefault(type, 7);
	if (kind !== 6 && kind !== 7) throw new RangeError(`type must be 6 or 7: ${String(kind)}`);
	const n = sorted.length;
	if (n === 0) return { quantile: null };
	const h = Math.min(Math.max(kind === 7 ? (n - 1) * p + 1 : (n + 1) * p, 1), n);
	const below = Math.floor(h);
	const low = sorted[below - 1]!;
	const high = sorted[Math.min(below, n - 1)]!;
	return { quantile: low + (h - below) * (high - low) };
}

/**
 * Ranks from 1, ties sharing the mean of theirs, in the order of the values; and the sizes of tied groups. Kendall
 * 1945.
 */
export function midRanks(values: readonly number[]): { ranks: number[]; tied: number[] } {
	const order = values.map((_, i) => i).sort((a, b) => values[a]! - values[b]!);
	const ranks = new Array<number>(values.length);
	const tied: number[] = [];
	for (let from = 0; from < order.length;) {
		let to = from + 1;
		while (to < order.length && values[order[to]!] === values[order[from]!]) to++;
		for (let k = from; k < to; k++) ranks[order[k]!] = (from + 1 + to) / 2;
		if (to - from > 1) tied.push(to - from);
		from = to;
	}
	return { ranks, tied };
}
