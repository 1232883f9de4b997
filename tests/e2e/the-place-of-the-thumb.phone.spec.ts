import { expect, test, type Locator, type Page } from '@playwright/test';
import { fullVisit, startAt } from './a-visit';
import { packField, signedIn } from './application';

/* Keys and the next act lie at the foot, whole, on every size of phone; what a figure says stands above them. */

test.use({ storageState: signedIn('monitor') });

const sizes = [
	{ width: 390, height: 844 },
	{ width: 390, height: 664 },
	{ width: 844, height: 390 },
	{ width: 320, height: 568 }
];
const LEAST_px = 44;
const boxOf = async (place: Locator) => (await place.boundingBox())!;

/** Whether a tap in its middle meets it and nothing that lies over it. */
const isTappable = (place: Locator) =>
	place.evaluate((e) => {
		const { left, top, width, height } = e.getBoundingClientRect();
		const met = document.elementFromPoint(left + width / 2, top + height / 2);
		return met !== null && (e.contains(met) || met.contains(e));
	});

async function press(page: Page, text: string): Promise<void> {
	for (const key of text)
		await page
			.getByRole('group', { name: 'Keys' })
			.getByRole('button', { name: key === '.' ? 'decimal point' : key, exact: true })
			.tap();
}

for (const size of sizes)
	test(`at ${size.width} by ${size.height} the keys are whole, the act stays in its place, the answer is in sight`, async ({
		page
	}) => {
		await page.setViewportSize(size);
		const to = await fullVisit(page, 'Hobbin 2');
		await to('oxygen');
		for (const key of await page.getByRole('group', { name: 'Keys' }).getByRole('button').all()) {
			const box = await boxOf(key);
			expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(LEAST_px);
			expect(box.y + box.height).toBeLessThanOrEqual(size.height);
			expect(await isTappable(key)).toBe(true);
		}
		const fields = page.locator('.slots input');
		await press(page, '9.8');
		const save = page.getByRole('button', { name: 'Save', exact: true });
		const there = await boxOf(save);
		await save.tap();
		await expect(page.getByRole('button', { name: 'Save' })).toHaveCount(0);
		for (const text of ['9.9', '9.7', '9.8', '9.8']) {
			await press(page, text);
			await save.tap();
		}
		const next = page.getByRole('link', { name: /^Go on: / });
		expect(await boxOf(next)).toEqual(there);
		for (const act of [next, page.getByRole('button', { name: /^Steps/ })]) {
			const box = await boxOf(act);
			expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(LEAST_px);
			expect(await isTappable(act)).toBe(true);
		}
		const answer = page.getByText(/^Dissolved oxygen: 9\.8/);
		await expect(answer).toBeInViewport();
		expect((await boxOf(answer)).y).toBeGreaterThan((await boxOf(fields.first())).y);
	});

/** Counts what a thumb does on a page: every tap, keys of the keypad among them; a reload forgets none. */
async function countTaps(page: Page): Promise<() => Promise<number>> {
	await page.addInitScript(() =>
		addEventListener(
			'click',
			({ isTrusted, detail }: MouseEvent) => {
				if (!isTrusted || detail === 0) return;
				sessionStorage.setItem('taps', String(Number(sessionStorage.getItem('taps')) + 1));
				document.documentElement.dataset['tapped_ms'] = String(performance.now());
			},
			true
		)
	);
	return () => page.evaluate(() => Number(sessionStorage.getItem('taps')));
}

/** Types a figure with the keys and saves it. */
async function figure(page: Page, text: string): Promise<void> {
	await press(page, text);
	const save = page.getByRole('button', { name: 'Save', exact: true });
	await save.tap();
	await expect(save).toHaveCount(0);
}

/** Ten verticals, their spacing said once, depths and speeds in centimetres. */
async function tenVerticals(page: Page): Promise<void> {
	for (const text of ['0', '.5', '20', '25']) await figure(page, text);
	await page.getByRole('button', { name: 'Go on every 0.5 m' }).tap();
	for (let i = 2; i <= 10; i++) {
		await figure(page, String(20 + i));
		await figure(page, String(30 - i));
	}
	await page.getByRole('textbox', { name: /^Far edge of the water/ }).tap();
	await figure(page, '6');
	await expect(page.getByRole('img', { name: /Cross-section of 10 verticals/ })).toBeVisible();
	await expect(page.getByRole('textbox', { name: 'Vertical, tape, m' }).nth(9)).toHaveValue('5');
}

test('ten verticals take at most seventy taps', async ({ page }) => {
	const taps = await countTaps(page);
	const to = await fullVisit(page, 'Hobbin 2');
	await to('flow');
	await page.getByLabel(/type depths in cm/).check(); // said once for this phone, not with every section
	const before = await taps();
	await tenVerticals(page);
	const used = (await taps()) - before;
	expect(used).toBeGreaterThan(50); // they were counted
	expect(used).toBeLessThanOrEqual(70);
});

test('a whole visit to a narrow brook takes at most 120 taps, ten verticals among them', async ({ page }) => {
	const taps = await countTaps(page);
	await packField(page);
	await page.context().setOffline(true);
	const base = await startAt(page, 'Hobbin 2', 'Stream visit, version 2');
	await page.goto(`${base}/flow`);
	await page.getByLabel(/type depths in cm/).check();
	await page.goto(`${base}/arrive`);
	const before = await taps();
	const on = async () => {
		// a second tap at once is taken for a slip: a hand that means it comes later
		await page.waitForFunction(
			(ms) => performance.now() - Number(document.documentElement.dataset['tapped_ms']) > ms,
			400
		);
		await page.getByRole('link', { name: /^Go on: / }).tap();
	};
	await page.getByText('Wade', { exact: true }).tap();
	await on();
	await page.getByRole('button', { name: 'Filled just now' }).tap();
	await page.getByRole('button', { name: 'It is on ice now' }).tap();
	await on();
	for (const readings of [['14.5'], ['11.2'], ['9.8', '9.9', '9.7'], ['182']]) {
		for (const reading of readings) await figure(page, reading);
		await on();
	}
	await page.getByRole('button', { name: /Still visible when full/ }).tap();
	await on();
	await tenVerticals(page);
	await on();
	await expect(page.getByText('Nothing is missing.')).toBeVisible();
	await page.getByRole('button', { name: 'Checked, we are leaving' }).tap();
	await expect(page.getByText(/^Left at/)).toBeVisible();
	const used = (await taps()) - before;
	expect(used).toBeGreaterThan(90);
	expect(used).toBeLessThanOrEqual(120);
});

test('the list of steps lies over a step and takes nothing of it away; going back closes it and stays', async ({
	page
}) => {
	const to = await fullVisit(page, 'Hobbin 2');
	await to('flow');
	const type = async (text: string) => {
		await press(page, text);
		await page.getByRole('button', { name: 'Save', exact: true }).tap();
		await expect(page.getByRole('button', { name: 'Save', exact: true })).toHaveCount(0);
	};
	for (const text of ['0', '0.5', '0.3', '0.4']) await type(text);
	await page.getByRole('button', { name: 'Go on every 0.5 m' }).tap();
	const going = page.getByRole('button', { name: 'every 0.5 m: stop' });
	await expect(going).toBeVisible();
	await page.getByRole('button', { name: /^Steps/ }).tap();
	const list = page.getByRole('dialog', { name: 'Steps of this visit' });
	await expect(list).toBeVisible();
	await page.goBack();
	await expect(list).toBeHidden();
	await expect(page.getByRole('heading', { name: 'Flow', level: 1 })).toBeVisible();
	await expect(going).toBeVisible(); // what the tool knows of itself is still there

	await to('leave');
	await expect(page.getByRole('button', { name: 'Leave with gaps' })).toBeInViewport();
	await page.getByRole('button', { name: /^Steps/ }).tap();
	await expect(list).toBeVisible();
	// it listens to the keys once it has the focus
	await expect.poll(() => list.evaluate((dialog) => dialog.contains(document.activeElement))).toBe(true);
	await page.keyboard.press('Escape');
	await expect(list).toBeHidden();
	await expect(page.getByRole('button', { name: 'Leave with gaps' })).toBeVisible();
});

test('a step that was missed is one tap away, and all steps are within reach of the thumb', async ({ page }) => {
	const to = await fullVisit(page, 'Hobbin 2');
	await to('oxygen');
	await page.getByRole('button', { name: /^Steps/ }).tap();
	const list = page.getByRole('dialog', { name: 'Steps of this visit' });
	await list.getByLabel('Look of the pages').selectOption('Sun');
	await expect(page.locator('html')).toHaveAttribute('data-mode', 'sun');
	await list.getByRole('link', { name: 'Conditions' }).tap();
	await page.getByRole('heading', { name: 'Conditions', level: 1 }).waitFor();
	await page.goto(page.url().replace(/[^/]+$/, 'flow'));
	await page.locator('.tool').waitFor();
	const missed = page.locator('header .say.ask a').first();
	const name = await missed.innerText();
	await missed.tap();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(new RegExp(name, 'i'));
});

test('without a network the office gives way to what is on the phone, with a word', async ({ page }) => {
	await packField(page);
	await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
	await page.context().setOffline(true);
	await page.goto('/today');
	await expect(page).toHaveURL(/\/sample/);
	await expect(page.getByText('Today needs one and opens again where there is one.')).toBeVisible();
	await page.getByRole('link', { name: 'To the office' }).click();
	await expect(page.getByText('Today needs one and opens again where there is one.')).toBeVisible();
});

for (const size of [
	{ width: 390, height: 844 },
	{ width: 390, height: 664 }
])
	test(`with letters twice as large, at ${size.width} by ${size.height}, the keys are whole
	and the act in its place`, async ({ page }) => {
		await page.setViewportSize(size);
		const to = await fullVisit(page, 'Hobbin 2');
		await to('oxygen');
		await page.addStyleTag({ content: 'html { font-size: 200%; }' });
		const next = page.getByRole('link', { name: /^(Go on|Skip to): / });
		for (const act of [
			...(await page.getByRole('group', { name: 'Keys' }).getByRole('button').all()),
			next,
			page.getByRole('button', { name: /^Steps/ }),
			page.getByRole('button', { name: 'Who' })
		]) {
			const box = await boxOf(act);
			expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(LEAST_px);
			expect(box.x + box.width).toBeLessThanOrEqual(size.width);
			expect(box.y + box.height).toBeLessThanOrEqual(size.height);
			expect(await isTappable(act)).toBe(true);
		}
		// the step itself keeps a third of the screen, and scrolls in it
		const main = await boxOf(page.getByRole('main'));
		expect(main.height).toBeGreaterThan(size.height / 3.2);
		expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(size.width);
	});
