import { medianOfSorted } from '../../core/statistics';

/** The median of many values, sorted as bare numbers: several times quicker than by a comparison; 0 of none. */
export const median = (values: readonly number[]): number => medianOfSorted(Float32Array.from(values).sort()) ?? 0;
