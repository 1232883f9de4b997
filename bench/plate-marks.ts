import { chromium } from '@playwright/test';
import { decode, encode, Image } from 'image-js';
import { sameMarks, simulatedPlate, type SimulatedPlate } from '../src/lib/core/bacteria';
import { suggestMarks } from '../src/lib/workers/colonies/suggest-marks';
import { chromiumOptions } from '../scripts/chromium';
import { type Bench } from './measure';
import { signIn } from './sign-in';

const PLATES = 40;
const FEWEST = 20;
const MOST = 150;
const LEAST_PRECISION = 0.95;
/** A mark stands for a colony when it lies on it; for a speck, within so many pixels. */
const LEAST_NEAR_px = 6;

const asJpeg = ({ width_px, height_px, rgb }: SimulatedPlate) =>
	encode(new Image(width_px, height_px, { data: rgb, colorModel: 'RGB' }), {
		format: 'jpeg',
		encoderOptions: { quality: 80 }
	});

/** Shares of the colonies found and of the marks that are colonies; none where it is silent. */
function judged(plate: SimulatedPlate): { recall: number; precision: number } {
	const image = decode(asJpeg(plate)).convertColor('RGBA');
	const found = suggestMarks({
		width: image.width,
		height: image.height,
		data: image.getRawImage().data as Uint8Array
	});
	if (!('marks' in found)) return { recall: 0, precision: 1 };
	const marks = found.marks.map(({ x, y }) => ({ x: x * plate.width_px, y: y * plate.height_px }));
	const { both } = sameMarks({
		first: plate.colonies.map(({ x_px, y_px }) => ({ x: x_px, y: y_px })),
		second: marks,
		within: Math.max(LEAST_NEAR_px, ...plate.colonies.map((c) => c.radius_px))
	});
	const hits = both.filter(([i, j]) => {
		const colony = plate.colonies[i]!;
		const apart = Math.hypot(colony.x_px - marks[j]!.x, colony.y_px - marks[j]!.y);
		return apart <= Math.max(LEAST_NEAR_px, colony.radius_px);
	}).length;
	return { recall: hits / plate.colonies.length, precision: marks.length ? hits / marks.length : 1 };
}

export const plateRecall: Bench = {
	name: 'plate-recall',
	unit: 'share',
	reach: 1,
	theirs: 'limit 0.10 of simulated colonies missed',
	needs: 'nothing',
	run: () => {
		const all = Array.from({ length: PLATES }, (_, i) => {
			const colonies = Math.round(FEWEST + ((MOST - FEWEST) * i) / (PLATES - 1));
			const others = Math.round(colonies / 4);
			return judged(simulatedPlate({ seed: 9_000 + i, colonies, others, bubbles: 6, glares: i % 3 }));
		});
		const mean = (of: (j: { recall: number; precision: number }) => number) =>
			all.reduce((sum, j) => sum + of(j), 0) / all.length;
		const precision = mean((j) => j.precision);
		// what is found by marking everything is not found
		const missed = precision < LEAST_PRECISION ? 1 : 1 - mean((j) => j.recall);
		const worst = Math.min(...all.map((j) => j.recall));
		return Promise.resolve({
			ours: missed,
			theirs: 0.1,
			note: `precision ${precision.toFixed(3)}, worst plate ${worst.toFixed(2)}`
		});
	}
};

export const plateMarks100: Bench = {
	name: 'plate-marks-100',
	unit: 'ms',
	reach: 1,
	theirs: 'limit 1.5 s',
	needs: 'application',
	run: async ({ url }) => {
		const plate = simulatedPlate({
			seed: 5,
			colonies: 100,
			others: 20,
			bubbles: 5,
			glares: 1,
			width_px: 4000,
			height_px: 3000
		});
		const browser = await chromium.launch(chromiumOptions);
		const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
		await context.addCookies(await signIn(url, 'coordinator'));
		const page = await context.newPage();
		await page.goto(`${url}/sample`);
		await page.getByText(/^Packed /).waitFor();
		await page.goto(`${url}/bench`);
		await page
			.getByRole('link', { name: /^Open HO1/ })
			.first()
			.click();
		const article = page.getByRole('article', { name: /-B-2$/ });
		const file = { name: 'plate.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(asJpeg(plate)) };
		await article.getByLabel('Count on a photo').setInputFiles(file);
		const suggest = article.getByRole('button', { name: 'Suggest marks' });
		await suggest.waitFor();
		const began = performance.now();
		await suggest.click();
		await article.getByText(/in pencil/).waitFor();
		const ours = performance.now() - began;
		const marks = await article.locator('.pencil').count();
		await browser.close();
		return { ours, theirs: 1500, note: `${String(marks)} marks on the photo as it is kept` };
	}
};
