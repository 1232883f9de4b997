import { expect, test } from '@playwright/test';
import { parse } from 'csv-parse/sync';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

test('a lab’s file with its mistakes becomes figures of their visits, and nothing before that was agreed', async ({
	page,
	request
}) => {
	await page.goto('/today');
	await page.getByRole('link', { name: /^Look at (it|them)$/ }).click();
	await page.getByRole('link', { name: /Look at it.*N-2291/ }).click();

	// the file as it was sent, read by another hand
	const href = await page.getByRole('link', { name: 'The file as it was sent' }).getAttribute('href');
	const sent = parse<Record<string, string>>(await (await request.get(href!)).text(), {
		columns: true,
		delimiter: ';'
	});
	const isThousandfold = (row: Record<string, string>) => Number(row['Finding']) > 500;
	const [misread] = sent.filter((row) => /40-N$/.test(row['Client ref']!));
	const wrongUnit = sent.find(isThousandfold)!;

	await expect(page.getByText('Still to be found: label of the bottle, figure, unit.')).toBeVisible();
	for (const [heading, field] of [
		['Client ref', 'label'],
		['Finding', 'value'],
		['In', 'unit'],
		['U (k=2)', 'uncertainty']
	] as const)
		await page.getByLabel(`heading “${heading}”`).selectOption(field);
	await expect(page.getByText('Still to be found')).toHaveCount(0);
	await page.getByLabel(/“Oxidised N \(NO3\+NO2\)” is/).selectOption('nitrate-nitrite');

	// rows are written one for each bottle, the row that is there twice once
	const rowOf = (n: number) =>
		page.locator('main tbody tr').filter({ has: page.getByText(String(n), { exact: true }) });
	await expect(page.getByText('No bottle of this program has the label WQ-77-0041.')).toBeVisible();
	const twice = sent.findLastIndex((row) => row['Client ref'] === sent[0]!['Client ref']);
	await expect(rowOf(twice + 2)).toContainText('Line 2 says the same.');

	// the label that was misread is the one that is missing
	const right = misread!['Client ref']!.replace('40-N', '04-N');
	await expect(page.getByText('Filled on the same days, and not in this report')).toContainText(right);
	await page.getByRole('button', { name: `It is ${right}` }).click();
	await expect(page.getByText('corrected here')).toBeVisible();

	// 1,000 times too much is in another unit
	await expect(page.getByText(/is not possible: 0 to 500/)).toBeVisible();
	await page.getByRole('button', { name: 'It is in µg/L as N' }).click();
	await expect(page.getByText(/is not possible/)).toHaveCount(0);

	const bottles = new Set(sent.map((row) => row['Client ref'])).size - 1; // without the other program's
	await page.getByRole('button', { name: `Write ${bottles} figures, leave out 1` }).click();
	await expect(page.getByText(`${bottles} figures written by Orla Tamberly`)).toBeVisible();

	// each stands with its visit, in its own unit
	const site = wrongUnit['Client ref']!.split('-')[0]!;
	const figures = parse<Record<string, string>>(
		await (await request.get(`/sites/results.csv?site=${site}&parameter=nitrate-nitrite`)).text(),
		{
			columns: true
		}
	);
	const expected = Number(wrongUnit['Finding']) / 1000;
	expect(figures.filter((f) => f['parameter'] === 'nitrate-nitrite').map((f) => Number(f['value']))).toContain(
		expected
	);
	await page.goto('/lab-reports');
	await expect(page.getByRole('row', { name: /N-2291/ })).toContainText(`${bottles}`);
});

test('a file in another encoding, with decimal commas, is read; one that is none says so', async ({ page }) => {
	await page.goto('/lab-reports');
	const upload = (name: string, content: Buffer) =>
		page.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/csv', buffer: content });
	await upload('jahr.csv', Buffer.from('Sample;Analyte;Result;Units\nNO-SUCH-1;TP;84,5;µg/L P\n', 'latin1'));
	await page.getByRole('button', { name: 'Look at its rows' }).click();
	await expect(page.getByRole('heading', { name: 'jahr' })).toBeVisible();
	await expect(page.locator('main tbody')).toContainText('84.5 µg/L as P');
	await expect(page.locator('main tbody')).toContainText('No bottle of this program has the label NO-SUCH-1.');
	await page.getByRole('button', { name: 'It is the wrong file: take it out' }).click();
	await expect(page.getByRole('heading', { name: 'Lab reports' })).toBeVisible();
	await expect(page.getByText('jahr')).toHaveCount(0);
});

test('split samples say how far the plates read from the lab', async ({ page }) => {
	await page.goto('/apart?of=e-coli.plates.lab');
	await page.getByText('The pairs', { exact: true }).click();
	const cells = await page
		.getByRole('group', { name: 'The pairs' })
		.locator('tbody tr')
		.evaluateAll((rows) =>
			rows.map((row) => [...row.querySelectorAll('td.number')].map((td) => Number(td.textContent)))
		);
	expect(cells.length).toBeGreaterThanOrEqual(24);
	const logs = cells.map(([plates, lab]) => Math.log(plates! / lab!));
	const percent = 100 * (Math.exp(logs.reduce((sum, v) => sum + v, 0) / logs.length) - 1);
	await expect(page.getByText(`By plates, E. coli reads ${percent.toFixed(0)} % higher than by the lab`)).toBeVisible();
});
