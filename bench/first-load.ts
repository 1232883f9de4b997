import { gzipSync } from 'node:zlib';
import { chromium, type Page } from '@playwright/test';
import { chromiumOptions } from '../scripts/chromium';
import { type Bench } from './measure';
import { signIn } from './sign-in';

declare global {
	interface Window {
		/** Addresses of scripts that were asked for once the screen could be used. */
		loadedAfter?: string[];
	}
}

/** From the next load on: what is asked for once a part of the screen is painted is told apart. */
const tellApartAfter = (page: Page, part: string) =>
	page.addInitScript((selector) => {
		const seen = new MutationObserver(() => {
			if (!document.querySelector(selector)) return;
			seen.disconnect();
			requestAnimationFrame(() => {
				const shown_ms = performance.now();
				new PerformanceObserver((list) => {
					const later = list.getEntries().filter((e) => e.startTime > shown_ms && e.name.endsWith('.js'));
					window.loadedAfter = [...(window.loadedAfter ?? []), ...later.map((e) => e.name)];
				}).observe({ type: 'resource', buffered: true });
			});
		});
		seen.observe(document, { childList: true, subtree: true });
	}, part);

/** Scripts that a field screen needs before it can be used, gzipped. */
const firstLoad = (
	name: string,
	path: string,
	isThere: (page: Page) => Promise<void>,
	{ limit_kB = 150, before }: { limit_kB?: number; before?: (page: Page) => Promise<unknown> } = {}
): Bench => ({
	name,
	unit: 'kB',
	reach: 1,
	theirs: `limit ${String(limit_kB)} kB`,
	needs: 'application',
	run: async ({ url }) => {
		const browser = await chromium.launch(chromiumOptions);
		const context = await browser.newContext({ serviceWorkers: 'block' });
		await context.addCookies(await signIn(url, 'coordinator'));
		const page = await context.newPage();
		/** By address: what a second page has from the browser's store is not loaded again. */
		const scripts = new Map<string, Promise<number>>();
		page.on('response', (answer) => {
			if (/javascript/.test(answer.headers()['content-type'] ?? ''))
				scripts.set(
					answer.url(),
					answer.body().then((body) => gzipSync(body, { level: 9 }).length)
				);
		});
		await before?.(page);
		await page.goto(`${url}${path}`);
		await isThere(page);
		const after = new Set(await page.evaluate(() => window.loadedAfter ?? []));
		const all = await Promise.all([...scripts].map(async ([address, bytes]) => ({ address, bytes: await bytes })));
		await browser.close();
		const needed = all.filter(({ address }) => !after.has(address));
		const bytes = needed.reduce((sum, script) => sum + script.bytes, 0);
		const more = after.size ? `; ${String(after.size)} more came after it` : '';
		return { ours: bytes / 1000, theirs: limit_kB, note: `${String(needed.length)} scripts${more}` };
	}
});

export const sampleFirstLoad = firstLoad('sample-first-load', '/sample', (page) =>
	page.getByText(/^Packed /).waitFor()
);

export const packFirstLoad = firstLoad('pack-first-load', '/pack', async (page) => {
	await page.getByRole('link', { name: /round/ }).first().click();
	await page.getByText(/ of \d+ in/).waitFor();
});

/** The list of visits, then the tray of the live pick that is going on. */
export const trayFirstLoad = firstLoad(
	'tray-first-load',
	'/sample',
	async (page) => {
		const pick = page
			.getByRole('listitem')
			.filter({ hasText: /Tessel 2.*opened by SO/s })
			.getByRole('link', { name: 'Open' });
		const href = (await pick.first().getAttribute('href')) ?? '';
		// the tray stands before what follows from it
		await tellApartAfter(page, '[aria-label="Compartments"]');
		await page.goto(new URL(`${href}/sort`, page.url()).href);
		await page.getByRole('list', { name: 'Compartments' }).waitFor();
		await page.waitForFunction(() => window.loadedAfter !== undefined);
	},
	{ limit_kB: 170 }
);

/** What is to be read now; what is to be sent comes after it. */
export const benchFirstLoad = firstLoad(
	'bench-first-load',
	'/bench',
	async (page) => {
		await page.getByRole('region', { name: 'To be read now' }).waitFor();
		await page.waitForFunction(() => window.loadedAfter !== undefined);
	},
	{ before: (page) => tellApartAfter(page, '[aria-label="To be read now"]') }
);
