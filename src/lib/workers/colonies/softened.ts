import { Image } from 'image-js';

/** The binomial of five, which is a Gaussian of one pixel, in sixteenths. */
const KERNEL = [1, 4, 6, 4, 1] as const;

/**
 * A picture of three colours, each pixel mixed with its neighbours as by a lens that is a pixel out of focus, so that
 * noise of single pixels is gone. In whole numbers and two passes: the library's filter does the same in convolutions
 * of decimals, and took half of all the time that a photo needs.
 */
export function softened(image: Image): Image {
	const { width, height } = image;
	const data = image.getRawImage().data;
	const across = new Uint16Array(data.length);
	const soft = new Uint8Array(data.length);
	const [outer, inner, middle] = KERNEL;
	const row = 3 * width;
	for (let y = 0; y < height; y++)
		for (let x = 0; x < width; x++) {
			// at the edges the last pixel goes on
			const [a, b, d, e] = [
				Math.max(0, x - 2),
				Math.max(0, x - 1),
				Math.min(width - 1, x + 1),
				Math.min(width - 1, x + 2)
			];
			const start = y * row;
			for (let c = 0; c < 3; c++)
				across[start + 3 * x + c] =
					outer * (data[start + 3 * a + c]! + data[start + 3 * e + c]!) +
					inner * (data[start + 3 * b + c]! + data[start + 3 * d + c]!) +
					middle * data[start + 3 * x + c]!;
		}
	for (let y = 0; y < height; y++) {
		const [a, b, d, e] = [
			Math.max(0, y - 2),
			Math.max(0, y - 1),
			Math.min(height - 1, y + 1),
			Math.min(height - 1, y + 2)
		];
		for (let i = 0; i < row; i++)
			soft[y * row + i] =
				(outer * (across[a * row + i]! + across[e * row + i]!) +
					inner * (across[b * row + i]! + across[d * row + i]!) +
					middle * across[y * row + i]! +
					128) >>
				8;
	}
	return new Image(width, height, { data: soft, colorModel: 'RGB' });
}
