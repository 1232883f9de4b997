import { expect, test, type Page } from '@playwright/test';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

test('a part of a page opens by keys; what was typed in it is there when it is opened again', async ({ page }) => {
	await page.goto('/sites');
	const opener = page.getByRole('heading', { name: 'Results as a file' }).getByRole('button');
	const from = page.getByLabel('From', { exact: true });
	await expect(opener).toBeEnabled();
	await expect(from).toBeHidden();
	await opener.focus();
	await page.keyboard.press('Enter');
	await expect(opener).toHaveAttribute('aria-expanded', 'true');
	await from.fill('1 April 2026');
	await from.press('Tab');
	await opener.press(' ');
	await expect(from).toBeHidden();
	await opener.press(' ');
	await expect(from).toHaveValue('1 Apr 2026');
	const file = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Download CSV' }).click();
	expect(new URL((await file).url()).searchParams.get('from')).toBe('2026-04-01');
});

test('without scripts it stands open', async ({ browser }) => {
	const context = await browser.newContext({ storageState: signedIn('coordinator'), javaScriptEnabled: false });
	const page = await context.newPage();
	await page.goto('/sites');
	await expect(page.getByRole('button', { name: 'Download CSV' })).toBeVisible();
	await context.close();
});

/** The scripts of the application come when they are let. */
async function withScriptsHeld(page: Page): Promise<() => void> {
	let letCome = () => {};
	const mayCome = new Promise<void>((come) => (letCome = come));
	await page.route('**/_app/immutable/**/*.js', async (route) => {
		await mayCome;
		await route.continue();
	});
	return letCome;
}

test('what is entered while the application is still on its way stays', async ({ page }) => {
	let letCome = await withScriptsHeld(page);
	await page.goto('/library/sites/new', { waitUntil: 'commit' });
	const permission = page.getByLabel('Landowner’s permission');
	await permission.selectOption('asked');
	const bridge = page.getByRole('group', { name: 'Ways to sample' }).getByLabel('bridge', { exact: true });
	await bridge.check();
	letCome();
	await expect(page.locator('input[type=hidden][name=ways]')).toHaveValue('bridge'); // the application knows of it
	await expect(bridge).toBeChecked();
	await expect(permission).toHaveValue('asked');

	letCome = await withScriptsHeld(page);
	await page.goto('/visits', { waitUntil: 'commit' });
	await page.getByLabel('From', { exact: true }).fill('1 April 2026');
	await page.getByLabel('To', { exact: true }).focus();
	letCome();
	await expect(page.locator('input[type=hidden][name=from]')).toHaveValue('2026-04-01');
});

test('the limits of a card stand folded, and open where one contradicts itself', async ({ page }) => {
	await page.goto('/library/cards/stream-visit');
	const limits = page.getByRole('heading', { name: 'Limits' }).getByRole('button');
	await expect(limits).toHaveAttribute('aria-expanded', 'false');
	await limits.click();
	const depth = page.getByRole('group', { name: 'Limits' }).getByRole('textbox').first();
	await depth.fill('none');
	await limits.click();
	await page.getByRole('button', { name: /^Save as version/ }).click();
	await expect(limits).toHaveAttribute('aria-expanded', 'true');
	await expect(depth).toHaveValue('none');
});

test('days are written as people write them; what is none stays, and is told', async ({ page }) => {
	await page.goto('/visits?from=2026-04-01');
	const [from, to] = [page.getByLabel('From', { exact: true }), page.getByLabel('To', { exact: true })];
	await expect(from).toHaveValue('1 Apr 2026');
	await to.fill('3/4/2026');
	await to.press('Tab');
	await expect(page.getByText('“3/4/2026” may be 3 Apr or 4 Mar: write the month as a word.')).toBeVisible();
	await expect(to).toHaveValue('3/4/2026');
	await page.getByRole('button', { name: 'Show', exact: true }).click();
	await expect(to).toBeFocused();
	await to.fill('30. April 2026');
	await page.getByRole('button', { name: 'Show', exact: true }).click();
	await page.waitForURL(/from=2026-04-01&to=2026-04-30/);
	await from.fill('2 April 2026');
	await from.press('Enter'); // sent by the key itself, before the field is left
	await page.waitForURL(/from=2026-04-02&to=2026-04-30/);
	await page.getByRole('button', { name: 'Calendar: To' }).click();
	await page.getByRole('button', { name: /29 April 2026/ }).click();
	await expect(to).toHaveValue('29 Apr 2026');
});
