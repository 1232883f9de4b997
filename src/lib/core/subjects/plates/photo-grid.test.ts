import { describe, expect, it } from 'vitest';
import { simulatedPlate } from '../../bacteria';
import {
	countOf,
	drawnSquares,
	isCountedAt,
	MOST_DRAWN,
	onWholePlate,
	SQUARES_OF_MEDIUM,
	type Square
} from './photo-grid';

const grid = { x: 0.5, y: 0.5, rx: 0.3, ry: 0.4, squares: 20 };
const inCircle = (x: number, y: number) => ((x - grid.x) / grid.rx) ** 2 + ((y - grid.y) / grid.ry) ** 2;

describe('a grid on the photo of a plate', () => {
	it('has squares that lie whole in the medium, none twice, and more only add to them', () => {
		const all = drawnSquares('p', { ...grid, squares: MOST_DRAWN });
		expect(new Set(all.map((s) => `${s.left.toFixed(6)} ${s.top.toFixed(6)}`)).size).toBe(MOST_DRAWN);
		for (const { left, top, right, bottom } of all)
			for (const [cx, cy] of [
				[left, top],
				[right, top],
				[left, bottom],
				[right, bottom]
			] as const)
				expect(inCircle(cx, cy)).toBeLessThanOrEqual(1 + 1e-9);
		expect(drawnSquares('p', grid)).toEqual(all.slice(0, 20));
		expect(drawnSquares('another', grid)).not.toEqual(all.slice(0, 20));
	});
	it('has as many squares of area as it says, to a part in a thousand', () => {
		const [{ left, top, right, bottom }] = drawnSquares('p', grid) as [Square];
		const squaresOfArea = (Math.PI * grid.rx * grid.ry) / ((right - left) * (bottom - top));
		expect(Math.abs(squaresOfArea / SQUARES_OF_MEDIUM - 1)).toBeLessThan(1e-3);
	});
	it('counts marks of the kind that counts in its squares, an edge in one of them only', () => {
		const squares = drawnSquares('p', { ...grid, squares: MOST_DRAWN });
		const [first] = squares as [Square];
		const mid = { x: (first.left + first.right) / 2, y: (first.top + first.bottom) / 2 };
		const marks = {
			a: { ...mid, kind: 'counts' as const },
			b: { ...mid, kind: 'other' as const },
			c: { x: 0.01, y: 0.01, kind: 'counts' as const }
		};
		expect(countOf(marks, squares)).toBe(1);
		expect(countOf(marks)).toBe(2);
		expect(countOf(undefined, squares)).toBe(0);
		expect(squares.filter((s) => isCountedAt({ x: first.left, y: first.top }, [s]))).toHaveLength(1);
	});
	it('scaled up comes to what is on the plate, over many plates', () => {
		let found = 0;
		let there = 0;
		for (let seed = 1; seed <= 40; seed++) {
			const plate = simulatedPlate({
				seed,
				colonies: 200,
				others: 0,
				bubbles: 0,
				glares: 0,
				width_px: 80,
				height_px: 80
			});
			const dish = { x: 0.5, y: 0.5, rx: 0.5, ry: 0.5 };
			const radius = Math.max(...plate.colonies.map((c) => Math.hypot(c.x_px / 80 - 0.5, c.y_px / 80 - 0.5)));
			const squares = drawnSquares(`p${String(seed)}`, { ...dish, rx: radius, ry: radius, squares: 30 });
			const marks = Object.fromEntries(
				plate.colonies.map((c, i) => [String(i), { x: c.x_px / 80, y: c.y_px / 80, kind: 'counts' as const }])
			);
			found += onWholePlate(countOf(marks, squares), 30);
			there += plate.colonies.length;
		}
		// 40 plates of 63 colonies in squares: the counting error of the mean is 2 %
		expect(Math.abs(found / there - 1)).toBeLessThan(0.08);
	});
});
