import { atLeast, listOf, pairedLists } from '../../quantity';

interface TwoCounts {
	countsA: readonly number[];
	countsB: readonly number[];
}

/** Two people's counts of the same kinds, checked, with their totals. */
function pairOfCounts({ countsA, countsB }: TwoCounts) {
	const check = (place: string, value: unknown) => atLeast(place, value, 0);
	const a = listOf('countsA', countsA, check);
	const b = listOf('countsB', countsB, check);
	pairedLists({ countsA: a, countsB: b });
	const total = (list: readonly number[]) => list.reduce((sum, x) => sum + x, 0);
	return { a, b, totalA: total(a), totalB: total(b) };
}

/** How alike two samples' shares are, percent: Σ of the smaller share (Renkonen 1938). Null if either is empty. */
export function percentSimilarity(counts: TwoCounts): { percent: number | null } {
	const { a, b, totalA, totalB } = pairOfCounts(counts);
	if (totalA === 0 || totalB === 0) return { percent: null };
	return { percent: 100 * a.reduce((sum, x, i) => sum + Math.min(x / totalA, b[i]! / totalB), 0) };
}

/** How far two people's totals lie apart, percent of their sum (Stribling et al. 2003). Null if both are empty. */
export function percentDifferenceEnumeration(counts: TwoCounts): { percent: number | null } {
	const { totalA, totalB } = pairOfCounts(counts);
	return { percent: totalA + totalB === 0 ? null : (100 * Math.abs(totalA - totalB)) / (totalA + totalB) };
}

/**
 * Share of animals that two people named differently, percent of the larger total (Stribling et al. 2003). Null if
 * both are empty.
 */
export function percentTaxonomicDisagreement(counts: TwoCounts): { percent: number | null } {
	const { a, b, totalA, totalB } = pairOfCounts(counts);
	const agreed = a.reduce((sum, x, i) => sum + Math.min(x, b[i]!), 0);
	return { percent: totalA + totalB === 0 ? null : 100 * (1 - agreed / Math.max(totalA, totalB)) };
}
