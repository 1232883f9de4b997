import { describe, expect, it } from 'vitest';
import { seeded } from '../statistics';
import { sameMarks, simulatedPlate } from '.';

describe('marks of two people on one photo', () => {
	it('pair the nearest, each once', () => {
		const first = [
			{ x: 0.1, y: 0.1 },
			{ x: 0.5, y: 0.5 },
			{ x: 0.9, y: 0.9 }
		];
		const second = [
			{ x: 0.51, y: 0.5 },
			{ x: 0.53, y: 0.5 },
			{ x: 0.1, y: 0.11 }
		];
		expect(sameMarks({ first, second, within: 0.05 })).toEqual({
			both: [
				[0, 2],
				[1, 0]
			],
			onlyFirst: [2],
			onlySecond: [1]
		});
	});
	it('count every mark once, whichever hand is called first, and none farther apart than they may be', () => {
		for (let seed = 0; seed < 30; seed++) {
			const chance = seeded(seed);
			const some = () =>
				Array.from({ length: Math.floor(20 * chance.uniform()) }, () => ({ x: chance.uniform(), y: chance.uniform() }));
			const [first, second] = [some(), some()];
			const one = sameMarks({ first, second, within: 0.1 });
			expect(one.both.length + one.onlyFirst.length).toBe(first.length);
			expect(one.both.length + one.onlySecond.length).toBe(second.length);
			for (const [i, j] of one.both)
				expect(Math.hypot(first[i]!.x - second[j]!.x, first[i]!.y - second[j]!.y)).toBeLessThanOrEqual(0.1);
			const other = sameMarks({ first: second, second: first, within: 0.1 });
			expect(other.both.map(([i, j]) => [j, i]).toSorted(([a], [b]) => a! - b!)).toEqual(one.both);
		}
	});
	it('need a reach', () => {
		expect(() => sameMarks({ first: [], second: [], within: 0 })).toThrow(/within/);
	});
});

describe('a photo drawn by a model', () => {
	const small = { width_px: 400, height_px: 300 };
	it('is the same for the same seed, and another for another', () => {
		const pixels = (seed: number) => Buffer.from(simulatedPlate({ seed, colonies: 20, ...small }).rgb);
		expect(pixels(5).equals(pixels(5))).toBe(true);
		expect(pixels(6).equals(pixels(5))).toBe(false);
	});
	it('holds as many colonies as it says, those larger than specks bluer than red', () => {
		const { colonies, rgb, width_px, height_px } = simulatedPlate({ seed: 9, colonies: 60, others: 10, ...small });
		expect(colonies).toHaveLength(60);
		expect(rgb).toHaveLength(width_px * height_px * 3);
		const large = colonies.filter((c) => c.radius_px > 2);
		expect(large.length).toBeGreaterThan(20);
		for (const { x_px, y_px } of large) {
			const at = 3 * (Math.round(y_px) * width_px + Math.round(x_px));
			expect(rgb[at + 2]).toBeGreaterThan(rgb[at]!);
		}
	});
});
