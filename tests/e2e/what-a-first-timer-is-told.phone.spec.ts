import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { fullVisit, measure, tap } from './a-visit';
import { keep, packField, signedIn } from './application';

test.use({ storageState: signedIn('monitor') });

test('a composite takes more where more flows', async ({ page }) => {
	const step = await fullVisit(page, 'Hobbin 1');
	await step('nutrient-bottle');
	await tap(page, 'composite across the stream');
	await expect(page.getByText('Tag line across, ten equal widths, the middle of each.')).toBeVisible();
	await expect(page.getByText(/Note the edges of the water in the gauging/)).toBeVisible();
	const vertical = (n: number) => page.getByRole('button', { name: new RegExp(`^vertical ${String(n)}\\b`) });
	for (let n = 1; n <= 10; n++) {
		await vertical(n).click();
		await measure(page, 'depth', n === 2 ? '0.4' : '0.2');
		await measure(page, 'speed', n === 2 ? '0,3' : '0.1');
		if (n === 1) await expect(vertical(1)).toHaveText('vertical 1: 8000 mL as far as known');
	}
	// 0.02 each of nine, 0.12 of the second: 8000 mL × 0.02 / 0.3, and × 0.12 / 0.3
	await expect(vertical(1)).toHaveText('vertical 1: 533 mL');
	await expect(vertical(2)).toHaveText('vertical 2: 3200 mL');
	await tap(page, 'take vertical 1');
	await expect(page.getByText(/1 of 10 taken/)).toBeVisible();
	await expect(vertical(1)).toHaveText('vertical 1: 533 mL taken');
	await measure(page, 'Churn holds, mL (8000 where nothing is said)', '4000');
	await expect(vertical(2)).toHaveText('vertical 2: 1600 mL'); // the first stays as it was poured
	await step('flow');
	await page.locator('#flow-cell').focus();
	await keep(page, '1');
	await page.getByRole('textbox', { name: /^Far edge of the water/ }).click();
	await keep(page, '5');
	await step('nutrient-bottle');
	await expect(page.getByRole('button', { name: 'vertical 1, at 1.2 m: 533 mL taken' })).toBeVisible();
});

test('a duplicate without its partner is asked about; a bottle is not labelled twice', async ({ page }) => {
	const step = await fullVisit(page, 'Hobbin 1');
	await step('bacteria-bottle');
	await expect(page.getByText('Sterile: never rinsed.')).toBeVisible();
	await tap(page, 'Filled just now');
	await tap(page, 'add a duplicate');
	await tap(page, 'its duplicate');
	await expect(page.getByText('Same place, same hand, at once after the first.')).toBeVisible();
	const code = page.getByLabel('Code on the label');
	const own = await code.inputValue();
	expect(own).toMatch(/-BD$/);
	await code.fill(own.replace(/D$/, ''));
	await expect(page.getByText('Another bottle of this visit carries that label already.')).toBeVisible();
	await code.fill(own);
	await page.evaluate(() => {
		const press = (word: string) =>
			[...document.querySelectorAll('button')].find((b) => b.textContent.trim() === word)?.click();
		press('Filled just now');
		press('the sample, filled'); // the hand is at the other bottle before the disk has the first line
	});
	await expect(page.getByRole('button', { name: 'its duplicate, filled', exact: true })).toBeVisible();
	await tap(page, 'Strike the time of filling');
	await tap(page, 'misread');
	await tap(page, /^its duplicate/);
	await expect(page.getByText(/left, .*-BD/).first()).toBeVisible(); // its clock runs on
});

test('not sampled, and why, is a proper result', async ({ page }) => {
	const step = await fullVisit(page, 'Hobbin 1');
	await tap(page, 'thunder, storm');
	await page.getByText('Leave', { exact: true }).click();
	await page.getByLabel('Not sampled, because').fill('Thunder over the ridge.');
	await page.getByLabel('Not sampled, because').blur();
	await step('leave');
	await expect(page.getByText('Nothing is missing.')).toBeVisible(); // nothing is asked for any more
	await tap(page, 'Checked, we are leaving');
	await expect(page.getByText(/^Left at/)).toBeVisible();
	await step('arrive');
	await expect(page.getByText('Not sampled: Thunder over the ridge.')).toBeVisible();
});

test('a step done out of turn is told before, and marked after, with what it means', async ({ page }) => {
	const step = await fullVisit(page, 'Hobbin 1');
	await step('water-temperature');
	await expect(page.locator('p.say', { hasText: 'Air temperature comes first' })).toContainText(
		'a wet thermometer reads low'
	);
	await page.locator('.slots input').first().focus();
	await keep(page, '11.2');
	await expect(page.getByText(/comes first/)).toHaveCount(0); // it was said once; nobody is held up
	await step('air-temperature');
	await page.locator('.slots input').first().focus();
	await keep(page, '14.5');
	await step('water-temperature');
	await expect(page.getByText(/Water temperature was done before air temperature\..*wet thermometer/)).toBeVisible();
});

test('in a round the phone knows the next stop and the slack at the lab, with no network', async ({ page }) => {
	await packField(page);
	await page.context().setOffline(true);
	await page
		.getByRole('link', { name: /Go on at Ebbin 1/ })
		.first()
		.click();
	await page.locator('.tool').waitFor();
	await page.goto(page.url().replace(/[^/]+$/, 'leave'));
	const ahead = page.locator('p.say', { hasText: /Next: .*, there by \d\d:\d\d\.|That was the last stop\./ });
	await expect(ahead).toContainText(/At .* by \d\d:\d\d: .*(reached at \d\d:\d\d, with .* to spare|too late)/);
});

for (const screen of ['/sample', '/bench'])
	test(`${screen} says that it packs while it does, and asks to sign in only who has not`, async ({
		page,
		browser
	}) => {
		let letGo = () => {};
		const held = new Promise<void>((resolve) => (letGo = resolve));
		await page.route('**/api/satchel', async (route) => {
			await held;
			await route.continue();
		});
		await page.goto(screen);
		await expect(page.getByText('Packing sites, method cards and instruments.')).toBeVisible();
		await expect(page.getByRole('link', { name: 'Sign in' })).toHaveCount(0);
		letGo();
		await expect(page.getByRole('heading', { name: 'Nothing is packed yet' })).toHaveCount(0);
		const stranger = await browser.newContext({ storageState: { cookies: [], origins: [] } });
		const theirs = await stranger.newPage();
		await theirs.goto(screen);
		await expect(theirs.getByRole('link', { name: 'Sign in' })).toHaveAttribute('href', `/sign-in?to=${screen}`);
		await stranger.close();
	});

test.describe('with no worker that keeps the application on the device', () => {
	test.use({ serviceWorkers: 'block' });

	const fileOf = (part: string): string => {
		const built = readFileSync('.svelte-kit/output/client/.vite/manifest.json', 'utf8');
		const scripts = Object.values(JSON.parse(built) as Record<string, { file: string; name?: string }>);
		const [found, other] = scripts.filter((s) => s.name === part && s.file.endsWith('.js'));
		if (!found || other) throw new Error(`not one script is named ${part}`);
		return found.file;
	};
	const theVisit = async (page: Page): Promise<string> => {
		await page.goto('/sample');
		const pick = page.getByRole('listitem').filter({ hasText: /Tessel 2.*opened by SO/s });
		return (await pick.getByRole('link', { name: 'Open' }).first().getAttribute('href'))!;
	};
	const toldOn = (page: Page) => page.getByText(/^A part of the application did not come to this device\./);

	for (const [what, part, open] of [
		['kinds of animals', 'KindPicker', 'Another kind'],
		['steps', 'VisitPanel', 'Who']
	] as const)
		test(`${what} that did not come are told where they were asked for; what is there stays`, async ({ page }) => {
			const file = fileOf(part);
			await page.route(`**/${file}`, (route) => route.abort());
			await page.goto(`${await theVisit(page)}/sort`);
			const tray = page.getByRole('list', { name: 'Compartments' });
			await expect(tray.getByRole('button').nth(2)).toBeVisible();
			const kinds = await tray.getByRole('button').count();
			await page.getByRole('button', { name: open, exact: true }).click();
			await expect(toldOn(page)).toContainText('What you write is kept.');
			await expect(tray.getByRole('button')).toHaveCount(kinds);
			await page.unroute(`**/${file}`);
			await page.reload();
			await page.getByRole('button', { name: open, exact: true }).click();
			await expect(page.getByRole('searchbox').or(page.getByRole('dialog')).first()).toBeVisible();
			await expect(toldOn(page)).toHaveCount(0);
		});

	test('that a part did not come is said until it was read', async ({ page }) => {
		await page.route(`**/${fileOf('VisitPanel')}`, (route) => route.abort());
		await page.goto(`${await theVisit(page)}/arrive`);
		await page.getByRole('button', { name: 'Who', exact: true }).click();
		await expect(toldOn(page)).toBeVisible();
		await page.getByRole('button', { name: 'OK', exact: true }).click();
		await expect(toldOn(page)).toHaveCount(0);
	});

	test('a part that did not come is told, with what to do; a tray can be counted without it', async ({ page }) => {
		const file = fileOf('evaluate');
		await page.route(`**/${file}`, (route) => route.abort());
		const visit = await theVisit(page);
		const told = toldOn(page);
		for (const screen of [visit, `${visit}/arrive`, visit.replace('/sample', '/bench')]) {
			await page.goto(screen);
			await expect(told).toBeVisible();
		}
		await page.goto(`${visit}/sort`);
		await expect(page.getByRole('list', { name: 'Compartments' })).toBeVisible();
		await expect(told).toContainText('What you write is kept.');
		await page.unroute(`**/${file}`);
		await page.reload();
		await expect(page.getByRole('list', { name: 'Compartments' })).toBeVisible();
		await expect(told).toHaveCount(0);
	});
});
