import { positive } from '../quantity';

export interface MarkPlace {
	x: number;
	y: number;
}

/**
 * Which marks of two people on one photo stand for the same colony: the nearest pairs first, each mark once, none
 * farther apart than `within`. Places and `within` share a unit. Gives indices: pairs, then what only one of the two
 * marked. RangeError where `within` is not positive. Greedy matching of nearest neighbours.
 */
export function sameMarks({
	first,
	second,
	within
}: {
	first: readonly MarkPlace[];
	second: readonly MarkPlace[];
	within: number;
}): { both: [number, number][]; onlyFirst: number[]; onlySecond: number[] } {
	const reach = positive('within', within);
	const near = first.flatMap((a, i) =>
		second.flatMap((b, j) => {
			const apart = Math.hypot(a.x - b.x, a.y - b.y);
			return apart <= reach ? [{ i, j, apart }] : [];
		})
	);
	const pairOfFirst = new Map<number, number>();
	const paired = new Set<number>();
	for (const { i, j } of near.toSorted((a, b) => a.apart - b.apart))
		if (!pairOfFirst.has(i) && !paired.has(j)) {
			pairOfFirst.set(i, j);
			paired.add(j);
		}
	return {
		both: [...pairOfFirst].toSorted(([a], [b]) => a - b),
		onlyFirst: [...first.keys()].filter((i) => !pairOfFirst.has(i)),
		onlySecond: [...second.keys()].filter((j) => !paired.has(j))
	};
}
