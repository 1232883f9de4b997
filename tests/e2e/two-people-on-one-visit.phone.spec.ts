import { expect, test, type Browser, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { startAt } from './a-visit';
import { keep, packField, signedIn } from './application';

const phoneOf = async (
	browser: Browser,
	who: 'monitor' | 'coordinator',
	viewport: { width: number; height: number } | null
): Promise<Page> => {
	const page = await (await browser.newContext({ storageState: signedIn(who), viewport })).newPage();
	await packField(page);
	return page;
};
const allSent = (page: Page) => expect(page.getByRole('button', { name: 'all sent' })).toBeVisible();

test('they divide the steps, see each other’s when they meet a network, and hand the visit over', async ({
	browser,
	viewport
}) => {
	const [one, other] = await Promise.all([
		phoneOf(browser, 'monitor', viewport),
		phoneOf(browser, 'coordinator', viewport)
	]);
	const base = await startAt(one, 'Ebbin 2', 'Full visit, version 1');
	await allSent(one);
	await one.getByRole('button', { name: 'Who', exact: true }).click();
	await one.getByRole('button', { name: /^I do this ?: Conditions$/ }).click();
	await expect(one.getByRole('button', { name: /^mine ?: Conditions$/ })).toBeVisible();
	await one.getByRole('button', { name: 'Close' }).click();
	await allSent(one);

	await other.goto('/sample');
	await other.locator(`a[href="${new URL(base).pathname}"]`).click();
	await other.getByRole('button', { name: 'Who', exact: true }).click();
	await expect(other.getByRole('listitem').filter({ hasText: 'Conditions' }).filter({ hasText: 'IQ' })).toBeVisible();
	await other.getByRole('button', { name: 'Close' }).click();
	await other.goto(`${base}/conditions`);
	await expect(other.getByText('IQ does this')).toBeVisible();

	for (const page of [one, other]) await page.context().setOffline(true);
	await one.goto(`${base}/conditions`);
	await one.getByRole('button', { name: 'cloudy' }).click();
	await other.goto(`${base}/water-temperature`);
	await other.locator('.slots input').first().focus();
	await keep(other, '11.4');
	await expect(other.getByText('Water temperature: 11.4')).toBeVisible();
	await other.getByText('Remark, photo, sketch', { exact: true }).click();
	await other.getByLabel(/^What a figure does not say/).fill('Read below the spring.');
	await other.getByLabel(/^What a figure does not say/).blur();
	for (const page of [other, one]) await page.context().setOffline(false);
	for (const page of [one, other]) await allSent(page);
	await one.goto(`${base}/water-temperature`);
	await expect(one.getByText('Water temperature: 11.4')).toBeVisible();
	await expect(one.getByLabel(/^What a figure does not say/)).toHaveValue('Read below the spring.');

	await one.getByRole('button', { name: 'Who', exact: true }).click();
	await one.getByRole('button', { name: 'Hand it over' }).click();
	await expect(one.getByText('Say to whom.')).toBeVisible();
	await one.getByRole('combobox', { name: /^To/ }).selectOption('Orla Tamberly');
	await one.getByLabel('What they should know').fill('the nitrate strip is still to be dipped');
	await one.getByRole('button', { name: 'Hand it over' }).click();
	await expect(one.getByText(/To Orla Tamberly at .*the nitrate strip/)).toBeVisible();
	await one.getByRole('button', { name: 'Close' }).click();
	await allSent(one);
	await other.goto('/sample');
	await expect(other.getByText(/handed to Orla Tamberly/).first()).toBeVisible();
	await other.goto(`/visits/${new URL(base).pathname.split('/')[2]!}`);
	await expect(other.getByRole('definition').filter({ hasText: 'Read below the spring.' })).toBeVisible();
	await Promise.all([one, other].map((p) => p.context().close()));
});

test('a sheet from paper is typed twice, blind; the differences show side by side, none is lost', async ({
	browser,
	viewport
}) => {
	const [one, other] = await Promise.all([
		phoneOf(browser, 'monitor', viewport),
		phoneOf(browser, 'coordinator', viewport)
	]);
	await one.getByText('A sheet from paper').click();
	await one.getByRole('button', { name: 'Type it in' }).click();
	await expect(one.getByText('Say at which site it was.')).toBeVisible();
	await one.getByRole('combobox', { name: /^Site/ }).selectOption({ label: 'Tessel 2' });
	await one.getByLabel('Begun at').fill('noonish');
	await one.getByRole('button', { name: 'Type it in' }).click();
	await expect(one.getByText(/When did the visit begin/)).toBeVisible();
	await one.getByLabel('Begun at').fill('9.40');
	await one.getByRole('button', { name: 'Type it in' }).click();
	await one.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
	const base = one.url().replace(/\/[^/]+$/, '');
	const picture = {
		name: 'sheet.png',
		mimeType: 'image/png',
		buffer: PNG.sync.write(new PNG({ width: 8, height: 6 }))
	};
	for (const times of [1, 2]) {
		// the same file twice is a slip that must not blank a page
		await one.getByLabel(/^Photo: paper sheet/).setInputFiles(picture);
		await expect(one.getByRole('img', { name: 'Photo: paper sheet' })).toHaveCount(times);
	}
	const type = async (page: Page, conductivity: string) => {
		await page.goto(`${base}/bacteria-bottle`);
		await page.getByLabel('Filled at').fill('9:50');
		await page.getByLabel('Filled at').blur();
		await expect(page.getByText('Filled at 09:50.')).toBeVisible();
		// the time is on the sheet, not on the clock
		await expect(page.getByRole('button', { name: 'It is on ice now' })).toHaveCount(0);
		await expect(page.getByLabel('On ice at')).toBeVisible();
		await page.goto(`${base}/conductivity`);
		await expect(page.getByText('You see only what you type yourself')).toBeVisible();
		await expect(page.locator('.slots input').first()).toHaveValue('');
		await page.locator('.slots input').first().focus();
		await keep(page, conductivity);
		await page.goto(`${base}/leave`);
		await expect(page.getByRole('button', { name: 'My copy is whole' })).toBeDisabled();
		await page.getByLabel('They left at').fill('10:35');
		await page.getByLabel('They left at').blur();
		await page.getByRole('button', { name: 'My copy is whole' }).click();
		await allSent(page);
	};
	await type(one, '231');
	await expect(one.getByText(/Typed in from paper by one person only/)).toBeVisible();
	const atTheDesk = `/visits/${new URL(base).pathname.split('/')[2]!}`;
	await other.goto(atTheDesk); // whoever may type the second copy does not see the first in the office either
	await expect(other.getByText(/typed in by two people, neither seeing the other’s/)).toBeVisible();
	await expect(other.getByText('231')).toHaveCount(0);
	await other.getByRole('link', { name: 'Type the other copy' }).click();
	await other.waitForURL(/\/sample\//);
	await type(other, '213');
	await expect(other.getByText(/Typed in from paper by one person only/)).toHaveCount(0);
	const differences = other.locator('section', {
		has: other.getByRole('heading', { name: 'Conductivity, as read: main' })
	});
	await expect(differences).toContainText('231 µS/cm');
	await expect(differences).toContainText('213 µS/cm');
	await expect(other.getByRole('heading', { level: 3 })).toHaveCount(1); // in all else they agree
	await differences.getByRole('button', { name: 'mine was a slip' }).click();
	await expect(differences).toHaveCount(0);
	await allSent(other);
	const desk = await (
		await browser.newContext({ storageState: signedIn('reviewer'), viewport: { width: 1280, height: 800 } })
	).newPage();
	await desk.goto(atTheDesk);
	await expect(desk.locator('tr#conductivity')).toContainText('231 µS/cm');
	await expect(desk.getByText('struck: a slip of mine')).toBeVisible();
	await expect(desk.getByRole('img', { name: 'paper sheet' })).toHaveCount(2);
	const photo = desk.getByRole('img', { name: 'paper sheet' }).first();
	await expect.poll(() => photo.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(0);
	await Promise.all([one, other, desk].map((p) => p.context().close()));
});

test('the bottles go from hand to hand with seal, signature and temperature', async ({ browser, viewport }) => {
	const page = await phoneOf(browser, 'monitor', viewport);
	const base = await startAt(page, 'Ebbin 2', 'Full visit, version 1');
	await page.goto(`${base}/bacteria-bottle`);
	await page.getByRole('button', { name: 'Filled just now' }).click();
	await page.goto(`${base}/leave`);
	await page.getByRole('button', { name: 'boots and waders' }).click();
	await expect(page.getByText(/dry on .*; before that only back into this water/)).toBeVisible();
	await page.getByRole('button', { name: 'lids tight' }).click();
	await page.getByRole('button', { name: 'Hand the bottles over' }).click();
	await page.getByRole('button', { name: 'Handed over now' }).click();
	await expect(page.getByText('Say who takes the bottles.')).toBeVisible();
	await page.getByLabel('Taken by').fill('Bede Orlinck');
	await page.getByLabel('Seal number').fill('K-204');
	const pad = (await page.getByRole('img', { name: 'Write your name here with a finger' }).boundingBox())!;
	await page.mouse.move(pad.x + 40, pad.y + 60);
	await page.mouse.down();
	for (const [dx, dy] of [
		[70, 20],
		[110, 70],
		[160, 30]
	] as const)
		await page.mouse.move(pad.x + dx, pad.y + dy, { steps: 3 });
	await page.mouse.up();
	await page.getByRole('button', { name: 'That is my signature' }).click();
	await page.getByRole('button', { name: 'Handed over now' }).click();
	await expect(page.getByText(/Ivo Quennick → Bede Orlinck, .*, seal K-204/)).toBeVisible();
	await page.getByLabel(/In the cooler when it was handed over/).fill('4,5');
	await page.getByLabel(/In the cooler when it was handed over/).blur();
	await expect(page.getByText(/seal K-204, 4\.5 °C/)).toBeVisible();
	await expect(page.getByRole('img', { name: 'Signature of Bede Orlinck' })).toBeVisible();
	await allSent(page);
	await page.context().close();
});
