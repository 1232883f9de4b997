import { expect, test } from '@playwright/test';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

/* The demo's clock stands at Thursday, 14 May 2026, 11:20; its lab is two working days away. */

test('a box is packed, leaves, arrives; who had it stands with each visit; a slip is struck', async ({ page }) => {
	await page.goto('/today');
	await expect(page.getByText('to be sent to a lab')).toBeVisible();
	await page.goto('/shipments');
	const waits = page.locator('form').filter({ has: page.getByLabel('They go to') });
	await expect(waits.getByText(/at the lab on Mon 18 May, and stands in a depot over the weekend/)).toBeVisible();
	// what is filled for bacteria is not for this lab
	await expect(waits.getByText('bacteria, sterile')).toHaveCount(0);
	const bottle = waits.getByRole('checkbox', { name: 'Into the box: EB2-2605-N' });
	await expect(bottle).toBeChecked();
	for (const other of await waits.getByRole('checkbox').all())
		if ((await other.getAttribute('aria-label')) !== 'Into the box: EB2-2605-N') await other.uncheck();
	await waits.getByRole('button', { name: 'Pack 1 bottle' }).click();

	await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^S260514-\d+ to Ostrel laboratory$/);
	const code = (await page.getByRole('heading', { level: 1 }).textContent())!.split(' ')[0]!;
	const inside = page.getByRole('listitem').filter({ hasText: 'EB2-2605-N' });
	await expect(inside).toContainText('Nobody noted it on ice: is it cold?');
	await expect(inside).toContainText('When it comes to the lab: held 4 days, its limit is 48 h');
	// quick thumbs: none of five ticks takes another back
	let kept = 0;
	page.on('response', (r) => {
		if (r.url().endsWith('?/pack') && r.ok()) kept += 1;
	});
	await page.evaluate(() =>
		document.querySelectorAll<HTMLInputElement>('input[name=isDone]').forEach((t) => t.click())
	);
	await expect(page.getByRole('button', { name: 'Hand over 1 bottle', exact: true })).toBeVisible();
	await expect.poll(() => kept).toBe(5);
	await page.reload();
	await expect(page.getByRole('checkbox', { checked: true })).toHaveCount(5);

	const paper = await page.request.get(`${page.url()}/papers.pdf`);
	expect(paper.headers()['content-type']).toBe('application/pdf');
	expect((await paper.body()).subarray(0, 5).toString()).toBe('%PDF-');

	await page.getByLabel('Taken by').fill('Fell and Moor carriers');
	await page.getByLabel('When').fill('2026-05-14T09:00');
	await page.getByRole('button', { name: 'Hand over 1 bottle' }).click();
	await expect(page.getByRole('alert')).toContainText('A bottle in it was filled after that');
	await expect(page.getByLabel('Taken by')).toHaveValue('Fell and Moor carriers');
	await page.getByLabel('Seal number').fill('551');
	await page.getByLabel('When').fill('2026-05-14T11:00');
	await page.getByRole('button', { name: 'Hand over 1 bottle' }).click();
	await expect(page.getByText(/Expected at Ostrel laboratory on Mon 18 May/)).toBeVisible();

	const visit = page.getByRole('link', { name: 'EB2-2605-N' });
	await visit.click();
	await expect(page.getByText(`Box ${code} to Ostrel laboratory`).first()).toBeVisible();
	await page.goBack();

	await page.getByLabel('Temperature in the box').fill('4,5');
	await page.getByLabel('When').fill('2026-05-14T11:15');
	await page.getByRole('button', { name: 'It has arrived' }).click();
	await expect(page.getByText(/Arrived on Thu 14 May, 11:15, at 4.5 °C/)).toBeVisible();
	await expect(page.getByText('EB2-2605-N').locator('..')).toContainText('not reported yet');

	await page.getByRole('button', { name: 'It has not arrived: strike that' }).click();
	await page.getByRole('button', { name: 'It has not left: strike that' }).click();
	await page.getByRole('button', { name: /^Unpack it/ }).click();
	await expect(page.getByRole('checkbox', { name: 'Into the box: EB2-2605-N' })).toBeVisible();
});

test('a day that is none, a temperature that is none, a box that is none: kind words', async ({ page }) => {
	await page.goto('/shipments');
	await page.getByRole('link', { name: /^It has arrived.*S260513-1$/ }).click();
	await page.getByLabel('Temperature in the box').fill('350');
	await page.getByRole('button', { name: 'It has arrived' }).click();
	await expect(page.getByRole('alert')).toContainText('temperature over 60 °C is not possible');
	await page.getByLabel('Temperature in the box').fill('cold');
	await page.getByRole('button', { name: 'It has arrived' }).click();
	await expect(page.getByRole('alert')).toContainText('a number, or nothing');
	const none = await page.goto('/shipments/not-a-box');
	expect(none!.status()).toBe(404);
});
