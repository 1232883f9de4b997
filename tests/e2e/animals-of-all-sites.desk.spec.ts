import { expect, test } from '@playwright/test';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

test('the animals of all sites are set beside each other, and where they change downstream is told', async ({
	page
}) => {
	await page.goto('/sites');
	await page.getByRole('link', { name: 'Animals of all sites, beside each other' }).click();
	await expect(page.getByRole('heading', { level: 1, name: 'Animals of all sites' })).toBeVisible();
	// a season in which all were sampled, sorted by nobody since
	await page.getByRole('navigation', { name: 'Which samples' }).getByRole('link', { name: 'Sep–Nov 2025' }).click();
	await expect(page.getByRole('link', { name: 'Sep–Nov 2025' })).toHaveAttribute('aria-current', 'page');
	const rows = page.getByRole('table').getByRole('row');
	const codes = (await rows.first().getByRole('columnheader').allTextContents()).slice(4);
	expect(codes.length).toBeGreaterThan(5);

	// what the table says is what the counts of the sites' own pages give
	const unlike = async (a: string, b: string) => {
		const cells = await rows
			.nth(1 + codes.indexOf(a))
			.getByRole('cell')
			.allTextContents();
		return Number(cells.at(codes.indexOf(b) - codes.length));
	};
	const countsOf = async (code: string) => {
		await page.goto(`/sites/${code}/animals`);
		await expect(page.getByRole('heading', { level: 1 })).toContainText('Animals at');
		const heads = await page.getByRole('table').first().getByRole('columnheader').allTextContents();
		const at = heads.findIndex((h) => /(Sep|Oct|Nov) 2025/.test(h));
		expect(at).toBeGreaterThan(0);
		const counts = new Map<string, number>();
		for (const row of await page.getByRole('table').first().locator('tbody:not(.said) tr:not(.order)').all()) {
			const kind = ((await row.getByRole('rowheader').locator('small').textContent()) ?? '').split(',')[0]!.trim();
			const cells = await row.getByRole('cell').allTextContents();
			counts.set(kind, Number(/\d+/.exec(cells[at - 1] ?? '')?.[0] ?? 0));
		}
		return counts;
	};
	const [upper, lower] = ['TE3', 'TE4'];
	const shown = await unlike(upper, lower);
	expect(await unlike(lower, upper)).toBe(shown);
	const [a, b] = [await countsOf(upper), await countsOf(lower)];
	const total = (counts: Map<string, number>) => [...counts.values()].reduce((sum, n) => sum + n, 0);
	const shares = [...new Set([...a.keys(), ...b.keys()])].map((kind) =>
		Math.abs((a.get(kind) ?? 0) / total(a) - (b.get(kind) ?? 0) / total(b))
	);
	expect(Math.abs((100 * shares.reduce((sum, d) => sum + d, 0)) / 2 - shown)).toBeLessThanOrEqual(0.5 + 1e-9);

	// the ditch: what single grabs of water missed
	await page.goto('/sites/animals?when=2025-3');
	await expect(
		page.getByText(`Between Tessel 3 and Tessel 4 the animals change: ${String(shown)} % unlike`)
	).toBeVisible();
	await expect(page.getByRole('img', { name: /^Sites as points/ })).toBeVisible();
	await page.goto('/sites/animals?when=nonsense');
	await expect(page.getByRole('link', { name: 'the latest of each site' })).toHaveAttribute('aria-current', 'page');
});
