import { expect, test } from '@playwright/test';
import { packField, signedIn } from './application';

test('a list is counted, ticked with no network, and two people tick at once', async ({ browser, viewport }) => {
	const crew = await browser.newContext({ storageState: signedIn('coordinator'), viewport });
	const page = await crew.newPage();
	await packField(page);
	await page.goto('/pack');
	await page.getByRole('link', { name: /Lower round/ }).click();
	await expect(page.getByRole('heading', { name: 'Lower round' })).toBeVisible();
	// 3 sites, a duplicate and a blank
	await expect(page.getByText('3 sites + 1 duplicate (TE5) + 1 blank (QU1)')).toBeVisible();
	await expect(page.getByRole('checkbox', { name: /^5 sterile bacteria bottles/ })).toBeVisible();
	await expect(page.getByText(/M-3 was calibrated for dissolved oxygen \d+ days before the round/)).toBeVisible();
	await expect(page.getByText(/M-3 got a new battery/)).toBeVisible();

	const address = page.url();
	const other = await crew.newPage();
	await crew.setOffline(true);
	await page.getByRole('checkbox', { name: /ice/ }).first().check();
	await expect(page.getByText(/Kept here; told to the others/)).toBeVisible();
	await page.goto(address); // from a cold start with no network
	await expect(page.getByRole('checkbox', { name: /on ice bacteria|kg ice/ }).first()).toBeChecked();
	await crew.setOffline(false);
	await expect(page.getByText('The others see it.')).toBeVisible();
	await other.close();

	const second = await browser.newContext({ storageState: signedIn('reviewer'), viewport });
	const theirs = await second.newPage();
	await packField(theirs);
	await theirs.goto(address);
	await expect(theirs.getByText(/^1 of \d+ in/)).toBeVisible();
	await theirs.getByRole('checkbox', { name: /pencils/ }).check();
	await expect(theirs.getByText('The others see it.')).toBeVisible();
	await page.goto(address);
	await expect(page.getByRole('checkbox', { name: /pencils/ })).toBeChecked();
	await expect(page.getByText(/^2 of \d+ in/)).toBeVisible();
	// who changes their mind at once is believed
	await page.getByRole('checkbox', { name: /pencils/ }).uncheck();
	await page.getByRole('checkbox', { name: /pencils/ }).check();
	await page.getByRole('checkbox', { name: /pencils/ }).uncheck();
	await expect(page.getByText('The others see it.')).toBeVisible();
	await theirs.goto(address);
	await expect(theirs.getByRole('checkbox', { name: /pencils/ })).not.toBeChecked();
	await crew.close();
	await second.close();
});

test('a label, typed or scanned, opens its bottle', async ({ browser, viewport }) => {
	const context = await browser.newContext({ storageState: signedIn('monitor'), viewport });
	const page = await context.newPage();
	await packField(page);
	const open = page.getByRole('button', { name: 'Open it' });
	const label = page.getByLabel(/A bottle’s label/);
	for (const [text, answer] of [
		['ice', /That is no label’s code/],
		['ZZ9-260514-B', /No site of this program is called ZZ9/],
		['TE5-260601-B', /That bottle is for Mon 1 Jun/]
	] as const) {
		await label.fill(text);
		await open.click();
		await expect(page.getByText(answer)).toBeVisible();
	}
	await page.goto('/sample?label=EB1-260514-B');
	await expect(label).toHaveValue('EB1-260514-B');
	await page
		.getByRole('link', { name: /at Ebbin 1/ })
		.first()
		.waitFor();
	await open.click();
	await expect(page.getByRole('heading', { name: 'Bacteria bottle' })).toBeVisible();
	await context.close();
});
