import type { Page } from '@playwright/test';
import { packField } from './application';

/** Opens a visit at a site that no round goes to, with the card of that title; where its steps are. */
export async function startAt(page: Page, site: string, card = 'Full visit, version 1'): Promise<string> {
	if (await page.locator('details:not([open]) > summary', { hasText: 'Another site' }).count())
		await page.getByText('Another site').click();
	await page.getByLabel('Card').selectOption({ label: card });
	await page
		.getByRole('button', { name: `Start at ${site}` })
		.last()
		.click();
	await page.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
	return page.url().replace(/\/[^/]+$/, '');
}

/** Goes to another step as a link of the page does, which is loaded no second time. */
export async function goToStep(page: Page, base: string, step: string): Promise<void> {
	await page.evaluate((href) => {
		const link = document.createElement('a');
		link.href = href;
		document.body.append(link);
		link.click();
		link.remove();
	}, `${base}/${step}`);
	await page.locator(`.tool[data-step="${step}"]`).waitFor();
}

/**
 * Starts a visit with the card that asks for everything, and stays without a network. Goes to the step that is asked
 * for.
 */
export async function fullVisit(page: Page, site: string): Promise<(step: string) => Promise<void>> {
	await packField(page);
	await page.context().setOffline(true);
	const base = await startAt(page, site);
	return (step) => goToStep(page, base, step);
}

export const tap = (page: Page, name: string | RegExp, exact = true) =>
	page.getByRole('button', { name, exact }).click();

/** Fills a field and leaves it, as a thumb does that goes on to the next. */
export async function measure(page: Page, label: string, text: string): Promise<void> {
	await page.getByLabel(label, { exact: true }).fill(text);
	await page.getByLabel(label, { exact: true }).blur();
}
