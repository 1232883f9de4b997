import { expect } from '@playwright/test';
import { pairOf } from './application';
import { testOnOwnDemo as test } from './own-server';

// it uses up the sign-ins that are allowed in a minute
test.use({ storageState: undefined });

test('a wrong password is told kindly; too many tries have to wait', async ({ page }) => {
	await page.goto('/sign-in');
	await page.waitForLoadState('networkidle');
	await page.getByLabel('E-mail').fill(pairOf('monitor').email);
	for (let tries = 0; tries < 14; tries++) {
		await page.getByLabel('Password').fill(`wrong-word-${tries}`);
		const answered = page.waitForResponse((r) => r.request().method() === 'POST');
		await page.getByRole('button', { name: 'Sign in' }).click();
		await answered;
		if (tries === 0) await expect(page.getByText('E-mail and password do not go together.')).toBeVisible();
		await expect(page.getByLabel('E-mail')).toHaveValue(pairOf('monitor').email);
	}
	await expect(page.getByText('Too many tries. Wait a minute')).toBeVisible();
});
