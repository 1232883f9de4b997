import { expect, test } from '@playwright/test';
import { packField, signedIn } from './application';

test.use({ storageState: signedIn('bench') });

test('a bottle is poured and plates are read with no network, and the figure stands in the office', async ({
	page,
	context
}) => {
	await packField(page);
	await context.setOffline(true);
	await page.goto('/bench');
	const readNow = page.getByRole('region', { name: 'To be read now' });
	// what is nearest to its end comes first
	await expect(readNow.getByRole('listitem').first()).toContainText(/^EB2-\d{6}-B-1, -2 last chance/);
	await expect(page.getByRole('img', { name: /^Plates by age: / })).toBeVisible();

	await readNow.getByRole('link', { name: /^Read EB2/ }).click();
	const first = page.getByRole('article', { name: /-B-1$/ });
	const second = page.getByRole('article', { name: /-B-2$/ });
	await expect(first.getByRole('button', { name: 'Read now' })).toBeDisabled();
	// a spoiled one says by what; this one was not
	await first.getByRole('button', { name: 'spoiled' }).click();
	await expect(first.getByRole('button', { name: 'Read now' })).toBeDisabled();
	await first.getByRole('button', { name: 'dried out' }).click();
	await expect(first.getByRole('button', { name: 'Read now' })).toBeEnabled();
	// what else is written meanwhile does not take the reason out of the hand
	await page.getByRole('button', { name: 'Read the simulated thermometer' }).click();
	await expect(page.getByText(/°C, simulated, at/)).toBeVisible();
	await expect(first.getByRole('button', { name: 'dried out' })).toHaveAttribute('aria-pressed', 'true');
	await page.getByRole('button', { name: /^Strike \d/ }).click();
	await expect(page.getByText(/°C, simulated, at/)).toHaveCount(0);
	await first.getByRole('button', { name: 'counted', exact: true }).click();
	// a hand that is quicker than the disk loses no colony
	await first.getByRole('button', { name: /tap for each colony/ }).evaluate((tap: HTMLElement) => {
		for (let n = 1; n <= 4; n++) tap.click();
	});
	await first.getByRole('button', { name: 'One back' }).click();
	await expect(first.getByLabel('or typed')).toHaveValue('3');
	// the phone dies in the middle of a count
	await page.reload();
	await expect(first.getByLabel('or typed')).toHaveValue('3');
	await first.getByLabel('or typed').fill('3,5');
	await expect(first.getByText('half a colony is none')).toBeVisible();
	await first.getByLabel('or typed').fill('31');
	await first.getByText('Crowded? Count some squares only').click();
	await first.getByLabel('Squares in all').fill('10');
	await first.getByLabel('Squares to count').fill('12');
	await expect(first.getByRole('alert')).toHaveText('More squares than the grid has.');
	await expect(first.getByRole('button', { name: 'Read now' })).toBeDisabled();
	await first.getByLabel('Squares to count').fill('3');
	await expect(first.getByText(/Count in squares \d+, \d+ and \d+, and give what they hold/)).toBeVisible();
	for (const field of ['Squares in all', 'Squares to count']) await first.getByLabel(field).fill('');
	await first.getByRole('button', { name: 'Read now' }).click();
	await expect(first).toContainText('counted: 31 colonies');
	await second.getByLabel('or typed').fill('41');
	await second.getByLabel(/Coldest where it stood/).fill('70');
	await expect(second.getByText('A temperature in °C, like 24.5.')).toBeVisible();
	await expect(second.getByRole('button', { name: 'Read now' })).toBeDisabled();
	await second.getByLabel(/Coldest where it stood/).fill('12');
	await expect(second.getByText(/plates grow too slowly/)).toBeVisible();
	await second.getByRole('button', { name: 'Read now' }).click();
	// 72 colonies in 2 mL
	await expect(page.getByRole('status').filter({ hasText: 'E. coli' })).toContainText(/E\. coli: 3600 per 100 mL/);
	// bleach stands before anything is poured off; a tick that was a slip is taken back
	const clearing = page.getByRole('group', { name: 'All are read: clear away' });
	await expect(clearing).toContainText('never with acid or any other cleaner');
	await clearing.getByLabel(/Bleach over all/).check();
	await expect(clearing.getByText(/until \d+:\d+/)).toBeVisible();
	await expect(clearing.getByLabel(/Poured off/)).toBeDisabled();
	await clearing.getByLabel(/Bleach over all/).uncheck();
	await expect(clearing.getByLabel(/Poured off/)).toBeEnabled();
	for (const tick of await clearing
		.getByRole('checkbox')
		.all()
		.then((all) => all.toReversed()))
		await tick.check();
	await expect(clearing.getByRole('status')).toHaveText('Cleared away. Nothing grows on.');
	const visit = new URL(page.url()).pathname.split('/').at(-1)!;

	await page.getByRole('link', { name: 'Bench' }).click();
	await expect(readNow.getByRole('link', { name: /^Read EB2/ })).toHaveCount(0);
	const label = /^TE4-\d{6}-B /;
	const waiting = page
		.getByRole('region', { name: 'Bottles to pour' })
		.getByRole('listitem')
		.filter({ hasText: label });
	await waiting.first().getByRole('link', { name: /^Pour/ }).click();
	const form = page.getByRole('form', { name: /^Pour plates of TE4/ });
	const water = form.getByLabel(/^Water on plate TE4-\d{6}-B-\d, mL$/);
	await expect(water).toHaveCount(2);
	await water.first().fill('0');
	await expect(form.getByRole('alert')).toHaveText('A plate without water grows nothing.');
	await expect(form.getByRole('button', { name: 'Poured now' })).toBeDisabled();
	await water.first().fill('2,5');
	await form.getByRole('button', { name: 'One plate more' }).click();
	await expect(water).toHaveCount(3);
	await form.getByRole('button', { name: 'One blank of sterile water more' }).click();
	await expect(form.getByLabel(/^Sterile water on the blank TE4-\d{6}-B-4, mL$/)).toHaveCount(1);
	await form.getByRole('button', { name: 'Poured now' }).click();
	await expect(page.getByRole('article', { name: /^Plate TE4-\d{6}-B-\d$/ })).toHaveCount(4);
	await expect(page.getByRole('article', { name: /-B-4$/ })).toContainText('blank');
	await expect(page.getByText(/too early, 0 min old/).first()).toBeVisible();

	await context.setOffline(false);
	await expect(page.getByRole('button', { name: 'all sent' })).toBeVisible();
	await page.goto(`/visits/${visit}`);
	await expect(page.getByText(/2 plates, counts pooled/).first()).toBeVisible();
});

test('a bottle is taken in as it came, with no network; one that nobody sent says so', async ({ page, context }) => {
	await packField(page);
	await context.setOffline(true);
	await page.goto('/bench');
	const find = page.getByRole('region', { name: 'Find a bottle' });
	await find.getByLabel('Label of a bottle that came').fill('ZZ9-260514-B');
	await expect(find.getByText('No bottle ZZ9-260514-B is on this device.')).toBeVisible();
	// what stands on it so far is enough to choose from
	await find.getByLabel('Label of a bottle that came').fill('ho1-2605');
	const label = /HO1-260514-B/;
	await find.getByRole('listitem').filter({ hasText: label }).getByRole('link', { name: /^Open/ }).click();
	await page.getByText(/^Take in \d bottle/).click();
	const form = page.getByRole('form', { name: /^Take in HO1-260514-B/ });
	await form.getByLabel('Came at, °C').fill('350');
	await expect(form.getByRole('alert')).toHaveText('A temperature in °C, like 4.5.');
	await expect(form.getByRole('button', { name: /^Accept HO1/ })).toBeDisabled();
	await form.getByLabel('Came at, °C').fill('14');
	await form.getByRole('button', { name: 'some has leaked' }).click();
	await expect(form.getByRole('status')).toContainText('came at 14 °C, over 10 °C; some has leaked');
	await form.getByRole('button', { name: /^Accept with a flag/ }).click();
	await expect(page.getByText(/Bottle HO1-260514-B was taken in with a flag: came at 14 °C/)).toBeVisible();
	await expect(form).toHaveCount(0);
	// it can be poured all the same, and the next who looks sees how it came
	await expect(page.getByRole('form', { name: /^Pour plates of HO1/ })).toBeVisible();
	await page.getByRole('link', { name: 'Bench' }).click();
	await find.getByLabel('Label of a bottle that came').fill('HO1-260514-B');
	await expect(find.getByRole('listitem')).toContainText('accepted, with a flag');
	// of two bottles the second stays in sight when the first is taken in
	await find.getByLabel('Label of a bottle that came').fill('EB1-2605');
	await find.getByRole('listitem').filter({ hasText: 'EB1-2605-B' }).getByRole('link', { name: /^Open/ }).click();
	await page.getByText('Take in 2 bottles').click();
	const first = page.getByRole('form', { name: /^Take in EB1-2605-B/ });
	await first.getByLabel('Came at, °C').fill('4');
	const giver = await first.getByLabel('From whom').inputValue();
	expect(giver).toMatch(/^[A-Z]\w+ [A-Z]\w+/); // by name
	await first.getByRole('button', { name: /^Accept EB1/ }).click();
	await expect(first).toHaveCount(0);
	// and comes from the same hands
	await expect(page.getByRole('form', { name: /^Take in EB1-2605-N/ }).getByLabel('From whom')).toHaveValue(giver);
	await context.setOffline(false);
	await expect(page.getByRole('status').filter({ hasText: /not sent|to send/ })).toHaveCount(0);
});

test('a bottle goes into tubes; those that grew are tapped, and the number is the most probable one', async ({
	page,
	context
}) => {
	await packField(page);
	await context.setOffline(true);
	await page.goto('/bench');
	const waiting = page.getByRole('region', { name: 'Bottles to pour' }).getByRole('listitem');
	await waiting
		.filter({ hasText: /^TE1-\d{6}-B / })
		.first()
		.getByRole('link', { name: /^Pour/ })
		.click();
	await page.getByText('Into tubes or wells instead').first().click();
	const fill = page.getByRole('form', { name: /^Fill tubes from TE1/ });
	await fill.getByLabel('tubes').last().fill('3.5');
	await expect(fill.getByRole('alert')).toHaveText('From 1 to 100 tubes of each volume.');
	await expect(fill.getByRole('button', { name: 'Filled now' })).toBeDisabled();
	await fill.getByLabel('tubes').last().fill('5');
	await fill.getByRole('button', { name: 'Filled now' }).click();

	const set = page.getByRole('article', { name: /^Tubes TE1-\d{6}-B-T1/ });
	await expect(set).toContainText(/too early, \d+ min old\. Leave them warm and in the dark\./);
	const tube = (n: number, mL: string) => set.getByRole('button', { name: `tube ${n} of ${mL} mL`, exact: true });
	for (const n of [1, 2, 3, 4, 5]) await tube(n, '10').click();
	for (const n of [1, 3, 4]) await tube(n, '1').click();
	await tube(2, '0.1').click();
	await tube(2, '0.1').click();
	// the phone dies in the middle of it
	await page.reload();
	await expect(tube(3, '1')).toHaveAttribute('aria-pressed', 'true');
	await expect(tube(2, '0.1')).toHaveAttribute('aria-pressed', 'false');

	// found again by halving: the density at which 5, 3 and 0 of five are most likely
	const grown = [
		{ v: 10, k: 5 },
		{ v: 1, k: 3 },
		{ v: 0.1, k: 0 }
	];
	const slope = (d: number) => grown.reduce((sum, { v, k }) => sum + (k * v) / (1 - Math.exp(-d * v)) - 5 * v, 0);
	let [low, high] = [1e-4, 10];
	for (let i = 0; i < 80; i++) {
		const middle = (low + high) / 2;
		if (slope(middle) > 0) low = middle;
		else high = middle;
	}
	const per100 = 100 * low;
	await expect(set.getByRole('status')).toContainText(`5 – 3 – 0 grown: ${per100.toPrecision(2)} per 100 mL`);
	await set.getByRole('button', { name: 'Read now' }).click();
	await expect(page.getByText(/were read after 0 h; more may still turn until 24 h/)).toBeVisible();
	await set.getByRole('button', { name: 'Read again' }).click();
	await expect(tube(5, '10')).toHaveAttribute('aria-pressed', 'true');
	// and stays so once all of it is on the disk
	await page.reload();
	await expect(tube(5, '10')).toHaveAttribute('aria-pressed', 'true');
	// it is found again among what grows
	await page.getByRole('link', { name: 'Bench' }).click();
	await expect(page.getByRole('region', { name: 'Growing' })).toContainText(/Tubes TE1-\d{6}-B-T1 too early/);
	await context.setOffline(false);
});

test('a plate that stands too cold waits: its clock stands still, and goes on where it is warm again', async ({
	page,
	context
}) => {
	await packField(page);
	await context.setOffline(true);
	await page.goto('/bench');
	const growing = page.getByRole('region', { name: 'Growing' });
	const line = growing.getByRole('listitem').filter({ hasText: /TE5-\d{6}-B-1/ });
	await expect(line).toContainText('first specks, read it now in');
	await line.getByRole('link').click();
	// the list of the bench has such a form too: what is typed here is typed at the plate
	await page.waitForURL(/\/bench\/[^/]+$/);
	const warm = page.getByRole('form', { name: 'How warm it is where the plates stand' });
	const read = async (text: string) => {
		await warm.getByLabel('Where the plates stand, °C now').fill(text);
		await warm.getByRole('button', { name: 'Save' }).click();
	};
	await warm.getByLabel('Where the plates stand, °C now').fill('350');
	await expect(warm.getByRole('status')).toHaveText('A temperature in °C, like 24.5.');
	await expect(warm.getByRole('button', { name: 'Save' })).toBeDisabled();
	await read('15,5');
	await expect(warm.getByRole('status')).toContainText('15.5 °C at');
	await expect(warm.getByRole('status')).toContainText('the clock stands still until it is 18 °C');
	// nobody had read it before: it counts as having been as cold from the start
	const first = page.getByRole('article', { name: /TE5-\d{6}-B-1$/ });
	await expect(first.getByRole('status').first()).toContainText('its clock stands still: 15.5 °C is too cold');
	await page.reload();
	await expect(first.getByRole('status').first()).toContainText('too early');
	// it was misread: struck, and the clock is as it was
	await warm.getByRole('button', { name: 'Strike 15.5 °C' }).click();
	await expect(first.getByRole('status').first()).toContainText('first specks');
	await warm.getByRole('button', { name: 'Read the simulated thermometer' }).click();
	await expect(warm.getByRole('status')).toContainText(/°C, simulated, at/);
	await expect(first.getByRole('status').first()).toContainText('read it now in');

	// they all stand in one place: read once for the plates of every visit, and struck as one
	await page.goto('/bench');
	await read('24.5');
	await expect(warm.getByRole('status')).toContainText('24.5 °C at');
	for (const site of ['HO1', 'TE5']) {
		await page.goto('/bench');
		await page
			.getByRole('link', { name: new RegExp(`^(Read|Open) ${site}-\\d{6}-B-1`) })
			.first()
			.click();
		await expect(warm.getByRole('status')).toContainText('24.5 °C at');
	}
	await page.goto('/bench');
	await warm.getByRole('button', { name: 'Strike 24.5 °C' }).click();
	await expect(warm.getByRole('status')).not.toContainText('24.5 °C');
	await context.setOffline(false);
});
