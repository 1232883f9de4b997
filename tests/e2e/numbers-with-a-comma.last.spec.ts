import { execFileSync } from 'node:child_process';
import { expect, test, type Page } from '@playwright/test';
import { measure } from './a-visit';
import { packField, signedIn } from './application';

test.use({ storageState: signedIn('coordinator') });

/** The share of the depth at which a meter hangs is the name of a method, and no figure. */
const NAMES = /0\.6 of (the depth|it)/g;
/** What stands on the page with a decimal point: text, what is read aloud, what fields offer. */
const withPoint = async (page: Page): Promise<string[]> => {
	const texts = await page.evaluate(() => {
		const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
		const found: string[] = [];
		while (walker.nextNode())
			if (!walker.currentNode.parentElement?.closest('script, style')) found.push(walker.currentNode.textContent ?? '');
		for (const e of document.querySelectorAll('[aria-label]')) found.push(e.getAttribute('aria-label')!);
		return found;
	});
	return texts.filter((text) => /\d\.\d/.test(text.replace(NAMES, '')));
};

const write = async (page: Page, as: string) => {
	await page.goto('/library/program');
	await page.getByLabel('Numbers').selectOption(as);
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
};

test('a program that writes a comma finds one everywhere; a point may still be typed, and files have one', async ({
	page,
	browser
}) => {
	await write(page, '11,2');
	await page.goto('/visits');
	const visits = await page
		.locator('a[href^="/visits/0"]')
		.evaluateAll((links) => [...new Set(links.map((a) => a.getAttribute('href')!))].slice(0, 4));
	const pages = ['/today', '/plan', '/sites', '/sites/TE1', '/sites/EB1?p=nitrite', '/sites/TE3/animals', '/apart'];
	expect(visits).toHaveLength(4);
	for (const address of [...pages, '/apart/blanks', '/vouchers/names', '/library/thresholds', ...visits]) {
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

	const phone = { viewport: { width: 390, height: 844 }, hasTouch: true };
	const hand = await (await browser.newContext({ ...phone, storageState: signedIn('monitor') })).newPage();
	await packField(hand);
	const pick = hand.getByRole('listitem').filter({ hasText: /Tessel 2.*opened by SO/s });
	const visit = (await pick.getByRole('link', { name: 'Open' }).first().getAttribute('href'))!;
	await hand.goto(`${visit}/arrive`);
	await hand.locator('.tool').waitFor();
	await measure(hand, 'Depth at the edge', '0.35');
	await expect(hand.getByLabel('Depth at the edge')).toHaveValue('0,35');
	expect(await withPoint(hand)).toEqual([]);
	await hand.context().close();
	await write(page, '11.2');
	await page.goto('/sites/EB1?p=nitrite');
	await expect(page.getByRole('main')).toContainText(/\d\.\d+ mg\/L as N/);
});
