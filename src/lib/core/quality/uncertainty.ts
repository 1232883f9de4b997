import { standardDeviation, studentWithin } from '../statistics';

export interface HowSure {
	/** Expanded uncertainty, 95 %, in the unit of the readings; null where too little is known to say one. */
	expanded: number | null;
	/**
	 * How far the instrument itself may be off is not known: the truth may lie further away than the readings do from
	 * each other.
	 */
	isAccuracyUnknown: boolean;
}

/** Two standard uncertainties hold 95.45 % where the degrees of freedom are many. */
const CONFIDENCE = 0.9545;

/**
 * How sure a mean of replicate readings is: their spread, the instrument's resolution (uniform within one step) and
 * its stated accuracy (limits of a uniform distribution, a/√3), in quadrature, JCGM 100:2008 4.3.7; expanded by
 * Student's t with the effective degrees of freedom of Welch and Satterthwaite, G.4, for two or three readings know
 * their own spread badly. Without an accuracy a single reading, or several that agree exactly, say nothing of how
 * sure they are.
 */
export function readingUncertainty(
	values: readonly number[],
	instrument: { resolution?: number | undefined; accuracy?: number | undefined }
): HowSure {
	const { resolution, accuracy } = instrument;
	const spread = standardDeviation(values);
	const fromSpread = spread === null ? 0 : spread ** 2 / values.length;
	const isAccuracyUnknown = accuracy === undefined;
	if (isAccuracyUnknown && fromSpread === 0) return { expanded: null, isAccuracyUnknown };
	const variance = fromSpread + (resolution ?? 0) ** 2 / 12 + (accuracy ?? 0) ** 2 / 3;
	const freedom = fromSpread === 0 ? Infinity : (variance / fromSpread) ** 2 * (values.length - 1);
	return { expanded: coverage(freedom) * Math.sqrt(variance), isAccuracyUnknown };
}

/** By how much a standard uncertainty is widened: 2, or more where it rests on few readings. */
export const coverage = (freedom: number): number => (freedom > 1e6 ? 2 : studentWithin(CONFIDENCE, freedom));
