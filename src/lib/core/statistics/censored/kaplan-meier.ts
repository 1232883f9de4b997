import { inRange, listOf, orDefault } from '../../quantity';
import { censoredSample, type Censored, type CensoredSample } from './sample';

interface Step {
	value: number;
	/** Share of the distribution below this value. */
	below: number;
}

/**
 * Mean, median and quantiles with non-detects, assuming no shape: Kaplan & Meier's estimator turned round for values
 * that are only known to lie below a limit. A quantile null lies below the lowest limit. All null where nothing was
 * detected; RangeError as for the sample, or for a probability outside 0..1. Kaplan & Meier 1958; Helsel 2012.
 */
export function kaplanMeierLeftCensored(input: Censored & { probabilities?: readonly number[] | null }): {
	n: number;
	nCensored: number;
	mean: number | null;
	median: number | null;
	quantiles: (number | null)[] | null;
} {
	const sample = censoredSample(input);
	const probabilities = listOf('probabilities', orDefault(input.probabilities, []), (place, p) =>
		inRange(place, p, 0, 1)
	);
	const { n, nCensored, detected, limits } = sample;
	if (detected.length === 0)
		return { n, nCensored, mean: null, median: null, quantiles: probabilities.map(() => null) };
	const steps = stepsDown(sample);
	const lowest = Math.min(detected[0]!, limits[0] ?? Infinity);
	let above = 1;
	let mean = 0;
	for (const { value, below } of steps) {
		mean += value * (above - below);
		above = below;
	}
	return {
		n,
		nCensored,
		mean: mean + above * lowest,
		median: quantileOf(steps, 0.5, lowest),
		quantiles: probabilities.map((p) => quantileOf(steps, p, lowest))
	};
}

/** Distinct detected values from the largest down, each with the share of the distribution below it. */
function stepsDown({ detected, limits }: CensoredSample): Step[] {
	const steps: Step[] = [];
	let share = 1;
	let seen = limits.length; // limits not above the value; walked down beside it
	for (let last = detected.length - 1; last >= 0;) {
		const value = detected[last]!;
		let first = last;
		while (first > 0 && detected[first - 1] === value) first--;
		while (seen > 0 && limits[seen - 1]! > value) seen--;
		share *= 1 - (last - first + 1) / (last + 1 + seen);
		steps.push({ value, below: share });
		last = first - 1;
	}
	return steps;
}

function quantileOf(steps: readonly Step[], probability: number, lowest: number): number | null {
	for (const [i, { value, below }] of steps.entries()) {
		if (Math.abs(below - probability) < SAME) return (value + (steps[i + 1]?.value ?? lowest)) / 2;
		if (below < probability) return value;
	}
	return null;
}

const SAME = 1e-8; // shares that differ by rounding only
