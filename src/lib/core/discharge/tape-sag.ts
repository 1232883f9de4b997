import { atLeast, positive } from '../quantity';

/**
 * By how many percent a tape that hangs through makes a width come out too long, from its sag in the middle and the
 * width, both m: a flat parabola is longer than its chord by 8/3 (sag / chord)², the leading term of the catenary.
 * RangeError on a width that is not positive or a sag below 0. Irvine 1981, Cable Structures.
 */
export const sagTooLong_percent = ({ sag_m, width_m }: { sag_m: number; width_m: number }): number =>
	(100 * 8 * (atLeast('sag_m', sag_m, 0) / positive('width_m', width_m)) ** 2) / 3;
