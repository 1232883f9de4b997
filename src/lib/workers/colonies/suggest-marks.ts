import { Image } from 'image-js';
import type { MediumPlace } from '$lib/core/subjects/plates/branch';
import type { Suggested } from '$lib/core/subjects/plates/words';
import { bluerThanAbout, noiseOf } from './blueness';
import { findDish, isOutOfFocus, MEDIUM } from './dish';
import { colonyCentres, regionsOf } from './discs';
import { softened } from './softened';

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
const MOST_MARKS = 160; // over these colonies run together, and a suggestion would be a guess
/** Blueness is the logarithm of blue against red, less that of the medium: a pale violet colony has about 0.3. */
const LEAST_BLUENESS = 0.16;
const TIMES_NOISE = 6;
const MOST_NOISE = 0.06;

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

/** Shares of the photo's shorter side that a dish mostly takes: where none is found, a person moves it from there. */
const MOSTLY = 0.44;

/**
 * Where the medium lies in the photo, within the dish's wall; in its middle where no dish can be told from the table.
 */
export function mediumIn(photo: Pixels): MediumPlace & { isFound: boolean } {
	const image = smaller(photo);
	const found = findDish(image);
	const { x, y, radius } = found ?? {
		x: image.width / 2,
		y: image.height / 2,
		radius: MOSTLY * Math.min(image.width, image.height)
	};
	return {
		x: x / image.width,
		y: y / image.height,
		rx: (MEDIUM * radius) / image.width,
		ry: (MEDIUM * radius) / image.height,
		isFound: found !== null
	};
}

function smaller({ width, height, data }: Pixels): Image {
	const whole = new Image(width, height, {
		data: new Uint8Array(data.buffer, data.byteOffset, data.length),
		colorModel: 'RGBA'
	}).convertColor('RGB');
	const scale = WORK_px / Math.min(width, height);
	return softened(
		scale >= 1 ? whole : whole.resize({ width: Math.round(width * scale), height: Math.round(height * scale) })
	);
}
