import { expect, test, type Page } from '@playwright/test';
import { fullVisit, tap } from './a-visit';
import { keep, signedIn } from './application';

test.use({ storageState: signedIn('monitor') });

/* Each school against a figure worked out here, by hand arithmetic that shares nothing with the application's. */

async function atTheFlow(page: Page): Promise<void> {
	const step = await fullVisit(page, 'Hobbin 2');
	await step('flow');
	await page.getByRole('button', { name: /change$/ }).waitFor();
}
async function by(page: Page, ...choices: string[]): Promise<void> {
	await page.getByRole('button', { name: /change$/ }).click();
	for (const choice of choices) await tap(page, choice);
	await page.getByLabel('Why not as the card asks').fill('the meter has only one cup left');
	await page.getByLabel('Why not as the card asks').blur();
	await tap(page, 'Done');
}
/** Edges at 0 and 4 m, verticals a metre apart. */
async function section(page: Page, verticals: readonly (readonly string[])[]): Promise<void> {
	await page.locator('#flow-cell').focus();
	await keep(page, '0');
	for (const vertical of verticals) for (const figure of vertical) await keep(page, figure);
	await page.getByRole('textbox', { name: /^Far edge of the water/ }).click();
	await keep(page, '4');
}
const flow = (page: Page) => page.locator('.figures');

test('two points; then worked out by mean section, then read otherwise', async ({ page }) => {
	await atTheFlow(page);
	await by(page, 'two points, at 0.2 and 0.8');
	await section(page, [
		['1', '0,40', '0.5', '0.3'],
		['2', '0.50', '0.6', '0.4'],
		['3', '0.30', '0.3', '0.1']
	]);
	// mid-section, panels of a metre: 0.40 × 0.40 + 0.50 × 0.50 + 0.30 × 0.20
	await expect(flow(page)).toContainText('0.470');
	await by(page, 'mean-section');
	// trapezes: 0.2 × 0.2 + 0.45 × 0.45 + 0.4 × 0.35 + 0.15 × 0.1
	await expect(flow(page)).toContainText('0.398');
	await expect(page.getByText(/Gauged by two points.*: the meter has only one cup left/)).toBeVisible();
	// the meter is raised instead: what was read at two points does not count any more, and no flow is shown until
	// all is read anew
	await by(page, 'slowly raised and lowered, averaged');
	await expect(flow(page)).toContainText('No flow yet');
});

test('three points', async ({ page }) => {
	await atTheFlow(page);
	await by(page, 'three points, at 0.2, 0.6 and 0.8');
	await section(page, [
		['1', '0.4', '0.5', '0.4', '0.3'],
		['2', '0.5', '0.6', '0.5', '0.3'],
		['3', '0.3', '0.3', '0.2', '0.1']
	]);
	// (0.5 + 0.8 + 0.3) / 4 = 0.4; (0.6 + 1 + 0.3) / 4 = 0.475; (0.3 + 0.4 + 0.1) / 4 = 0.2
	await expect(flow(page)).toContainText((0.4 * 0.4 + 0.5 * 0.475 + 0.3 * 0.2).toPrecision(3));
});

test('one sweep across the whole section', async ({ page }) => {
	await atTheFlow(page);
	await by(page, 'one sweep across the whole section');
	await page.getByLabel('Mean speed of the one sweep').fill('0.25');
	await page.getByLabel('Mean speed of the one sweep').blur();
	await section(page, [
		['1', '0.4'],
		['2', '0.5'],
		['3', '0.3']
	]);
	await expect(flow(page)).toContainText((0.25 * 1.2).toPrecision(3));
});

test('floats, by the stopwatch and typed', async ({ page }) => {
	await page.clock.install();
	await atTheFlow(page);
	await by(page, 'floats');
	await page.getByLabel('From mark to mark').fill('10');
	await page.getByLabel('From mark to mark').blur();
	await tap(page, /^Start run 1$/);
	await page.clock.runFor(12_000);
	await page.reload(); // the watch goes on
	await expect(page.getByRole('button', { name: /tap to stop/ })).toContainText(/1[2-5]\.\d s/);
	await tap(page, 'That run does not count');
	for (const seconds of ['20', '25']) {
		await tap(page, 'Type a time');
		await page.getByLabel('Time of a run, s').fill(seconds);
		await page.getByLabel('Time of a run, s').blur();
		await expect(page.getByText(`${seconds}.0 s`)).toBeVisible();
	}
	// at the upper mark by tape and rod: 4 m wide, dry at both edges, 0.3 + 0.45 + 0.35 m deep a metre apart
	const mark = (which: string) => page.getByRole('group', { name: new RegExp(`^${which} mark`) });
	for (const [part, figure] of [
		['width of the water', '4'],
		['depth a quarter across', '0.3'],
		['depth halfway', '0.45'],
		['depth three quarters across', '0.35']
	] as const) {
		await mark('Upper').getByLabel(part).fill(figure);
		await mark('Upper').getByLabel(part).blur();
	}
	await expect(mark('Upper')).toContainText('1.10 m²');
	await mark('Lower').getByText('I know the area').click();
	await mark('Lower').getByLabel('area').fill('1.3');
	await mark('Lower').getByLabel('area').blur();
	await page.getByLabel('Mean depth of the reach').fill('0.6096');
	await page.getByLabel('Mean depth of the reach').blur();
	// 10 m / 22.5 s × 0.68 at two feet of depth × 1.2 m²
	await expect(page.getByText(((10 / 22.5) * 0.68 * 1.2).toPrecision(3)).first()).toBeVisible();
	await tap(page, '0.8');
	await expect(page.getByText(((10 / 22.5) * 0.8 * 1.2).toPrecision(3)).first()).toBeVisible();
	await tap(page, 'as speeds');
	await expect(page.getByText((((10 / 20 + 10 / 25) / 2) * 0.8 * 1.2).toPrecision(3)).first()).toBeVisible();
});

test('bucket and stopwatch, and once more to compare', async ({ page }) => {
	await atTheFlow(page);
	await by(page, 'bucket and stopwatch');
	const fill = async (litres: string, seconds: string) => {
		await page.getByLabel('The bucket holds, L').fill(litres);
		await tap(page, 'Type a time');
		await page.getByLabel('Time of a fill, s').fill(seconds);
		await page.getByLabel('Time of a fill, s').blur();
		await expect(page.getByText(`${Number(seconds).toFixed(1)} s`)).toBeVisible();
	};
	await fill('10', '5');
	await fill('10', '4');
	await expect(page.getByText(((2 + 2.5) / 2 / 1000).toPrecision(3)).first()).toBeVisible(); // 0.00225 m³/s
	await page.getByRole('button', { name: /change$/ }).click();
	await tap(page, 'repeat it');
	await tap(page, 'bucket and stopwatch');
	await tap(page, 'Done');
	await fill('10', '3.2');
	await expect(page.getByText(/lie 33 % apart/)).toBeVisible(); // 3.125 against 2.25, of 2.6875
});

test('a throat flume settles, must be level, and says what it lacks', async ({ page }) => {
	await page.clock.install();
	await atTheFlow(page);
	await by(page, 'a throat flume');
	await expect(page.getByText(/No flume stands on the shelf: the head is kept/)).toBeVisible();
	await tap(page, 'It is in: let it settle');
	await expect(page.getByRole('timer')).toContainText(/5:00|4:59/);
	await page.clock.runFor(301_000);
	await expect(page.getByText('It has settled.')).toBeVisible();
	await page.getByLabel('Head', { exact: true }).fill('21,5');
	await page.getByLabel('Head', { exact: true }).blur();
	await expect(page.getByText(/cannot become a flow/)).toBeVisible();
	// without a rating the tail is held against the head all the same
	await page.getByLabel('Depth below the throat', { exact: true }).fill('14');
	await page.getByLabel('Depth below the throat', { exact: true }).blur();
	await expect(page.getByText(/stands at 65 % of the head/)).toBeVisible();
});

test('the drawing is the form: a tap adds, a drag deepens, a slip is struck by one tap', async ({ page }) => {
	await atTheFlow(page);
	await by(page, 'two points, at 0.2 and 0.8');
	await section(page, [
		['1', '0.40', '0.5', '0.3'],
		['3', '0.30', '0.3', '0.1']
	]);
	const drawing = page.getByRole('img', { name: /Cross-section of 2 verticals/ });
	await drawing.evaluate((e) => e.scrollIntoView({ block: 'start' }));
	const box = (await drawing.boundingBox())!;
	await page.mouse.click(box.x + box.width / 2, box.y + 70); // half way between
	await expect(page.getByRole('textbox', { name: 'Vertical, tape, m' }).nth(1)).toHaveValue('2');
	await keep(page, '0.5');
	await keep(page, '0.6');
	await keep(page, '0.4');
	await expect(flow(page)).toContainText('0.470');
	const middle = page.locator('svg .grip').nth(1);
	await middle.evaluate((e) => e.closest('svg')!.scrollIntoView({ block: 'start' }));
	const at = (await middle.boundingBox())!;
	await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
	await page.mouse.down();
	await page.mouse.move(at.x + at.width / 2, at.y - 12, { steps: 4 });
	await page.mouse.up();
	await expect(page.getByText(/0\.5 by IQ[^]*struck by IQ/)).toBeVisible();
	await expect(flow(page)).not.toContainText('0.470');
});
