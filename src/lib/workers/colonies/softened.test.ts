import { Image } from 'image-js';
import { describe, expect, it } from 'vitest';
import { seeded } from '$lib/core/statistics';
import { softened } from './softened';

describe('a picture that is softened', () => {
	it('is what the library makes of it with a Gaussian of one pixel, nearly', () => {
		const chance = seeded(7);
		const [width, height] = [40, 30];
		// smooth as photos are, with some noise
		const data = Uint8Array.from({ length: 3 * width * height }, (_, i) =>
			Math.round(120 + 80 * Math.sin(i / 60) + 20 * chance.uniform())
		);
		const image = new Image(width, height, { data, colorModel: 'RGB' });
		const ours = softened(image).getRawImage().data;
		const theirs = image.gaussianBlur({ sigma: 1, size: 5 }).getRawImage().data;
		for (let y = 2; y < height - 2; y++)
			for (let x = 2; x < width - 2; x++)
				for (let c = 0; c < 3; c++) {
					const at = 3 * (y * width + x) + c;
					expect(Math.abs(ours[at]! - theirs[at]!)).toBeLessThanOrEqual(4); // of noise of 20
				}
	});
	it('of one colour stays as it is, to the edges', () => {
		const data = new Uint8Array(3 * 6 * 5).fill(77);
		const out = softened(new Image(6, 5, { data, colorModel: 'RGB' })).getRawImage().data;
		expect([...out].every((v) => v === 77)).toBe(true);
	});
});
