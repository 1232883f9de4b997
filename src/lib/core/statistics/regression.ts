import { studentTwoSided, studentWithin } from './distributions/student';
import { presentPairs, type Gappy } from './samples';
import { mean } from './spread';

export interface Regression {
	slope: number | null;
	intercept: number | null;
	seSlope: number | null;
	seIntercept: number | null;
	rSquared: number | null;
	residualSd: number | null;
	p: number | null;
	slopeLower95: number | null;
	slopeUpper95: number | null;
	n: number;
}

const NOTHING = {
	slope: null,
	intercept: null,
	seSlope: null,
	seIntercept: null,
	rSquared: null,
	residualSd: null,
	p: null,
	slopeLower95: null,
	slopeUpper95: null
};

/**
 * The least-squares line of y on x with its standard errors, two-sided p of the slope and its 95 % limits by
 * Student's t with n − 2. A pair with a null is dropped. All null but n when x is all equal or there are fewer than
 * two pairs; two pairs give the line alone. RangeError when the lists differ in length or hold what is not a number.
 * Draper & Smith 1998.
 */
export function linearRegression(sample: { x: Gappy; y: Gappy }): Regression {
	const { x, y } = presentPairs(sample);
	const n = x.length;
	const { sxx, sxy, syy, mx, my } = moments(x, y);
	if (n < 2 || sxx === 0) return { ...NOTHING, n };
	const flat = areSame(y);
	const slope = flat ? 0 : sxy / sxx;
	const intercept = flat ? y[0]! : my - slope * mx;
	if (n === 2) return { ...NOTHING, slope, intercept, rSquared: flat ? null : 1, n };
	if (flat)
		return {
			slope,
			intercept,
			seSlope: 0,
			seIntercept: 0,
			rSquared: null,
			residualSd: 0,
			p: null,
			slopeLower95: 0,
			slopeUpper95: 0,
			n
		};

	const residual = x.reduce((sum, v, i) => sum + (y[i]! - intercept - slope * v) ** 2, 0);
	const residualSd = Math.sqrt(residual / (n - 2));
	const seSlope = residualSd / Math.sqrt(sxx);
	const reach = studentWithin(0.95, n - 2) * seSlope;
	return {
		slope,
		intercept,
		seSlope,
		seIntercept: residualSd * Math.sqrt(1 / n + mx ** 2 / sxx),
		rSquared: 1 - residual / syy,
		residualSd,
		p: studentTwoSided(slope / seSlope, n - 2),
		slopeLower95: slope - reach,
		slopeUpper95: slope + reach,
		n
	};
}

const areSame = (values: readonly number[]) => values.every((v) => v === values[0]);

/** Means, and sums of squares and products about them. Draper & Smith 1998. */
export function moments(x: readonly number[], y: readonly number[]) {
	const mx = mean(x) ?? 0;
	const my = mean(y) ?? 0;
	let sxx = 0;
	let sxy = 0;
	let syy = 0;
	for (let i = 0; i < x.length; i++) {
		sxx += (x[i]! - mx) ** 2;
		sxy += (x[i]! - mx) * (y[i]! - my);
		syy += (y[i]! - my) ** 2;
	}
	// a side of one figure has no spread, whatever rounding leaves of its distance from its own mean
	if (areSame(x)) sxx = sxy = 0;
	if (areSame(y)) syy = sxy = 0;
	return { mx, my, sxx, sxy, syy };
}
