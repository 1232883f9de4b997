import { describe, expect, it } from 'vitest';
import { seeded } from '../statistics';
import { fromSquares } from '.';

describe('a tray of which some squares were sorted', () => {
	it('is scaled up, with what other squares would have said', () => {
		// mean 30 of 30 squares; variance (100 + 0 + 100)/2 = 100; 2·30·√(0.9·100/3)
		const said = fromSquares({ counts: [20, 30, 40], squares: 30 })!;
		expect(said.total).toBe(900);
		expect(said.uncertainty).toBeCloseTo(60 * Math.sqrt(30), 9);
	});
	it('is known when all were sorted, unsure of itself after one, silent before', () => {
		expect(fromSquares({ counts: [3, 5], squares: 2 })).toEqual({ total: 8, uncertainty: 0 });
		expect(fromSquares({ counts: [7], squares: 30 })).toEqual({ total: 210, uncertainty: null });
		expect(fromSquares({ counts: [], squares: 30 })).toBeNull();
	});
	it('refuses half an animal, fewer than none, and more squares than there are', () => {
		expect(() => fromSquares({ counts: [1.5], squares: 30 })).toThrow(RangeError);
		expect(() => fromSquares({ counts: [-1], squares: 30 })).toThrow(RangeError);
		expect(() => fromSquares({ counts: [1, 2, 3], squares: 2 })).toThrow(/at least 3/);
	});
	it('covers the truth in about 95 of 100 trays whose animals lie in clumps', () => {
		const chance = seeded(52);
		let covered = 0;
		const TRIALS = 500;
		for (let i = 0; i < TRIALS; i++) {
			const tray = Array.from({ length: 30 }, () => Math.max(0, Math.round(40 + 12 * chance.normal())));
			const truth = tray.reduce((a, b) => a + b, 0);
			const order = tray.map((n) => [chance.uniform(), n] as const).sort((a, b) => a[0] - b[0]);
			const said = fromSquares({ counts: order.slice(0, 10).map(([, n]) => n), squares: 30 })!;
			if (Math.abs(said.total - truth) <= said.uncertainty!) covered++;
		}
		expect(covered / TRIALS).toBeGreaterThan(0.9);
		expect(covered / TRIALS).toBeLessThan(0.98);
	});
});
