import { listOf, pairedLists, positive } from '../quantity';
import { gappy, type Gappy } from './samples';
import { linearRegression } from './regression';
import { mean } from './spread';

/**
 * How concentration follows discharge: the line of ln c on ln q, and by how much it is too low when it is brought back
 * (Duan 1983). Edges as of the line; a pair of which one is null is dropped. RangeError at 0 or below.
 */
export function logLogRating(sample: { discharges: Gappy; concentrations: Gappy }): {
	intercept: number | null;
	slope: number | null;
	smearing: number | null;
	residualSd: number | null;
	rSquared: number | null;
	n: number;
} {
	const logs = (name: 'discharges' | 'concentrations') =>
		listOf(name, gappy(name, sample[name]), (place, v) => (v === null ? null : Math.log(positive(place, v))));
	const [x, y] = [logs('discharges'), logs('concentrations')];
	pairedLists({ discharges: x, concentrations: y });
	const { intercept, slope, residualSd, rSquared, n } = linearRegression({ x, y });
	if (intercept === null || slope === null) return { intercept, slope, smearing: null, residualSd, rSquared, n };
	const residuals = x.flatMap((v, i) => {
		const w = y[i];
		return v === null || w == null ? [] : [w - intercept - slope * v];
	});
	const isExact = n === 2 || slope === 0;
	return { intercept, slope, smearing: isExact ? 1 : mean(residuals.map(Math.exp)), residualSd, rSquared, n };
}
