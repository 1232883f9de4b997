import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { create } from 'qrcode';
import playwright from '../../playwright.config';
import { fullVisit, tap } from './a-visit';
import { signedIn } from './application';

const [WIDTH, HEIGHT] = [640, 480];
const [INK, PAPER, NO_COLOUR] = [16, 235, 128];

/** A film of a label that is held before the camera: one frame, grey, as a camera file. */
function filmOf(text: string): string {
	const { modules } = create(text);
	const module_px = Math.floor((HEIGHT * 0.6) / modules.size);
	const [left, top] = [
		Math.floor((WIDTH - module_px * modules.size) / 2),
		Math.floor((HEIGHT - module_px * modules.size) / 2)
	];
	const light = Buffer.alloc(WIDTH * HEIGHT, PAPER);
	for (let row = 0; row < modules.size; row++)
		for (let column = 0; column < modules.size; column++)
			if (modules.get(row, column))
				for (let y = 0; y < module_px; y++) {
					const at = (top + row * module_px + y) * WIDTH + left + column * module_px;
					light.fill(INK, at, at + module_px);
				}
	const frame = Buffer.concat([Buffer.from('FRAME\n'), light, Buffer.alloc((WIDTH * HEIGHT) / 2, NO_COLOUR)]);
	const film = join(mkdtempSync(join(tmpdir(), 'label-film-')), 'label.y4m');
	writeFileSync(
		film,
		Buffer.concat([Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`), frame, frame])
	);
	return film;
}

const usual = playwright.use!.launchOptions!;
test.use({
	storageState: signedIn('monitor'),
	permissions: ['camera'],
	launchOptions: {
		...usual,
		args: [
			...usual.args!,
			'--use-fake-device-for-media-stream',
			'--use-fake-ui-for-media-stream',
			`--use-file-for-fake-video-capture=${filmOf('TE3-260514-N')}`
		]
	}
});

test('a label held before the camera is read, with no network; the camera is let go', async ({ page }) => {
	const step = await fullVisit(page, 'Tessel 3');
	await step('nutrient-bottle');
	const label = page.getByLabel('Code on the label');
	await label.fill('smudged');
	await tap(page, 'Scan the label');
	await expect(label).toHaveValue('TE3-260514-N');
	await expect(page.locator('video')).toHaveCount(0);
	await tap(page, 'Filled just now');
	await expect(page.getByText(/Write that on the label now/)).toBeVisible();
});

test('the photo point: the first picture from the camera is what the next is laid over', async ({ page }) => {
	const step = await fullVisit(page, 'Tessel 3');
	await step('arrive');
	await tap(page, 'photo point');
	await expect(page.getByText('The first picture from here: the next one is laid over it.')).toBeVisible();
	await tap(page, 'Take it');
	await expect(page.getByRole('button', { name: 'photo point', exact: true })).toHaveAttribute('aria-pressed', 'true');
	const taken = page.getByRole('img', { name: 'Photo: photo point' });
	await expect
		.poll(() => taken.evaluate((img: HTMLImageElement) => [img.naturalWidth, img.naturalHeight]))
		.toEqual([WIDTH, HEIGHT]);
});
