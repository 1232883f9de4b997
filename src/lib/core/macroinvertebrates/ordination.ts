import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { atLeast, listOf } from '../quantity';
import { sum } from './counts';

/** What is this small beside the largest is the rounding of a computer, not a distance. */
const ROUNDING = 1e-9;

export interface Ordination {
	/** One for each point, falling; negative where no flat picture can have such distances. */
	eigenvalues: number[];
	/** [point][axis], in the unit of the dissimilarities; an axis for each eigenvalue above 0. */
	coordinates: number[][];
	/** By axis, 0 to 1: how much of what can be drawn the axis shows. */
	shareExplained: number[];
}

/** A square table of dissimilarities, checked, made exactly symmetric. */
function checkedTable(rows: readonly (readonly number[])[]): number[][] {
	const n = rows.length;
	const table = rows.map((row, i) => {
		if (!Array.isArray(row) || row.length !== n) throw new RangeError(`dissimilarities[${i}] must have ${n} entries`);
		return listOf(`dissimilarities[${i}]`, row, (place, x) => atLeast(place, x, 0));
	});
	const apart = ROUNDING * Math.max(0, ...table.flat());
	return table.map((row, i) =>
		row.map((d, j) => {
			const back = table[j]![i]!;
			if (i === j && d !== 0) throw new RangeError(`dissimilarities[${i}][${i}] must be 0: a sample is like itself`);
			if (Math.abs(d - back) > apart)
				throw new RangeError(`dissimilarities[${i}][${j}] and [${j}][${i}] must be the same`);
			return (d + back) / 2;
		})
	);
}

/** −J D² J / 2: squared distances, with the middle of all points as the origin. */
function centred(table: readonly (readonly number[])[]): number[][] {
	const n = table.length;
	const squares = table.map((row) => row.map((d) => d * d));
	const means = squares.map((row) => sum(row) / n);
	const mean = sum(means) / n;
	return squares.map((row, i) => row.map((d2, j) => -(d2 - means[i]! - means[j]! + mean) / 2));
}

/** An axis may point either way; the first of the points that lie farthest out is on its positive side. */
function turned(axis: readonly number[]): number[] {
	const largest = Math.max(...axis.map(Math.abs));
	const first = axis.find((x) => Math.abs(x) >= (1 - ROUNDING) * largest)!;
	return first < 0 ? axis.map((x) => -x) : [...axis];
}

/**
 * Places samples as points so that the distances between them are as their dissimilarities, the axis that shows most
 * first: principal coordinates (n by n dissimilarities, 0 or more). Axes of equal eigenvalue may lie in any direction
 * of their plane. RangeError when the table is not square, not symmetric, negative or not 0 along its diagonal.
 * Gower 1966; as `cmdscale` in R.
 */
export function principalCoordinates({
	dissimilarities
}: {
	dissimilarities: readonly (readonly number[])[];
}): Ordination {
	const table = checkedTable(listOf('dissimilarities', dissimilarities, (_, row) => row as readonly number[]));
	if (table.length === 0) return { eigenvalues: [], coordinates: [], shareExplained: [] };
	const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(new Matrix(centred(table)), {
		assumeSymmetric: true
	});
	const nought = ROUNDING * Math.max(...realEigenvalues.map(Math.abs));
	const found = realEigenvalues
		.map((value, k) => ({ value: Math.abs(value) <= nought ? 0 : value, vector: eigenvectorMatrix.getColumn(k) }))
		.sort((a, b) => b.value - a.value);
	const drawn = found.filter(({ value }) => value > 0);
	const axes = drawn.map(({ value, vector }) => turned(vector.map((x) => x * Math.sqrt(value))));
	const all = sum(drawn.map(({ value }) => value));
	return {
		eigenvalues: found.map(({ value }) => value),
		coordinates: table.map((_, point) => axes.map((axis) => axis[point]!)),
		shareExplained: drawn.map(({ value }) => value / all)
	};
}
