import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { principalCoordinates } from '.';

const point = fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 2, maxLength: 2 });
const points = fc.array(point, { minLength: 1, maxLength: 12 });

const distance = (a: readonly number[], b: readonly number[]) => Math.hypot(...a.map((x, k) => x - b[k]!));
const tableOf = (places: readonly (readonly number[])[]) => places.map((a) => places.map((b) => distance(a, b)));

describe('samples placed by how unlike they are', () => {
	it('lie as far apart as points of a plane did, on two axes at most', () => {
		fc.assert(
			fc.property(points, (places) => {
				const dissimilarities = tableOf(places);
				const { coordinates, shareExplained } = principalCoordinates({ dissimilarities });
				expect(shareExplained.length).toBeLessThanOrEqual(2);
				tableOf(coordinates).forEach((row, i) =>
					row.forEach((d, j) => expect(d).toBeCloseTo(dissimilarities[i]![j]!, 5))
				);
			})
		);
	});

	it('share among the axes all that can be drawn, and have their middle at the origin', () => {
		fc.assert(
			fc.property(points, (places) => {
				const { coordinates, shareExplained, eigenvalues } = principalCoordinates({ dissimilarities: tableOf(places) });
				expect(eigenvalues).toEqual([...eigenvalues].sort((a, b) => b - a));
				if (shareExplained.length > 0) expect(shareExplained.reduce((a, b) => a + b)).toBeCloseTo(1, 12);
				shareExplained.forEach((_, axis) =>
					expect(coordinates.reduce((sum, at) => sum + at[axis]!, 0)).toBeCloseTo(0, 6)
				);
			})
		);
	});

	it('cannot be placed from a table that is none', () => {
		const table = (dissimilarities: number[][]) => () => principalCoordinates({ dissimilarities });
		expect(table([[0, 1]])).toThrow('dissimilarities[0] must have 1 entries');
		expect(
			table([
				[0, 1],
				[2, 0]
			])
		).toThrow('must be the same');
		expect(table([[0.1]])).toThrow('a sample is like itself');
	});
});
