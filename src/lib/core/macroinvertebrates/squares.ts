import { listOf, whole } from '../quantity';

export interface FromSquares {
	/** Animals to be expected in the whole tray. */
	total: number;
	/** Two standard errors of having sorted only these squares; null of one square, which says nothing of the others. */
	uncertainty: number | null;
}

/**
 * How many animals a tray holds, from the squares of its grid that were drawn at random and sorted whole. `counts`:
 * animals in each sorted square, 0 or more; `squares`: of the whole grid. Null where none was sorted; RangeError for a
 * count below 0 or a grid smaller than what was sorted of it. Cochran 1977, chapter 3 (sampling without replacement).
 */
export function fromSquares({ counts, squares }: { counts: readonly number[]; squares: number }): FromSquares | null {
	const found = listOf('counts', counts, (place, n) => whole(place, n as number));
	const all = whole('squares', squares);
	const sorted = found.length;
	if (sorted > all) throw new RangeError(`squares must be at least ${sorted}, as many as were sorted`);
	if (sorted === 0) return null;
	const mean = found.reduce((sum, n) => sum + n, 0) / sorted;
	const total = all * mean;
	if (sorted === all) return { total, uncertainty: 0 };
	if (sorted === 1) return { total, uncertainty: null };
	const variance = found.reduce((sum, n) => sum + (n - mean) ** 2, 0) / (sorted - 1);
	return { total, uncertainty: 2 * all * Math.sqrt((1 - sorted / all) * (variance / sorted)) };
}
