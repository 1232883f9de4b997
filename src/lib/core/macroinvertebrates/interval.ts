import { inRange, listOf, whole } from '../quantity';
import { bootstrapInterval, type Resampling } from '../statistics';

/**
 * Between which two figures the family biotic index lies, as far as so many animals can tell: the animals drawn again
 * and again from those counted. A small sample gives a wide interval, so it cannot pose as a poor stream. Null where
 * no taxon has a tolerance; RangeError as for the index. Efron & Tibshirani 1993.
 */
export function bioticIndexInterval(
	{ taxa }: { taxa: readonly { count: number; tolerance?: number | null }[] },
	resampling: Resampling
): { lower: number; upper: number } | null {
	const rated = listOf('taxa', taxa, (place, entry) => {
		const { count, tolerance } = (entry ?? {}) as { count?: number; tolerance?: number | null };
		return {
			count: whole(`${place}.count`, count),
			tolerance: tolerance == null ? null : inRange(`${place}.tolerance`, tolerance, 0, 10)
		};
	}).filter((t) => t.tolerance !== null);
	return bootstrapInterval({ values: rated.map((t) => t.tolerance!), counts: rated.map((t) => t.count) }, resampling);
}
