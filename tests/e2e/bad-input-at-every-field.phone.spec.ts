import { expect, test, type Locator, type Page } from '@playwright/test';
import { fullVisit, tap } from './a-visit';
import { signedIn } from './application';

test.use({ storageState: signedIn('monitor') });

/** What no field for a number takes, and the kind words that meet it. */
const slips = [
	['ankle', /Only digits/],
	['1..2', /two decimal points/],
	['-', /Type a number/]
] as const;

/**
 * Types each slip into a field that checks when it is left or kept: it is told what is wrong, and the text is still
 * there.
 */
async function meets(page: Page, field: Locator, isKeptByEnter: boolean): Promise<void> {
	const name = await field.evaluate(
		(input: HTMLInputElement) => input.labels?.[0]?.textContent ?? input.getAttribute('aria-label') ?? ''
	);
	for (const [text, words] of slips) {
		await field.fill(text);
		await (isKeptByEnter ? field.press('Enter') : field.blur());
		await expect(page.getByRole('alert').filter({ hasText: words }).first(), `${name}: ${text}`).toBeVisible();
		await expect(field, name).toHaveValue(text);
	}
}
const numbers = (page: Page) => page.locator('main input[inputmode="decimal"]:visible');
const figures = (page: Page) => page.locator('main input[inputmode="none"]:visible');

test('every figure of every step: letters, two points and a lone minus are met in words, and stay', async ({
	page
}) => {
	test.slow(); // every field of nine steps
	const trouble: string[] = [];
	page.on('pageerror', (error) => trouble.push(error.message));
	const step = await fullVisit(page, 'Tessel 3');
	let met = 0;
	for (const place of ['air-temperature', 'water-temperature', 'oxygen', 'conductivity', 'clarity', 'disc', 'flow']) {
		await step(place);
		await expect(figures(page).first()).toBeVisible();
		const count = await figures(page).count();
		for (let i = 0; i < count; i++, met++) await meets(page, figures(page).nth(i), true);
	}
	await step('flow');
	await page.getByText('Widths and tape').click();
	for (const way of [null, 'floats', 'a throat flume', 'bucket and stopwatch', 'one sweep across the whole section']) {
		if (way !== null) {
			await page.getByRole('button', { name: /change$/ }).click();
			await tap(page, way);
			await tap(page, 'Done');
		}
		await expect(numbers(page).first()).toBeVisible();
		const count = await numbers(page).count();
		for (let i = 0; i < count; i++, met++) await meets(page, numbers(page).nth(i), false);
	}
	await step('arrive');
	for (const label of ['Depth at the edge', 'Speed there']) await meets(page, page.getByLabel(label), false);
	expect(met).toBeGreaterThan(20); // none was passed over because it was not there
	expect(trouble).toEqual([]);
});

test('what is wrong and half typed is there again after a reload, at every figure', async ({ page }) => {
	const step = await fullVisit(page, 'Tessel 3');
	for (const place of ['oxygen', 'disc', 'clarity']) {
		await step(place);
		await expect(figures(page).first()).toBeVisible();
		const count = await figures(page).count();
		for (let i = 0; i < count; i++)
			await figures(page)
				.nth(i)
				.fill(`${String(i)}.`);
		await page.reload();
		for (let i = 0; i < count; i++) await expect(figures(page).nth(i)).toHaveValue(`${String(i)}.`);
	}
});

test('a pasted comma is a point wherever a number is asked for', async ({ page }) => {
	const step = await fullVisit(page, 'Tessel 3');
	const depth = page.getByLabel('Depth at the edge');
	await depth.fill('0,35');
	await depth.blur();
	await expect(depth).toHaveValue('0.35');
	for (const [place, pasted, kept] of [
		['water-temperature', '11,2', '11.2'],
		['conductivity', '182,5', '182.5'],
		['clarity', '60,5', '60.5']
	] as const) {
		await step(place);
		await figures(page).first().fill(pasted);
		await figures(page).first().press('Enter');
		await expect(figures(page).first()).toHaveValue(kept);
	}
});

test('on paper: a time that is none, and a leaving before the coming, are met in words', async ({ page }) => {
	await page.goto('/sample');
	await page.getByText('A sheet from paper').click();
	await page.getByRole('combobox', { name: /^Site/ }).selectOption({ label: 'Tessel 3' });
	for (const text of ['noon', '25:00', '9:75']) {
		await page.getByLabel('Begun at').fill(text);
		await tap(page, 'Type it in');
		await expect(page.getByText(/When did the visit begin/)).toBeVisible();
		await expect(page.getByLabel('Begun at')).toHaveValue(text);
	}
	await page.getByLabel('Begun at').fill('9.40');
	await tap(page, 'Type it in');
	await page.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
	await page.goto(page.url().replace(/[^/]+$/, 'leave'));
	const left = page.getByLabel('They left at');
	await left.fill('late');
	await left.blur();
	await expect(page.getByRole('alert').filter({ hasText: /time/ })).toBeVisible();
	await expect(left).toHaveValue('late');
	await left.fill('9:10');
	await left.blur();
	await expect(page.getByText(/the leaving comes before the arrival, which cannot be/)).toBeVisible();
});

test('words: too many are told and stay, half of them outlive a reload, none at all take them back', async ({
	page
}) => {
	const step = await fullVisit(page, 'Tessel 3');
	await step('conductivity');
	await page.getByText('Remark, photo, sketch', { exact: true }).click();
	const remark = page.getByLabel(/^What a figure does not say/);
	const pasted = 'The cable is frayed. '.repeat(100).trim(); // 2099 letters
	await remark.fill(pasted);
	await remark.blur();
	await expect(
		page.getByRole('alert').filter({ hasText: 'At most 2000 letters, these are 2099. Shorten it; nothing is lost.' })
	).toBeVisible();
	await expect(remark).toHaveValue(pasted);
	await remark.fill('The cable is fr');
	await page.reload();
	await expect(remark).toHaveValue('The cable is fr');
	await remark.fill('  The cable is frayed.  ');
	await remark.blur();
	await expect(remark).toHaveValue('The cable is frayed.');
	await page.reload();
	await expect(remark).toHaveValue('The cable is frayed.');
	await remark.fill('   ');
	await remark.blur();
	await expect(page.getByText(/: taken back$/)).toBeVisible();
	await expect(remark).toHaveValue('');

	await step('leave');
	await tap(page, 'Who');
	await page.getByRole('combobox', { name: /^To/ }).selectOption({ index: 1 });
	await page.getByLabel('What they should know').fill(pasted);
	await tap(page, 'Hand it over');
	await expect(page.getByText('What they should know: at most 2000 letters, these are 2099.')).toBeVisible();
	await expect(page.getByLabel('What they should know')).toHaveValue(pasted);
});
