import { expect, test } from '@playwright/test';
import { goOn, keep, packField, read, signedIn } from './application';

test.use({ storageState: signedIn('monitor') });

const section = [
	['0.8', '0.12', '0.14'],
	['1.2', '0.20', '0.24'],
	['1.6', '0.27', '0.33'],
	['2', '0.31', '0.41'],
	['2.5', '0.34', '0.46'],
	['3', '0.36', '0.44'],
	['3.5', '0.31', '0.41'],
	['4', '0.24', '0.30'],
	['4.4', '0.17', '0.19'],
	['4.8', '0.08', '0.10']
] as const;
// the same section, mid-section method, by hand: edges 0.4 and 5.1 m
const byHand = section.reduce(
	(sum, [, d, v], i) =>
		sum + ((Number(section[i + 1]?.[0] ?? 5.1) - Number(section[i - 1]?.[0] ?? 0.4)) / 2) * Number(d) * Number(v),
	0
);

test('from the stream bank to the office', async ({ page, context, browser }) => {
	await packField(page);
	await context.setOffline(true);
	await page.close();
	const bank = await context.newPage(); // cold, with no network
	await bank.goto('/sample');
	await bank.getByRole('button', { name: 'Start at Tessel 3' }).first().click();

	await test.step('arrive and decide', async () => {
		await bank.getByLabel('Depth at the edge').fill('1,25');
		await bank.getByLabel('Speed there').fill('0.5');
		await bank.getByLabel('Speed there').blur();
		await expect(bank.getByText('Nobody wades here now')).toBeVisible();
		await expect(bank.getByText('Never alone, and somebody ashore', { exact: false })).toBeVisible();
		await bank.getByLabel('Depth at the edge').fill('0.25');
		await bank.getByLabel('Depth at the edge').blur();
		await expect(bank.getByText('Not over the limit')).toBeVisible();
		await expect(bank.getByText(/1\.25 by IQ[^]*struck by IQ/)).toBeVisible();
		await bank.getByText('Wade', { exact: true }).click();
		await goOn(bank);
	});

	await test.step('the bacteria bottle comes first and its clock starts', async () => {
		await expect(bank.getByRole('heading', { name: 'Bacteria bottle' })).toBeVisible();
		await bank.getByRole('button', { name: 'Filled just now' }).click();
		await expect(bank.getByText(/Write that on the label now/)).toBeVisible();
		await bank.getByRole('button', { name: 'It is on ice now' }).click();
		await expect(bank.getByText(/left, TE3-/).first()).toBeVisible();
		await goOn(bank);
	});

	await test.step('air, then water', async () => {
		await read(bank, 'Air temperature', '14.5');
		await goOn(bank);
		await read(bank, 'Water temperature', '112');
		await expect(bank.getByText(/Water temperature of 112 °C is not possible/)).toBeVisible();
		await bank.keyboard.press('ControlOrMeta+a');
		await keep(bank, '11.2');
		await goOn(bank);
	});

	await test.step('half a figure survives a reload', async () => {
		await read(bank, 'Oxygen in the water', '9.8', '9.9');
		await bank.keyboard.type('9.');
		await expect(bank.getByText(/^9[01](\.\d)? ± [\d.]+ % of what this water can hold/)).toBeVisible();
		await bank.reload();
		const third = bank.getByLabel('right, mg/L');
		await expect(third).toHaveValue('9.');
		await third.focus();
		await bank.keyboard.press('End');
		await keep(bank, '7');
		await expect(bank.getByText('Mean of 3 readings.')).toBeVisible();
	});

	await test.step('a figure is struck and stays readable', async () => {
		await bank.getByLabel('left', { exact: true }).focus();
		await bank.getByRole('button', { name: 'Strike this figure' }).click();
		await bank.getByRole('button', { name: 'meter not settled' }).click();
		await expect(bank.getByText(/9\.8 mg\/L by IQ[^]*struck by IQ[^]*: meter not settled/)).toBeVisible();
		await bank.getByLabel('left', { exact: true }).focus();
		await keep(bank, '9.9');
		await goOn(bank);
	});

	await test.step('conductivity and a tube that is clear to the bottom', async () => {
		await read(bank, 'Conductivity', '182');
		await expect(bank.getByText(/Specific conductance: 247/)).toBeVisible(); // 182 / (1 − 0.0191 × 13.8)
		await expect(bank.getByText(/182 µS\/cm ÷ \(1 \+ 0\.0191 × \(11\.2 °C − 25 °C\)\) = 247/)).toBeVisible();
		await goOn(bank);
		await bank.getByRole('button', { name: /Still visible when full/ }).click();
		await expect(bank.getByText(/Turbidity from the tube: below 5/)).toBeVisible();
		await goOn(bank);
	});

	await test.step('the section is drawn as it is typed', async () => {
		await bank.locator('#flow-cell').focus();
		await keep(bank, '0.4');
		for (const vertical of section) for (const figure of vertical) await keep(bank, figure);
		await bank.getByRole('textbox', { name: /^Far edge of the water/ }).click();
		await keep(bank, '5.1');
		await expect(bank.getByRole('img', { name: /Cross-section of 10 verticals, 4\.7 m wide/ })).toBeVisible();
		await expect(bank.locator('.figures')).toContainText(byHand.toPrecision(3));
		await expect(bank.locator('.figures')).toContainText(/± \d+ %/);
		await expect(bank.getByText(/^Best next: a vertical at/)).toBeVisible();
	});

	await test.step('leave: nothing is missing, all is kept here', async () => {
		await bank.getByRole('link', { name: 'Before you leave' }).first().click();
		await expect(bank.getByText('Nothing is missing.')).toBeVisible();
		await bank.getByRole('button', { name: 'Checked, we are leaving' }).click();
		await expect(bank.getByText(/^Left at/)).toBeVisible();
		await bank.getByRole('button', { name: /kept here, not sent/ }).click();
		await expect(bank.getByText(/There is no network here/)).toBeVisible();
		await bank.getByRole('button', { name: 'Close' }).click();
	});

	await test.step('back on line it goes by itself', async () => {
		await context.setOffline(false);
		await expect(bank.getByRole('button', { name: 'all sent' })).toBeVisible();
	});

	await test.step('the reviewer sees it judged, with its strikes, and gives a word', async () => {
		const visitId = new URL(bank.url()).pathname.split('/')[2]!;
		const office = await browser.newContext({
			storageState: signedIn('reviewer'),
			viewport: { width: 1280, height: 800 }
		});
		const desk = await office.newPage();
		await desk.goto(`/visits/${visitId}`);
		await expect(desk.getByRole('heading', { level: 1 })).toContainText('Tessel 3');
		// in the digits that its uncertainty bears
		const [, flow = '', decimals = ''] = /(0\.(\d+)) m³\/s/.exec(await desk.locator('tr#discharge').innerText()) ?? [];
		expect(flow).toBe(byHand.toFixed(decimals.length));
		await desk.locator('tr#conductance25').getByRole('button', { name: 'how' }).click();
		await expect(desk.getByText(/182 µS\/cm ÷ \(1 \+ 0\.0191 × \(11\.2 °C − 25 °C\)\) = 247/)).toBeVisible();
		await expect(desk.locator('tr#dissolved-oxygen')).toContainText(
			/M-\d was calibrated for dissolved oxygen \d+ days before/
		);
		await expect(desk.getByText('struck: meter not settled')).toBeVisible();
		const conductivity = desk.locator('tr#conductance25');
		await conductivity.getByLabel('Reject').check();
		await desk.getByRole('button', { name: 'Save 1 judgement' }).click();
		await expect(conductivity.getByRole('alert')).toHaveText(/needs a reason/);
		await conductivity.getByLabel('Accept').check();
		await desk.getByRole('button', { name: 'Save 1 judgement' }).click();
		await expect(conductivity).toContainText('Accepted by Runa Halstow');
		await office.close();
	});
});
