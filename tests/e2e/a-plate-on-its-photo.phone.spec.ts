import { expect, test, type Page } from '@playwright/test';
import { encode, Image } from 'image-js';
import { sameMarks, simulatedPlate } from '../../src/lib/core/bacteria';
import { packField, signedIn } from './application';

test.use({ storageState: signedIn('bench') });

const plate = simulatedPlate({
	seed: 4242,
	colonies: 34,
	others: 8,
	bubbles: 3,
	glares: 1,
	width_px: 1200,
	height_px: 900
});
const jpeg = Buffer.from(
	encode(new Image(plate.width_px, plate.height_px, { data: plate.rgb, colorModel: 'RGB' }), {
		format: 'jpeg',
		encoderOptions: { quality: 85 }
	})
);

async function openPlates(page: Page) {
	await packField(page);
	await page.goto('/bench');
	await page
		.getByRole('link', { name: /^(Read|Open) HO1-\d{6}-B-1/ })
		.first()
		.click();
	await page.waitForURL(/\/bench\/./);
	const address = page.url();
	return { address, second: page.getByRole('article', { name: /-B-2$/ }) };
}

/** A tap where a colony is, by its place in the photo. */
async function tap(page: Page, photo: ReturnType<Page['getByRole']>, { x, y }: { x: number; y: number }) {
	const box = (await photo.boundingBox())!;
	await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
}

test('a plate is counted on its photo with no network; a second person counts it blind', async ({
	page,
	browser,
	context
}) => {
	const { address, second } = await openPlates(page);
	await context.setOffline(true);
	await second
		.getByLabel('Count on a photo')
		.setInputFiles({ name: 'a.txt', mimeType: 'image/png', buffer: Buffer.from('no picture') });
	await expect(second.getByRole('alert')).toContainText('no picture that can be read here');
	await second
		.getByLabel('Count on a photo')
		.setInputFiles({ name: 'plate.jpg', mimeType: 'image/jpeg', buffer: jpeg });
	const photo = second.getByRole('application', { name: /^Photo of the plate/ });
	await expect(photo.locator('img')).toBeVisible();
	await photo.scrollIntoViewIfNeeded();

	// a quick hand loses no tap
	const quick = [
		{ x: 0.4, y: 0.4 },
		{ x: 0.6, y: 0.4 },
		{ x: 0.4, y: 0.7 },
		{ x: 0.6, y: 0.7 }
	];
	const box = (await photo.boundingBox())!;
	for (const { x, y } of quick) await page.mouse.click(box.x + x * box.width, box.y + y * box.height);
	await expect(second.getByText('4 colonies marked')).toBeVisible();
	for (let left = 3; left >= 0; left--) {
		await second.getByRole('button', { name: 'Last mark back' }).click();
		await expect(second.getByText(`${String(left)} ${left === 1 ? 'colony' : 'colonies'} marked`)).toBeVisible();
	}
	await photo.scrollIntoViewIfNeeded();

	// one by hand, one of another kind, and the last back
	await tap(page, photo, { x: 0.5, y: 0.5 });
	await expect(second.getByText('1 colony marked')).toBeVisible();
	await second.getByRole('button', { name: 'Other kind' }).click();
	await tap(page, photo, { x: 0.4, y: 0.6 });
	await expect(second.getByText('1 colony marked, 1 of another kind')).toBeVisible();
	await second.getByRole('button', { name: 'Last mark back' }).click();
	await second.getByRole('button', { name: 'Other kind' }).click();
	await tap(page, photo, { x: 0.5, y: 0.5 });
	await second.getByRole('button', { name: 'Strike this mark' }).click();
	await expect(second.getByText('0 colonies marked')).toBeVisible();

	// what is suggested counts nothing until it is confirmed, and is what the model drew
	await second.getByRole('button', { name: 'Suggest marks' }).click();
	const pencil = photo.locator('.pencil');
	await expect(second.getByText(/spots that may be colonies, in pencil/)).toBeVisible();
	await expect(second.getByText('0 colonies marked')).toBeVisible();
	const places = await pencil.evaluateAll((marks) =>
		marks.map((m) => ({
			x: parseFloat((m as HTMLElement).style.left) / 100,
			y: parseFloat((m as HTMLElement).style.top) / 100
		}))
	);
	const { both } = sameMarks({
		first: plate.colonies.map(({ x_px, y_px }) => ({ x: x_px, y: y_px })),
		second: places.map(({ x, y }) => ({ x: x * plate.width_px, y: y * plate.height_px })),
		within: 10
	});
	expect(both.length / plate.colonies.length).toBeGreaterThan(0.9);
	await second.getByRole('button', { name: /^I looked: confirm/ }).click();
	await expect(second.getByText(`${String(places.length)} colonies marked`)).toBeVisible();
	await page.reload();
	await expect(second.getByText(`${String(places.length)} colonies marked`)).toBeVisible();
	await second.getByRole('button', { name: 'Read now' }).click();
	await expect(second).toContainText(`counted: ${String(places.length)} colonies`);
	await context.setOffline(false);
	await expect(page.getByRole('button', { name: 'all sent' })).toBeVisible();

	// somebody else, on another device
	const other = await browser.newContext({ storageState: signedIn('coordinator') });
	const theirs = await other.newPage();
	await packField(theirs);
	await theirs.goto(address);
	const again = theirs.getByRole('article', { name: /-B-2$/ });
	await expect(again.getByText(/^Counted by BO on its photo/)).toBeVisible();
	await expect(theirs.getByText(`${String(places.length)} colonies`)).toHaveCount(0);
	await expect(theirs.getByText('What the plates say together is shown once you have counted')).toBeVisible();
	await again.getByRole('button', { name: 'Count it blind' }).click();
	const blind = again.getByRole('application');
	await expect(blind.locator('.colony')).toHaveCount(0);
	await blind.scrollIntoViewIfNeeded();
	const seen = plate.colonies.filter((c) => c.radius_px > 5).slice(0, 3);
	await again.getByRole('button', { name: '4×' }).click();
	await blind.focus();
	await theirs.keyboard.press('Enter'); // the cross stands in the middle
	await expect(again.getByText('1 colony marked')).toBeVisible();
	await again.getByRole('button', { name: '1×' }).click();
	for (const { x_px, y_px } of seen) await tap(theirs, blind, { x: x_px / plate.width_px, y: y_px / plate.height_px });
	const done = again.getByRole('button', { name: /^Done: / });
	const mine = Number(/\d+/.exec((await done.textContent()) ?? '')![0]);
	expect(mine).toBeGreaterThan(1);
	await done.click();
	const apart = (100 * (places.length - mine)) / ((places.length + mine) / 2);
	await expect(again.getByText(`BO ${String(places.length)}`)).toContainText(`${apart.toFixed(0)} % apart`);
	await expect(theirs.getByText(/Look together at what only one of you marked/)).toBeVisible();
	await again.getByRole('button', { name: /^Where you differ/ }).click();
	await expect(again.locator('.ring').first()).toBeVisible();
	await other.close();
});

test('of a crowded plate some squares are counted, on its photo, and the figure stands for the whole', async ({
	page,
	context
}) => {
	await packField(page);
	await page.goto('/bench');
	await page
		.getByRole('link', { name: /^Read TE3-\d{6}-B-1/ })
		.first()
		.click();
	const crowded = page.getByRole('article', { name: /-B-1$/ });
	const photo = crowded.getByRole('application', { name: /^Photo of the plate/ });
	await expect(photo.locator('img')).toBeVisible();
	await context.setOffline(true);

	await crowded.getByText('Crowded? Count some squares only').click();
	await crowded.getByRole('button', { name: 'Lay a grid' }).click();
	await expect(crowded.getByText(/Mark in the 20 framed squares only/)).toBeVisible();
	await expect(photo.locator('.square')).toHaveCount(20);
	const asDrawn = () =>
		photo.locator('.square').evaluateAll((all) => all.map((s) => (s as HTMLElement).style.cssText).toSorted());
	const first = await asDrawn();
	await crowded.getByRole('button', { name: '10 squares more' }).click();
	await expect(photo.locator('.square')).toHaveCount(30);
	expect((await asDrawn()).filter((s) => first.includes(s))).toHaveLength(20);
	await crowded.getByRole('button', { name: 'Suggest marks' }).click();
	await crowded.getByRole('button', { name: /^I looked: confirm/ }).click();
	await expect(photo.locator('.colony.beside')).toHaveCount(0);
	const marked = await photo.locator('.colony').count();
	// the model that drew the photo knows what lies in the squares
	const model = simulatedPlate({ seed: 6402, colonies: 118, others: 22, bubbles: 5, glares: 1 });
	const boxes = await photo.locator('.square').evaluateAll((all) =>
		all.map((s) => {
			const { left, top, width, height } = (s as HTMLElement).style;
			return [left, top, width, height].map((p) => parseFloat(p) / 100) as [number, number, number, number];
		})
	);
	const there = model.colonies.filter(({ x_px, y_px }) => {
		const [x, y] = [x_px / model.width_px, y_px / model.height_px];
		return boxes.some(([left, top, width, height]) => x >= left && x < left + width && y >= top && y < top + height);
	}).length;
	expect(there).toBeGreaterThan(20);
	expect(Math.abs(marked - there)).toBeLessThanOrEqual(3); // a colony on an edge, or one that was not seen
	await expect(crowded.getByText(`${String(marked)} colonies marked`)).toBeVisible();
	await expect(
		crowded.getByText(`on about ${String(Math.round((marked * 95) / 30))} on the whole plate`)
	).toBeVisible();

	// a mark beside the squares stays, and is not counted
	await photo.focus();
	for (let i = 0; i < 9; i++) await page.keyboard.press('Shift+ArrowUp');
	await page.keyboard.press('Enter');
	await expect(crowded.getByText('1 mark beside the squares, not counted')).toBeVisible();
	await page.reload();
	await expect(crowded.getByText('1 mark beside the squares, not counted')).toBeVisible();
	await crowded.getByRole('button', { name: 'Read now' }).click();
	await expect(crowded).toContainText(`counted: ${String(marked)} colonies in 30 of 95 squares`);
	// 1 mL was poured: so many colonies in 30 of 95 parts of it
	const per100mL = (marked / (30 / 95)) * 100;
	const said = await page.getByRole('status').filter({ hasText: 'E. coli: ' }).textContent();
	expect(Number(/E\. coli: ([\d\s]+)/.exec(said!)![1]!.replace(/\s/g, ''))).toBe(Math.round(per100mL));
	await context.setOffline(false);
	await expect(page.getByRole('button', { name: 'all sent' })).toBeVisible();
});
