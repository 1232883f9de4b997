import { standardDeviation } from '../statistics';

/**
 * Expanded uncertainty (two standard uncertainties) of a mean of replicate readings, in their unit: the spread of the
 * replicates, the instrument's resolution (a reading is uniform within one step) and its stated accuracy (taken as two
 * standard uncertainties), in quadrature. JCGM 100:2008. Null when nothing is known.
 */
export function readingUncertainty(values: readonly number[], instrument: { resolution?: number | undefined; accuracy?: number | undefined }): number | null {
	const spread = standardDeviation(values);
	const { resolution, accuracy } = instrument;
	if (spread === null && resolution === undefined && accuracy === undefined) return null;
	const fromSpread = spread === null ? 0 : spread ** 2 / values.length;
	return 2 * Math.sqrt(fromSpread + (resolution ?? 0) ** 2 / 12 + ((accuracy ?? 0) / 2) ** 2);
}
