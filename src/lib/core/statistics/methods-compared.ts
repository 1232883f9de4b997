import { openShare, orDefault, positive } from '../quantity';
import { zOf } from './distributions/normal';
import { studentWithin } from './distributions/student';
import { median } from './order';
import { moments } from './regression';
import { ascending, presentPairs, type Gappy } from './samples';
import { mean, standardDeviation } from './spread';

/** A line through two methods' figures, both of which err, with its interval. */
export interface MethodLine {
	slope: number | null;
	intercept: number | null;
	slopeLower: number | null;
	slopeUpper: number | null;
	interceptLower: number | null;
	interceptUpper: number | null;
	n: number;
}
const NO_LIMITS = { slopeLower: null, slopeUpper: null, interceptLower: null, interceptUpper: null };
const NO_SE = { seSlope: null, seIntercept: null, ...NO_LIMITS };
/** Correlations smaller than this are what arithmetic leaves behind. */
const NO_CORRELATION = 1e-12;

interface Paired {
	x: Gappy;
	y: Gappy;
	confidence?: number | null;
}

/**
 * The line through two methods that both err, the variances of their errors in a known ratio (y over x), with limits by
 * the jackknife. A pair with a null is dropped. Limits are null under three pairs, all but n under two. RangeError on a
 * ratio not above 0. Linnet 1993.
 */
export function demingRegression(
	sample: Paired & { varianceRatio?: number | null }
): MethodLine & { seSlope: number | null; seIntercept: number | null } {
	const { x, y } = presentPairs(sample);
	const ratio = positive('varianceRatio', orDefault(sample.varianceRatio, 1));
	const confidence = openShare('confidence', orDefault(sample.confidence, 0.95));
	const n = x.length;
	const line = demingLine(x, y, ratio);
	if (line === null) return { slope: null, intercept: null, ...NO_SE, n };
	const without = n < 3 ? [] : x.map((_, i) => demingLine(x.toSpliced(i, 1), y.toSpliced(i, 1), ratio));
	if (without.length === 0 || without.some((w) => w === null)) return { ...line, ...NO_SE, n };
	const se = (of: 'slope' | 'intercept') =>
		standardDeviation(without.map((w) => n * line[of] - (n - 1) * w![of]))! / Math.sqrt(n);
	const [seSlope, seIntercept] = [se('slope'), se('intercept')];
	const t = studentWithin(confidence, n - 2);
	return {
		...line,
		seSlope,
		seIntercept,
		slopeLower: line.slope - t * seSlope,
		slopeUpper: line.slope + t * seSlope,
		interceptLower: line.intercept - t * seIntercept,
		interceptUpper: line.intercept + t * seIntercept,
		n
	};
}

function demingLine(
	x: readonly number[],
	y: readonly number[],
	ratio: number
): { slope: number; intercept: number } | null {
	if (x.length < 2) return null;
	const { sxx, sxy, syy, mx, my } = moments(x, y);
	const u = syy - ratio * sxx;
	if (Math.abs(sxy) <= NO_CORRELATION * Math.sqrt(sxx * syy)) return u < 0 ? { slope: 0, intercept: my } : null;
	const slope = (u + Math.sqrt(u ** 2 + 4 * ratio * sxy ** 2)) / (2 * sxy);
	return { slope, intercept: my - slope * mx };
}

/**
 * The line through two methods by the median of the slopes between all pairs, moved by those that fall: no shape of the
 * errors is assumed. A pair with a null is dropped. Passing & Bablok 1983.
 */
export function passingBablok(sample: Paired): MethodLine & { slopes: number; shift: number } {
	const { x, y } = presentPairs(sample);
	const z = zOf(openShare('confidence', orDefault(sample.confidence, 0.95)));
	const n = x.length;
	if (n < 2) return { slope: null, intercept: null, ...NO_LIMITS, slopes: 0, shift: 0, n };
	const sorted = ascending(slopesOf(x, y));
	const count = sorted.length;
	const shift = sorted.findIndex((s) => s >= -1) === -1 ? count : sorted.findIndex((s) => s >= -1);
	const at = (rank: number): number | null => {
		const slope = sorted[rank - 1];
		return slope === undefined || !Number.isFinite(slope) ? null : slope;
	};
	const middle = count % 2 ? at((count + 1) / 2 + shift) : meanOf(at(count / 2 + shift), at(count / 2 + 1 + shift));
	const c = z * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
	const m = Math.floor((count - c) / 2 + 0.5);
	const [slopeLower, slopeUpper] = [at(m + shift), at(count - m + 1 + shift)];
	const interceptFor = (slope: number | null) => (slope === null ? null : median(x.map((v, i) => y[i]! - slope * v)));
	return {
		slope: middle,
		intercept: interceptFor(middle),
		slopeLower,
		slopeUpper,
		interceptLower: interceptFor(slopeUpper),
		interceptUpper: interceptFor(slopeLower),
		slopes: count,
		shift,
		n
	};
}

const meanOf = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : mean([a, b]));

/** Slopes between all pairs, those left out that say nothing: of two equal points, and of exactly −1. */
function slopesOf(x: readonly number[], y: readonly number[]): number[] {
	const slopes: number[] = [];
	for (let i = 0; i < x.length; i++)
		for (let j = i + 1; j < x.length; j++) {
			const [dx, dy] = [x[j]! - x[i]!, y[j]! - y[i]!];
			if (dx === 0 && dy === 0) continue;
			const slope = dx === 0 ? Infinity : dy / dx;
			if (Math.abs(slope + 1) > 1e-9) slopes.push(slope);
		}
	return slopes;
}
