import type { Page } from '@playwright/test';
import { DEMO_PASSWORD, emailOf, people } from '../../src/lib/server/demo/people';
import type { Role } from '../../src/lib/core/library';

/** Where the signed-in state of one person of each role is kept for the run. */
export const signedIn = (who: Role): string => `test-results/signed-in-${who}.json`;

const personOf = (role: Role) => people.find((p) => p.role === role)!;
export const pairOf = (role: Role) => ({
	email: emailOf(personOf(role)),
	password: DEMO_PASSWORD,
	name: personOf(role).name
});
export const roles: readonly Role[] = ['coordinator', 'monitor', 'reviewer', 'bench', 'viewer'];

/** The field app is packed and can start with no network: the worker is in charge and the satchel is there. */
export async function packField(page: Page, base = ''): Promise<void> {
	await page.goto(`${base}/sample`);
	await page.getByText(/^Packed /).waitFor();
	await page.evaluate(async () => {
		await navigator.serviceWorker.ready;
	});
}

/** Types one figure and keeps it, as a wet thumb would with a keyboard at hand. */
export async function keep(page: Page, text: string): Promise<void> {
	await page.keyboard.type(text);
	await page.keyboard.press('Enter');
}

export const goOn = (page: Page) => page.getByRole('link', { name: /^Go on/ }).click();

/** Types into the only or first figure of the step. */
export async function read(page: Page, heading: string, ...texts: string[]): Promise<void> {
	await page.getByRole('heading', { name: heading }).waitFor();
	await page.locator('.slots input').first().focus();
	for (const text of texts) await keep(page, text);
}
