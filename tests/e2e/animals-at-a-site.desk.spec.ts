import { expect, test } from '@playwright/test';
import { shippedAnimals } from '../../src/lib/core/macroinvertebrates';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

test('the animals of a site stand beside each other through the years, and the index is theirs', async ({ page }) => {
	await page.goto('/sites/TE4?p=taxa-richness');
	await page.getByRole('link', { name: 'animals through the years' }).click();
	await expect(page.getByRole('heading', { name: 'Animals at Tessel 4' })).toBeVisible();
	await expect(
		page.getByText(/^The family biotic index (rose by|fell by|of .* differ by) \d\.\d\d ± \d\.\d\d/)
	).toBeVisible();
	const table = page.getByRole('table').first();
	const samplings = (await table.getByRole('columnheader').count()) - 1;
	expect(samplings).toBeGreaterThanOrEqual(6);

	// the mean tolerance of the last column's animals, worked out again from what the table shows
	const rows = await table
		.locator('tbody')
		.last()
		.locator('tr:not(.order)')
		.evaluateAll((all) =>
			all.map((row) => ({
				code: row.querySelector('th small')!.textContent.split(',')[0]!,
				count: Number(row.querySelector('td:last-child')!.textContent)
			}))
		);
	const rated = rows.flatMap(({ code, count }) => {
		const tolerance = shippedAnimals.of(code)?.tolerance;
		return tolerance == null ? [] : [{ tolerance, count }];
	});
	const animals = rated.reduce((all, { count }) => all + count, 0);
	const sum = rated.reduce((all, { tolerance, count }) => all + tolerance * count, 0);
	expect(animals).toBeGreaterThan(50);
	const index = table
		.getByRole('row', { name: /^Family biotic index/ })
		.getByRole('cell')
		.last();
	await expect(index).toHaveText(new RegExp(`^${(sum / animals).toFixed(2)} ± \\d\\.\\d\\d$`));
});

test('a sampler that was lost leaves a qualitative sample, and is called so', async ({ page }) => {
	await page.goto('/sites/TE3/animals');
	const columns = page.getByRole('table').first().getByRole('columnheader');
	await columns.last().getByRole('link').click();
	await expect(page.getByText(/The plate stack was lost: what it holds compares with nothing/).first()).toBeVisible();
	await expect(page.getByText(/qualitative sample, 7 kinds/i).first()).toBeVisible();
	await expect(page.getByRole('cell', { name: 'Family biotic index' })).toHaveCount(0);
});
