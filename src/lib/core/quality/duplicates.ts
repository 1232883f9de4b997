import type { ParameterCode } from '../quantity';

/**
 * How far duplicates may lie apart: percent of their mean, or where that is more, so much in the parameter's own
 * unit.
 */
export interface DuplicateLimit {
	percent: number;
	/** Near what the method can detect, percent say nothing: one step of it is allowed. */
	near: number;
}

/**
 * Examples to begin with, about a method's own reporting limit; a lab's own come first. Bacteria are judged by their
 * logarithms.
 */
const limits: Partial<Record<ParameterCode, DuplicateLimit>> = {
	nitrate: { percent: 20, near: 0.1 },
	'nitrate-nitrite': { percent: 20, near: 0.1 },
	nitrite: { percent: 20, near: 0.01 },
	ammonium: { percent: 20, near: 0.05 },
	phosphate: { percent: 20, near: 0.01 },
	'total-phosphorus': { percent: 20, near: 0.02 }
};

export const duplicateLimit = (parameter: ParameterCode, otherwise_percent: number): DuplicateLimit =>
	limits[parameter] ?? { percent: otherwise_percent, near: 0 };

/**
 * Fewer earlier pairs than this do not tell how far duplicates usually lie apart (APHA Standard Methods 9020 B asks
 * for 15).
 */
export const ENOUGH_PAIRS = 15;
