import { expect, test, type Page } from '@playwright/test';
import { signedIn } from './application';

const board = (page: Page) => page.getByRole('group', { name: /Season board/ });

test.describe('a coordinator plans', () => {
	// all of these move rounds of the one plan, so they come one after the other
	test.describe.configure({ mode: 'serial' });
	test.use({ storageState: signedIn('coordinator') });

	test('moving a round says which rule it breaks, and undo puts it back', async ({ page }) => {
		await page.goto('/plan');
		const round = board(page)
			.getByRole('button', { name: /^Upper round, .*planned$/ })
			.first();
		const before = (await round.getAttribute('aria-label'))!;
		await round.focus();
		for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowLeft');
		await expect(
			page
				.getByRole('status')
				.filter({ hasText: /days after the last grab; at least 15\..*Hobbin 2 may not be visited/ })
		).toBeVisible();
		await page.keyboard.press('Escape');
		await expect(round).toHaveAttribute('aria-label', before);
		await page.keyboard.press('ArrowRight');
		await page.keyboard.press('Enter');
		await expect(page.getByRole('status').filter({ hasText: 'Upper round is planned anew.' })).toBeVisible();
		await expect(board(page).getByRole('button', { name: before })).toHaveCount(0);
		await page.getByRole('button', { name: /^Undo/ }).click();
		await expect(board(page).getByRole('button', { name: before })).toBeVisible();
		await page.getByRole('button', { name: /^Redo/ }).click();
		await expect(board(page).getByRole('button', { name: before })).toHaveCount(0);
		await page.getByRole('button', { name: /^Undo/ }).click();
		await expect(board(page).getByRole('button', { name: before })).toBeVisible();
	});

	test('one round is planned by hand, against a rule for a reason; who goes and what is duplicated is chosen', async ({
		page
	}) => {
		await page.goto('/plan');
		await page.getByText('Add one round by hand').click();
		await page.getByLabel('Circuit').selectOption({ label: 'Lower round' });
		const day = page.getByLabel('Day', { exact: true });
		await day.fill('13 May 2026');
		await day.press('Tab');
		await expect(page.getByText('Not before 14 May 2026.')).toBeVisible();
		await day.fill('17.5.2026');
		await day.press('Tab');
		await expect(day).toHaveValue('17 May 2026');
		await expect(page.getByText(/A Sunday; this round goes on/)).toBeVisible();
		await expect(page.getByRole('button', { name: 'Add it' })).toBeDisabled();
		await page.getByLabel('Why it goes all the same').fill('the mill is open that day alone');
		await page.getByRole('button', { name: 'Add it' }).click();
		await expect(page.getByRole('status').filter({ hasText: 'Lower round is in the plan.' })).toBeVisible();
		await board(page)
			.getByRole('button', { name: /^Lower round, .*17 May/ })
			.click();
		await expect(page.getByText('Goes all the same: the mill is open that day alone')).toBeVisible();
		await page.getByRole('link', { name: 'Plan the day', exact: true }).click();
		await page.getByText(/^Who goes:/).click();
		await page.getByRole('checkbox', { name: /^Maud Perrilow/ }).check();
		await expect(page.getByRole('status').filter({ hasText: /Lower round: .*MP.* go\./ })).toBeVisible();
		await page.getByText(/^Duplicates and blanks:/).click();
		await page.getByRole('checkbox', { name: 'blank at Tessel 5' }).click();
		await expect(
			page.getByRole('status').filter({ hasText: 'Lower round: duplicates and blanks are as you chose.' })
		).toBeVisible();
		for (let i = 0; i < 3; i++) {
			const undo = page.getByRole('button', { name: /^Undo/ });
			const last = await undo.textContent();
			await undo.click();
			if (i < 2) await expect(undo).not.toHaveText(last!);
			else await expect(page.getByText('There is no such round in your program’s plan.')).toBeVisible();
		}
	});

	test('after a storm a round is offered, planned and taken off again', async ({ page }) => {
		await page.goto('/plan');
		await expect(page.getByText('Rain gauge (simulated), the last two weeks')).toBeVisible();
		await expect(page.getByText('31 mm until Wed 13 May.')).toBeVisible();
		await expect(page.getByText('Lower round goes tomorrow anyway')).toBeVisible();
		await page.getByRole('button', { name: 'Plan a storm round: Upper round' }).click();
		await expect(
			page.getByRole('status').filter({ hasText: 'Upper round, after the storm is in the plan.' })
		).toBeVisible();
		await expect(page.getByRole('button', { name: 'Plan a storm round: Upper round' })).toHaveCount(0);
		await board(page)
			.getByRole('button', { name: /^Upper round, after the storm/ })
			.click();
		await expect(page.getByText('It breaks no rule.')).toBeVisible();
		await page.getByRole('button', { name: 'Take it off' }).click();
		await expect(page.getByRole('button', { name: 'Plan a storm round: Upper round' })).toBeVisible();
	});

	test('what stands in the stream says which round looks at it, and a trip is sent where none does', async ({
		page
	}) => {
		await page.goto('/plan');
		await expect(page.getByText(/PS-2 at Tessel 4 is lifted from Thu 14 May to Wed 20 May: Lower round/)).toBeVisible();
		await expect(
			page.getByText(/LB-4 at Ebbin 1 is lifted from Sat 23 May to Sat 30 May; Middle round comes 9 days too early/)
		).toBeVisible();
		await page.getByRole('button', { name: /^Send .* on Sat 23 May$/ }).click();
		await expect(
			page.getByText(/LB-4 at Ebbin 1 is lifted from Sat 23 May to Sat 30 May: Middle round, to the samplers/)
		).toBeVisible();
		await board(page)
			.getByRole('button', { name: /^Middle round, to the samplers/ })
			.click();
		await page.getByRole('button', { name: 'Take it off' }).click();
		await expect(
			page.getByRole('status').filter({ hasText: 'Middle round, to the samplers is taken off.' })
		).toBeVisible();
	});

	test('the calendar is fed without signing in, and the season goes on the wall as PDF', async ({ page, browser }) => {
		await page.goto('/plan');
		await page.getByRole('button', { name: 'Calendar feed' }).click();
		await page.getByRole('button', { name: 'Make the address' }).click();
		const address = await page.getByLabel('Address of the calendar feed').inputValue();
		const anyone = await browser.newContext({ storageState: { cookies: [], origins: [] } });
		const feed = await anyone.request.get(address);
		expect(feed.headers()['content-type']).toMatch(/text\/calendar/);
		expect(await feed.text()).toMatch(/BEGIN:VEVENT[^]*SUMMARY:Lower round/);
		expect((await anyone.request.get(address.replace(/.\.ics$/, '!.ics'))).status()).toBe(404);
		await anyone.close();
		const pdf = await page.request.get('/plan/season.pdf');
		expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
	});

	test('a round is dragged along the weeks', async ({ page }) => {
		await page.goto('/plan');
		const round = board(page)
			.getByRole('button', { name: /^Upper round, .*planned$/ })
			.first();
		const before = (await round.getAttribute('aria-label'))!;
		const box = (await round.boundingBox())!;
		const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
		await page.mouse.move(x, y);
		await page.mouse.down();
		await page.mouse.move(x + 30, y, { steps: 5 });
		await expect(page.getByRole('status').filter({ hasText: /breaks no rule|days after|goes on/ })).toBeVisible();
		await page.mouse.up();
		await expect(page.getByRole('status').filter({ hasText: 'Upper round is planned anew.' })).toBeVisible();
		await page.keyboard.press('Control+z');
		await expect(board(page).getByRole('button', { name: before })).toBeVisible();
	});

	test('the rest of the season is proposed, and every round of it keeps the rules', async ({ page }) => {
		await page.goto('/plan');
		await page.getByRole('button', { name: 'Propose the rest' }).click();
		await expect(page.getByRole('button', { name: /Take these 1\d rounds/ })).toBeVisible();
		await expect(page.getByText(/none of which breaks a rule/)).toBeVisible();
		await page.getByRole('button', { name: 'Leave it' }).click();
		await expect(page.getByRole('button', { name: /proposed$/ })).toHaveCount(0);
	});

	test('a round goes to fewer or other sites this once', async ({ page }) => {
		await page.goto('/plan');
		await board(page)
			.getByRole('button', { name: /^Upper round, .*planned$/ })
			.first()
			.click();
		await page.getByRole('link', { name: 'Plan the day', exact: true }).click();
		await page.getByText('Sites of this round: 4').click();
		await page.getByLabel('TE1 Tessel 1').uncheck();
		await page.getByLabel('TE3 Tessel 3').check();
		await page.getByLabel('HO1 Hobbin 1').uncheck();
		await page.getByRole('button', { name: 'Save these 3' }).click();
		await expect(page.getByRole('status').filter({ hasText: 'Upper round goes to 3 sites.' })).toBeVisible();
		await page.getByText('Sites of this round: 3').click();
		await page.getByLabel('TE3 Tessel 3').uncheck();
		await page.getByLabel('TE1 Tessel 1').check();
		await page.getByLabel('HO1 Hobbin 1').check();
		await page.getByRole('button', { name: 'Save these 4' }).click();
		await expect(page.getByRole('status').filter({ hasText: 'Upper round goes to 4 sites.' })).toBeVisible();
	});

	test('a round’s day has its slack, and another order is tried and put back', async ({ page }) => {
		await page.goto('/plan');
		await page.getByRole('link', { name: /^Plan the day: Lower round/ }).click();
		await expect(page.getByRole('heading', { level: 1, name: 'Lower round' })).toBeVisible();
		await expect(page.getByText(/left of the first bottle’s time/)).toBeVisible();
		await expect(page.getByText(/The slack is thin/)).toBeVisible();
		const day = page.getByRole('group', { name: 'The day on a time line' });
		const first = day.getByRole('button').first();
		const before = (await first.getAttribute('aria-label'))!;
		await first.focus();
		await page.keyboard.press('ArrowDown');
		await expect(day.getByRole('button').first()).not.toHaveAttribute('aria-label', before);
		await page.getByRole('button', { name: 'Put it back' }).click();
		await expect(day.getByRole('button').first()).toHaveAttribute('aria-label', before);
		const box = (await day.getByRole('button').first().boundingBox())!;
		await page.mouse.move(box.x + 10, box.y + 8);
		await page.mouse.down();
		await page.mouse.move(box.x - 60, box.y + 8, { steps: 4 });
		await page.mouse.up();
		await expect(page.getByRole('button', { name: 'Save this order' })).toBeVisible();
	});
});

test('the papers of a round are in one menu, reached by keys', async ({ browser }) => {
	const context = await browser.newContext({ storageState: signedIn('coordinator') });
	const page = await context.newPage();
	await page.goto('/plan');
	await page.getByRole('link', { name: /^Plan the day: Lower round/ }).click();
	await expect(page.getByText(/left of the first bottle’s time/)).toBeVisible();
	const menu = page.getByRole('button', { name: 'Print' });
	await menu.focus();
	await page.keyboard.press('ArrowDown');
	await expect(page.getByRole('menuitem').first()).toHaveText('Labels, a sheet of 24');
	await expect(page.getByRole('menuitem', { name: 'Custody form' })).toHaveAttribute(
		'href',
		/paper\.pdf\?what=custody$/
	);
	await page.keyboard.press('Escape');
	await expect(page.getByRole('menu')).toBeHidden();
	await expect(menu).toBeFocused();
	await page.getByRole('button', { name: 'Take on a map' }).press('Enter');
	await expect(page.getByRole('menu')).toBeFocused();
	await expect(page.getByRole('menuitem').first()).toHaveAttribute('data-highlighted');
	const file = page.waitForEvent('download');
	await page.keyboard.press('Enter'); // the first is the one that is pointed at
	expect((await file).suggestedFilename()).toMatch(/\.gpx$/);
	await context.close();
});

test('a bad change of the plan is refused in words, and nothing is written', async ({ browser }) => {
	const context = await browser.newContext({ storageState: signedIn('coordinator') });
	const nonsense = await context.request.post('/plan/change', { data: { change: 'move', roundId: 'x', day: -1 } });
	expect(nonsense.status()).toBe(400);
	expect(await nonsense.text()).toMatch(/roundId/);
	const unknown = await context.request.post('/plan/change', {
		data: { change: 'remove', roundId: '019e2637-0000-7000-8000-000000000000' }
	});
	expect(unknown.status()).toBe(409);
	expect(await unknown.text()).toMatch(/no such round/);
	await context.close();
});

test('a probe is calibrated on the day: too early, off, and right', async ({ browser }) => {
	const context = await browser.newContext({ storageState: signedIn('coordinator') });
	const page = await context.newPage();
	await page.goto('/plan/calibrate/M-1');
	const oxygen = page.getByRole('region', { name: 'Dissolved oxygen' });
	const fill = async (minutes: string, reading: string) => {
		await oxygen.getByLabel('Reading, %').fill(reading);
		await oxygen.getByLabel(/Temperature in the sleeve/).fill('15');
		await oxygen.getByLabel(/height here/).fill('250');
		await oxygen.getByLabel('Minutes in the sleeve').fill(minutes);
		await oxygen.getByRole('button', { name: 'Judge and save' }).click();
	};
	await page.getByRole('button', { name: 'Simulated meter' }).click();
	await expect(page.getByText(/% simulated/)).toBeVisible();
	await fill('4', '97.1');
	await expect(oxygen.getByText(/It does not pass[^]*only 4 minutes in the sleeve/)).toBeVisible();
	await fill('11', '91');
	await expect(oxygen.getByText(/It does not pass[^]*should read 97\.0 % here \(−6\.0\)/)).toBeVisible();
	await fill('11', '97.1');
	await expect(oxygen.getByText(/^Passed\./)).toBeVisible();
	await expect(oxygen.getByText(/Last Thu 14 May, 11:20: passed/)).toBeVisible();
	const conductivity = page.getByRole('region', { name: /Conductivity/ });
	await conductivity.getByLabel('Reading, µS/cm').fill('a lot');
	await conductivity.getByRole('button', { name: 'Judge and save' }).click();
	await expect(conductivity.getByRole('alert')).toHaveText(/The reading: type a number/);
	await context.close();
});
