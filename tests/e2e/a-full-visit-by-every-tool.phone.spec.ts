import { expect, test } from '@playwright/test';
import { PNG } from 'pngjs';
import { toBuffer } from 'qrcode';
import { fullVisit, tap } from './a-visit';
import { keep, signedIn } from './application';

test.use({ storageState: signedIn('monitor') });

test('arrival and conditions are said in taps', async ({ page }) => {
	await fullVisit(page, 'Hobbin 1');
	await page.getByLabel('Depth at the edge').fill('1,5');
	await page.locator('.trial select').first().selectOption('ft'); // it was a rod in feet
	await page.getByLabel('Speed there').fill('0.4');
	await page.getByLabel('Speed there').blur();
	await expect(page.getByText('Nobody wades here now')).toBeVisible(); // 1.5 ft is 0.46 m
	await page.getByText('Pole', { exact: true }).click();
	await tap(page, 'high or rising water');
	await expect(page.getByText('One person only is noted here.', { exact: false })).toBeVisible();
	await tap(page, 'Orla Tamberly');
	await expect(page.getByText('One person only is noted here.', { exact: false })).toHaveCount(0);
	await tap(page, 'position');
	await expect(page.getByText(/\d+ m from where Hobbin 1 lies/)).toBeVisible();
	await expect(page.getByText(/Simulated: this phone gives no position/)).toBeVisible();
	await tap(page, 'photo point');
	await expect(page.getByText(/No camera here|The first picture from here/)).toBeVisible();
	const picture = {
		name: 'point.png',
		mimeType: 'image/png',
		buffer: PNG.sync.write(new PNG({ width: 16, height: 9 }))
	};
	await page.getByLabel('Choose a photo').setInputFiles(picture);
	await expect(page.getByRole('button', { name: 'photo point', exact: true })).toHaveAttribute('aria-pressed', 'true');
	await page.getByRole('link', { name: /conditions/ }).click();
	await expect(page.getByText('18 of 18 still to answer.')).toBeVisible();
	await tap(page, 'overcast');
	await expect(page.getByText('Weather now: overcast')).toBeVisible();
	await tap(page, 'sewage');
	await tap(page, 'earthy');
	await expect(page.getByText(/Signs that may come from sewage: the smell/)).toBeVisible();
	await tap(page, 'That is all');
	await expect(page.getByText('Smell: earthy, sewage')).toBeVisible();
	await expect(page.getByText('16 of 18 still to answer.')).toBeVisible();
	await page.getByRole('button', { name: 'change Smell' }).click();
	// none takes the others out
	await page.getByRole('group', { name: 'Smell' }).getByRole('button', { name: 'none' }).click();
	await expect(page.getByText('Smell: none')).toBeVisible();
	await expect(page.getByText(/Signs that may come from sewage/)).toHaveCount(0);
});

test('a bottle is told by its label, a wrong one is noticed, acid and ice have their times', async ({ page }) => {
	// that there is no camera is known late
	await page.addInitScript(() => {
		navigator.mediaDevices.getUserMedia = () =>
			new Promise((_, refuse) => Object.assign(window, { sayNoCamera: () => refuse(new Error('none')) }));
	});
	const step = await fullVisit(page, 'Hobbin 1');
	await step('nutrient-bottle');
	const photoOf = async (text: string) => ({
		name: 'label.png',
		mimeType: 'image/png',
		buffer: await toBuffer(text, { width: 320 })
	});
	await tap(page, 'Scan the label');
	await page
		.getByLabel('Photo of the label')
		.setInputFiles(await photoOf('https://example.invalid/sample?label=QU1-260514-N'));
	await expect(page.getByRole('alert').filter({ hasText: 'Is this the right bottle?' })).toContainText(
		'labelled for site QU1, and this is HO1'
	);
	await tap(page, 'Scan the label');
	await page.getByLabel('Photo of the label').setInputFiles(await photoOf('nothing of ours'));
	await expect(page.getByText('which is no label of a bottle')).toBeVisible();
	await page.evaluate(() => (window as unknown as { sayNoCamera: () => void }).sayNoCamera());
	await expect(page.getByText('which is no label of a bottle')).toBeVisible();
	await page.getByLabel('Photo of the label').setInputFiles(await photoOf('HO1-260514-N'));
	await expect(page.getByLabel('Code on the label')).toHaveValue('HO1-260514-N');
	await expect(page.getByText('Is this the right bottle?')).toHaveCount(0);
	await tap(page, 'Rinsed once more');
	await expect(page.getByText('Rinsed 1 of 3 times')).toBeVisible();
	await expect(page.getByText(/was rinsed once; the card asks for 3 times/)).toBeVisible();
	await tap(page, 'Rinsed once more');
	await expect(page.getByText('Rinsed 2 of 3 times')).toBeVisible();
	await tap(page, 'Rinsed once more');
	await expect(page.getByText(/the card asks for/)).toHaveCount(0);
	await tap(page, 'Filled just now');
	await expect(page.getByText(/no sulphuric acid is noted/)).toBeVisible();
	await tap(page, 'Something else went in');
	await tap(page, 'nitric acid');
	await expect(
		page.getByText(/went nitric acid; the card asks for sulphuric acid\. .*take another bottle/)
	).toBeVisible();
	await tap(page, 'sulphuric acid'); // a slip of the thumb, not of the vial
	await expect(page.getByText(/went nitric acid/)).toHaveCount(0);
	await expect(page.getByText(/^Sulphuric acid in since/)).toBeVisible();
	await expect(page.getByText(/no sulphuric acid is noted/)).toHaveCount(0);
	await tap(page, 'It is on ice now');
	await expect(page.getByText(/^On ice since/)).toBeVisible();
	await tap(page, 'add a blank');
	await tap(page, 'the blank');
	await expect(page.getByRole('button', { name: 'Filled just now' })).toBeDisabled();
	await tap(page, 'stream water');
	await expect(page.getByRole('alert').filter({ hasText: 'Then it is no blank.' })).toBeVisible();
	await tap(page, 'deionised water');
	await tap(page, 'Filled just now');
	await expect(page.getByText('holds stream water')).toHaveCount(0);
});

test('a meter says wait and now', async ({ page }) => {
	await page.clock.install();
	const step = await fullVisit(page, 'Hobbin 1');
	await step('oxygen');
	await tap(page, /^Listen to the meter/, false);
	const meter = page.getByRole('region', { name: 'Meter' });
	/** Lets the meter's time run until it says so: it settles, is knocked and drops out at moments of its own. */
	const until = (words: string) =>
		expect
			.poll(
				async () => {
					await page.clock.runFor(1_000);
					return meter.innerText();
				},
				{ intervals: [20], timeout: 60_000 }
			)
			.toContain(words);
	await until('Wait.');
	await expect(meter).toContainText('simulated');
	await until('Now. It has stood for 10 s.');
	await tap(page, /^Take it for left$/);
	await expect(page.getByLabel('left', { exact: true })).not.toHaveValue('');
	await expect(page.getByRole('button', { name: 'Take it all the same for left of middle' })).toBeVisible();
	await until('Nothing comes.');
});

test('strips and kits run side by side, ring, outlive a reload, and are read by colour', async ({ page }) => {
	await page.clock.install();
	const step = await fullVisit(page, 'Hobbin 1');
	await step('phosphate');
	await tap(page, 'Reagents in: start the clock');
	await expect(page.getByRole('timer')).toContainText(/30 s|2\d s/);
	await step('nitrate');
	await tap(page, 'Dipped: start the clock');
	await expect(page.getByRole('link', { name: /Phosphate by colour kit: 10:/ })).toBeVisible();
	// the other pad of the strip was dipped with it, and is ready sooner
	await expect(page.getByRole('link', { name: /Nitrite by strip: 4\d s/ })).toBeVisible();
	await page.clock.runFor(20_000);
	await page.reload();
	await expect(page.getByRole('timer')).toContainText(/\d\d s/);
	await tap(page, /^below 0\.8 no colour$/);
	await expect(page.getByText('below 0.8 mg/L as N').first()).toBeVisible();
	await expect(page.getByText(/the colour needs 70 s\. Dip a fresh one/)).toBeVisible();
	await tap(page, 'Strike this figure');
	await tap(page, 'misread');
	await tap(page, 'Dipped: start the clock');
	await page.clock.runFor(46_000);
	await expect(page.getByRole('alert').filter({ hasText: 'Nitrite by strip: the time has come.' })).toBeVisible();
	await tap(page, 'OK');
	await page.clock.runFor(25_000);
	await expect(page.getByRole('alert').filter({ hasText: 'Nitrate by strip: the time has come.' })).toBeVisible();
	await tap(page, 'OK');
	await expect(page.getByRole('timer')).toContainText('Read it now');
	await tap(page, /^1\.65 between blush and rose$/);
	await expect(page.getByText('1.65 mg/L as N', { exact: false }).first()).toBeVisible();
	await expect(page.getByText('Dip a fresh one')).toHaveCount(0);
	await step('phosphate');
	await page.clock.fastForward(14 * 60_000);
	await expect(page.getByRole('timer')).toContainText('Read it now');
	await page.clock.fastForward(16 * 60_000);
	await expect(page.getByRole('timer')).toContainText('Too late');
});

test('six hours later the bottle is past its last moment, also when the tab was dead', async ({ page }) => {
	await page.clock.install();
	const step = await fullVisit(page, 'Hobbin 1');
	await step('bacteria-bottle');
	await tap(page, 'Filled just now');
	await tap(page, 'It is on ice now');
	await expect(page.locator('footer')).toContainText(/5 h 59 left|6 h 00 left/);
	await page.clock.fastForward('05:00:00');
	await expect(page.locator('footer')).toContainText(/59 min left|1 h 00 left/);
	await page.goto('about:blank');
	await page.clock.fastForward('01:05:00');
	await page.goBack();
	await expect(page.locator('footer')).toContainText('past its last moment');
	await expect(page.getByText(/When was bottle .* plated\? Its 6 h count until then/)).toBeVisible();
});

test('oxygen is fixed, settles, and is titrated drop by drop', async ({ page }) => {
	await page.clock.install();
	const step = await fullVisit(page, 'Hobbin 1');
	await step('oxygen-titration');
	await tap(page, 'A bubble');
	await expect(page.getByText('Start again.')).toBeVisible();
	await tap(page, 'No bubble');
	await tap(page, 'Fixed just now');
	await expect(page.getByRole('timer')).toContainText(/2:00|1:59/);
	await page.clock.runFor(121_000);
	await tap(page, 'Acid is in, clear amber');
	for (let i = 0; i < 46; i++) await page.keyboard.press('+');
	await page.getByRole('button', { name: /tap for one more/ }).click();
	await page.keyboard.press('-');
	await page.keyboard.press('Backspace');
	await expect(page.getByText('= 8.9 mg/L at 0.2 mg/L a drop')).toBeVisible(); // (45 − ½) × 0.2
	await page.reload(); // the drops that were counted are still there
	await expect(page.getByText('= 8.9 mg/L at 0.2 mg/L a drop')).toBeVisible();
	await tap(page, 'Colour gone: keep 45');
	await expect(page.getByText('Dissolved oxygen: 8.9')).toBeVisible();
	await page.getByLabel(/Drops that a blank took/).fill('1');
	await page.getByLabel(/Drops that a blank took/).blur();
	await expect(page.getByText('45 drops less 1 of the blank: 8.8 mg/L')).toBeVisible();

	await page.getByRole('button', { name: /^second/ }).click();
	await tap(page, 'No bubble');
	await tap(page, 'Fixed just now');
	await page.clock.runFor(121_000);
	await tap(page, 'Acid is in, clear amber');
	for (const key of ['6', '0'])
		await page.getByRole('group', { name: 'Keys' }).getByRole('button', { name: key }).click();
	await tap(page, 'Save');
	await expect(page.getByText(/One drop too many is the usual slip: titrate a third/)).toBeVisible();
	await expect(page.getByRole('button', { name: 'third', exact: true })).toBeVisible();
	await tap(page, 'Strike this titration');
	await tap(page, 'overshot the end');
	await expect(page.getByText(/struck by IQ[^]*overshot the end/)).toBeVisible();
});

test('the disc goes down and up; what spoils it is kept with it', async ({ page }) => {
	const step = await fullVisit(page, 'Hobbin 1');
	await step('disc');
	await page.locator('.slots input').first().focus();
	await keep(page, '1.40');
	await keep(page, '1.2');
	await expect(page.getByText(/Secchi depth: 1\.3/)).toBeVisible();
	await tap(page, 'polarised glasses were worn');
	await expect(page.getByText(/could not be read rightly: polarised glasses/)).toBeVisible();
});
