import { expect, test } from '@playwright/test';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

test('a coordinator brings the authority’s scheme in, and every sample is scored by it too', async ({
	page,
	request
}) => {
	const example = await (await request.get('/library/schemes/example-tolerance/scheme.csv')).text();
	const own = example
		.replace('code,example-tolerance', 'code,two-valleys')
		.replace(/title,[^,]*/, 'title,Two valleys index')
		.replace('class,fair,4.5,6.25', 'class,fair,5,6.25');
	await page.goto('/library/schemes');
	await page.getByLabel('or paste its rows').fill(own);
	await page.getByRole('button', { name: 'Look at it' }).click();
	await expect(page.getByText('Nothing is said of figures between 4.5 and 5.')).toBeVisible();

	// what was pasted is still there, and is put right
	await page.getByLabel('or paste its rows').fill(own.replace('class,good,,4.5', 'class,good,,5'));
	await page.getByRole('button', { name: 'Look at it' }).click();
	await expect(page.getByText('It is new.')).toBeVisible();
	await page.getByRole('button', { name: 'Put it in' }).click();
	await expect(page.getByRole('heading', { name: 'Two valleys index' })).toBeVisible();
	await expect(page.getByText(/, in use/)).toBeVisible();

	// side by side with the examples: of the same values it says the same figure, in other classes
	await page.goto('/sites/TE4/animals');
	const cells = (name: string) => page.getByRole('row', { name: new RegExp(name) }).getByRole('cell');
	const figureOf = async (name: string) => (await cells(name).nth(1).innerText()).trim();
	expect(await figureOf('Two valleys index')).toBe(await figureOf('Mean tolerance of the animals'));
	const chances = await cells('Two valleys index').nth(4).innerText();
	const sum = [...chances.matchAll(/(\d+) %/g)].reduce((total, [, percent]) => total + Number(percent), 0);
	expect(Math.abs(sum - 100)).toBeLessThanOrEqual(1);

	// an independent look at the figure: the table above it, with the tolerances of the file
	const tolerance = new Map(
		[...example.matchAll(/^value,([^,]+),([\d.]+)/gm)].map(([, code, v]) => [code!, Number(v)])
	);
	const counts = await page
		.locator('main tbody')
		.nth(1)
		.locator('tr:has(td)')
		.evaluateAll((rows) =>
			rows.map((row) => ({
				code: row.querySelector('small')!.innerText.trim().split(/[ ,]/)[0]!,
				count: Number(row.querySelector('td:last-of-type')!.textContent)
			}))
		);
	const rated = counts.flatMap(({ code, count }) => {
		const value = tolerance.get(code) ?? tolerance.get(code.split('-')[0]!);
		return value === undefined || count === 0 ? [] : [{ count, value }];
	});
	const animals = rated.reduce((total, r) => total + r.count, 0);
	const mean = rated.reduce((total, r) => total + r.count * r.value, 0) / animals;
	expect(await figureOf('Two valleys index')).toBe(mean.toFixed(2));
});
