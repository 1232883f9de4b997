import { expect, test, type Page } from '@playwright/test';
import { packField, signedIn } from './application';
import { startAt } from './a-visit';

test.use({ storageState: signedIn('coordinator') });

/** One of a long list is found by typing. */
async function choose(page: Page, field: RegExp, name: string) {
	await page.getByRole('combobox', { name: field }).fill(name);
	await page.locator('.choose-from-list:visible [role=option]', { hasText: name }).first().click();
}
const listed = (page: Page) => page.getByRole('status').filter({ hasText: /^\d+ kinds?$/ });

test('a kind that is shipped is found by any name, and what is said otherwise of it begins as it is', async ({
	page
}) => {
	await page.goto('/library/animals');
	await page.getByRole('link', { name: 'All kinds of animals' }).click();
	await page.getByLabel('Find a kind by any of its names').fill('tanypodinae');
	await expect(listed(page)).toHaveText('1 kind');
	await expect(page.getByRole('listitem').filter({ hasText: 'Chironomidae' })).toContainText(
		/Mean tolerance of the animals\s*6/
	);
	await page.getByRole('link', { name: 'Change Chironomidae', exact: true }).click();
	await expect(page.getByLabel(/^Scientific name/)).toHaveValue('Chironomidae');
	await expect(page.getByLabel(/^Called/)).toHaveValue('midge');
	// a slip is met at its field before anything is kept
	await page.getByLabel(/^Tolerance/).fill('60');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Tolerance lies between 0 and 10; 60 does not.').first()).toBeVisible();
});

test('a kind of the program’s own is counted with no network; joined meanwhile, it counts as the other', async ({
	page,
	browser
}) => {
	await page.goto('/library/animals/new');
	await page.getByLabel(/^Scientific name/).fill('Drunella');
	await page.getByLabel(/^Called/).fill('spiny crawler');
	await page.getByLabel(/^Rank/).selectOption('genus');
	await choose(page, /^Belongs to/, 'Ephemerellidae');
	await page.getByLabel(/^How to tell it/).fill('Stout, with teeth along the front of its thighs.');
	// what the key does not ask is met with what it asks
	const shows = page.getByLabel(/^In the key it shows/);
	await shows.fill('body form: stout');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText(/“body form” is nothing that the key asks\. It asks for: shape of body;/)).toBeVisible();
	await shows.fill('shape of body: thick-set insect; back: bumps in two rows');
	await page.getByRole('button', { name: 'Save' }).click();
	await page.waitForURL('/library/animals');
	await expect(page.getByRole('row').filter({ hasText: 'Drunella' })).toContainText('spiny crawler');

	const phone = await browser.newContext({ storageState: signedIn('monitor'), viewport: { width: 390, height: 844 } });
	const field = await phone.newPage();
	await packField(field);
	await phone.setOffline(true);
	const visit = await startAt(field, 'Tessel 3', 'Animals, version 1');
	await field.goto(`${visit}/sort`);
	await field.getByRole('button', { name: 'Another kind' }).click();
	await field.getByRole('searchbox', { name: 'Which kind?' }).fill('crawler');
	await field.getByRole('button', { name: /^spiny crawler Drunella/ }).click();
	await field.getByRole('button', { name: 'spiny crawler, Drunella: 1' }).click();
	await expect(field.getByRole('button', { name: 'spiny crawler, Drunella: 2' })).toBeVisible();
	// whoever looks for its family is shown that it is told apart here, and how
	await field.getByRole('button', { name: 'Another kind' }).click();
	await field.getByRole('button', { name: 'By drawings' }).click();
	await expect(field.getByRole('button', { name: /Drunella/ })).toBeVisible();
	await field.getByRole('button', { name: /^\S.* Ephemerellidae$/ }).click();
	const card = field.getByRole('article', { name: /Ephemerellidae/ });
	await expect(card).toContainText('Told apart here');
	await expect(card).toContainText('teeth along the front of its thighs');
	await card.getByRole('button', { name: 'spiny crawler Drunella' }).click();
	await expect(field.getByRole('button', { name: 'spiny crawler, Drunella: 3' })).toBeVisible();

	await page.getByRole('link', { name: 'Drunella' }).click();
	await choose(page, /^Joined to/, 'Ephemerellidae');
	await page.getByLabel(/^Why, and who says so/).fill('cannot be told from it at a tray');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await page.goto('/library/animals/all');
	await expect(page.getByText('Drunella counts as mayfly, Ephemerellidae: cannot be told from it')).toBeVisible();

	// the phone, with a network again, takes the new list; nothing that was counted is lost
	await phone.setOffline(false);
	await field.reload();
	await expect(field.getByRole('button', { name: /Ephemerellidae: 3$/ })).toBeVisible();
	await expect(field.getByRole('button', { name: /Drunella/ })).toHaveCount(0);
	await phone.close();
});
