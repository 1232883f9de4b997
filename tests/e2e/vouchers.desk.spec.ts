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
		// what was taken for what, how to tell the two apart, and by whom
		await page.goto('/vouchers');
		await page.getByRole('link', { name: 'How often names are right' }).click();
		const pair = page.getByRole('listitem').filter({ hasText: 'was counted as net-spinning caddisfly Hydropsychidae' });
		await expect(pair).toContainText(/caddisfly Philopotamidae was counted as .*, once\./);
		await expect(pair).toContainText(/gills|brush|head/);
		await expect(page.getByRole('row').filter({ hasText: 'taken for Hydropsychidae' })).toContainText(/right/);
	});
});

test.describe('the shelf of kept animals', () => {
	test.use({ storageState: signedIn('bench') });

	test('says where each stands and who has it; it is topped up, lent, and comes back', async ({ page }) => {
		await page.goto('/vouchers');
		await page.getByRole('button', { name: 'lent', exact: true }).click();
		const lent = page.getByRole('row').filter({ hasText: 'Nell Sorrel has it since' });
		await expect(lent).toContainText('in ethanol, rack 1, upper row');
		await page.getByRole('button', { name: 'all', exact: true }).click();
		const row = page.getByRole('row').filter({ hasText: 'leech' });
		await row.getByRole('button', { name: 'Shelf' }).click();
		await row.getByLabel('Where it stands').fill('rack 2');
		await row.getByRole('button', { name: 'Keep', exact: true }).click();
		await expect(row).toContainText('in ethanol, rack 2');
		await row.getByRole('button', { name: 'Topped up today' }).click();
		await expect(row).toContainText('topped up on Thu 14 May 2026');
		await row.getByLabel('Lent to').fill('a school in Ostrel');
		await row.getByRole('button', { name: 'Lend', exact: true }).click();
		await expect(row).toContainText('a school in Ostrel has it since Thu 14 May 2026');
		await row.getByRole('button', { name: 'It is back' }).click();
		await expect(row).not.toContainText('has it since');
		// a slip is struck in the visit's logbook like any other line; the loan stays readable there
		await row.getByRole('link').click();
		await expect(page.getByText('a school in Ostrel').first()).toBeAttached();
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
		await expect(page.getByRole('button', { name: 'Shelf' })).toHaveCount(0);
		const shelf = await page.request.post('/vouchers?/keep', {
			form: { visitId: crypto.randomUUID(), voucher: 'v', deed: 'top-up' },
			headers: { origin: new URL(page.url()).origin }
		});
		expect(await shelf.text()).toContain('for the bench and the coordinator');
	});
});
