import { expect, test } from '@playwright/test';
import { packField, signedIn } from './application';

test.use({ storageState: signedIn('bench') });

test(
	'a bottle that was fixed at the stream is titrated by burette at home, the titrant held against a ' + 'standard',
	async ({ page, context }) => {
		await page.goto('/today');
		await expect(page.getByText(/^Fixed .* Within its hours until/)).toBeVisible();
		await expect(page.getByRole('link', { name: 'Titrate second oxygen bottle' })).toHaveAttribute(
			'href',
			/^\/bench\/./
		);
		await packField(page);
		await context.setOffline(true);
		await page.goto('/bench');
		const titrate = page.getByRole('region', { name: 'Fixed bottles to titrate' });
		await expect(titrate.getByRole('listitem')).toHaveCount(1);
		await expect(titrate.getByRole('listitem')).toContainText(/Oxygen, second bottle\s+Hobbin 1, within 7 h/);
		await titrate.getByRole('link', { name: 'Titrate the second bottle of Hobbin 1' }).click();

		const summary = page.locator('summary').filter({ hasText: 'Titrate oxygen' });
		await expect(summary).toHaveText('Titrate oxygen: 1 fixed bottle left');
		const burette = page.getByRole('button', { name: 'With a burette instead' });
		if (!(await burette.isVisible())) await summary.click();
		await expect(page.getByRole('button', { name: 'second', exact: true })).toHaveAttribute('aria-pressed', 'true');
		await burette.click();
		const says = page.getByRole('status').filter({ hasText: /Still wanted|mg\/L of oxygen|Below the blank/ });
		await expect(says).toHaveText('Still wanted: the strength of the titrant, how much water, how much titrant.');
		const type = async (label: string, text: string) => {
			await page.getByLabel(label, { exact: true }).fill(text);
			await page.getByLabel(label, { exact: true }).press('Tab');
		};
		await type('Titrant’s label says, N', '350');
		await expect(page.getByText('Normality over 2 N is not possible.')).toBeVisible();
		await type('Titrant’s label says, N', '0,025');
		await type('Water titrated, mL', '200');
		await type('Titrant it took, mL', '10.5');
		await expect(says).toContainText('10.5 mg/L of oxygen in this bottle.');
		await type('A blank took, mL (if any)', '11');
		await expect(says).toContainText('Below the blank');
		await type('A blank took, mL (if any)', '0.1');
		await expect(says).toContainText('10.4 mg/L of oxygen in this bottle.');

		// what a standard found counts, and a label that is off is said
		await page.getByText('Hold the titrant against a standard').click();
		await type('Standard, mL', '20');
		await type('Its strength, N', '0.025');
		await type('Titrant the standard took, mL', '21');
		const found_N = (20 * 0.025) / 21;
		await expect(page.getByText(`${found_N.toFixed(4)} N`).first()).toBeVisible();
		const oxygen = (10.4 * found_N * 8000) / 200;
		await expect(says).toContainText(`${oxygen.toFixed(1)} mg/L of oxygen`);
		await expect(page.getByText(/label says 0\.0250 N, its standard found 0\.0238 N/)).toBeVisible();
		// beside the meter of the same visit: which is reported is said
		// 52 drops of 0.2 mg/L less half a drop in the first bottle
		const mean = ((52 - 0.5) * 0.2 + oxygen) / 2;
		const beside = page.getByRole('status').filter({ hasText: 'Kept beside what is reported' });
		await expect(beside).toContainText(`Dissolved oxygen: ${mean.toFixed(1)} ±`);
		await expect(beside).toContainText('Mean of 2 titrations by drops and burette, less the blank.');
		await expect(beside).toContainText('Dissolved oxygen: 10.38 ±');
		await expect(summary).toHaveText('Titrate oxygen: 0 fixed bottles left');

		await page.reload();
		await expect(page.getByText('Kept beside what is reported')).toBeVisible();
		await context.setOffline(false);
		await page.goto('/bench');
		await expect(page.getByRole('heading', { name: 'Pour' })).toBeVisible();
		await expect(page.getByRole('region', { name: 'Fixed bottles to titrate' })).toHaveCount(0);
	}
);
