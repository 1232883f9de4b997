import { chromium, type Browser, type Page } from '@playwright/test';
import { chromiumOptions } from '../scripts/chromium';
import { median, type Bench } from './measure';
import { signIn } from './sign-in';

const VERTICALS = 40;
const THROTTLED = 6;
const PRESSES = 12;
const FRAME_ms = 16;

/** A phone at the flow step of a fresh visit, with no network. */
async function atTheFlow(browser: Browser, url: string): Promise<Page> {
	const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, baseURL: url });
	await context.addCookies(await signIn(url, 'coordinator'));
	const page = await context.newPage();
	await page.goto('/sample');
	await page.getByText(/^Packed /).waitFor();
	await page.evaluate(async () => {
		await navigator.serviceWorker.ready;
	});
	await context.setOffline(true);
	if (await page.locator('details:not([open]) > summary', { hasText: 'Another site' }).count())
		await page.getByText('Another site').click();
	await page.getByRole('button', { name: 'Start at Hobbin 2' }).last().click();
	await page.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
	await page.goto(page.url().replace('/arrive', '/flow'));
	await page.locator('#flow-cell').focus();
	return page;
}

const keep = async (page: Page, text: string) => {
	await page.keyboard.type(text);
	await page.keyboard.press('Enter');
};

/**
 * Presses Enter; how long the page computes from the key to the new figure in the document, and until the next frame.
 * Nothing but the page's own scripts runs in between: the figure is shown in the task of the key.
 */
async function keyToFigure(page: Page): Promise<{ figure_ms: number; frame_ms: number }> {
	const seen = page.evaluate(
		() =>
			new Promise<{ figure_ms: number; frame_ms: number }>((done) => {
				let pressed = 0;
				addEventListener('keydown', () => (pressed = performance.now()), { capture: true, once: true });
				const watch = new MutationObserver(() => {
					watch.disconnect();
					const figure_ms = performance.now() - pressed;
					requestAnimationFrame(() => setTimeout(() => done({ figure_ms, frame_ms: performance.now() - pressed })));
				});
				watch.observe(document.querySelector('.figures')!, { subtree: true, childList: true, characterData: true });
			})
	);
	await page.evaluate(() => document.hasFocus()); // the one before has begun to watch
	await page.keyboard.press('Enter');
	return seen;
}

/** From the key that keeps a depth to the new discharge on the screen: what the page computes meanwhile. */
export const sampleLatency40: Bench = {
	name: 'sample-latency-40',
	unit: 'ms',
	reach: 1,
	theirs: 'limit 16 ms of scripting',
	needs: 'application',
	run: async ({ url }) => {
		const browser = await chromium.launch(chromiumOptions);
		const page = await atTheFlow(browser, url);
		await keep(page, '0');
		for (let i = 1; i <= VERTICALS; i++)
			for (const figure of [i / 4, 0.2 + (i % 7) / 40, 0.15 + (i % 5) / 20])
				await keep(page, String(Number(figure.toFixed(2))));
		await page.getByRole('textbox', { name: /^Far edge of the water/ }).click();
		await keep(page, String((VERTICALS + 1) / 4));
		await page.getByRole('img', { name: new RegExp(`of ${String(VERTICALS)} verticals`) }).waitFor();
		const cdp = await page.context().newCDPSession(page);
		await cdp.send('Emulation.setCPUThrottlingRate', { rate: THROTTLED });
		const spent: number[] = [];
		const frames: number[] = [];
		for (let press = 1; press <= PRESSES; press++) {
			await page
				.getByRole('textbox', { name: 'Vertical, depth, m' })
				.nth(press * 3 - 1)
				.click();
			await page.locator('#flow-cell:focus').waitFor();
			await page.keyboard.type((0.41 + press / 100).toFixed(2));
			await page.evaluate(() => new Promise((done) => setTimeout(done, 400)));
			const { figure_ms, frame_ms } = await keyToFigure(page);
			spent.push(figure_ms);
			frames.push(frame_ms);
		}
		await browser.close();
		return {
			ours: median(spent),
			theirs: FRAME_ms,
			note:
				`${String(PRESSES)} depths kept, from ${Math.min(...spent).toFixed(1)} to ` +
				`${Math.max(...spent).toFixed(1)} ms; until the next frame ${median(frames).toFixed(0)} ms`
		};
	}
};

const HIDDEN_ms = 60_000;
const ONCE_A_SECOND = 60;

/** Timers that fire in a minute while the page is out of sight and nothing is awaited. */
export const idleWakeups: Bench = {
	name: 'idle-wakeups',
	unit: '',
	reach: 0.1,
	theirs: 'a timer a second',
	needs: 'application',
	run: async ({ url }) => {
		const browser = await chromium.launch(chromiumOptions);
		const context = await browser.newContext({ baseURL: url });
		await context.addCookies(await signIn(url, 'coordinator'));
		await context.addInitScript(() => {
			const counted = window as unknown as { fired: number };
			counted.fired = 0;
			for (const name of ['setTimeout', 'setInterval'] as const) {
				const original = window[name].bind(window) as (deed: () => void, wait?: number) => number;
				(window as unknown as Record<string, unknown>)[name] = (deed: unknown, wait?: number, ...rest: unknown[]) =>
					original(() => {
						counted.fired++;
						if (typeof deed === 'function') (deed as (...given: unknown[]) => void)(...rest);
					}, wait);
			}
		});
		const page = await context.newPage();
		await page.goto('/sample');
		await page.getByText(/^Packed /).waitFor();
		await page.goto(
			await page
				.getByRole('link', { name: /^(Open|Go on)/ })
				.first()
				.getAttribute('href')
				.then((href) => href ?? '/sample')
		);
		await page.locator('.tool').waitFor();
		// out of sight, as far as the page can tell
		await page.evaluate(`
			Object.defineProperty(document, 'visibilityState', { get: () => 'hidden', configurable: true });
			Object.defineProperty(document, 'hidden', { get: () => true, configurable: true });
			document.dispatchEvent(new Event('visibilitychange'));`);
		await page.evaluate(() => ((window as unknown as { fired: number }).fired = 0));
		await new Promise((done) => setTimeout(done, HIDDEN_ms));
		const fired = await page.evaluate(() => (window as unknown as { fired: number }).fired);
		await browser.close();
		return { ours: fired, theirs: ONCE_A_SECOND };
	}
};
