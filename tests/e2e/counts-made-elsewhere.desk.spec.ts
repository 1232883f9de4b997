import { expect, test } from '@playwright/test';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

const ROWS = `site,day,taxon,n,remark
EB1,3 May 2024,Baetis rhodani,30,
EB1,3 May 2024,Baetidae larvae,3,
EB1,3 May 2024,Betidae,12,small
EB1,3 May 2024,Tubificidae,8,`;

test('a file is looked at, its names are asked, it is written once, and struck again', async ({ page }) => {
	await page.goto('/sites/animals');
	await page.getByRole('link', { name: 'Bring in counts made elsewhere' }).click();
	const look = page.getByRole('button', { name: /^Look/ });
	await expect(look).toBeDisabled();
	await page.getByLabel('or paste its rows').fill(ROWS);
	await look.click();
	await expect(page.getByRole('status')).toContainText('Say whose counts these are');
	await page.getByLabel('Whose counts').fill('a table in Ostrel');
	await look.click();

	const sample = page.getByRole('list', { name: 'Samples of the file' }).getByRole('listitem').first();
	await expect(sample).toContainText('Row 4: “Betidae” is no animal known here.');
	await page.getByLabel('“Betidae” is').selectOption({ label: 'Baetidae, mayfly' });
	await expect(sample).toContainText('No visit to EB1 on Fri 3 May 2024 has a tray of animals');
	await expect(page.getByRole('button', { name: /^Write/ })).toHaveCount(0);
	await page.getByLabel('For a day without a visit').selectOption({ index: 1 });
	await expect(sample).toContainText('new, with a visit');
	await expect(sample).toContainText('53 animals');
	await expect(sample).toContainText(
		'Counted together as Baetidae: Baetis rhodani 30, Baetidae larvae 3 and Betidae 12.'
	);
	await page.getByRole('button', { name: 'Write 1 sample' }).click();
	await expect(page.getByRole('status')).toContainText('1 sample of 53 animals written');

	// the same file again: its words were remembered, and nothing of it is new
	await page.reload();
	await page.getByLabel('or paste its rows').fill(ROWS);
	await page.getByLabel('Whose counts').fill('a table in Ostrel');
	await look.click();
	await expect(sample).toContainText('nothing new');
	const brought = page.getByRole('listitem').filter({ hasText: 'from a table in Ostrel' });
	await expect(brought).toContainText('2 kinds');

	// what stands with the visit: 45 of a mayfly rated 4 and 8 worms rated 8 have a mean tolerance of 4.6
	await brought.getByRole('link').click();
	await expect(page.getByText('53 animals of 2 kinds').first()).toBeVisible();
	await expect(page.getByText(/Counted elsewhere, .*a table in Ostrel/).first()).toBeVisible();
	await expect(page.getByText(((45 * 4 + 8 * 8) / 53).toFixed(1)).first()).toBeVisible();
	await page.goto('/sites/animals/counts');
	await brought.getByRole('button', { name: /^Strike these counts/ }).click();
	await expect(brought).toHaveCount(0);
});

test('a table with a column for each sample is read as it is', async ({ page }) => {
	await page.goto('/sites/animals/counts');
	await page
		.getByLabel('or paste its rows')
		.fill('taxon,EB2 4 May 2024,HO1 4 May 2024\nBaetidae,30,2\nPerlidae,0,4\nAsellidae,,11');
	await page.getByLabel('Whose counts').fill('a museum’s table');
	await page.getByRole('button', { name: /^Look/ }).click();
	await page.getByLabel('For a day without a visit').selectOption({ index: 1 });
	const samples = page.getByRole('list', { name: 'Samples of the file' }).getByRole('listitem');
	await expect(samples.filter({ hasText: 'EB2' }).first()).toContainText('30 animals');
	await expect(samples.filter({ hasText: 'HO1' }).first()).toContainText('17 animals');
});
