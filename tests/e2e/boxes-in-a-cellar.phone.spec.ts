import { expect, test } from '@playwright/test';
import { packField, signedIn } from './application';

test.use({ storageState: signedIn('bench') });

/* Of the two bottles of the demo that wait, the other is sent from the office by a test of its own. */

test('a box is packed and leaves with no network; the office hears of it afterwards, and a slip is struck', async ({
	page,
	context,
	browser
}) => {
	await packField(page);
	await page.goto('/bench');
	const send = page.getByRole('region', { name: 'Boxes for labs' });
	await expect(send).toContainText(/bottles? to pack/);
	await context.setOffline(true);
	await send.getByRole('link', { name: 'Boxes for labs' }).click();

	const waits = page.getByRole('region', { name: 'Bottles that wait' });
	await expect(waits).toContainText(/The last pick-up is today at 15:30/);
	const bottle = waits.getByRole('checkbox', { name: 'Into the box: EB1-2605-N' });
	await expect(bottle).toBeChecked();
	const packOne = async () => {
		for (const other of await waits.getByRole('checkbox').all())
			if ((await other.getAttribute('aria-label')) !== 'Into the box: EB1-2605-N') await other.uncheck();
		await waits.getByRole('button', { name: 'Pack 1 bottle for Ostrel laboratory' }).click();
	};
	await packOne();

	const box = page.getByRole('region', { name: 'The new box' });
	await expect(box.getByRole('listitem').filter({ hasText: 'EB1-2605-N' })).toContainText('is it cold?');
	await expect(waits).not.toContainText('EB1-2605-N');
	await expect(page.getByRole('status')).toContainText('kept on this device');
	await expect(page.getByRole('button', { name: '1 kept here, not sent' })).toBeVisible();
	await box.getByRole('button', { name: 'Take out EB1-2605-N' }).click();
	await expect(box).toContainText('It is empty.');
	await expect(box.getByRole('button', { name: /^Hand over/ })).toBeDisabled();
	await box.getByText(/more waits?$/).click();
	await box.getByRole('button', { name: 'Put in EB1-2605-N' }).click();
	for (const tick of await box.getByRole('checkbox').all()) await tick.check();
	await box.getByLabel('Taken by').fill('Fell and Moor carriers');
	await box.getByLabel('Seal number').fill('7712');

	// the phone dies; what was done and what was half typed is there
	await page.reload();
	await expect(box.getByLabel('Taken by')).toHaveValue('Fell and Moor carriers');
	await expect(box.getByRole('checkbox', { checked: true })).toHaveCount(5);
	await box.getByLabel('When').fill('half past');
	await box.getByRole('button', { name: 'Hand over 1 bottle', exact: true }).click();
	await expect(box.getByRole('alert')).toContainText('The time is like 14:05.');
	await box.getByLabel('When').fill('11:10');
	await box.getByRole('button', { name: 'Hand over 1 bottle' }).click();
	await expect(box).toContainText('Taken by Fell and Moor carriers, Thu 14 May at 11:10, seal 7712');

	await context.setOffline(false);
	const sent = page.getByRole('region', { name: /^S260514-\d+$/ });
	await expect(sent).toContainText(/Taken by Fell and Moor carriers.*expected there on Mon 18 May/);
	await expect(page.getByRole('status')).toHaveCount(0);
	const code = (await sent.getAttribute('aria-label'))!;
	await page.getByRole('link', { name: 'Shipments' }).click();
	const onTheWay = page.getByRole('listitem').filter({ hasText: code });
	await expect(onTheWay).toContainText('1 bottle');
	await onTheWay.getByRole('link', { name: 'It has arrived' }).click();
	await expect(page.getByText(/taken by Fell and Moor carriers .*11:10, seal 7712/)).toBeVisible();

	// the lab calls where no network is: what it says is kept, also half typed, and told afterwards
	await page.goto('/bench/boxes');
	const arrives = sent.getByRole('button', { name: 'It has arrived', exact: true });
	await arrives.waitFor();
	await context.setOffline(true);
	await sent.getByLabel('Time').fill('11:05');
	await arrives.click();
	await expect(sent.getByRole('alert')).toContainText('It left after that, on Thu 14 May at 11:10.');
	await sent.getByLabel('Time').fill('11:15');
	await sent.getByLabel('In the box, °C').fill('350');
	await arrives.click();
	await expect(sent.getByRole('alert')).toContainText('temperature');
	await page.reload();
	await expect(sent.getByLabel('Time')).toHaveValue('11:15');
	await sent.getByLabel('In the box, °C').fill('6,5');
	await arrives.click();
	await expect(sent).toContainText('It arrived on Thu 14 May at 11:15, at 6.5 °C.');
	await context.setOffline(false);
	await expect(page.getByRole('status')).toHaveCount(0);
	await page.reload();
	await expect(sent).toContainText('It arrived on Thu 14 May at 11:15, at 6.5 °C.');

	// it was another box, and this one had not left after all
	await sent.getByRole('button', { name: 'It has not arrived: strike that' }).click();
	await expect(arrives).toBeVisible();
	await expect(page.getByRole('status')).toHaveCount(0);
	await sent.getByRole('button', { name: 'It has not left: strike that' }).click();
	await sent.getByRole('button', { name: 'Unpack it: its bottles wait again' }).click();
	await expect(sent).toHaveCount(0);
	await expect(bottle).toBeVisible();
	await expect(page.getByRole('status')).toHaveCount(0);

	// the office packs the same bottle while the cellar does: it is said, and nothing is in two boxes
	await context.setOffline(true);
	await packOne();
	const office = await (await browser.newContext({ storageState: signedIn('coordinator') })).newPage();
	await office.goto('/shipments');
	const there = office.locator('form').filter({ has: office.getByLabel('They go to') });
	for (const other of await there.getByRole('checkbox').all())
		if ((await other.getAttribute('aria-label')) !== 'Into the box: EB1-2605-N') await other.uncheck();
	await there.getByRole('button', { name: 'Pack 1 bottle' }).click();
	await expect(office.getByRole('heading', { level: 1 })).toHaveText(/^S260514-\d+ to/);
	await context.setOffline(false);
	const told = page.getByRole('alert').filter({ hasText: 'in another box by now, or at a lab' });
	await expect(told).toBeVisible();
	await told.getByRole('button', { name: 'OK' }).click();
	await expect(told).toHaveCount(0);
	await office.getByRole('button', { name: 'Unpack it: its bottles wait again' }).click();
	await expect(office.getByRole('heading', { level: 1 })).toHaveText('Shipments');
	await office.context().close();
});

test.describe('somebody who packs no boxes', () => {
	test.use({ storageState: signedIn('monitor') });

	test('is told so, and sees no way there', async ({ page }) => {
		await packField(page);
		await page.goto('/bench');
		await expect(page.getByRole('heading', { name: 'Pour' })).toBeVisible();
		await expect(page.getByRole('link', { name: 'Boxes for labs' })).toHaveCount(0);
		await page.goto('/bench/boxes');
		await expect(page.getByText('Boxes are packed by whoever works at the bench')).toBeVisible();
	});
});
