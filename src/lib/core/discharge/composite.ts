import { atLeast, listOf, positive } from '../quantity';

/**
 * How much water each vertical of a composite gives, mL: equal widths, so that each counts by its depth × velocity,
 * and all together make `total_mL`. Where nothing flows anywhere, all give the same. RangeError for no vertical, or a
 * total of 0 or less. USGS National Field Manual (2006), A4.
 */
export function compositeVolumes({
	verticals,
	total_mL
}: {
	verticals: readonly { depth_m: number; velocity_m_s: number }[];
	total_mL: number;
}): number[] {
	const total = positive('total_mL', total_mL);
	const flows = listOf('verticals', verticals, (place, vertical) => {
		const { depth_m, velocity_m_s } = vertical as { depth_m: number; velocity_m_s: number };
		return atLeast(`${place}.depth_m`, depth_m, 0) * atLeast(`${place}.velocity_m_s`, velocity_m_s, 0);
	});
	if (flows.length === 0) throw new RangeError('a composite needs at least one vertical');
	const sum = flows.reduce((all, q) => all + q, 0);
	return flows.map((q) => (sum === 0 ? total / flows.length : (total * q) / sum));
}

/**
 * Where the middles of so many equal widths lie between two edges of the water. USGS National Field Manual (2006), A4.
 */
export const middlesOf = (start_m: number, end_m: number, widths: number): number[] =>
	Array.from({ length: widths }, (_, i) => start_m + ((end_m - start_m) * (i + 0.5)) / widths);
