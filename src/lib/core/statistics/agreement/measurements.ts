import { studentWithin } from '../distributions/student';
import { moments } from '../regression';
import { presentPairs, type Gappy } from '../samples';
import { mean, standardDeviation } from '../spread';

/**
 * How near two people's (or meters') figures lie to the line of equality: Lin's 1989 concordance, Pearson's
 * correlation, and what bias alone costs. A pair with a null is dropped; null for fewer than two pairs or where both
 * sides are one figure.
 */
export function linsConcordance(sample: { x: Gappy; y: Gappy }) {
	const { x, y } = presentPairs(sample);
	const n = x.length;
	const { mx, my, sxx, sxy, syy } = moments(x, y);
	const spread = n === 0 ? 0 : (sxx + syy) / n + (mx - my) ** 2;
	if (n < 2 || spread === 0) return { concordance: null, pearson: null, biasCorrection: null, n };
	if (sxx === 0 || syy === 0) return { concordance: 0, pearson: null, biasCorrection: null, n };
	const concordance = (2 * sxy) / n / spread;
	const pearson = sxy / Math.sqrt(sxx * syy);
	return { concordance, pearson, biasCorrection: (2 * Math.sqrt(sxx * syy)) / n / spread, n };
}

/**
 * By how much two people (or meters) differ: the mean difference x − y, the limits between which 95 % of differences
 * lie, and the 95 % interval of the mean by Student's t. Bland & Altman 1986. One pair gives the difference alone;
 * none gives nulls.
 */
export function blandAltman(sample: { x: Gappy; y: Gappy }) {
	const { x, y } = presentPairs(sample);
	const n = x.length;
	const differences = x.map((a, i) => a - y[i]!);
	const bias = mean(differences);
	const sd = standardDeviation(differences);
	if (bias === null || sd === null)
		return { bias, sd, lowerLimit: null, upperLimit: null, biasLower95: null, biasUpper95: null, n };
	const reach = (studentWithin(0.95, n - 1) * sd) / Math.sqrt(n);
	return {
		bias,
		sd,
		lowerLimit: bias - 1.96 * sd,
		upperLimit: bias + 1.96 * sd,
		biasLower95: bias - reach,
		biasUpper95: bias + reach,
		n
	};
}
