import { chromium, type Browser, type Page } from '@playwright/test';
import { v7 } from 'uuid';
import { tick, type Entry } from '../src/lib/core/logbook';
import { bioticIndexInterval, taxa } from '../src/lib/core/macroinvertebrates';
import { seeded } from '../src/lib/core/statistics';
import { chromiumOptions } from '../scripts/chromium';
import { bestOf, median, type Bench } from './measure';
import { signIn } from './sign-in';

const KINDS = 40;
const ANIMALS = 600;
const THROTTLED = 6;
const TAPS = 15;
const FRAME_ms = 16;
/** Longer than the application takes to evaluate what was tapped before. */
const BETWEEN_ms = 700;

/** A phone at the tray of a fresh visit. */
async function atTheTray(browser: Browser, url: string): Promise<Page> {
	const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, baseURL: url });
	await context.addCookies(await signIn(url, 'coordinator'));
	const page = await context.newPage();
	await page.goto('/sample');
	await page.getByText(/^Packed /).waitFor();
	if (await page.locator('details:not([open]) > summary', { hasText: 'Another site' }).count())
		await page.getByText('Another site').click();
	await page.getByLabel('Card').selectOption({ label: 'Animals, version 1' });
	await page.getByRole('button', { name: 'Start at Hobbin 2' }).last().click();
	await page.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
	await page.goto(page.url().replace('/arrive', '/sort'));
	await page.getByRole('button', { name: 'Another kind' }).waitFor();
	return page;
}

/** What two other devices counted at the same tray, handed in and seen on this one. */
async function countedByTwoOthers(page: Page, url: string): Promise<void> {
	const visitId = new URL(page.url()).pathname.split('/')[2]!;
	await page.getByRole('button', { name: 'all sent' }).waitFor();
	const satchel = (await (await page.request.get('/api/satchel')).json()) as { member: { id: string } };
	let last: string | null = null;
	const chance = seeded(40);
	const kinds = taxa.filter((t) => t.rank === 'family').slice(0, KINDS);
	const entries = Array.from({ length: ANIMALS }, (_, i): Entry => {
		const kind = i < KINDS ? kinds[i]! : chance.pick(kinds);
		return {
			id: v7(),
			visitId,
			at: (last = tick(last, Date.now())),
			by: satchel.member.id,
			device: `bench-${String(i % 2)}`,
			path: `tallies/sort/taxa/${kind.code}`,
			op: 'add',
			value: 1,
			was: null
		};
	});
	for (let from = 0; from < ANIMALS; from += 200) {
		const answer = await page.request.post('/api/sync', {
			data: { entries: entries.slice(from, from + 200) },
			headers: { origin: url }
		});
		if (!answer.ok()) throw new Error(`the exchange answered ${String(answer.status())}: ${await answer.text()}`);
	}
	await page.reload();
	await page
		.getByText(`${String(ANIMALS)} animals`)
		.first()
		.waitFor({ timeout: 60_000 });
}

/**
 * Clicks, and how long the page computes from the click to the first change within a part of it. Nothing but the page's
 * own scripts runs in between.
 */
async function clickToChange(page: Page, watched: string, button: string): Promise<number> {
	await page.locator(button).scrollIntoViewIfNeeded();
	const seen = page.evaluate(
		(part) =>
			new Promise<number>((done) => {
				let clicked = 0;
				addEventListener('click', () => (clicked = performance.now()), { capture: true, once: true });
				const watch = new MutationObserver(() => {
					watch.disconnect();
					done(performance.now() - clicked);
				});
				watch.observe(document.querySelector(part)!, { subtree: true, childList: true, characterData: true });
			}),
		watched
	);
	await page.evaluate(() => document.hasFocus()); // the one before has begun to watch
	await page.locator(button).click();
	return seen;
}

const throttle = async (page: Page) =>
	(await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: THROTTLED });
const said = (spent: readonly number[]) =>
	`${String(spent.length)} times, from ${Math.min(...spent).toFixed(1)} to ${Math.max(...spent).toFixed(1)} ms`;

/** From a tap on a compartment to its new number. */
export const trayTap40: Bench = {
	name: 'tray-tap-40',
	unit: 'ms',
	reach: 1,
	theirs: 'limit 16 ms of scripting',
	needs: 'application',
	run: async ({ url }) => {
		const browser = await chromium.launch(chromiumOptions);
		const page = await atTheTray(browser, url);
		await countedByTwoOthers(page, url);
		await throttle(page);
		const spent: number[] = [];
		for (let i = 1; i <= TAPS; i++) {
			const compartment = `[aria-label="Compartments"] li:nth-child(${String(2 * i)})`;
			spent.push(await clickToChange(page, compartment, `${compartment} button`));
			await page.evaluate((wait) => new Promise((done) => setTimeout(done, wait)), BETWEEN_ms);
		}
		await browser.close();
		return { ours: median(spent), theirs: FRAME_ms, note: said(spent) };
	}
};

/** From an answer to the next question, all kinds in the key. */
export const keyAnswer: Bench = {
	name: 'key-answer',
	unit: 'ms',
	reach: 1,
	theirs: 'limit 16 ms of scripting',
	needs: 'application',
	run: async ({ url }) => {
		const browser = await chromium.launch(chromiumOptions);
		const page = await atTheTray(browser, url);
		await page.getByRole('button', { name: 'Another kind' }).click();
		await page.getByRole('button', { name: 'By what you see' }).click();
		await page.locator('#key-question').waitFor();
		await throttle(page);
		const spent: number[] = [];
		for (let i = 0; i < TAPS; i++) {
			// unsure answers, so that the key goes on asking
			spent.push(await clickToChange(page, '#key-question', '.states .unseen'));
			await page.evaluate((wait) => new Promise((done) => setTimeout(done, wait)), BETWEEN_ms);
		}
		await browser.close();
		return { ours: median(spent), theirs: FRAME_ms, note: said(spent) };
	}
};

const DRAWS = 2000;

/** The interval of an index by drawing its animals again; the formula alone, with no page around it. */
export const animalsInterval: Bench = {
	name: 'animals-interval',
	unit: 'ms',
	reach: 1,
	theirs: 'limit 300 ms',
	needs: 'nothing',
	run: async () => {
		const chance = seeded(60);
		const rated = taxa.filter((t) => t.tolerance !== null).slice(0, 60);
		const counts = rated.map(({ tolerance }) => ({ tolerance, count: 1 + Math.floor(20 * chance.uniform()) }));
		const resampling = { draws: DRAWS, seed: 7, confidence: 0.95 };
		return Promise.resolve({
			ours: bestOf(5, () => void bioticIndexInterval({ taxa: counts }, resampling)),
			theirs: 300,
			note:
				`${String(rated.length)} kinds, ${String(counts.reduce((sum, t) => sum + t.count, 0))} animals, ` +
				`${String(DRAWS)} draws; in Node, as a worker has it`
		});
	}
};
