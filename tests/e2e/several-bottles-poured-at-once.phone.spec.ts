import { expect, test } from '@playwright/test';
import { packField, signedIn } from './application';

test.use({ storageState: signedIn('bench') });

test('bottles of several visits are poured in one go, as the card and their sites say, with no network', async ({
	page,
	context
}) => {
	await packField(page);
	await context.setOffline(true); // to the end: what is poured here is this test's alone
	await page.goto('/bench');
	const waiting = page.getByRole('region', { name: 'Bottles to pour' });
	await waiting.getByText('Pour several in one go').click();
	const several = page.getByRole('form', { name: 'Pour several bottles' });
	const pour = several.getByRole('button', { name: /^Poured now/ });
	await expect(pour).toBeVisible(); // fetched when it is first opened
	const bottles = several.locator('label');
	const all = await bottles.count();
	expect(all).toBeGreaterThan(2);
	await expect(pour).toHaveText(new RegExp(`of ${all} bottles$`));
	for (const line of (await bottles.all()).slice(2)) await line.getByRole('checkbox').uncheck();
	await expect(pour).toHaveText('Poured now: 4 plates of 2 bottles');
	// looked at later, those that were taken out are still out
	await waiting.getByText('Pour several in one go').click();
	await expect(several).toBeHidden();
	await waiting.getByText('Pour several in one go').click();
	await expect(pour).toHaveText('Poured now: 4 plates of 2 bottles');
	const labels = await bottles.locator('b').allTextContents();
	await expect(bottles.first()).toContainText(/[\d.]+ mL on -1 and [\d.]+ mL on -2/);
	await pour.click();

	const growing = page.getByRole('region', { name: 'Growing' });
	for (const label of labels.slice(0, 2)) {
		await expect(waiting.getByText(label, { exact: true })).toHaveCount(0);
		await expect(growing.getByRole('listitem').filter({ hasText: `${label}-1, -2 too early` })).toBeVisible();
	}
	await expect(waiting.getByText(labels[2]!, { exact: true }).first()).toBeVisible();
	// the phone dies: they stand as they were poured
	await page.reload();
	await expect(growing.getByRole('listitem').filter({ hasText: `${labels[0]}-1, -2` })).toBeVisible();
});
