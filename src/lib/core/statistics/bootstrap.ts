import { finite, listOf, openShare, orDefault, pairedLists, whole } from '../quantity';
import { seeded } from './chance';
import { quantile } from './order';

export interface Resampling {
	draws?: number | null;
	seed: number;
	confidence?: number | null;
}

/**
 * Between which two figures a mean lies, judged by drawing the sample again and again from itself: Efron's percentile
 * interval. With
 * `counts`, each value stands for so many individuals, and as many individuals are drawn. Each draw adds one number
 * to a running sum;
 * no resample is ever built. The same seed gives the same interval. Null for nothing; RangeError for what is not a
 * number. Efron & Tibshirani 1993, 13.
 */
export function bootstrapInterval(
	sample: { values: readonly number[]; counts?: readonly number[] | null },
	{ draws, seed, confidence }: Resampling
): { lower: number; upper: number } | null {
	const values = listOf('values', sample.values, finite);
	const counts =
		sample.counts == null ? values.map(() => 1) : listOf('counts', sample.counts, (place, c) => whole(place, c));
	pairedLists({ values, counts });
	const c = openShare('confidence', orDefault(confidence, 0.95));
	const individuals = Float64Array.from(values.flatMap((v, i) => new Array<number>(counts[i]!).fill(v)));
	const n = individuals.length;
	if (n === 0) return null;
	const chance = seeded(seed);
	const means = Array.from({ length: whole('draws', orDefault(draws, USUAL_DRAWS), 1) }, () => {
		let sum = 0;
		for (let k = 0; k < n; k++) sum += individuals[Math.floor(chance.uniform() * n)]!;
		return sum / n;
	});
	const at = (probability: number) => quantile({ values: means, probability }).quantile!;
	return { lower: at((1 - c) / 2), upper: at((1 + c) / 2) };
}

const USUAL_DRAWS = 2000;
