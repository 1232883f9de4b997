import { expect, test } from '@playwright/test';
import { packField, signedIn } from './application';
import { startAt } from './a-visit';

test.use({ storageState: signedIn('monitor') });

test('a plate stack is told by its tag with no network, and nobody asks for it again once it is lifted', async ({
	page,
	context,
	browser
}) => {
	const office = await (await browser.newContext({ storageState: signedIn('coordinator') })).newPage();
	await office.goto('/library/samplers/new');
	await office.getByLabel(/^Code/).fill('PS-7');
	await office.getByRole('combobox', { name: /^Site/ }).fill('HO2');
	await office.locator('.choose-from-list:visible [role=option]', { hasText: 'HO2' }).first().click();
	await office.getByLabel(/^Kind/).selectOption('plate stack');
	await office.getByLabel(/^Put out on/).fill('2026-04-04');
	await office.getByRole('button', { name: 'Save' }).click();
	await office.waitForURL('/library/samplers');
	const row = office.getByRole('row').filter({ hasText: 'PS-7' });
	await expect(row).toBeVisible();

	await packField(page);
	await context.setOffline(true);
	const visit = await startAt(page, 'Hobbin 2', 'Animals, plate stack, version 1');
	await page.goto(`${visit}/stack`);
	await page.getByRole('button', { name: 'PS-7, set Sat 4 Apr' }).click();
	await page.getByRole('button', { name: 'found, as it was set' }).click();
	await expect(page.getByRole('status').filter({ hasText: '40 days in the water' })).toBeVisible();
	await page.getByRole('button', { name: 'It is in the tub' }).click();
	await expect(page.getByRole('button', { name: 'It is in the tub' })).toHaveCount(0);
	await context.setOffline(false);
	await page.getByRole('button', { name: 'all sent' }).waitFor();

	await office.goto('/library/samplers');
	await expect(office.getByRole('row').filter({ hasText: 'LB-4' })).toBeVisible();
	await expect(row).toHaveCount(0); // lifted ones are shown when asked for
	await office.context().close();
});
