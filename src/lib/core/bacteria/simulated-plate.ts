import { seeded, type Chance } from '../statistics';

/** A spot on a plate. Place and radius in shares of the picture's shorter side. */
export interface Spot {
	x: number;
	y: number;
	radius: number;
}

export interface SimulatedPlate {
	width_px: number;
	height_px: number;
	/** Red, green and blue of each pixel, row by row, 0 to 255. */
	rgb: Uint8Array;
	/** Where the colonies of the kind that counts are, in pixels. */
	colonies: { x_px: number; y_px: number; radius_px: number }[];
}

export interface SimulatedPlateOptions {
	seed: number;
	/** Colonies of the kind that counts: blue to violet here. */
	colonies: number;
	/** Colonies of other kinds: red, or cream. */
	others?: number;
	bubbles?: number;
	/** Reflections of a lamp. */
	glares?: number;
	width_px?: number;
	height_px?: number;
}

type Rgb = readonly [number, number, number];

const DISH_RADIUS = 0.46; // of the picture's shorter side
const DISH_mm = 45; // radius of a usual dish
const NOISE = 4;

/**
 * A photo of a gel plate from above, drawn by a model: pale medium in a round dish on a table, light that falls off to
 * one side, blue and violet colonies from specks to three millimetres with soft rims and halos, some of them touching
 * and some at the dish's wall; red and cream ones beside them, bubbles, reflections, the camera's white balance, focus
 * and noise. It stands in for a camera in the demo, in tests and in benchmarks, which know by it what is to be found.
 */
export function simulatedPlate({
	seed,
	colonies,
	others = 0,
	bubbles = 0,
	glares = 0,
	width_px = 1600,
	height_px = 1200
}: SimulatedPlateOptions): SimulatedPlate {
	const chance = seeded(seed);
	const short_px = Math.min(width_px, height_px);
	const picture = emptyDish(width_px, height_px, chance);
	const { dish } = picture;
	const blur_px = (0.6 + chance.uniform()) * (short_px / 1200);
	const taken: Spot[] = [];
	const place = (radius: number): Spot => {
		const spot = somewhere(dish, radius, taken, chance);
		taken.push(spot);
		return spot;
	};
	const inPixels = ({ x, y, radius }: Spot) => ({
		x_px: x * short_px,
		y_px: y * short_px,
		radius_px: radius * short_px
	});
	for (let i = 0; i < others; i++) {
		const colour = chance.pick<Rgb>([
			[196, 92, 110],
			[214, 176, 140],
			[178, 70, 84]
		]);
		paintColony(picture, inPixels(place(colonyRadius(chance))), colour, 0.55 + 0.3 * chance.uniform(), blur_px);
	}
	const real = Array.from({ length: colonies }, () => inPixels(place(colonyRadius(chance))));
	for (const spot of real) {
		const violet = chance.uniform();
		const colour: Rgb = [62 + 46 * violet, 62 - 6 * violet, 138 + 16 * chance.uniform()];
		paintColony(picture, spot, colour, 0.6 + 0.35 * chance.uniform(), blur_px);
	}
	for (let i = 0; i < bubbles; i++)
		paintBubble(picture, inPixels(somewhere(dish, 0.004 + 0.012 * chance.uniform(), [], chance)), blur_px);
	for (let i = 0; i < glares; i++)
		paintGlare(picture, inPixels(somewhere(dish, 0.015 + 0.03 * chance.uniform(), [], chance)));
	return { width_px, height_px, rgb: throughCamera(picture, chance), colonies: real };
}

/** Radius in shares of the shorter side; most are about a millimetre. */
const colonyRadius = (chance: Chance): number => {
	const radius_mm = Math.min(1.6, Math.max(0.3, 0.75 * Math.exp(0.4 * chance.normal())));
	return (radius_mm / DISH_mm) * DISH_RADIUS;
};

interface Picture {
	width: number;
	height: number;
	light: Float32Array;
	dish: Spot;
}

const smooth = (from: number, to: number, at: number): number => {
	const t = Math.min(1, Math.max(0, (at - from) / (to - from)));
	return t * t * (3 - 2 * t);
};

function emptyDish(width: number, height: number, chance: Chance): Picture {
	const short = Math.min(width, height);
	const dish = {
		x: (width / short) * 0.5 + 0.02 * chance.normal(),
		y: (height / short) * 0.5 + 0.01 * chance.normal(),
		radius: DISH_RADIUS - 0.02 * chance.uniform()
	};
	const table = chance.pick<Rgb>([
		[86, 72, 60],
		[52, 54, 58],
		[120, 108, 94]
	]);
	const medium: Rgb = [232 + 8 * chance.uniform(), 216 + 8 * chance.uniform(), 188 + 14 * chance.uniform()];
	const direction = 2 * Math.PI * chance.uniform();
	const fall = 0.1 + 0.25 * chance.uniform();
	const light = new Float32Array(width * height * 3);
	for (let row = 0, i = 0; row < height; row++)
		for (let column = 0; column < width; column++, i += 3) {
			const dx = column / short - dish.x;
			const dy = row / short - dish.y;
			const out = Math.hypot(dx, dy) / dish.radius;
			const isIn = 1 - smooth(0.995, 1.005, out);
			const rim = smooth(0.94, 0.96, out) * isIn;
			const lit = 1 + fall * (dx * Math.cos(direction) + dy * Math.sin(direction));
			for (let c = 0; c < 3; c++) {
				const inside = medium[c]! * (1 - 0.16 * rim);
				light[i + c] = lit * (inside * isIn + table[c]! * (1 - isIn));
			}
		}
	return { width, height, light, dish };
}

/** A place in the dish; one in eight touches another, as colonies do. */
function somewhere(dish: Spot, radius: number, taken: readonly Spot[], chance: Chance): Spot {
	const mayTouch = chance.uniform() < 1 / 8;
	for (let tries = 0; ; tries++) {
		const out = 0.93 * dish.radius * Math.sqrt(chance.uniform()) - radius;
		const direction = 2 * Math.PI * chance.uniform();
		const spot = { x: dish.x + out * Math.cos(direction), y: dish.y + out * Math.sin(direction), radius };
		const apart = mayTouch ? 0.75 : 1.15;
		const isFree = taken.every((t) => Math.hypot(t.x - spot.x, t.y - spot.y) > apart * (t.radius + radius));
		if (isFree || tries > 200) return spot;
	}
}

interface SpotInPixels {
	x_px: number;
	y_px: number;
	radius_px: number;
}

/** Calls `paint` for each pixel about a spot, with its distance from the middle in radii. */
function about(
	{ width, height }: Picture,
	{ x_px, y_px, radius_px }: SpotInPixels,
	reach: number,
	paint: (index: number, out: number) => void
): void {
	const r = radius_px * reach;
	for (let row = Math.max(0, Math.floor(y_px - r)); row <= Math.min(height - 1, y_px + r); row++)
		for (let column = Math.max(0, Math.floor(x_px - r)); column <= Math.min(width - 1, x_px + r); column++)
			paint(3 * (row * width + column), Math.hypot(column - x_px, row - y_px) / radius_px);
}

const mix = (light: Float32Array, at: number, share: number, colour: Rgb) => {
	for (let c = 0; c < 3; c++) light[at + c] = light[at + c]! * (1 - share) + colour[c]! * share;
};

function paintColony(picture: Picture, spot: SpotInPixels, colour: Rgb, depth: number, blur_px: number): void {
	const soft = blur_px / spot.radius_px + 0.12;
	about(picture, spot, 1.8, (at, out) => {
		mix(picture.light, at, 0.12 * (1 - smooth(0.9, 1.7, out)), colour); // the halo in the medium
		mix(picture.light, at, depth * (1 - smooth(1 - soft, 1 + soft, out)) * (1 - 0.25 * Math.max(0, 1 - out)), colour);
	});
}

/** Clear within, dark round its edge, with a glint: no colour of its own. */
function paintBubble(picture: Picture, spot: SpotInPixels, blur_px: number): void {
	const soft = blur_px / spot.radius_px + 0.1;
	about(picture, spot, 1.5, (at, out) => {
		const ring = smooth(1 - 2 * soft, 1, out) * (1 - smooth(1, 1 + 2 * soft, out));
		mix(picture.light, at, 0.35 * ring, [90, 86, 80]);
		mix(picture.light, at, 0.5 * (1 - smooth(0.1, 0.45, out)), [252, 252, 250]);
	});
}

function paintGlare(picture: Picture, spot: SpotInPixels): void {
	about(picture, spot, 2, (at, out) => mix(picture.light, at, 1 - smooth(0.5, 1.9, out), [268, 268, 266]));
}

function throughCamera({ light }: Picture, chance: Chance): Uint8Array {
	const balance = [1 + 0.05 * chance.normal(), 1, 1 + 0.05 * chance.normal()];
	const exposure = 0.88 + 0.14 * chance.uniform();
	const rgb = new Uint8Array(light.length);
	for (let i = 0; i < light.length; i++) {
		// four uniform numbers added up are noise enough, and much quicker than a normal one
		const noise = chance.uniform() + chance.uniform() + chance.uniform() + chance.uniform() - 2;
		const seen = light[i]! * exposure * balance[i % 3]! + NOISE * 1.7 * noise;
		rgb[i] = Math.max(0, Math.min(255, Math.round(seen)));
	}
	return rgb;
}
