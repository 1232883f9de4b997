import { expect, test } from '@playwright/test';
import { fullVisit } from './a-visit';
import { keep, signedIn } from './application';

test.use({ storageState: signedIn('monitor') });

/** What is typed wrongly, and the words that meet it. */
const slips = [
	['knee deep', /Only digits, please/],
	['0..3', /two decimal points/],
	['-', /Type a number/],
	['<0.3', /number itself is needed/]
] as const;

test('in a field for a measure: kind words, the text stays, and a pasted comma is a point', async ({ page }) => {
	const step = await fullVisit(page, 'Tessel 3');
	const depth = page.getByLabel('Depth at the edge');
	for (const [text, words] of slips) {
		await depth.fill(text);
		await depth.blur();
		await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
		await expect(depth).toHaveValue(text);
	}
	await depth.fill('-0.3');
	await depth.blur();
	await expect(page.getByText('Depth under 0 m is not possible.')).toBeVisible();
	await depth.fill('31'); // cm, in a field for metres
	await depth.blur();
	await expect(page.getByText('Depth over 10 m is not possible.')).toBeVisible();
	await page.reload(); // nothing typed is lost
	await expect(depth).toHaveValue('31');
	await page.locator('.trial select').first().selectOption('cm');
	await expect(depth).toHaveValue('31');
	await expect(page.getByText(/is not possible/)).toHaveCount(0);
	await depth.fill('0,35');
	await page.locator('.trial select').first().selectOption('m');
	await expect(depth).toHaveValue('0.35');

	for (const [place, label] of [
		['flow', 'Wetted width'],
		['leave', null]
	] as const) {
		await step(place);
		if (label === null) continue;
		await page.getByText('Widths and tape').click();
		await page.getByLabel(label).fill('four');
		await page.getByLabel(label).blur();
		await expect(page.getByRole('alert').filter({ hasText: 'Only digits' })).toBeVisible();
	}
});

test('in a reading and in the section: a slip of the unit is recognised and one tap puts it right', async ({
	page
}) => {
	const step = await fullVisit(page, 'Tessel 3');
	await step('water-temperature');
	const slot = page.locator('.slots input').first();
	await slot.focus();
	for (const text of ['warm', '1.2.3']) {
		await keep(page, text);
		await expect(page.locator('#said')).not.toBeEmpty();
		await expect(slot).toHaveValue(text);
		await slot.fill('');
	}
	await keep(page, '52'); // Fahrenheit, in a field for Celsius: beyond what any stream has
	await expect(page.getByText(/52 °C is not possible/)).toBeVisible();
	await page.getByLabel('read in').selectOption('degF');
	await slot.focus();
	await page.keyboard.press('Enter');
	await expect(page.getByText('Water temperature: 11.1')).toBeVisible(); // (52 − 32) / 1.8
	await step('conductivity');
	await page.locator('.slots input').first().focus();
	await keep(page, '1820'); // a point too far to the right, or so this site says
	const offer = page.getByRole('button', { name: /^Strike it and keep 182 µS\/cm$/ });
	await offer.click();
	await expect(page.getByText(/1820 µS\/cm by IQ[^]*struck by IQ[^]*wrong unit or point/)).toBeVisible();
	await expect(page.getByText(/Conductivity, as read: 182/)).toBeVisible();
});

test('a clock that jumps back makes times that cannot be: they are asked about, none is lost', async ({ page }) => {
	await page.clock.install();
	const step = await fullVisit(page, 'Tessel 3');
	await step('bacteria-bottle');
	await page.getByRole('button', { name: 'Filled just now' }).click();
	await expect(page.getByText(/Write that on the label now/)).toBeVisible();
	const jumped = (await page.evaluate(() => Date.now())) - 3 * 3_600_000;
	await page.clock.setSystemTime(jumped);
	await page.getByRole('button', { name: 'It is on ice now' }).click();
	await expect(page.getByText(/the time on ice comes before the time of filling, which cannot be/)).toBeVisible();
	await expect(page.getByText(/^On ice since/)).toBeVisible();
});
