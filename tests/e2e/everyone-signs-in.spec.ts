import { expect, test } from '@playwright/test';
import { pairOf, roles, signedIn } from './application';

for (const role of roles)
	test(`the ${role} signs in`, async ({ page, context }) => {
		const { email, password, name } = pairOf(role);
		await page.goto('/sign-in?to=/sites');
		await page.getByLabel('E-mail').fill(email);
		await page.getByLabel('Password').fill(password);
		await page.getByRole('button', { name: 'Sign in' }).click();
		await page.waitForURL((url) => url.pathname === '/sites');
		await expect(page.getByRole('navigation', { name: 'Parts of the notebook' })).toContainText(name);
		await context.storageState({ path: signedIn(role) });
	});
