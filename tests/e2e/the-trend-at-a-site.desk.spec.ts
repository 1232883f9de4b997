import { expect, test } from '@playwright/test';
import { signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

test('a site says whether its figures rise or fall, and how sure that is', async ({ page }) => {
	await page.goto('/sites/TE4?p=conductance25&span=3');
	const trend = page.getByRole('region', { name: 'Trend' });
	await expect(trend).toContainText(/Rising by|Falling by|cannot be told from chance/);
	await expect(trend).toContainText(
		/Between −?[\d.]+ and −?[\d.]+ µS\/cm a year with 95 % confidence: \d+ results over \d years/
	);
	await page.getByRole('navigation', { name: 'How far back' }).getByRole('link', { name: '1 year' }).click();
	await expect(trend).toContainText('No trend can be told yet.');
});

test('the points behind the trend are those of the page, rejected ones left out', async ({ page }) => {
	const answer = await page.request.get('/sites/TE4/points.json?p=conductance25&span=3');
	expect(answer.ok()).toBe(true);
	const points = (await answer.json()) as { at_ms: number; value: number; qualifier: string | null }[];
	expect(points.length).toBeGreaterThan(20);
	expect(points.every((p) => Number.isFinite(p.value) && Number.isFinite(p.at_ms))).toBe(true);
	const rows = (await (await page.request.get('/sites/TE4/series.csv?p=conductance25&span=3')).text())
		.trim()
		.split('\n')
		.slice(1);
	expect(points.length).toBe(rows.filter((r) => !r.includes(',rejected,')).length);
});
