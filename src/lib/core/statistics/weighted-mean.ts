import { atLeast, pairedLists } from '../quantity';
import { gappy, type Gappy } from './samples';

/**
 * The mean concentration of the water that ran past: each figure by its discharge; null where none ran. A pair of which
 * one is null is dropped. RangeError on a discharge below 0 or lists of different length. Walling & Webb 1985.
 */
export function flowWeightedMean(sample: { concentrations: Gappy; discharges: Gappy }): {
	flowWeightedMean: number | null;
	n: number;
} {
	const concentrations = gappy('concentrations', sample.concentrations);
	const discharges = gappy('discharges', sample.discharges).map((q, i) =>
		q === null ? null : atLeast(`discharges[${i}]`, q, 0)
	);
	pairedLists({ concentrations, discharges });
	const pairs = concentrations.flatMap((c, i) => {
		const q = discharges[i];
		return c === null || q == null ? [] : [{ c, q }];
	});
	const water = pairs.reduce((sum, { q }) => sum + q, 0);
	const carried = pairs.reduce((sum, { c, q }) => sum + c * q, 0);
	return { flowWeightedMean: water === 0 ? null : carried / water, n: pairs.length };
}
