import { Image } from 'image-js';
import { describe, expect, it } from 'vitest';
import { sameMarks, simulatedPlate } from '$lib/core/bacteria';
import type { Mark } from '$lib/core/subjects/plates/branch';
import { countOf, drawnSquares, SQUARES_OF_MEDIUM } from '$lib/core/subjects/plates/photo-grid';
import { mediumIn, suggestMarks } from './suggest-marks';

const size = { width_px: 900, height_px: 720 };

const photo = ({ width_px, height_px, rgb }: ReturnType<typeof simulatedPlate>) =>
	new Image(width_px, height_px, { data: rgb, colorModel: 'RGB' });
const pixels = (image: Image) => ({
	width: image.width,
	height: image.height,
	data: image.convertColor('RGBA').getRawImage().data as Uint8Array
});

/** Shares of the colonies that were found, and of the marks that are colonies. */
function judged(plate: ReturnType<typeof simulatedPlate>) {
	const found = suggestMarks(pixels(photo(plate)));
	if (!('marks' in found)) throw new Error(`it is silent: ${found.silent}`);
	const { width_px, height_px } = plate;
	const second = found.marks.map(({ x, y }) => ({ x: x * width_px, y: y * height_px }));
	const first = plate.colonies.map(({ x_px, y_px }) => ({ x: x_px, y: y_px }));
	const { both } = sameMarks({ first, second, within: 8 });
	return { recall: both.length / first.length, precision: both.length / second.length };
}

describe('marks that are suggested on a photo', () => {
	it.each([
		[20, 5],
		[70, 15],
		[120, 30]
	])('find most of %i colonies among %i of other kinds, bubbles and glare', (colonies, others) => {
		const { recall, precision } = judged(
			simulatedPlate({ seed: 700 + colonies, colonies, others, bubbles: 6, glares: 2, ...size })
		);
		expect(recall).toBeGreaterThanOrEqual(0.9);
		expect(precision).toBeGreaterThanOrEqual(0.9);
	});
	it('find none where only other kinds grew', () => {
		const plate = simulatedPlate({ seed: 31, colonies: 0, others: 40, bubbles: 8, glares: 2, ...size });
		const found = suggestMarks(pixels(photo(plate)));
		expect('marks' in found ? found.marks.length : found.silent).toBeLessThanOrEqual(1);
	});
	it('tell touching colonies apart', () => {
		const plate = simulatedPlate({ seed: 77, colonies: 1, ...size });
		const [one] = plate.colonies;
		const middle = { x: Math.round(one!.x_px), y: Math.round(one!.y_px), r: 14 };
		for (const shift of [0, 24])
			for (let dy = -middle.r; dy <= middle.r; dy++)
				for (let dx = -middle.r; dx <= middle.r; dx++)
					if (Math.hypot(dx, dy) <= middle.r)
						plate.rgb.set([80, 60, 150], 3 * ((middle.y + dy) * size.width_px + middle.x + shift + dx));
		const found = suggestMarks(pixels(photo(plate)));
		expect(found).toHaveProperty('marks.length', 2);
	});
	const plate = simulatedPlate({ seed: 12, colonies: 40, ...size });
	it.each<[string, () => Image]>([
		['too-small', () => photo(plate).resize({ width: 400, height: 320 })],
		['no-dish', () => new Image(900, 800, { colorModel: 'RGB' })],
		['too-blurred-or-dark', () => photo(plate).gaussianBlur({ sigma: 9 })],
		['too-crowded', () => photo(simulatedPlate({ seed: 12, colonies: 220, ...size }))]
	])('are silent, with the reason: %s', (silent, image) => {
		expect(suggestMarks(pixels(image()))).toEqual({ silent });
	});
});

describe('the medium in a photo', () => {
	it('is where colonies lie: those in the squares of a grid on it, scaled up, come to all of them', () => {
		const SQUARES = 40;
		let scaled = 0;
		let there = 0;
		for (let seed = 1; seed <= 8; seed++) {
			const plate = simulatedPlate({ seed, colonies: 200, others: 0, bubbles: 0, glares: 0, ...size });
			const { isFound, ...medium } = mediumIn(pixels(photo(plate)));
			expect(isFound).toBe(true);
			const marks: Record<string, Mark> = {};
			for (const [i, { x_px, y_px }] of plate.colonies.entries())
				marks[String(i)] = { x: x_px / plate.width_px, y: y_px / plate.height_px, kind: 'counts' };
			const squares = drawnSquares(String(seed), { ...medium, squares: SQUARES });
			scaled += countOf(marks, squares) * (SQUARES_OF_MEDIUM / SQUARES);
			there += plate.colonies.length;
		}
		// some 670 colonies in the squares: counting so many is 4 % sure, less for squares of the same plates
		expect(Math.abs(scaled / there - 1)).toBeLessThan(0.08);
	});
	it('is guessed in the middle where there is no dish', () => {
		const blank = new Image(900, 720, { colorModel: 'RGB' });
		expect(mediumIn(pixels(blank))).toMatchObject({ x: 0.5, y: 0.5, isFound: false });
	});
});
