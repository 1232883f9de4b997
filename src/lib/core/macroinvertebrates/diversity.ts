import { whole, orDefault } from '../quantity';
import { countsOf, sum, twoSamples, wholeCountsOf } from './counts';

interface Counts {
	counts: readonly number[];
}

/**
 * Shannon's diversity −Σ p ln p, in nats; null of nothing. Fractions of animals are allowed. RangeError below 0.
 * Shannon 1948.
 */
export function shannon({ counts }: Counts): { shannon: number | null } {
	const { present, total } = countsOf(counts);
	return { shannon: total === 0 ? null : -sum(present.map((x) => (x / total) * Math.log(x / total))) };
}

/**
 * Simpson's diversity 1 − Σ p², and the same without the bias of a small sample (null for fewer than two animals).
 * Simpson 1949.
 */
export function simpson({ counts }: Counts): { simpson: number | null; simpsonUnbiased: number | null } {
	const { present, total } = countsOf(counts);
	return {
		simpson: total === 0 ? null : 1 - sum(present.map((x) => (x / total) ** 2)),
		simpsonUnbiased: total < 2 ? null : 1 - sum(present.map((x) => x * (x - 1))) / (total * (total - 1))
	};
}

/**
 * Pielou's evenness: Shannon's diversity over the most that so many taxa could have; null for fewer than two taxa.
 * Pielou 1966.
 */
export function pielou({ counts }: Counts): { pielou: number | null } {
	const { present } = countsOf(counts);
	const { shannon: h } = shannon({ counts });
	return { pielou: h === null || present.length < 2 ? null : h / Math.log(present.length) };
}

/**
 * How many taxa there are at least, those not seen included, from the taxa seen once and twice; with its standard
 * error. Chao 1984, bias-corrected; variance as in vegan's estimateR. Null of nothing; RangeError for a count that is
 * not whole.
 */
export function chao1({ counts }: Counts): { chao1: number | null; se: number | null } {
	const { present } = wholeCountsOf(counts);
	if (present.length === 0) return { chao1: null, se: null };
	const a = present.filter((x) => x === 1).length;
	const b = present.filter((x) => x === 2).length;
	const estimate = present.length + (a * (a - 1)) / (2 * (b + 1));
	const variance =
		(a * (a - 1)) / (2 * (b + 1)) +
		(a * (2 * a - 1) ** 2) / (4 * (b + 1) ** 2) +
		(a ** 2 * b * (a - 1) ** 2) / (4 * (b + 1) ** 4) -
		(a * (a + b)) ** 2 / (4 * (b + 1) ** 4 * estimate);
	return { chao1: estimate, se: Math.sqrt(Math.max(0, variance)) };
}

/**
 * Share of the most numerous taxa (one, unless told), in percent; null of nothing. Barbour et al. 1999, U.S. EPA
 * 841-B-99-002.
 */
export function percentDominant({ counts, taxa }: Counts & { taxa?: number | null }): { percent: number | null } {
	const most = whole('taxa', orDefault(taxa, 1), 1);
	const { present, total } = countsOf(counts);
	const largest = present.sort((a, b) => b - a).slice(0, most);
	return { percent: total === 0 ? null : (100 * sum(largest)) / total };
}

/** How unlike two samples are by numbers, 0 to 1: Bray & Curtis 1957; null when both are empty. */
export function brayCurtis(samples: { countsA: readonly number[]; countsB: readonly number[] }): {
	dissimilarity: number | null;
} {
	const { a, b } = twoSamples(samples);
	const total = sum(a) + sum(b);
	return { dissimilarity: total === 0 ? null : sum(a.map((x, i) => Math.abs(x - b[i]!))) / total };
}

/**
 * How alike two samples are by the taxa present: shared over present in either (Jaccard 1912); null when both are
 * empty.
 */
export function jaccard(samples: { countsA: readonly number[]; countsB: readonly number[] }): {
	similarity: number | null;
	dissimilarity: number | null;
} {
	const { a, b } = twoSamples(samples);
	const either = a.filter((x, i) => x > 0 || b[i]! > 0).length;
	if (either === 0) return { similarity: null, dissimilarity: null };
	const similarity = a.filter((x, i) => x > 0 && b[i]! > 0).length / either;
	return { similarity, dissimilarity: 1 - similarity };
}
