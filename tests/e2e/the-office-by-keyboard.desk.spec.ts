import { expect, test } from '@playwright/test';
import { signedIn } from './application';

test.describe('a coordinator with no mouse', () => {
	test.use({ storageState: signedIn('coordinator') });

	test('goes from Today to a site, its chart, its table, its CSV and a visit', async ({ page }) => {
		await page.goto('/today');
		await expect(page.getByRole('heading', { name: 'Next' })).toBeVisible();
		await expect(page.getByRole('link', { name: /^Quarl 1, late/ })).toBeVisible();
		await page.getByRole('button', { name: /Keys/ }).waitFor();
		await page.keyboard.press('?');
		await expect(page.getByRole('dialog')).toContainText('This list');
		await page.keyboard.press('Escape');
		await expect(page.getByRole('dialog')).toHaveCount(0);
		await page.keyboard.press('6');
		await expect(page).toHaveURL(/\/sites$/);
		const site = page.getByRole('link', { name: 'Quarl 1' });
		await site.focus();
		await page.keyboard.press('Enter');
		await expect(page.getByRole('heading', { level: 1 })).toContainText('Quarl 1');
		await expect(page.locator('.chart.drawn svg')).toBeVisible();
		await page.keyboard.press('t');
		await expect(page.getByRole('columnheader', { name: 'Oxygen saturation' })).toBeVisible();
		await expect(page.locator('.chart')).toHaveCount(0);
		await page.keyboard.press('t');
		await expect(page.locator('.chart.drawn svg')).toBeVisible();
		await page.getByRole('link', { name: 'Nitrite', exact: true }).focus();
		await page.keyboard.press('Enter');
		await expect(page).toHaveURL(/p=nitrite/);
		const csv = await page.request.get(`/sites/QU1/series.csv?${new URL(page.url()).searchParams.toString()}`);
		const lines = (await csv.text()).trim().split('\n');
		expect(lines[0]).toContain('site,parameter,at,value_mg_L_N,qualifier,expanded_uncertainty_mg_L_N,review,visit');
		expect(lines.length).toBeGreaterThan(25);
		await page.getByRole('list').last().getByRole('link').first().focus();
		await page.keyboard.press('Enter');
		await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible();
	});

	test('non-detects are told as such, in the table and the CSV', async ({ page }) => {
		await page.goto('/sites/TE1?p=nitrite&view=table');
		await expect(page.getByRole('cell', { name: /^below 0\.010 mg\/L as N$/ }).first()).toBeVisible();
		const csv = await (await page.request.get('/sites/TE1/series.csv?p=nitrite&span=all')).text();
		expect(csv).toMatch(/,0\.01,below,/);
	});
});

test.describe('before scripts load', () => {
	test.use({ storageState: signedIn('reviewer'), javaScriptEnabled: false });

	test('the office is read and a result is judged', async ({ page }) => {
		await page.goto('/today');
		await expect(page.getByRole('heading', { name: 'Next' })).toBeVisible();
		await page.goto('/sites/EB1?view=table');
		await expect(page.getByRole('columnheader', { name: 'Oxygen saturation' })).toBeVisible();
		await page.goto('/review');
		await page
			.getByRole('row', { name: /Ebbin 2/ })
			.first()
			.getByRole('link')
			.click();
		const air = page.locator('tr#air-temperature');
		await air.getByLabel('Qualify').check();
		await page.getByRole('button', { name: /^Save/ }).click();
		await expect(air.getByRole('alert')).toHaveText(/needs a reason/);
		await expect(air.getByLabel('Qualify')).toBeChecked();
		await air.getByLabel('Reason, for Air temperature').fill('thermometer in the sun');
		await page.getByRole('button', { name: /^Save/ }).click();
		await expect(air).toContainText('Qualified by Runa Halstow');
	});
});

test.describe('a viewer', () => {
	test.use({ storageState: signedIn('viewer') });

	test('sees reviewed results only, and no logbook', async ({ page }) => {
		await page.goto('/sites/EB2?p=air-temperature&view=table');
		await expect(page.getByRole('columnheader', { name: 'Air temperature' })).toBeVisible();
		await expect(page.getByRole('cell', { name: 'waits' })).toHaveCount(0);
		await expect(page.getByRole('heading', { name: 'Last visits' })).toHaveCount(0);
	});
});
