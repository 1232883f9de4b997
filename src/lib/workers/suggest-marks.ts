import { fromMask, Image, Mask } from 'image-js';
import type { Suggested } from '$lib/core/subjects/plates/words';

/*
 * Finds what looks like a colony in a photo of a plate, for a person to look at. It knows one sign: a round spot that
 * is bluer than the medium about it, as large as colonies grow. Where the photo does not carry that, it says why and
 * suggests nothing.
 */

export interface Pixels {
	width: number;
	height: number;
	/** Red, green, blue and alpha of each pixel, row by row. */
	data: Uint8Array | Uint8ClampedArray;
}

const WORK_px = 1000; // shorter side at which the work is done: a colony of half a millimetre is still five across
const LEAST_px = 500;
const WALL = 0.94; // shares of the dish's radius within which there is medium
/** Radii of colonies in shares of the dish's radius: specks of a third of a millimetre, to two millimetres. */
const LEAST_RADIUS = 0.0055;
const MOST_RADIUS = 0.05;
const MOST_MARKS = 160; // over these colonies run together, and a suggestion would be a guess
/** Blueness is the logarithm of blue against red, less that of the medium: a pale violet colony has about 0.3. */
const LEAST_BLUENESS = 0.16;
const TIMES_NOISE = 6;
const MOST_NOISE = 0.06;

/** What each pixel of the picture has, row by row. */
interface Field {
	width: number;
	height: number;
	values: Float32Array;
}

export function suggestMarks(photo: Pixels): Suggested {
	if (Math.min(photo.width, photo.height) < LEAST_px) return { silent: 'too-small' };
	const image = smaller(photo);
	const dish = findDish(image);
	if (!dish) return { silent: 'no-dish' };
	const blueness = bluerThanAbout(image, dish);
	const noise = noiseOf(blueness, dish);
	if (noise > MOST_NOISE || isOutOfFocus(image, dish)) return { silent: 'too-blurred-or-dark' };
	const regions = regionsOf(blueness, dish, Math.max(LEAST_BLUENESS, TIMES_NOISE * noise));
	const spots = regions.flatMap((region) => colonyCentres(region, dish));
	if (spots.length > MOST_MARKS) return { silent: 'too-crowded' };
	return { marks: spots.map(({ x, y }) => ({ x: x / image.width, y: y / image.height })) };
}

function smaller({ width, height, data }: Pixels): Image {
	const whole = new Image(width, height, {
		data: new Uint8Array(data.buffer, data.byteOffset, data.length),
		colorModel: 'RGBA'
	}).convertColor('RGB');
	const scale = WORK_px / Math.min(width, height);
	return scale >= 1
		? whole.gaussianBlur({ sigma: 1 })
		: whole.resize({ width: Math.round(width * scale), height: Math.round(height * scale) }).gaussianBlur({ sigma: 1 });
}

interface Dish {
	x: number;
	y: number;
	radius: number;
}

/** The dish is what is large, round and lighter than the table; null where nothing is. */
function findDish(image: Image): Dish | null {
	const grey = image.grey().resize({ width: Math.round(image.width / 4), height: Math.round(image.height / 4) });
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

const isInDish = ({ x, y, radius }: Dish, column: number, row: number): boolean =>
	(column - x) ** 2 + (row - y) ** 2 < (WALL * radius) ** 2;

const RIM_RAYS = 72;
/** Shares of the dish's radius over which its edge goes from table to dish where the photo is sharp enough. */
const MOST_EDGE = 0.03;

/** Whether the dish's own edge, which is sharp, is spread out in the photo: so would colonies be. */
function isOutOfFocus(image: Image, dish: Dish): boolean {
	const { width, height } = image;
	const grey = image.grey().getRawImage().data;
	const edges = Array.from({ length: RIM_RAYS }, (_, nth) => {
		const direction = (2 * Math.PI * nth) / RIM_RAYS;
		const along: number[] = [];
		for (let out = 0.9 * dish.radius; out <= 1.1 * dish.radius; out++) {
			const column = Math.round(dish.x + out * Math.cos(direction));
			const row = Math.round(dish.y + out * Math.sin(direction));
			if (column >= 0 && row >= 0 && column < width && row < height) along.push(grey[row * width + column]!);
		}
		const steepest = Math.max(1, ...along.slice(2).map((value, i) => Math.abs(value - along[i]!) / 2));
		return (Math.max(...along) - Math.min(...along)) / steepest / dish.radius;
	});
	return median(edges) > MOST_EDGE;
}

/**
 * How much bluer each pixel is than the medium about it. Blue against red is taken as a ratio, which light and
 * exposure leave alone; glints, bubbles and shadows have no colour and vanish.
 */
function bluerThanAbout(image: Image, dish: Dish): Field {
	const { width, height } = image;
	const { data } = image.getRawImage();
	const ratio = new Float32Array(width * height);
	for (let i = 0; i < ratio.length; i++) ratio[i] = Math.log((data[3 * i + 2]! + 12) / (data[3 * i]! + 12));
	const medium = mediumAbout(ratio, width, height, dish);
	return { width, height, values: ratio.map((r, i) => r - medium(i % width, Math.floor(i / width))) };
}

const TILES = 12;
const MEDIUM_STEP = 3; // every third pixel both ways tells a tile's median well enough

/** The medium's own value from place to place: the median of each tile, and between tiles by their distance. */
function mediumAbout(ratio: Float32Array, width: number, height: number, dish: Dish) {
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
				bins[at]!.push(ratio[row * width + column]!);
			}
	const all = median(bins.flat());
	const levels = bins.map((bin) => (bin.length < 50 ? all : median(bin)));
	return (column: number, row: number) => {
		const gx = Math.min(TILES - 1, Math.max(0, (column - left) / tile - 0.5));
		const gy = Math.min(TILES - 1, Math.max(0, (row - top) / tile - 0.5));
		const x = Math.min(TILES - 2, Math.floor(gx));
		const y = Math.min(TILES - 2, Math.floor(gy));
		const level = (dx: number, dy: number) => levels[(y + dy) * TILES + x + dx]!;
		const across = (dy: number) => level(0, dy) * (1 - (gx - x)) + level(1, dy) * (gx - x);
		return across(0) * (1 - (gy - y)) + across(1) * (gy - y);
	};
}

function median(values: number[]): number {
	const sorted = Float32Array.from(values).sort();
	return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** Spread of the medium itself: 1.4826 times the median distance from its level, which colonies do not move. */
function noiseOf({ width, values }: Field, dish: Dish): number {
	const seen: number[] = [];
	for (let i = 0; i < values.length; i += 7)
		if (isInDish(dish, i % width, Math.floor(i / width))) seen.push(Math.abs(values[i]!));
	return 1.4826 * median(seen);
}

/** Pixels that hang together and are all bluer than the limit. */
interface Region {
	column: number;
	row: number;
	width: number;
	height: number;
	/** Distance of each of its pixels to the nearest that is not of it, row by row; 0 where it is not of it. */
	depth: Float32Array;
	surface: number;
}

function regionsOf({ width, height, values }: Field, dish: Dish, limit: number): Region[] {
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
function colonyCentres({ column, row, width, height, depth, surface }: Region, dish: Dish): { x: number; y: number }[] {
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
