import { fromMask, Mask } from 'image-js';
import type { Field } from './blueness';
import { isInDish, type Dish } from './dish';

/** Radii of colonies in shares of the dish's radius: specks of a quarter of a millimetre, to just over two. */
const LEAST_RADIUS = 0.0055;
const MOST_RADIUS = 0.05;

/** Pixels that hang together and are all bluer than the limit. */
export interface Region {
	column: number;
	row: number;
	width: number;
	height: number;
	/** Distance of each of its pixels to the nearest that is not of it, row by row; 0 where it is not of it. */
	depth: Float32Array;
	surface: number;
}

export function regionsOf({ width, height, values }: Field, dish: Dish, limit: number): Region[] {
	const blue = new Mask(width, height);
	for (let row = 0, i = 0; row < height; row++)
		for (let column = 0; column < width; column++, i++)
			if (values[i]! > limit && isInDish(dish, column, row)) blue.setBit(column, row, 1);
	const least = 0.6 * Math.PI * (LEAST_RADIUS * dish.radius) ** 2;
	return fromMask(blue)
		.getRois({ kind: 'white', minSurface: Math.round(least) })
		.map((roi) => {
			const { column, row } = roi.origin;
			const isOf = (x: number, y: number) =>
				x >= 0 && y >= 0 && x < roi.width && y < roi.height && roi.getMapValue(column + x, row + y) === roi.id;
			const depth = depthOf(roi.width, roi.height, isOf);
			return { column, row, width: roi.width, height: roi.height, depth, surface: roi.surface };
		});
}

/** Distance to the rim in two sweeps, a diagonal step as 1.41 (Borgefors 1986, distance transformations). */
function depthOf(width: number, height: number, isOf: (x: number, y: number) => boolean): Float32Array {
	const wide = width + 2; // with a rim of nothing about it
	const padded = new Float32Array(wide * (height + 2));
	for (let y = 0; y < height; y++)
		for (let x = 0; x < width; x++) padded[(y + 1) * wide + x + 1] = isOf(x, y) ? Infinity : 0;
	const nearest = (i: number, steps: readonly [number, number][]) =>
		Math.min(padded[i]!, ...steps.map(([to, far]) => padded[i + to]! + far));
	const forth: [number, number][] = [
		[-1, 1],
		[-wide, 1],
		[-wide - 1, Math.SQRT2],
		[-wide + 1, Math.SQRT2]
	];
	const back = forth.map(([to, far]): [number, number] => [-to, far]);
	for (let y = 1; y <= height; y++)
		for (let x = 1; x <= width; x++) padded[y * wide + x] = nearest(y * wide + x, forth);
	for (let y = height; y >= 1; y--) for (let x = width; x >= 1; x--) padded[y * wide + x] = nearest(y * wide + x, back);
	const depth = new Float32Array(width * height);
	for (let y = 0; y < height; y++)
		for (let x = 0; x < width; x++) depth[y * width + x] = padded[(y + 1) * wide + x + 1]!;
	return depth;
}

/** Circles that touch are told apart by their middles: from one to the next is most of both radii. */
const APART = 0.65;

/** Middles of the colonies that a region is made of: one where it is a disc, more where discs touch. */
export function colonyCentres(
	{ column, row, width, height, depth, surface }: Region,
	dish: Dish
): { x: number; y: number }[] {
	const least = LEAST_RADIUS * dish.radius;
	const peaks: { x: number; y: number; radius: number }[] = [];
	const at = (x: number, y: number) => (x < 0 || y < 0 || x >= width || y >= height ? 0 : depth[y * width + x]!);
	for (let y = 0; y < height; y++)
		for (let x = 0; x < width; x++) {
			const radius = at(x, y);
			if (radius < 0.7 * least) continue;
			let isPeak = true;
			for (let dy = -1; dy <= 1; dy++) for (let dx = -1; dx <= 1; dx++) if (at(x + dx, y + dy) > radius) isPeak = false;
			if (isPeak) peaks.push({ x, y, radius });
		}
	const kept: typeof peaks = [];
	for (const peak of peaks.toSorted((a, b) => b.radius - a.radius))
		if (kept.every((k) => Math.hypot(k.x - peak.x, k.y - peak.y) > APART * (k.radius + peak.radius))) kept.push(peak);
	const covered = kept.reduce((sum, k) => sum + Math.PI * k.radius ** 2, 0);
	const isOfDiscs = covered > 0.4 * surface && kept.every((k) => k.radius < MOST_RADIUS * dish.radius);
	return isOfDiscs ? kept.map((k) => ({ x: column + k.x, y: row + k.y })) : [];
}
