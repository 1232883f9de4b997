import { expect, test, type Page } from '@playwright/test';
import { goToStep } from './a-visit';
import { packField, signedIn } from './application';
import { brokenOn } from './axe';

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
const sizes = [desk, phone];
/** Modes differ in colours alone: a screen is looked at whole, and then for its contrast in each of them. */
const otherModes = ['sun', 'dusk'];
const steps = ['arrive', 'bacteria-bottle', 'oxygen', 'clarity', 'flow', 'leave'];
/** Of the card that asks for everything, what the other has not. */
const more = ['conditions', 'nutrient-bottle', 'oxygen-titration', 'nitrate', 'disc', 'habitat'];

const check = async (page: Page, what: string, rules: string[] | null = null) =>
	expect((await brokenOn(page, rules)).map((broken) => `${what}: ${broken}`)).toEqual([]);

test('what is broken is seen', async ({ page }) => {
	await page.setContent('<html lang="en"><title>.</title><main><img src="x" /><p style="color: #ccc">pale</p></main>');
	expect((await brokenOn(page)).map((broken) => broken.split(':')[0])).toEqual(['color-contrast', 'image-alt']);
	expect((await brokenOn(page, ['color-contrast'])).map((broken) => broken.split(':')[0])).toEqual(['color-contrast']);
});

const baseOf = (page: Page) => page.url().replace(/\/[^/]+$/, '');

/** In halves, which go beside each other. */
const officeScreens = [
	[
		'/today',
		'/visits',
		'/vouchers',
		'/lab-reports',
		'/shipments',
		'/apart/blanks',
		'/library/schemes',
		'/library/animals/all',
		'/vouchers/names',
		'/library/schemes/example-score',
		'/apart',
		'/sites',
		'/sites/TE4?p=e-coli',
		'/sites/TE4?p=e-coli&view=table',
		'/sites/TE4/animals'
	],
	[
		'/sites/animals',
		'/sites/animals/counts',
		'/review',
		'/plan',
		'/library',
		'/library/sites',
		'/library/circuits/new',
		'/library/sites/import',
		'/library/cards',
		'/library/cards/stream-visit',
		'/sign-in'
	]
];

async function inEveryMode(page: Page, what: string, { width }: { width: number }) {
	await check(page, what);
	if (width !== desk.width) return;
	for (const mode of otherModes) {
		await page.evaluate((m) => (document.documentElement.dataset['mode'] = m), mode);
		await check(page, `${what}, ${mode}`, ['color-contrast']);
	}
}

for (const size of sizes) {
	for (const [half, paths] of officeScreens.entries())
		test(`office and sign-in at ${size.width}, half ${half + 1}`, async ({ browser }) => {
			const context = await browser.newContext({ storageState: signedIn('coordinator'), viewport: size });
			const page = await context.newPage();
			for (const path of paths) {
				await page.goto(path);
				await page.getByRole('heading', { level: 1 }).first().waitFor();
				await inEveryMode(page, path, size);
			}
			await context.close();
		});
	test(`a visit and a round’s day at ${size.width}`, async ({ browser }) => {
		const context = await browser.newContext({ storageState: signedIn('coordinator'), viewport: size });
		const page = await context.newPage();
		await page.goto('/review');
		await page.getByRole('table').getByRole('link').first().click();
		await page.getByRole('heading', { name: 'Logbook' }).waitFor();
		await inEveryMode(page, 'a visit', size);
		await page.goto('/plan');
		await page
			.getByRole('link', { name: /^Plan the day/ })
			.first()
			.click();
		await page.getByRole('group', { name: 'The day on a time line' }).waitFor();
		await inEveryMode(page, 'a round’s day', size);
		await context.close();
	});
}

for (const size of sizes)
	test(`the field app at ${size.width}`, async ({ browser }) => {
		const context = await browser.newContext({ storageState: signedIn('monitor'), viewport: size });
		const page = await context.newPage();
		await packField(page);
		await check(page, '/sample');
		await page.goto('/pack');
		await page.getByRole('link', { name: /round/ }).first().click();
		await page.getByText(/ of \d+ in/).waitFor();
		await check(page, 'a packing list');
		await page.goto('/sample');
		await page
			.getByRole('link', { name: /Go on at Ebbin 1/ })
			.first()
			.click();
		await page.locator('.tool').waitFor();
		for (const step of steps) {
			await goToStep(page, baseOf(page), step);
			await page.evaluate(() => scrollTo(0, document.body.scrollHeight)); // nothing half under the clock at the foot
			await check(page, step);
		}
		await page.getByRole('button', { name: /sent|kept/ }).click();
		await page.getByRole('dialog').waitFor();
		await check(page, 'what is kept');
		await page.goto('/sample');
		await page.getByText('A sheet from paper').click();
		await page.getByRole('button', { name: 'Type it in' }).waitFor();
		await page.getByText('Another site').click();
		await page.evaluate(() => scrollTo(0, 0)); // nothing half under the heading that stays
		await check(page, 'another site, a sheet from paper');
		await page.getByLabel('Card').selectOption({ label: 'Full visit, version 1' });
		await page.getByRole('button', { name: 'Start at Ebbin 2' }).last().click();
		await page.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
		for (const step of more) {
			await goToStep(page, baseOf(page), step);
			await page.evaluate(() => scrollTo(0, document.body.scrollHeight));
			await check(page, step);
		}
		await page.getByRole('button', { name: 'Who', exact: true }).click();
		await page.getByRole('dialog').waitFor();
		await check(page, 'who does what');
		await page.goto('/sample');
		await page.getByRole('link', { name: /^Open/ }).first().waitFor();
		const pick = page
			.getByRole('listitem')
			.filter({ hasText: /Tessel 2.*opened by SO/s })
			.getByRole('link', { name: 'Open' });
		await page.goto(`${await pick.first().getAttribute('href')}/sort`);
		await page.getByRole('button', { name: 'Another kind' }).click();
		await page.getByRole('button', { name: 'By what you see' }).click();
		// what was answered at another size is still there: whatever is asked now
		await page.locator('.states button').first().click();
		await page.getByRole('region', { name: 'What it may be' }).getByRole('listitem').first().waitFor();
		await check(page, 'the key');
		await page.getByRole('button', { name: 'By drawings' }).click();
		await page.getByRole('button', { name: /Acariformes/ }).waitFor();
		await check(page, 'drawings');
		await page.goto('/bench');
		await page.getByRole('link', { name: /^Read/ }).first().waitFor();
		await check(page, 'the bench');
		await page.getByRole('link', { name: /^Read/ }).first().click();
		await page.getByRole('article').first().waitFor();
		await check(page, 'plates');
		await context.close();
		const bench = await browser.newContext({ storageState: signedIn('bench'), viewport: size });
		const boxes = await bench.newPage();
		await boxes.goto('/bench');
		await boxes.getByRole('link', { name: 'Boxes for labs' }).click();
		await boxes.getByRole('region', { name: 'Bottles that wait' }).waitFor();
		await check(boxes, 'boxes');
		await bench.close();
	});
