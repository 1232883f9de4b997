import { expect, test } from '@playwright/test';
import { packField, signedIn } from './application';
import { startAt } from './a-visit';

test.use({ storageState: signedIn('monitor') });

test('a kick is taken and its animals are counted, with no network', async ({ page, context }) => {
	await packField(page);
	await context.setOffline(true);
	const visit = await startAt(page, 'Tessel 3', 'Animals, version 1');

	await page.goto(`${visit}/kick`);
	await page.getByRole('button', { name: 'Begin' }).click();
	for (let place = 1; place <= 8; place++) await page.getByRole('button', { name: `Place ${place} is done` }).click();
	await expect(page.getByRole('status').filter({ hasText: '8 of 8 places, 0.72 m² of bed' })).toBeVisible();
	await page.getByRole('button', { name: 'The sample is in the tub' }).click();

	await page.goto(`${visit}/sort`);
	await page.getByRole('button', { name: 'Another kind' }).click();
	await page.getByRole('searchbox', { name: 'Which kind?' }).fill('baet');
	await page.getByRole('button', { name: /^mayfly Baetidae/ }).click();
	const baetids = page.getByRole('button', { name: /^mayfly, Baetidae:/ });
	for (let n = 0; n < 4; n++) await baetids.click();
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 5');
	await page.getByRole('button', { name: 'Undo last tap' }).click();
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 4');
	// a lump at once; half an animal is none
	await page.getByLabel(/A lump of mayfly/).fill('3.5');
	await expect(page.getByText('animals are not halved')).toBeVisible();
	await page.getByLabel(/A lump of mayfly/).fill('26');
	await page.getByRole('button', { name: 'Add them' }).click();
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 30');
	// one that nobody can name gets its name later, and carries its count with it
	await page.getByRole('button', { name: 'Unknown', exact: true }).click();
	await page.getByRole('button', { name: 'unknown 1, unknown-1: 1' }).click();
	await page.getByRole('button', { name: 'unknown 1: what is it?' }).click();
	await page.getByRole('searchbox', { name: 'unknown 1: what is it?' }).fill('water louse');
	await page.getByRole('button', { name: /^water louse Asellidae/ }).click();
	await expect(page.getByRole('button', { name: 'water louse, Asellidae: 2' })).toBeVisible();
	await expect(page.getByText(/30 animals|32 animals/).first()).toBeVisible();

	// the phone dies: nothing is lost
	await page.reload();
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 30');
	await page.getByRole('button', { name: 'All is sorted' }).click();
	// (30·4 + 2·8)/32 = 4.25; ±2·√((30·0.25² + 2·3.75²)/31/32)
	await expect(page.getByRole('status').filter({ hasText: 'Family biotic index' })).toContainText(/4\.25 ± 0\.35/);
	await expect(page.getByText(/32 animals cannot tell good from fair; about \d+ more would/)).toBeVisible();
	await expect(page.getByText(/By the example classes: good \d+ %, fair \d+ %/)).toBeVisible();
});

test('two people at one tray, neither with a network, count nothing twice and lose nothing', async ({
	browser,
	viewport
}) => {
	const phones = await Promise.all(
		(['monitor', 'coordinator'] as const).map(async (who) => {
			const page = await (await browser.newContext({ storageState: signedIn(who), viewport })).newPage();
			await packField(page);
			return page;
		})
	);
	const [one, other] = phones as [(typeof phones)[0], (typeof phones)[0]];
	const sent = (page: typeof one) => expect(page.getByRole('button', { name: 'all sent' })).toBeVisible();
	const scuds = (page: typeof one) => page.getByRole('button', { name: /^scud, Gammaridae:/ });
	const visit = await startAt(one, 'Tessel 4', 'Animals, version 1');
	await one.goto(`${visit}/sort`);
	await one.getByRole('button', { name: 'Another kind' }).click();
	await one.getByRole('button', { name: /^scud Gammaridae/ }).click();
	await sent(one);
	await other.goto('/sample');
	await other.locator(`a[href="${new URL(visit).pathname}"]`).click();
	await other.goto(`${visit}/sort`);
	await expect(scuds(other)).toHaveAccessibleName('scud, Gammaridae: 1');

	await Promise.all(phones.map((p) => p.context().setOffline(true)));
	for (let n = 0; n < 3; n++) await scuds(one).click();
	for (let n = 0; n < 5; n++) await scuds(other).click();
	await other.getByRole('button', { name: 'Undo last tap' }).click();
	await expect(scuds(one)).toHaveAccessibleName('scud, Gammaridae: 4');
	await expect(scuds(other)).toHaveAccessibleName('scud, Gammaridae: 5');
	await Promise.all(phones.map((p) => p.context().setOffline(false)));
	await expect(scuds(one)).toHaveAccessibleName('scud, Gammaridae: 8');
	await expect(scuds(other)).toHaveAccessibleName('scud, Gammaridae: 8');
});
