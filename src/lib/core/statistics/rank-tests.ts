import { normalTwoSided } from './distributions/normal';
import { studentTwoSided } from './distributions/student';
import { midRanks } from './order';
import { moments } from './regression';
import { present, presentPairs, type Gappy } from './samples';

const sum = (values: readonly number[]) => values.reduce((total, v) => total + v, 0);
const tieTerm = (tied: readonly number[]) => sum(tied.map((t) => t ** 3 - t));
/** z with half a step taken off towards 0: ranks move in steps, the normal curve does not. */
const corrected = (distance: number, variance: number) => (distance - 0.5 * Math.sign(distance)) / Math.sqrt(variance);

/**
 * Spearman's rank correlation: Pearson's on mid-ranks, two-sided p by t with n − 2. A pair with a null is dropped.
 * Null for fewer than two pairs or a side all equal; with two pairs p is null. Spearman 1904.
 */
export function spearman(sample: { x: Gappy; y: Gappy }): { rho: number | null; p: number | null; n: number } {
	const { x, y } = presentPairs(sample);
	const n = x.length;
	const { sxx, sxy, syy } = moments(midRanks(x).ranks, midRanks(y).ranks);
	if (n < 2 || sxx === 0 || syy === 0) return { rho: null, p: null, n };
	const rho = Math.max(-1, Math.min(1, sxy / Math.sqrt(sxx * syy)));
	if (n === 2) return { rho, p: null, n };
	if (Math.abs(rho) > 1 - 1e-12) return { rho, p: 0, n };
	return { rho, p: studentTwoSided(rho * Math.sqrt((n - 2) / (1 - rho ** 2)), n - 2), n };
}

/**
 * Mann & Whitney's U of two samples (pairs in which x is the larger, ties as halves), with the normal p corrected for
 * ties and continuity. Null entries are dropped; all null when a side is empty, z and p when every value is the same.
 * Mann & Whitney 1947.
 */
export function mannWhitney(sample: { x: Gappy; y: Gappy }): {
	u: number | null;
	uOther: number | null;
	z: number | null;
	p: number | null;
} {
	const x = present('x', sample.x);
	const y = present('y', sample.y);
	const [m, k] = [x.length, y.length];
	if (m === 0 || k === 0) return { u: null, uOther: null, z: null, p: null };
	const { ranks, tied } = midRanks([...x, ...y]);
	const u = sum(ranks.slice(0, m)) - (m * (m + 1)) / 2;
	const total = m + k;
	const variance = ((m * k) / 12) * (total + 1 - tieTerm(tied) / (total * (total - 1)));
	if (variance <= 0) return { u, uOther: m * k - u, z: null, p: null };
	const z = corrected(u - (m * k) / 2, variance);
	return { u, uOther: m * k - u, z, p: normalTwoSided(z) };
}

/**
 * Wilcoxon's signed ranks of paired samples: V is the sum of the ranks of the positive differences x − y, which are
 * rounded to 9 decimals so that 0.3 − 0.2 ties with 0.2 − 0.1; zeros are dropped. Normal p, corrected for ties and
 * continuity. Wilcoxon 1945.
 */
export function pairedWilcoxon(sample: { x: Gappy; y: Gappy }): {
	v: number | null;
	z: number | null;
	p: number | null;
	n: number;
} {
	const { x, y } = presentPairs(sample);
	const differences = x.map((a, i) => Math.round((a - y[i]!) * 1e9) / 1e9).filter((d) => d !== 0);
	const n = differences.length;
	if (n === 0) return { v: null, z: null, p: null, n };
	const { ranks, tied } = midRanks(differences.map(Math.abs));
	const v = sum(ranks.filter((_, i) => differences[i]! > 0));
	const variance = (n * (n + 1) * (2 * n + 1)) / 24 - tieTerm(tied) / 48;
	const z = corrected(v - (n * (n + 1)) / 4, variance);
	return { v, z, p: normalTwoSided(z), n };
}
