import { expect, test } from '@playwright/test';
import { fullVisit, tap } from './a-visit';
import { signedIn } from './application';

test.use({ storageState: signedIn('monitor') });

test('a sketch belongs to its step; a line too many is taken back; a photo can be drawn on', async ({ page }) => {
	const step = await fullVisit(page, 'Tessel 3');
	await step('water-temperature');
	await page.getByText('Remark, photo, sketch', { exact: true }).click();
	await tap(page, 'Sketch with a finger');
	await expect(page.getByRole('button', { name: 'Save sketch' })).toBeDisabled();
	const sheet = page.getByRole('img', { name: /Draw here|Sketch of/ });
	await sheet.scrollIntoViewIfNeeded();
	const draw = async (from: [number, number], to: [number, number]) => {
		const box = (await sheet.boundingBox())!;
		await page.mouse.move(box.x + box.width * from[0], box.y + box.height * from[1]);
		await page.mouse.down();
		await page.mouse.move(box.x + box.width * to[0], box.y + box.height * to[1], { steps: 5 });
		await page.mouse.up();
	};
	await draw([0.1, 0.5], [0.9, 0.5]);
	await draw([0.5, 0.1], [0.5, 0.9]);
	await expect(page.getByRole('img', { name: 'Sketch of 2 lines' })).toBeVisible();
	await tap(page, 'Undo line');
	await expect(page.getByRole('img', { name: 'Sketch of 1 line' })).toBeVisible();
	await tap(page, 'Save sketch');
	const kept = page.getByRole('img', { name: 'Photo: Water temperature' });
	await expect(kept).toHaveCount(1);
	/** How dark the middle of the picture is, across the line and above it. */
	const inkOf = () =>
		kept.first().evaluate((img: HTMLImageElement) => {
			const canvas = new OffscreenCanvas(img.naturalWidth, img.naturalHeight);
			const brush = canvas.getContext('2d')!;
			brush.drawImage(img, 0, 0);
			const at = (y: number) => brush.getImageData(Math.round(canvas.width / 2), Math.round(y), 1, 1).data[0]!;
			return { line: at(canvas.height / 2), above: at(canvas.height / 4) };
		});
	const { line, above } = await inkOf();
	expect(line).toBeLessThan(90);
	expect(above).toBeGreaterThan(200);

	await tap(page, 'Draw on it');
	await expect(page.getByRole('img', { name: 'Draw here with a finger' })).toBeVisible();
	await draw([0.1, 0.1], [0.9, 0.9]);
	await tap(page, 'Save sketch');
	// the photo stays as it was, the drawing is another
	await expect(kept).toHaveCount(2);
	await page.reload();
	await expect(kept).toHaveCount(2);
});
