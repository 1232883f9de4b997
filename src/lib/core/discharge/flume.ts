import { atLeast, orDefault, positive } from '../quantity';

export type FlumeDoubt = 'submerged' | 'belowRange' | 'aboveRange';

/**
 * Discharge through a throat flume by its rating Q = C headⁿ (m³/s, head in m), and whether the flume was working in
 * its range: free flow (tail under the limit times head) and head within what it was rated for. The figure is given
 * all the same; a caller must not use it unless `valid`. RangeError for a negative head or a rating that is none. ISO
 * 4359:2013.
 */
export function flumeDischarge(reading: {
	head_m: number;
	tailDepth_m?: number | null;
	coefficient: number;
	exponent: number;
	submergenceLimit?: number | null;
	minimumHead_m?: number | null;
	maximumHead_m?: number | null;
}) {
	const head = atLeast('head_m', reading.head_m, 0);
	const tail = reading.tailDepth_m == null ? null : atLeast('tailDepth_m', reading.tailDepth_m, 0);
	const limit = atLeast('submergenceLimit', orDefault(reading.submergenceLimit, 0.5), 0);
	const discharge_m3_s = positive('coefficient', reading.coefficient) * head ** positive('exponent', reading.exponent);
	const lowest = reading.minimumHead_m == null ? null : atLeast('minimumHead_m', reading.minimumHead_m, 0);
	const highest = reading.maximumHead_m == null ? null : atLeast('maximumHead_m', reading.maximumHead_m, 0);
	const submergence = tail === null || head === 0 ? null : tail / head;
	const reasons: FlumeDoubt[] = [];
	if (submergence !== null && submergence >= limit) reasons.push('submerged');
	if (lowest !== null && head < lowest) reasons.push('belowRange');
	if (highest !== null && head > highest) reasons.push('aboveRange');
	return { discharge_m3_s, submergence, valid: reasons.length === 0, reasons };
}
