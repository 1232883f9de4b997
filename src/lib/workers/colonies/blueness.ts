import type { Image } from 'image-js';
import { isInDish, type Dish } from './dish';
import { median } from './median';

/** What each pixel of the picture has, row by row. */
export interface Field {
	width: number;
	height: number;
	values: Float32Array;
}

/** A colony takes red out of the light: it is darker in red than the medium by at least so much. */
const DARKER = 0.95;
const WORTH_A_LOOK = 0.1; // of blueness, under which no colony is

/**
 * How much bluer each pixel is than the medium about it. Blue against red is taken as a ratio, which light and
 * exposure leave alone; bubbles and shadows have no colour and vanish, and a glint, which is bluer because it is white,
 * is not darker.
 */
export function bluerThanAbout(image: Image, dish: Dish): Field {
	const { width, height } = image;
	const { data } = image.getRawImage();
	const ratio = new Float32Array(width * height);
	const red = new Float32Array(width * height);
	for (let i = 0; i < ratio.length; i++) {
		red[i] = data[3 * i]!;
		ratio[i] = Math.log((data[3 * i + 2]! + 12) / (red[i]! + 12));
	}
	const medium = mediumAbout(ratio, width, height, dish);
	const mediumRed = mediumAbout(red, width, height, dish);
	const values = new Float32Array(width * height);
	for (let row = 0, i = 0; row < height; row++)
		for (let column = 0; column < width; column++, i++) {
			if (!isInDish(dish, column, row)) continue;
			const bluer = ratio[i]! - medium(column, row);
			const isWhite = bluer > WORTH_A_LOOK && red[i]! > DARKER * mediumRed(column, row);
			values[i] = isWhite ? 0 : bluer;
		}
	return { width, height, values };
}

const TILES = 12;
const MEDIUM_STEP = 3; // every third pixel both ways tells a tile's median well enough

/** The medium's own value from place to place: the median of each tile, and between tiles by their distance. */
function mediumAbout(of: Float32Array, width: number, height: number, dish: Dish) {
	const tile = Math.max(1, Math.ceil((2 * dish.radius) / TILES));
	const left = dish.x - dish.radius;
	const top = dish.y - dish.radius;
	const bins = Array.from({ length: TILES * TILES }, (): number[] => []);
	for (let row = 0; row < height; row += MEDIUM_STEP)
		for (let column = 0; column < width; column += MEDIUM_STEP)
			if (isInDish(dish, column, row)) {
				const at =
					Math.min(TILES - 1, Math.floor((row - top) / tile)) * TILES +
					Math.min(TILES - 1, Math.floor((column - left) / tile));
				bins[at]!.push(of[row * width + column]!);
			}
	const all = median(bins.flat());
	const levels = bins.map((bin) => (bin.length < 50 ? all : median(bin)));
	return (column: number, row: number) => {
		const gx = Math.min(TILES - 1, Math.max(0, (column - left) / tile - 0.5));
		const gy = Math.min(TILES - 1, Math.max(0, (row - top) / tile - 0.5));
		const x = Math.min(TILES - 2, Math.floor(gx));
		const y = Math.min(TILES - 2, Math.floor(gy));
		// asked of every pixel: no function is made in here
		const at = y * TILES + x;
		const upper = levels[at]! + (levels[at + 1]! - levels[at]!) * (gx - x);
		const lower = levels[at + TILES]! + (levels[at + TILES + 1]! - levels[at + TILES]!) * (gx - x);
		return upper + (lower - upper) * (gy - y);
	};
}

/** Spread of the medium itself: 1.4826 times the median distance from its level, which colonies do not move. */
export function noiseOf({ width, values }: Field, dish: Dish): number {
	const seen: number[] = [];
	for (let i = 0; i < values.length; i += 7)
		if (isInDish(dish, i % width, Math.floor(i / width))) seen.push(Math.abs(values[i]!));
	return 1.4826 * median(seen);
}
