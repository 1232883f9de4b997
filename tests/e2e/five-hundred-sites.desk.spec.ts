import { expect, test, type Page } from '@playwright/test';
import pg from 'pg';
import { growProgram } from '../many-sites';
import { brokenOn } from './axe';
import { OwnServer } from './own-server';

test.describe.configure({ mode: 'serial' });

/* A program of 500 sites and 60 people stays usable. */

let server: OwnServer;
let page: Page;

test.beforeAll(async ({ browser }) => {
	server = await OwnServer.startOn('the demo', async (databaseUrl) => {
		const pool = new pg.Pool({ connectionString: databaseUrl, max: 1 });
		const size = { sites: 500, people: 60, visitsASite: 3, isPlanned: true };
		await growProgram(pool, size, process.env['KEEN_RIFFLE_NOW'] ?? new Date().toISOString());
		await pool.end();
	});
	const storageState = await server.signedIn('coordinator');
	page = await (await browser.newContext({ baseURL: server.url, storageState })).newPage();
});
test.afterAll(async () => {
	await page.context().close();
	await server.end();
});

test('today draws what asks first and says how many there are', async () => {
	await page.goto('/today');
	await expect(page.getByText(/Drawn are the \d+ of 510 sites that ask for something first/)).toBeVisible();
	const beads = page.getByRole('group', { name: 'The streams and their sites' }).getByRole('link');
	expect(await beads.count()).toBeLessThanOrEqual(30);
	// a label stands on nothing that another site owns
	const boxes = await page
		.locator('svg.thread text.site')
		.evaluateAll((all) =>
			all.map((t) => t.getBoundingClientRect()).map(({ left, right, top, bottom }) => ({ left, right, top, bottom }))
		);
	const overlaps = boxes.flatMap((a, i) =>
		boxes
			.slice(i + 1)
			.filter((b) => a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1)
	);
	expect(overlaps).toEqual([]);
});

test('the board scrolls in a frame of its own, is one stop of the tab key, and goes by arrows', async () => {
	await page.goto('/plan');
	const board = page.getByRole('group', { name: /Season board/ });
	await board.waitFor();
	const frame = page.locator('.scroll.tall');
	const { tall, inside } = await frame.evaluate((e) => ({ tall: e.clientHeight, inside: e.scrollHeight }));
	expect(tall).toBeLessThan(700);
	expect(inside).toBeGreaterThan(10_000);
	const stops = board.locator('[role=button][tabindex="0"]');
	await expect(stops).toHaveCount(1);
	await stops.focus();
	const first = await stops.getAttribute('aria-label');
	await page.keyboard.press('ArrowDown');
	const second = page.locator('[role=button]:focus');
	await expect(second).not.toHaveAttribute('aria-label', first!);
	await expect(stops).toHaveCount(1);
	await page.keyboard.press('ArrowUp');
	await expect(page.locator('[role=button]:focus')).toHaveAttribute('aria-label', first!);
	// the panel about the chosen round is in reach without a long way down
	const panel = await page
		.getByRole('heading', { name: /Circuit|round/ })
		.first()
		.boundingBox();
	expect(panel!.y).toBeLessThan(1600);
});

for (const path of ['/sites', '/library/sites', '/visits', '/find?q=Many%20321', '/library/people'])
	test(`${path} is whole and passes axe`, async () => {
		await page.goto(path);
		await page.locator('main').first().waitFor();
		expect(await brokenOn(page)).toEqual([]);
		expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280);
	});
