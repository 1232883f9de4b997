import { expect, test } from '@playwright/test';
import { packField, read, signedIn } from './application';

test('both write with no network; when they meet, neither value is lost and a reviewer decides', async ({
	browser,
	viewport
}) => {
	const phones = await Promise.all(
		(['monitor', 'coordinator'] as const).map((role) => browser.newContext({ storageState: signedIn(role), viewport }))
	);
	const pages = await Promise.all(phones.map((phone) => phone.newPage()));
	for (const page of pages) await packField(page);
	for (const page of pages) await page.getByRole('link', { name: 'Go on at Ebbin 1' }).first().click();
	for (const page of pages) await page.locator('.tool').waitFor();
	for (const phone of phones) await phone.setOffline(true);
	const address = pages[0]!.url().replace(/[^/]+$/, 'conductivity');
	for (const [i, page] of pages.entries()) {
		await page.goto(address);
		await read(page, 'Conductivity', i === 0 ? '231' : '264');
		await expect(page.getByRole('button', { name: /kept here, not sent/ })).toBeVisible();
	}
	for (const [i, phone] of phones.entries()) {
		await phone.setOffline(false);
		await expect(pages[i]!.getByRole('button', { name: 'all sent' })).toBeVisible();
	}
	await pages[0]!.reload();
	await expect(pages[0]!.getByText(/also written, a reviewer decides/)).toBeVisible();

	const visit = new URL(address).pathname.split('/')[2]!;
	const office = await browser.newContext({
		storageState: signedIn('reviewer'),
		viewport: { width: 1280, height: 800 }
	});
	const desk = await office.newPage();
	await desk.goto(`/visits/${visit}`);
	const rival = desk.getByRole('listitem').filter({ hasText: '231 µS/cm' }).filter({ hasText: 'one of two values' });
	await rival.getByLabel(/Why/).fill('probe not settled');
	await rival.getByRole('button', { name: 'Strike this one' }).click();
	await expect(desk.getByText('struck: probe not settled')).toBeVisible();
	await expect(desk.getByText('one of two values')).toHaveCount(0);
	await expect(desk.locator('tr#conductivity')).toContainText('264 µS/cm');
	await Promise.all([...phones, office].map((c) => c.close()));
});
