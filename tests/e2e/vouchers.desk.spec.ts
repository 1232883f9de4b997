import { expect, test } from '@playwright/test';
import { signedIn } from './application';

test.describe('kept animals', () => {
	test.use({ storageState: signedIn('reviewer') });

	test('are named again by a reviewer, and the visit counts under that name', async ({ page }) => {
		await page.goto('/vouchers');
		const labels = page.getByRole('link', { name: 'Labels for their vials (PDF)' });
		await expect(labels).toHaveAttribute('href', '/vouchers/labels.pdf');
		await page.getByRole('button', { name: 'nobody looked yet' }).click();
		const pdf = await page.request.get((await labels.getAttribute('href'))!);
		expect([pdf.status(), pdf.headers()['content-type'], pdf.url()]).toEqual([
			200,
			'application/pdf',
			expect.stringContaining('?shown=new')
		]);
		expect((await page.request.get('/vouchers/labels.pdf?shown=everything')).status()).toBe(400);
		const row = page.getByRole('row').filter({ hasText: 'net-spinning caddisfly' });
		const label = await row.locator('b').first().textContent();
		await row.getByRole('button', { name: 'Name it' }).click();
		// words that are no kind are refused, and said so at the row
		await row.getByRole('button', { name: 'Keep' }).click();
		await expect(row.getByRole('alert')).toHaveText('Choose one of the names in the list.');
		await row.getByRole('combobox').fill('Philopot');
		await page.locator('.choose-from-list:visible [role=option]').first().click();
		await row.getByRole('button', { name: 'Keep' }).click();
		await page.getByRole('button', { name: 'another name' }).click();
		const named = page.getByRole('row').filter({ hasText: label! });
		await expect(named).toContainText('RH: caddisfly Philopotamidae');
		await named.getByRole('link').click();
		await expect(
			page.getByText(`Voucher ${label} was counted as Hydropsychidae and is Philopotamidae by those who looked again`)
		).toBeVisible();
	});
});

test.describe('somebody who may only see', () => {
	test.use({ storageState: signedIn('monitor') });

	test('reads what was said of the own kept animals and cannot say otherwise', async ({ page }) => {
		await page.goto('/vouchers');
		await expect(page.getByRole('heading', { name: 'Vouchers' })).toBeVisible();
		await expect(page.getByRole('button', { name: 'Name it' })).toHaveCount(0);
		const answer = await page.request.post('/vouchers?/name', {
			form: { visit: crypto.randomUUID(), voucher: 'v', taxon: 'Baetidae' },
			headers: { origin: new URL(page.url()).origin }
		});
		expect(await answer.text()).toContain('for reviewers and coordinators');
	});
});
