import { execFileSync } from 'node:child_process';
import { expect, type Page } from '@playwright/test';
import { measure, startAt } from './a-visit';
import { packField, read as figureAt } from './application';
import { testOnOwnDemo as test } from './own-server';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };

/** Says how the program's people read what is shown. */
const set = async (page: Page, settings: Record<string, string>) => {
	await page.goto('/library/program');
	for (const [label, option] of Object.entries(settings)) await page.getByLabel(label).selectOption(option);
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
};

/** What a card says of its own is in its people’s words. */
const CARD = /0\.6 of it|at 0\.2 and at 0\.8|deeper than 0\.75 m/g;
/** What stands on the page with a decimal point: text, what is read aloud, what fields have. */
const withPoint = async (page: Page): Promise<string[]> => {
	const texts = await page.evaluate(() => {
		const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
		const found: string[] = [];
		while (walker.nextNode())
			if (!walker.currentNode.parentElement?.closest('script, style')) found.push(walker.currentNode.textContent ?? '');
		for (const e of document.querySelectorAll('[aria-label]')) found.push(e.getAttribute('aria-label')!);
		for (const { type, value } of document.querySelectorAll('input'))
			if (type !== 'hidden' && !URL.canParse(value)) found.push(value);
		return found;
	});
	return texts.filter((text) => /\d\.\d/.test(text.replace(CARD, '')));
};

/** Addresses of the first visits that a page has links to. */
const visitsOn = (page: Page, most: number): Promise<string[]> =>
	page
		.locator('main a[href^="/visits/0"]')
		.evaluateAll((links, most) => [...new Set(links.map((a) => a.getAttribute('href')!))].slice(0, most), most);

test('a program that writes a comma finds one everywhere; a point may still be typed, and files have one', async ({
	page,
	browser,
	own
}) => {
	await set(page, { Numbers: '11,2' });
	await page.goto('/visits');
	const visits = await visitsOn(page, 4);
	const shelves = ['/library/sites', '/library/instruments', '/library/cards/stream-visit'];
	const pages = ['/today', '/plan', '/sites', '/sites/TE1', '/sites/EB1?p=nitrite', '/sites/TE3/animals', '/apart'];
	// one with a cross-section, whichever the list begins with
	await page.goto('/sites/TE1?p=discharge');
	visits.push(...(await visitsOn(page, 1)));
	expect(visits).toHaveLength(5);
	for (const address of [...pages, '/apart/blanks', '/vouchers/names', '/library/thresholds', ...shelves, ...visits]) {
		await page.goto(address);
		await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
		expect(await withPoint(page), address).toEqual([]);
	}
	await page.goto('/sites/EB1?p=nitrite');
	await expect(page.getByRole('main')).toContainText(/\d,\d+ mg\/L as N/);
	const file = await page.request.get('/sites/EB1/series.csv?p=nitrite&span=all');
	expect(await file.text()).toMatch(/,0\.\d+,/);

	await page.goto('/plan');
	const round = (await page.locator('a[href^="/plan/rounds/"]').first().getAttribute('href'))!.split('?')[0]!;
	const paper = await (await page.request.get(`${round}/paper.pdf?what=round`)).body();
	expect(execFileSync('pdftotext', ['-', '-'], { input: paper }).toString()).toMatch(/over 0,6 m²\/s/);

	const hand = await (await browser.newContext({ ...PHONE, storageState: await own.signedIn('monitor') })).newPage();
	await packField(hand);
	const pick = hand.getByRole('listitem').filter({ hasText: /Tessel 2.*opened by SO/s });
	const visit = (await pick.getByRole('link', { name: 'Open' }).first().getAttribute('href'))!;
	await hand.goto(`${visit}/arrive`);
	await hand.locator('.tool').waitFor();
	await measure(hand, 'Depth at the edge', '0.35');
	await expect(hand.getByLabel('Depth at the edge')).toHaveValue('0,35');
	expect(await withPoint(hand)).toEqual([]);
	await hand.context().close();
	await set(page, { Numbers: '11.2' });
	await page.goto('/sites/EB1?p=nitrite');
	await expect(page.getByRole('main')).toContainText(/\d\.\d+ mg\/L as N/);
});

/** The first number of a text. */
const numberIn = (text: string | null) => Number(/−?\d+(\.\d+)?/.exec(text!)![0].replace('−', '-'));
const tableOf = async (page: Page, parameter: string) => {
	await page.goto(`/sites/TE1?p=${parameter}&span=all&view=table`);
	const cells = page.getByRole('main').locator('tbody tr').first().locator('td');
	return { figure: numberIn(await cells.nth(1).textContent()), says: await cells.nth(4).textContent() };
};

test('a program that reads °F and L/s finds them in office and field; what is judged and what files have stays', async ({
	page,
	browser,
	own
}) => {
	const before = { water: await tableOf(page, 'water-temperature'), flow: await tableOf(page, 'discharge') };
	await page.goto('/sites/TE1?p=water-temperature&span=all');
	await expect(page.getByText(/°C a year/).first()).toBeVisible();
	const csv = await (await page.request.get('/sites/TE1/series.csv?p=water-temperature&span=all')).text();

	await set(page, { 'Temperatures are read in': '°F', 'Discharge is read in': 'L/s' });
	const after = { water: await tableOf(page, 'water-temperature'), flow: await tableOf(page, 'discharge') };
	expect(after.water.figure).toBeCloseTo(before.water.figure * 1.8 + 32, 1);
	expect(after.flow.figure).toBeCloseTo(before.flow.figure * 1000, 0);
	expect(after.water.says).toBe(before.water.says);
	expect(await (await page.request.get('/sites/TE1/series.csv?p=water-temperature&span=all')).text()).toBe(csv);
	await page.goto('/sites/TE1?p=water-temperature&span=all');
	await expect(page.getByText(/°F a year/).first()).toBeVisible();
	await expect(page.getByRole('main')).not.toContainText('°C');
	// a limit is typed in the parameter's own, and says so
	await page.goto('/library/thresholds');
	const limit = page.getByRole('row', { name: /Water temperature/ }).first();
	await expect(limit).toContainText(/\d\s°C/); // they stay on one line
	await limit.getByRole('link').first().click();
	await expect(page.getByLabel(/^Watch from, °C/)).toHaveValue(/^\d+$/);
	// a visit that has one, whatever else was begun meanwhile
	await page.goto('/sites/TE1?p=water-temperature&span=all&view=table');
	const [visit] = await visitsOn(page, 1);
	await page.goto(visit!);
	await expect(page.getByRole('row', { name: /^Water temperature/ }).first()).toContainText(/\d °F/);

	const hand = await (await browser.newContext({ ...PHONE, storageState: await own.signedIn('monitor') })).newPage();
	await packField(hand);
	const base = await startAt(hand, 'Hobbin 1');
	await hand.goto(`${base}/water-temperature`);
	await hand.locator('.tool').waitFor();
	await figureAt(hand, 'Water temperature', '12.0'); // a card asks in its own unit
	await expect(hand.getByRole('status').filter({ hasText: /53\.6( ± [\d.]+)? °F/ })).toBeVisible();
	await hand.context().close();

	await set(page, { 'Temperatures are read in': '°C', 'Discharge is read in': 'm³/s' });
	expect(await tableOf(page, 'water-temperature')).toEqual(before.water);
});
