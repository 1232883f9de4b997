/** What is known of a stream of values of which none is kept: for a logger's years on a phone. */
export interface RunningSummary {
	n: number;
	mean: number;
	/** Sum of squares about the mean. */
	squares: number;
	low: number;
	high: number;
}

export const nothingYet: RunningSummary = { n: 0, mean: 0, squares: 0, low: Infinity, high: -Infinity };

/**
 * The summary with one value more. Welford 1962, which does not lose digits where values are large and differ little.
 */
export function withOneMore({ n, mean, squares, low, high }: RunningSummary, value: number): RunningSummary {
	const next = mean + (value - mean) / (n + 1);
	return {
		n: n + 1,
		mean: next,
		squares: squares + (value - mean) * (value - next),
		low: Math.min(low, value),
		high: Math.max(high, value)
	};
}

/** Two summaries of parts put together, as if all had come in one stream. Chan, Golub & LeVeque 1979. */
export function putTogether(a: RunningSummary, b: RunningSummary): RunningSummary {
	const n = a.n + b.n;
	if (n === 0) return nothingYet;
	const apart = b.mean - a.mean;
	return {
		n,
		mean: a.mean + (apart * b.n) / n,
		squares: a.squares + b.squares + (apart ** 2 * a.n * b.n) / n,
		low: Math.min(a.low, b.low),
		high: Math.max(a.high, b.high)
	};
}

/** The standard deviation with divisor n − 1; null for fewer than two. Welford 1962. */
export const runningSd = ({ n, squares }: RunningSummary): number | null =>
	n < 2 ? null : Math.sqrt(squares / (n - 1));
