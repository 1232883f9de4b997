import type { Unit } from '../quantity';
import { blandAltman, demingRegression, type MethodLine } from '../statistics';

/** One parameter of one visit, found in two ways, in one unit. */
export interface WayPair {
	at_ms: number;
	/** By the way that is held against the other. */
	first: number;
	/** By the way that it is held against. */
	second: number;
}

/** Figures that are compared by their ratio, in percent, or by their difference, in their unit. */
export type ApartScale = 'ratio' | 'difference';

export interface WaysApart {
	scale: ApartScale;
	/** How far the first lies over the second, with its 95 % interval; null under two pairs. */
	bias: { value: number; lower: number; upper: number } | null;
	/** Between these lie 19 of 20 single pairs. */
	limits: { lower: number; upper: number } | null;
	/** The line from the second to the first, both erring alike; through logarithms where ratios are compared. */
	line: MethodLine;
	/** Whether the first finds ever more, or ever less, than the second as figures grow; null where nobody can tell. */
	growth: 'more' | 'less' | null;
	/** More pairs than chance needs say that one reads higher. */
	isTold: boolean;
	n: number;
}

/** Fewer pairs than this say nothing of two ways. */
export const LEAST_PAIRS = 6;

const intervals: ReadonlySet<Unit> = new Set(['degC', 'degF', 'pH', 'm', 'mV']);

/** Temperatures, pH and levels have a zero that means nothing, and are compared by differences; all else by ratios. */
export const apartScale = (unit: Unit): ApartScale => (intervals.has(unit) ? 'difference' : 'ratio');

/**
 * How far apart two ways of one parameter are: bias and limits of agreement (Bland & Altman 1986, 1999 for ratios), and
 * the line that allows for errors of both (Linnet 1993). Of ratios, pairs that are not above 0 are left out.
 */
export function waysApart(pairs: readonly WayPair[], scale: ApartScale): WaysApart {
	const used = scale === 'ratio' ? pairs.filter((p) => p.first > 0 && p.second > 0) : pairs;
	const read = scale === 'ratio' ? Math.log : (v: number) => v;
	const said = scale === 'ratio' ? (v: number) => 100 * Math.expm1(v) : (v: number) => v;
	const [first, second] = [used.map((p) => read(p.first)), used.map((p) => read(p.second))];
	const { bias, biasLower95, biasUpper95, lowerLimit, upperLimit } = blandAltman({ x: first, y: second });
	const isWhole = bias !== null && biasLower95 !== null && biasUpper95 !== null;
	const n = used.length;
	const lines = ERRS_MORE.map((varianceRatio) => demingRegression({ x: second, y: first, varianceRatio }));
	return {
		scale,
		bias: isWhole ? { value: said(bias), lower: said(biasLower95), upper: said(biasUpper95) } : null,
		limits: lowerLimit === null || upperLimit === null ? null : { lower: said(lowerLimit), upper: said(upperLimit) },
		line: lines[ERRS_MORE.indexOf(1)]!,
		growth: n < LEAST_PAIRS ? null : growthBy(lines),
		isTold: n >= LEAST_PAIRS && isWhole && (biasLower95 > 0 || biasUpper95 < 0),
		n
	};
}

/** How many times the variance of the one way's errors may be that of the other: nobody knows which errs more. */
const ERRS_MORE = [1 / 4, 1, 4];

/** Told only where the slope is off 1 whichever of the two errs more. */
function growthBy(lines: readonly MethodLine[]): WaysApart['growth'] {
	if (lines.every((l) => l.slopeLower !== null && l.slopeLower > 1)) return 'more';
	return lines.every((l) => l.slopeUpper !== null && l.slopeUpper < 1) ? 'less' : null;
}

/** How far the first of a pair lies over the second: in percent of it, or in the unit. */
export const apartOf = ({ first, second }: Pick<WayPair, 'first' | 'second'>, scale: ApartScale): number =>
	scale === 'ratio' ? 100 * (first / second - 1) : first - second;
