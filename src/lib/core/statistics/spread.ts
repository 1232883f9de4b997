import { median } from './order';
import { present, type Gappy } from './samples';

/** The mean; null of nothing. JCGM 100:2008, 4.2.1. */
export const mean = (values: readonly number[]): number | null =>
	values.length === 0 ? null : values.reduce((sum, x) => sum + x, 0) / values.length;

/** The standard deviation with divisor n − 1; null for fewer than two. JCGM 100:2008, 4.2.2. */
export function standardDeviation(values: readonly number[]): number | null {
	const m = mean(values);
	if (m === null || values.length < 2) return null;
	return Math.sqrt(values.reduce((sum, x) => sum + (x - m) ** 2, 0) / (values.length - 1));
}

/**
 * Centre and spread that one wild value cannot move: the median, the median distance from it scaled to a normal sd (×
 * 1.4826), and the spread in percent of the median (null where that is 0). Null entries are dropped; nulls of
 * nothing. Rousseeuw & Croux 1993.
 */
export function robustCv({ values }: { values: Gappy }): {
	median: number | null;
	mad: number | null;
	robustCvPercent: number | null;
} {
	const there = present('values', values);
	const centre = median(there);
	if (centre === null) return { median: null, mad: null, robustCvPercent: null };
	const mad = MAD_TO_SD * median(there.map((x) => Math.abs(x - centre)))!;
	return { median: centre, mad, robustCvPercent: centre === 0 ? null : (100 * mad) / Math.abs(centre) };
}

const MAD_TO_SD = 1.4826;
