import { describe, expect, it } from 'vitest';
import { mean, seeded, standardDeviation, type Chance } from '.';
import { midRanks } from './order';

describe('seeded chance', () => {
	const chance = seeded(7);
	const normals = Array.from({ length: 20_000 }, () => chance.normal());

	it('is the same for the same seed, and another for another', () => {
		const from = (stream: Chance) => Array.from({ length: 3 }, () => stream.uniform());
		const three = (seed: number) => from(seeded(seed));
		expect(three(1)).toEqual(three(1));
		expect(three(1)).not.toEqual(three(2));
		expect(three(1).every((u) => u >= 0 && u < 1)).toBe(true);
	});

	it('is evenly spread, and normal where asked', () => {
		const even = Array.from({ length: 20_000 }, () => chance.uniform());
		for (const tenth of Array.from({ length: 10 }, (_, k) => k / 10)) {
			const share = even.filter((u) => u >= tenth && u < tenth + 0.1).length / even.length;
			expect(Math.abs(share - 0.1)).toBeLessThan(0.01);
		}
		expect(Math.abs(mean(normals)!)).toBeLessThan(0.03);
		expect(Math.abs(standardDeviation(normals)! - 1)).toBeLessThan(0.03);
		expect(Math.abs(normals.filter((z) => z > 1.96).length / normals.length - 0.025)).toBeLessThan(0.005);
	});

	it('picks each thing about as often, and says when there is nothing', () => {
		const picked = Array.from({ length: 3000 }, () => chance.pick(['a', 'b', 'c']));
		for (const thing of ['a', 'b', 'c'])
			expect(Math.abs(picked.filter((p) => p === thing).length - 1000)).toBeLessThan(120);
		expect(() => chance.pick([])).toThrow('nothing to pick from');
	});
});

describe('ranks', () => {
	it('share a tie’s mean rank and name its size', () => {
		expect(midRanks([3, 1, 3, 2, 3])).toEqual({ ranks: [4, 1, 4, 2, 4], tied: [3] });
		expect(midRanks([2, 1])).toEqual({ ranks: [2, 1], tied: [] });
		expect(midRanks([])).toEqual({ ranks: [], tied: [] });
	});
});
