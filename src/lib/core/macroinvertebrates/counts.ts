import { atLeast, listOf, pairedLists, whole } from '../quantity';

/** Counts by taxon, checked (0 or more), with their total; zeros are taxa that were not there. */
export function countsOf(counts: readonly number[]): { present: number[]; total: number } {
	const present = listOf('counts', counts, (place, x) => atLeast(place, x, 0)).filter((x) => x > 0);
	return { present, total: sum(present) };
}

/** The same for whole animals. */
export function wholeCountsOf(counts: readonly number[]): { present: number[]; total: number } {
	const present = listOf('counts', counts, (place, x) => whole(place, x)).filter((x) => x > 0);
	return { present, total: sum(present) };
}

/** Counts of the same taxa in two samples, checked. */
export function twoSamples({ countsA, countsB }: { countsA: readonly number[]; countsB: readonly number[] }): {
	a: number[];
	b: number[];
} {
	const check = (place: string, x: unknown) => atLeast(place, x, 0);
	const a = listOf('countsA', countsA, check);
	const b = listOf('countsB', countsB, check);
	pairedLists({ countsA: a, countsB: b });
	return { a, b };
}

export const sum = (values: readonly number[]): number => values.reduce((total, x) => total + x, 0);
