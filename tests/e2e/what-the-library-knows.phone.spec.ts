import { expect, test } from '@playwright/test';
import { packField, signedIn } from './application';

test('the phone tells on arrival what the library knows of the place, with no network', async ({
	browser,
	viewport
}) => {
	const context = await browser.newContext({ storageState: signedIn('coordinator'), viewport });
	const page = await context.newPage();
	await packField(page);
	await context.setOffline(true);
	await page.getByText('Another site').click();
	await page.getByRole('button', { name: 'Start at Hobbin 2' }).last().click();
	await expect(page.getByText(/The landowner’s permission ended on 2026-05-02\./)).toBeVisible();
	await page.getByText('This place: photo, getting here, upstream').click();
	await expect(page.getByText('From the ford, looking down.')).toBeVisible();

	await page.goto('/sample');
	await page.getByText('Another site').click();
	await page.getByRole('button', { name: 'Start at Quarl 1' }).last().click();
	await expect(page.getByText('Nobody wades here: bank or pole.')).toBeVisible();
	await context.close();
});

test('a site’s own wading limit goes before the card’s', async ({ browser, viewport }) => {
	const context = await browser.newContext({ storageState: signedIn('coordinator'), viewport });
	const page = await context.newPage();
	await packField(page);
	await page.getByText('Another site').click();
	await page.getByRole('button', { name: 'Start at Tessel 3' }).last().click();
	await page.getByLabel('Speed there').fill('0.1');
	await page.getByLabel('Depth at the edge').fill('0.24');
	await page.getByLabel('Speed there').focus();
	await expect(page.getByText('Not over the limit')).toBeVisible();
	await page.getByLabel('Depth at the edge').fill('0.28'); // the card would still let them in: it is slow
	await page.getByLabel('Speed there').focus();
	await expect(page.getByText(/over the limit \(.*or here deeper than 0\.25 m/)).toBeVisible();
	await context.close();
});
