import { atLeast, finite, listOf, orDefault, positive } from '../quantity';
import { mean, standardDeviation } from './spread';

/** The mean moving range of two over the standard deviation that causes it (ISO 7870-2:2013, d2). */
const D2 = 1.128;
/** Standard deviations either side of the centre. */
const SIGMAS = 3;

/**
 * How far duplicates lie apart, from some pairs: their standard deviation, in percent too, and the repeatability. ISO
 * 5725-6:1994.
 */
export function duplicateSd({ pairs }: { pairs: readonly (readonly [number, number])[] }): {
	sd: number | null;
	relativeSdPercent: number | null;
	repeatability: number | null;
	n: number;
} {
	const checked = listOf('pairs', pairs, (place, pair) => {
		const [a, b] = listOf(place, pair, finite);
		return [finite(`${place}[0]`, a), finite(`${place}[1]`, b)] as const;
	});
	const n = checked.length;
	if (n === 0) return { sd: null, relativeSdPercent: null, repeatability: null, n };
	const sd = Math.sqrt(checked.reduce((sum, [a, b]) => sum + (a - b) ** 2, 0) / (2 * n));
	const shares = checked.map(([a, b]) => (a === 0 && b === 0 ? 0 : (a - b) / ((a + b) / 2)));
	const square = shares.reduce((sum, s) => sum + s ** 2, 0);
	const relativeSdPercent = Number.isFinite(square) ? 100 * Math.sqrt(square / (2 * n)) : null;
	return { sd, relativeSdPercent, repeatability: 2.77 * sd, n };
}

/** Between which two figures a process in control stays, judged by how far neighbours lie apart. ISO 7870-2:2013. */
export function movingRangeLimits({ values }: { values: readonly number[] }): {
	centre: number | null;
	meanMovingRange: number | null;
	sigma: number | null;
	lower: number | null;
	upper: number | null;
	outside: number[];
} {
	const seen = listOf('values', values, finite);
	const centre = mean(seen);
	if (centre === null || seen.length < 2)
		return { centre, meanMovingRange: null, sigma: null, lower: null, upper: null, outside: [] };
	const meanMovingRange = mean(seen.slice(1).map((v, i) => Math.abs(v - seen[i]!)))!;
	const sigma = meanMovingRange / D2;
	const [lower, upper] = [centre - SIGMAS * sigma, centre + SIGMAS * sigma];
	const isOut = (v: number) => sigma > 0 && (v < lower || v > upper);
	return { centre, meanMovingRange, sigma, lower, upper, outside: seen.flatMap((v, i) => (isOut(v) ? [i] : [])) };
}

/**
 * Sums of what lies above and below a target, which show a slow drift; where one first goes beyond the decision. Page
 * 1954.
 */
export function cusum(series: {
	values: readonly number[];
	target: number;
	sd: number;
	slack?: number | null;
	decision?: number | null;
}): { high: number[]; low: number[]; firstSignal: number | null; side: 'high' | 'low' | null } {
	const target = finite('target', series.target);
	const sd = positive('sd', series.sd);
	const slack = atLeast('slack', orDefault(series.slack, 0.5), 0);
	const decision = positive('decision', orDefault(series.decision, 5));
	const [high, low]: [number[], number[]] = [[], []];
	for (const value of listOf('values', series.values, finite)) {
		const z = (value - target) / sd;
		high.push(Math.max(0, (high.at(-1) ?? 0) + z - slack));
		low.push(Math.max(0, (low.at(-1) ?? 0) - z - slack));
	}
	const first = high.findIndex((h, i) => h > decision || low[i]! > decision);
	if (first === -1) return { high, low, firstSignal: null, side: null };
	return { high, low, firstSignal: first, side: high[first]! > decision ? 'high' : 'low' };
}

/** The least that can be told from a blank: from blanks, and from spiked samples where there are some. Currie 1968. */
export function detectionLimit({ blanks, spikedSd }: { blanks: readonly number[]; spikedSd?: number | null }): {
	mean: number | null;
	sd: number | null;
	limitOfBlank: number | null;
	limitOfDetection: number | null;
	n: number;
} {
	const seen = listOf('blanks', blanks, finite);
	const spiked = spikedSd == null ? null : atLeast('spikedSd', spikedSd, 0);
	const [centre, sd] = [mean(seen), standardDeviation(seen)];
	if (centre === null || sd === null)
		return { mean: centre, sd, limitOfBlank: null, limitOfDetection: null, n: seen.length };
	const limitOfBlank = centre + ONE_SIDED * sd;
	return {
		mean: centre,
		sd,
		limitOfBlank,
		limitOfDetection: limitOfBlank + ONE_SIDED * (spiked ?? sd),
		n: seen.length
	};
}

/** Of a normal distribution 95 % lie below so many standard deviations over its mean. */
const ONE_SIDED = 1.645;
