import { gzipSync } from 'node:zlib';
import { chromium, type Page } from '@playwright/test';
import { chromiumOptions, type Bench } from './measure';
import { signIn } from './sign-in';

/** Scripts that a field screen needs before it can be used, gzipped. */
const firstLoad = (name: string, path: string, isThere: (page: Page) => Promise<void>): Bench => ({
	name,
	unit: 'kB',
	reach: 1,
	theirs: 'limit 150 kB',
	needs: 'application',
	run: async ({ url }) => {
		const browser = await chromium.launch(chromiumOptions);
		const context = await browser.newContext({ serviceWorkers: 'block' });
		await context.addCookies(await signIn(url, 'coordinator'));
		const page = await context.newPage();
		const scripts: Promise<number>[] = [];
		page.on('response', (answer) => {
			if (/javascript/.test(answer.headers()['content-type'] ?? ''))
				scripts.push(answer.body().then((body) => gzipSync(body, { level: 9 }).length));
		});
		await page.goto(`${url}${path}`);
		await isThere(page);
		const bytes = (await Promise.all(scripts)).reduce((sum, n) => sum + n, 0);
		await browser.close();
		return { ours: bytes / 1000, theirs: 150, note: `${String(scripts.length)} scripts` };
	}
});

export const sampleFirstLoad = firstLoad('sample-first-load', '/sample', (page) =>
	page.getByText(/^Packed /).waitFor()
);

export const packFirstLoad = firstLoad('pack-first-load', '/pack', async (page) => {
	await page.getByRole('link', { name: /round/ }).first().click();
	await page.getByText(/ of \d+ in/).waitFor();
});
