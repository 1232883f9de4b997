import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readdirSync, readFileSync } from 'node:fs';
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { goOn, keep, packField, read, signedIn } from './application';
import { OwnServer } from './own-server';

/** What each page of the application begins with, where it is put by on the phone. */
const pagesPutBy = (page: Page) =>
	page.evaluate(async () => {
		const stores = await Promise.all((await caches.keys()).map((name) => caches.open(name)));
		const requests = (await Promise.all(stores.map((store) => store.keys()))).flat();
		return requests
			.map(({ url }) => new URL(url).pathname)
			.filter((path) => path.includes('/nodes/'))
			.sort();
	});

/** The same of the field app: some of all the pages there are. */
async function pagesOfField(page: Page): Promise<string[]> {
	const files = (await (await page.request.get('/_app/field-app.json')).json()) as string[];
	const pages = files.filter((file) => file.includes('/nodes/')).map((file) => `/${file}`);
	const all = readdirSync('build/client/_app/immutable/nodes').filter((file) => file.endsWith('.js'));
	expect(pages.length).toBeGreaterThan(5);
	expect(pages.length).toBeLessThan(all.length / 2);
	return pages.sort();
}

test('a phone that was off starts with no server at all and still has everything', async ({
	launchOptions,
	viewport
}) => {
	const server = await OwnServer.start();
	const profile = await mkdtemp(join(tmpdir(), 'keen-riffle-phone-'));
	const launch = () => chromium.launchPersistentContext(profile, { ...launchOptions, viewport, baseURL: server.url });
	const cookies = (
		JSON.parse(readFileSync(signedIn('monitor'), 'utf8')) as { cookies: Parameters<BrowserContext['addCookies']>[0] }
	).cookies;

	let phone = await launch();
	await phone.addCookies(cookies);
	let page = await phone.newPage();
	await packField(page);
	expect(await pagesPutBy(page)).toEqual(await pagesOfField(page));
	await page.getByText('Another site').click();
	await page.getByRole('button', { name: 'Start at Hobbin 1' }).click();
	await page.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
	const address = page.url();
	await phone.close();
	await server.kill();

	phone = await launch();
	page = await phone.newPage();
	await page.goto(address.replace('/arrive', '/air-temperature'));
	await read(page, 'Air temperature', '13');
	await expect(page.getByText(/Air temperature: 13\.0/)).toBeVisible();
	await page.keyboard.type('12'); // and the battery is gone in mid-figure
	await expect
		.poll(() => page.evaluate(() => document.querySelector<HTMLInputElement>('.slots input')?.value))
		.toContain('12');
	await phone.close();

	phone = await launch();
	page = await phone.newPage();
	await page.goto(address.replace('/arrive', '/air-temperature'));
	await expect(page.getByText(/Air temperature: 13\.0/)).toBeVisible();
	await expect(page.locator('.slots input').first()).toHaveValue(/12/);
	await expect(page.getByRole('button', { name: /kept here, not sent/ })).toBeVisible();
	await server.start();
	await expect(page.getByRole('button', { name: 'all sent' })).toBeVisible({ timeout: 90_000 });
	await phone.close();
	await server.kill();
});

test('the server dies in the middle of an exchange: all lines arrive once', async ({ browser, viewport }) => {
	const server = await OwnServer.start();
	const context = await browser.newContext({ storageState: signedIn('monitor'), viewport, baseURL: server.url });
	const page = await context.newPage();
	await packField(page);
	await context.setOffline(true);
	await page.getByText('Another site').click();
	await page.getByRole('button', { name: 'Start at Hobbin 2' }).click();
	await page.getByLabel('Depth at the edge').fill('0.2');
	await page.getByLabel('Depth at the edge').blur();
	await page.getByText('Bank', { exact: true }).click();
	await goOn(page);
	await page.getByRole('button', { name: 'Filled just now' }).click();
	await expect(page.getByRole('button', { name: '8 kept here, not sent' })).toBeVisible();

	const dead = page.waitForRequest('**/api/sync').then(() => server.kill());
	await context.setOffline(false);
	await dead;
	await expect(page.getByRole('button', { name: /kept here, not sent/ })).toBeVisible();
	await server.start();
	await expect(page.getByRole('button', { name: 'all sent' })).toBeVisible({ timeout: 90_000 });

	const visitId = new URL(page.url()).pathname.split('/')[2];
	const answer = await context.request.post('/api/sync', { data: { since: null, entries: [] } });
	let { entries, cursor, more } = (await answer.json()) as {
		entries: { visitId: string; id: string }[];
		cursor: string;
		more: boolean;
	};
	const mine = entries.filter((e) => e.visitId === visitId);
	while (more) {
		({ entries, cursor, more } = (await (
			await context.request.post('/api/sync', { data: { since: cursor, entries: [] } })
		).json()) as never);
		mine.push(...entries.filter((e) => e.visitId === visitId));
	}
	expect(mine).toHaveLength(8);
	expect(new Set(mine.map((e) => e.id)).size).toBe(8);
	await context.close();
	await server.kill();
});

test('two tabs are one person: what one keeps the other shows', async ({ browser, viewport }) => {
	const context = await browser.newContext({ storageState: signedIn('monitor'), viewport });
	const page = await context.newPage();
	await packField(page);
	await page.getByText('Another site').click();
	await page.getByRole('button', { name: 'Start at Ebbin 2' }).last().click();
	await page.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
	const address = page.url().replace('/arrive', '/conductivity');
	await page.goto(address);
	await page.getByLabel(/main flow/).fill('1'); // in mid-figure
	const other = await context.newPage();
	await other.goto(address);
	await expect(other.getByLabel(/main flow/)).toHaveValue('1');
	await keep(page, '82');
	await expect(other.getByLabel(/main flow/)).toHaveValue('182');
	await other.getByLabel(/main flow/).focus();
	await keep(other, '183');
	await expect(page.getByLabel(/main flow/)).toHaveValue('183');
	await expect(page.getByText(/182 µS\/cm by IQ[^]*struck by IQ/)).toBeVisible();
	await expect(page.getByText(/a reviewer decides/)).toHaveCount(0);
	await context.close();
});

test('a refused line stays on the device with its reason', async ({ browser, viewport }) => {
	const context = await browser.newContext({ storageState: signedIn('monitor'), viewport });
	const page = await context.newPage();
	// the server of this test refuses every temperature, as one with a newer card might
	await page.route('**/api/sync', async (route) => {
		const sent = route.request().postDataJSON() as { entries: { id: string; path: string }[] };
		const refused = sent.entries
			.filter((e) => e.path.startsWith('readings/'))
			.map((e) => ({ id: e.id, path: e.path, why: 'this place is closed' }));
		await route.fulfill({
			json: {
				accepted: sent.entries.filter((e) => !refused.some((r) => r.id === e.id)).map((e) => e.id),
				refused,
				entries: [],
				cursor: '1.x',
				more: false,
				notes: []
			}
		});
	});
	await packField(page);
	await page.getByText('Another site').click();
	await page.getByRole('button', { name: 'Start at Tessel 1' }).click();
	await page.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
	await page.goto(page.url().replace('/arrive', '/air-temperature'));
	await read(page, 'Air temperature', '13');
	await page.getByRole('button', { name: '1 refused' }).click();
	await expect(page.getByText(/13 °C at readings\/air-temperature\/shade: this place is closed/)).toBeVisible();
	await context.close();
});

test('the list of visits is drawn as it was last seen, until the application is there', async ({
	browser,
	viewport
}) => {
	const context = await browser.newContext({ storageState: signedIn('monitor'), viewport });
	const page = await context.newPage();
	await page.addInitScript(() => {
		const watch = new MutationObserver(() => {
			const drawn = document.getElementById('last-seen');
			if (drawn) document.documentElement.dataset['drawn'] = drawn.textContent;
		});
		watch.observe(document, { childList: true, subtree: true });
	});
	await packField(page);
	await expect(page.locator('html')).not.toHaveAttribute('data-drawn'); // nothing was seen before
	await page.goto('/sample');
	await page.getByText(/^Packed /).waitFor();
	await expect(page.locator('html')).toHaveAttribute('data-drawn', /round.*Packed/s);
	await expect(page.locator('#last-seen')).toHaveCount(0);
	await context.close();
});
