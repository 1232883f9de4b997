import { chromium, type Page } from '@playwright/test';
import { chromiumOptions } from './chromium';
import { DEMO_PASSWORD, demoSignIns } from '../src/lib/server/demo/people';
import type { Role } from '../src/lib/core/library';

/* Walks the demo as each person and takes a picture of each main view. */

const base = process.env['ORIGIN']!;
const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
const browser = await chromium.launch(chromiumOptions);

const take = async (page: Page, name: string) => {
	await page.evaluate(() => document.fonts.ready);
	const note = page.locator('.kept-note');
	// else the same picture differs from run to run
	if (await note.count()) await note.filter({ hasText: /all sent|nothing yet/ }).waitFor();
	await page.screenshot({ path: `docs/screenshots/${name}.png`, animations: 'disabled' });
};

async function as(role: Role, viewport: typeof desk, mode: 'paper' | 'sun' | 'dusk' = 'paper'): Promise<Page> {
	const context = await browser.newContext({ viewport, baseURL: base, hasTouch: viewport === phone });
	await context.addInitScript(`localStorage.setItem('keen-riffle-mode', '${mode}')`);
	const { email } = demoSignIns.find((s) => s.role === role)!;
	const answer = await context.request.post('/api/auth/sign-in/email', {
		headers: { origin: base },
		data: { email, password: DEMO_PASSWORD }
	});
	if (!answer.ok()) throw new Error(`sign-in answered ${String(answer.status())}`);
	return context.newPage();
}

const office = await as('coordinator', desk);
await office.goto('/today');
await office.getByRole('heading', { name: 'Next' }).waitFor();
await take(office, 'today');
await office.goto('/sites/QU1?p=nitrite');
await office.locator('.chart.drawn svg').waitFor();
await take(office, 'site-nitrite-at-the-ditch');

await office.goto('/lab-reports');
await office
	.getByRole('link', { name: /^Look at it/ })
	.first()
	.click();
for (const [heading, field] of [
	['Client ref', 'label'],
	['Finding', 'value'],
	['In', 'unit']
] as const)
	await office.getByLabel(`heading “${heading}”`).selectOption(field);
await office.getByLabel(/^“Oxidised N/).selectOption('nitrate-nitrite');
await office.getByRole('button', { name: /^Write \d+ figures/ }).waitFor();
await take(office, 'lab-report');

await office.goto('/plan');
await office.getByRole('button', { name: 'Propose the rest' }).click();
await office.getByRole('button', { name: /^Take these/ }).waitFor();
await take(office, 'plan-season');
await office
	.getByRole('link', { name: /^Plan the day/ })
	.first()
	.click();
await office.getByText(/The slack is thin/).waitFor();
await take(office, 'plan-round');

await office.goto('/library/sites');
await office.getByRole('table').waitFor();
await take(office, 'library-sites');

const reviewer = await as('reviewer', desk);
await reviewer.goto('/review');
await reviewer.getByRole('table').waitFor();
await take(reviewer, 'review');
await reviewer
	.getByRole('row', { name: /Hobbin 2/ })
	.getByRole('link')
	.first()
	.click();
await reviewer.getByRole('heading', { name: 'Logbook' }).waitFor();
await take(reviewer, 'visit');

const packer = await as('coordinator', phone);
await packer.goto('/sample');
await packer.getByText(/^Packed /).waitFor();
await packer.goto('/pack');
await packer.getByRole('link', { name: /Lower round/ }).click();
await packer.getByRole('checkbox', { name: /spare bottles/ }).check();
await packer.getByText('The others see it.').waitFor();
await take(packer, 'pack');

const bank = await as('monitor', phone);
await bank.goto('/sample');
await bank.getByText(/^Packed /).waitFor();
await bank
	.getByRole('link', { name: /Go on at Ebbin 1/ })
	.first()
	.waitFor();
await take(bank, 'sample-round');
await bank.getByRole('button', { name: 'Start at Tessel 3' }).first().click();
await bank.getByLabel('Depth at the edge').fill('0.25');
await bank.getByLabel('Speed there').fill('0.4');
await bank.getByLabel('Speed there').blur();
await bank.getByText('Wade', { exact: true }).click();
await bank.getByRole('link', { name: /^Go on/ }).waitFor();
await take(bank, 'sample-arrive');
await bank.getByRole('link', { name: /^Go on/ }).click();
await bank.getByRole('button', { name: 'Filled just now' }).click();
await bank.getByRole('button', { name: 'It is on ice now' }).click();
await take(bank, 'sample-bottle');

const keep = async (text: string) => {
	await bank.keyboard.type(text);
	await bank.keyboard.press('Enter');
};
for (const [step, ...figures] of [
	['water-temperature', '11.2'],
	['oxygen', '9.8', '9.9']
] as const) {
	await bank.goto(bank.url().replace(/[^/]+$/, step));
	await bank.locator('.slots input').first().focus();
	for (const figure of figures) await keep(figure);
	await bank.getByText(figures.length === 1 ? 'One reading.' : `Mean of ${String(figures.length)} readings.`).waitFor();
}
await bank.getByText(/of what this water can hold/).waitFor();
await bank.keyboard.type('9.');
await take(bank, 'sample-oxygen');

await bank.goto(bank.url().replace(/[^/]+$/, 'flow'));
await bank.locator('#flow-cell').focus();
await keep('0.4');
const verticals = [
	[0.8, 0.12, 0.14],
	[1.2, 0.2, 0.24],
	[1.6, 0.27, 0.33],
	[2, 0.31, 0.41],
	[2.5, 0.34, 0.46],
	[3.5, 0.31, 0.41],
	[4, 0.24, 0.3],
	[4.4, 0.17, 0.19],
	[4.8, 0.08, 0.1]
];
for (const vertical of verticals) for (const figure of vertical) await keep(String(figure));
await bank.getByRole('textbox', { name: /^Far edge of the water/ }).click();
await keep('5.1');
await bank.getByText(/^Best next: a vertical at/).waitFor();
await bank.waitForTimeout(400);
const depths = bank.getByRole('textbox', { name: 'Vertical, depth, m' });
await depths.nth(5).click();
await keep('3.1');
await bank.getByText(/is rarely waded/).waitFor();
await bank.keyboard.press('Enter'); // it is asked about, and kept all the same
await depths.nth(5).click();
await keep('0.31');
await bank.getByText(/3.1 by IQ/).waitFor();
await take(bank, 'sample-flow');
const flow = bank.url();

// what is going on: a live pick at its 43rd minute, and an animal that is asked about
await bank.goto('/sample');
const pick = bank
	.getByRole('listitem')
	.filter({ hasText: /Tessel 2.*opened by SO/s })
	.getByRole('link', { name: 'Open' });
await bank.goto(`${(await pick.first().getAttribute('href'))!}/sort`);
await bank.getByText('43 min').waitFor();
await take(bank, 'sample-tray');
await bank.getByRole('button', { name: 'Another kind' }).click();
await bank.getByRole('button', { name: 'By what you see' }).click();
await bank.getByRole('button', { name: /^slim insect/ }).click();
await bank.getByRole('button', { name: /^Take back: / }).waitFor();
await bank.locator('.states button').first().click();
await bank
	.getByRole('button', { name: /^Take back: / })
	.nth(1)
	.waitFor();
await take(bank, 'sample-key');

const table = await as('bench', phone);
await table.goto('/bench');
await table.getByRole('link', { name: /^Read/ }).first().waitFor();
await take(table, 'bench');

const dusk = await as('bench', phone, 'dusk');
await dusk.goto('/sample');
await dusk.getByText(/^Packed /).waitFor();
await dusk.goto('/bench');
await dusk.getByRole('link', { name: /^Read TE3/ }).click();
await dusk.getByRole('button', { name: 'Suggest marks' }).click();
await dusk.getByText(/in pencil/).waitFor();
await dusk.getByRole('button', { name: '2×' }).click();
const frame = (await dusk.locator('.frame').boundingBox())!;
const spots = await dusk
	.locator('.pencil')
	.evaluateAll((all) => all.map((spot) => spot.getBoundingClientRect().toJSON() as DOMRect));
const inSight = spots.filter((s) => s.right < frame.x + frame.width && s.bottom < phone.height);
for (const [nth, { x, y, width, height }] of inSight.slice(0, 12).entries()) {
	await dusk.mouse.click(x + width / 2, y + height / 2);
	await dusk.locator('.colony').nth(nth).waitFor();
}
await take(dusk, 'bench-photo-dusk');

const sun = await as('monitor', phone, 'sun');
await sun.goto('/sample');
await sun.getByText(/^Packed /).waitFor();
await sun.goto(flow.replace(/[^/]+$/, 'clarity'));
await sun.locator('.tool').waitFor();
await take(sun, 'sample-clarity-sun');
await browser.close();
