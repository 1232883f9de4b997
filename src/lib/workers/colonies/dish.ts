import { fromMask, type Image } from 'image-js';
import { median } from './median';

/** The round of the dish in a picture, in pixels. */
export interface Dish {
	x: number;
	y: number;
	radius: number;
}

/** Share of the dish's radius within which there is medium: the rest is its wall. */
export const MEDIUM = 0.94;

/** The dish is what is large, round and lighter than the table; null where nothing is. */
export function findDish(image: Image): Dish | null {
	const grey = image.resize({ width: Math.round(image.width / 4), height: Math.round(image.height / 4) }).grey();
	const light = grey.gaussianBlur({ sigma: 2 }).threshold({ algorithm: 'otsu' });
	const regions = fromMask(light).getRois({ kind: 'white', minSurface: 0.15 * grey.width * grey.height });
	for (const region of regions.toSorted((a, b) => b.surface - a.surface)) {
		const { width, height, origin } = region;
		const isRound = Math.abs(width - height) < 0.1 * Math.max(width, height);
		const radius = (width + height) / 4;
		const isFilled = region.surface > 0.8 * Math.PI * radius ** 2;
		if (isRound && isFilled)
			return { x: 4 * (origin.column + width / 2), y: 4 * (origin.row + height / 2), radius: 4 * radius };
	}
	return null;
}

export const isInDish = ({ x, y, radius }: Dish, column: number, row: number): boolean =>
	(column - x) ** 2 + (row - y) ** 2 < (MEDIUM * radius) ** 2;

const RIM_RAYS = 72;
/** Shares of the dish's radius over which its edge goes from table to dish where the photo is sharp enough. */
const MOST_EDGE = 0.03;

/** Whether the dish's own edge, which is sharp, is spread out in the photo: so would colonies be. */
export function isOutOfFocus(image: Image, dish: Dish): boolean {
	const { width, height } = image;
	const { data } = image.getRawImage();
	const brightness = (i: number) => (data[3 * i]! + data[3 * i + 1]! + data[3 * i + 2]!) / 3;
	const edges = Array.from({ length: RIM_RAYS }, (_, nth) => {
		const direction = (2 * Math.PI * nth) / RIM_RAYS;
		const along: number[] = [];
		for (let out = 0.9 * dish.radius; out <= 1.1 * dish.radius; out++) {
			const column = Math.round(dish.x + out * Math.cos(direction));
			const row = Math.round(dish.y + out * Math.sin(direction));
			if (column >= 0 && row >= 0 && column < width && row < height) along.push(brightness(row * width + column));
		}
		const steepest = Math.max(1, ...along.slice(2).map((value, i) => Math.abs(value - along[i]!) / 2));
		return (Math.max(...along) - Math.min(...along)) / steepest / dish.radius;
	});
	return median(edges) > MOST_EDGE;
}
