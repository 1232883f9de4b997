import { expect, test } from '@playwright/test';
import { packField, signedIn } from './application';
import { startAt } from './a-visit';

test.use({ storageState: signedIn('monitor') });

test('a plate stack is told by its tag with no network, and nobody asks for it again once it is lifted', async ({
	page,
	context,
	browser
}) => {
	await packField(page);
	await context.setOffline(true);
	const visit = await startAt(page, 'Tessel 4', 'Animals, plate stack, version 1');
	await page.goto(`${visit}/stack`);
	await page.getByRole('button', { name: /^PS-2, set / }).click();
	await page.getByRole('button', { name: 'found, as it was set' }).click();
	await expect(page.getByRole('status').filter({ hasText: '40 days in the water' })).toBeVisible();
	await page.getByRole('button', { name: 'It is in the tub' }).click();
	await expect(page.getByRole('button', { name: 'It is in the tub' })).toHaveCount(0);
	await context.setOffline(false);
	await page.getByRole('button', { name: 'all sent' }).waitFor();

	const office = await (await browser.newContext({ storageState: signedIn('coordinator') })).newPage();
	await office.goto('/library/samplers');
	await expect(office.getByRole('row').filter({ hasText: 'LB-4' })).toBeVisible();
	await expect(office.getByRole('row').filter({ hasText: 'PS-2' })).toHaveCount(0); // lifted ones are shown when asked for
	await office.context().close();
});
