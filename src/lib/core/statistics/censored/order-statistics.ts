import { normalQuantile } from '../distributions/normal';
import { median } from '../order';
import { linearRegression } from '../regression';
import { mean, standardDeviation } from '../spread';
import { censoredSample, type Censored, type CensoredSample } from './sample';

export interface OrderStatistics {
	n: number;
	nCensored: number;
	mean: number | null;
	sd: number | null;
	median: number | null;
	slope: number | null;
	intercept: number | null;
	/** Stand-ins for the non-detects, ascending; for summary figures only, never as measurements. */
	imputed: number[] | null;
}

/**
 * Mean, sd and median with non-detects at several limits, assuming a lognormal shape for the non-detects only: a line
 * through the detected values on normal scores at Helsel & Cohn's 1988 plotting positions gives the others their
 * places. Figures null for fewer than three detected, or all detected alike; RangeError as for the sample.
 */
export function regressionOnOrderStatistics(input: Censored): OrderStatistics {
	const sample = censoredSample(input);
	const { n, nCensored, detected } = sample;
	const nothing = { n, nCensored, mean: null, sd: null, median: null, slope: null, intercept: null, imputed: null };
	if (n === 0) return nothing;
	if (nCensored === 0)
		return { ...nothing, mean: mean(detected), sd: standardDeviation(detected), median: median(detected), imputed: [] };
	if (detected.length < 3 || detected[0] === detected.at(-1)) return nothing;
	const { atDetected, atCensored } = plottingPositions(sample);
	const line = linearRegression({ x: atDetected.map(normalQuantile), y: detected.map(Math.log) });
	const { slope, intercept } = line as { slope: number; intercept: number };
	const imputed = atCensored.map((p) => Math.exp(intercept + slope * normalQuantile(p))).sort((a, b) => a - b);
	const all = [...detected, ...imputed];
	return { n, nCensored, mean: mean(all), sd: standardDeviation(all), median: median(all), slope, intercept, imputed };
}

/**
 * Probability positions of the detected values (in order) and of the non-detects, interval by interval between
 * limits.
 */
function plottingPositions({ detected, limits }: CensoredSample): { atDetected: number[]; atCensored: number[] } {
	const distinct = [...new Set(limits)];
	if (detected[0]! < distinct[0]!) distinct.unshift(0);
	const intervals = distinct.map((limit, j) => {
		const next = distinct[j + 1] ?? Infinity;
		return {
			detected: detected.filter((y) => y >= limit && y < next).length,
			under: limits.filter((l) => l <= limit).length + detected.filter((y) => y < limit).length,
			censored: limits.filter((l) => l === limit).length
		};
	});
	const exceeds = [0]; // P(X at or above the limit), from the highest down
	for (const { detected: a, under: b } of intervals.toReversed())
		exceeds.unshift(exceeds[0]! + (a / (a + b)) * (1 - exceeds[0]!));
	const atDetected: number[] = [];
	const atCensored: number[] = [];
	for (const [j, interval] of intervals.entries()) {
		const [p, next] = [exceeds[j]!, exceeds[j + 1]!];
		for (let r = 1; r <= interval.detected; r++) atDetected.push(1 - p + ((p - next) * r) / (interval.detected + 1));
		for (let r = 1; r <= interval.censored; r++) atCensored.push(((1 - p) * r) / (interval.censored + 1));
	}
	return { atDetected, atCensored };
}
