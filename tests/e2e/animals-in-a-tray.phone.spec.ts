import { expect, test, type Page } from '@playwright/test';
import { describedAnimals, questions } from '../../src/lib/core/identification/animal-key';
import { seeded } from '../../src/lib/core/statistics';
import { packField, signedIn } from './application';
import { startAt } from './a-visit';

test.use({ storageState: signedIn('monitor') });

test('a kick is taken and its animals are counted, with no network', async ({ page, context }) => {
	await packField(page);
	await context.setOffline(true);
	const visit = await startAt(page, 'Tessel 3', 'Animals, version 1');

	await page.goto(`${visit}/kick`);
	await page.getByRole('button', { name: 'Begin' }).click();
	for (let place = 1; place <= 8; place++) await page.getByRole('button', { name: `Place ${place} is done` }).click();
	await expect(page.getByRole('status').filter({ hasText: '8 of 8 places, 0.72 m² of bed' })).toBeVisible();
	await page.getByRole('button', { name: 'The sample is in the tub' }).click();

	await page.goto(`${visit}/sort`);
	await page.getByRole('button', { name: 'Another kind' }).click();
	await page.getByRole('searchbox', { name: 'Which kind?' }).fill('baet');
	await page.getByRole('button', { name: /^mayfly Baetidae/ }).click();
	const baetids = page.getByRole('button', { name: /^mayfly, Baetidae:/ });
	for (let n = 0; n < 4; n++) await baetids.click();
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 5');
	await page.getByRole('button', { name: 'Undo last tap' }).click();
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 4');
	// with a keyboard a hand need not move: the first compartment, and the tap struck
	await baetids.press('1');
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 5');
	await baetids.press('Backspace');
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 4');
	await baetids.press('2');
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 4');
	// a lump at once; half an animal is none
	await page.getByLabel(/A lump of mayfly/).fill('3.5');
	await expect(page.getByText('animals are not halved')).toBeVisible();
	await page.getByLabel(/A lump of mayfly/).fill('26');
	await page.getByRole('button', { name: 'Add them' }).click();
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 30');
	// one that nobody can name gets its name later, and carries its count with it
	await page.getByRole('button', { name: 'Unknown', exact: true }).click();
	await page.getByRole('button', { name: 'unknown IQ 1, unknown-IQ-1: 1' }).click();
	await page.getByLabel('Photo of unknown IQ 1').setInputFiles('static/icon-192.png');
	await expect(page.getByRole('img', { name: 'Photo of unknown IQ 1' })).toBeVisible();
	await page.getByRole('button', { name: 'unknown IQ 1: what is it?' }).click();
	await page.getByRole('searchbox', { name: 'unknown IQ 1: what is it?' }).fill('water louse');
	await page.getByRole('button', { name: /^water louse Asellidae/ }).click();
	await expect(page.getByRole('button', { name: 'water louse, Asellidae: 2' })).toBeVisible();
	// so does its photo
	await page.getByRole('button', { name: 'water louse, Asellidae: 2' }).click();
	await page.getByRole('button', { name: 'Undo last tap' }).click();
	await expect(page.getByRole('img', { name: 'Photo of water louse' })).toBeVisible();
	await expect(page.getByText(/30 animals|32 animals/).first()).toBeVisible();

	// the phone dies: nothing is lost
	await page.reload();
	await expect(baetids).toHaveAccessibleName('mayfly, Baetidae: 30');
	await page.getByRole('button', { name: 'All is sorted' }).click();
	// (30·4 + 2·8)/32 = 4.25; ±2·√((30·0.25² + 2·3.75²)/31/32)
	await expect(page.getByRole('status').filter({ hasText: 'Family biotic index' })).toContainText(/4\.25 ± 0\.35/);
	await expect(page.getByText(/32 animals cannot tell good from fair; about \d+ more would/)).toBeVisible();
	await expect(page.getByText(/By the example classes: good \d+ %, fair \d+ %/)).toBeVisible();
	// the program's schemes, worked out on the phone: the mean of 4 and 3 over kinds, of 30·4 and 2·8 over animals
	await page.getByText(/^By \d score schemes$/).click();
	await expect(page.getByRole('row').filter({ hasText: 'Mean score of the kinds' })).toContainText('3.50');
	await expect(page.getByRole('row').filter({ hasText: 'Mean tolerance of the animals' })).toContainText('4.25');
});

test('two people at one tray, neither with a network, count nothing twice and lose nothing', async ({
	browser,
	viewport
}) => {
	const phones = await Promise.all(
		(['monitor', 'coordinator'] as const).map(async (who) => {
			const page = await (await browser.newContext({ storageState: signedIn(who), viewport })).newPage();
			await packField(page);
			return page;
		})
	);
	const [one, other] = phones as [(typeof phones)[0], (typeof phones)[0]];
	const sent = (page: typeof one) => expect(page.getByRole('button', { name: 'all sent' })).toBeVisible();
	const scuds = (page: typeof one) => page.getByRole('button', { name: /^scud, Gammaridae:/ });
	const visit = await startAt(one, 'Tessel 4', 'Animals, version 1');
	await one.goto(`${visit}/sort`);
	await one.getByRole('button', { name: 'Another kind' }).click();
	await one.getByRole('button', { name: /^scud Gammaridae/ }).click();
	await sent(one);
	await other.goto('/sample');
	await other.locator(`a[href="${new URL(visit).pathname}"]`).click();
	await other.goto(`${visit}/sort`);
	await expect(scuds(other)).toHaveAccessibleName('scud, Gammaridae: 1');

	await Promise.all(phones.map((p) => p.context().setOffline(true)));
	for (let n = 0; n < 3; n++) await scuds(one).click();
	for (let n = 0; n < 5; n++) await scuds(other).click();
	await other.getByRole('button', { name: 'Undo last tap' }).click();
	await expect(scuds(one)).toHaveAccessibleName('scud, Gammaridae: 4');
	await expect(scuds(other)).toHaveAccessibleName('scud, Gammaridae: 5');
	await Promise.all(phones.map((p) => p.context().setOffline(false)));
	await expect(scuds(one)).toHaveAccessibleName('scud, Gammaridae: 8');
	await expect(scuds(other)).toHaveAccessibleName('scud, Gammaridae: 8');
});

/**
 * Answers what the key asks as the animal mostly shows it, until the key has had enough; gives the names that it left.
 */
async function nameByKey(page: Page, code: string): Promise<string[]> {
	const animal = describedAnimals.find((a) => a.code === code)!;
	const chances = { ...animal.chances, ...animal.forms?.[0]?.chances };
	const likely = page.getByRole('region', { name: 'What it may be' }).getByRole('listitem');
	const asked = page.locator('#key-question');
	await expect(asked).toBeVisible();
	for (let n = 0; n < questions.length; n++) {
		await expect(page.getByRole('button', { name: /^Take back: / })).toHaveCount(n);
		if ((await asked.count()) === 0) break;
		const text = await asked.textContent();
		const question = questions.find((q) => q.question === text)!;
		const shown = chances[question.id] ?? {};
		const state = question.states.toSorted((a, b) => (shown[b.id] ?? 0) - (shown[a.id] ?? 0))[0]!;
		await page
			.getByRole('region', { name: question.question })
			.getByRole('button', { name: [state.word, state.detail].filter(Boolean).join(' '), exact: true })
			.click();
	}
	return likely.locator('small').allTextContents();
}

test('the key names ten animals by what is seen, with no network, and keeps what was seen', async ({
	page,
	context
}) => {
	await packField(page);
	const visit = await startAt(page, 'Tessel 5', 'Animals, version 1');
	await context.setOffline(true);
	await page.goto(`${visit}/sort`);
	const chance = seeded(2026);
	const ten = new Set<string>();
	while (ten.size < 10) ten.add(chance.pick(describedAnimals).code);
	for (const code of ten) {
		await page.getByRole('button', { name: 'Another kind' }).click();
		await page.getByRole('button', { name: 'By what you see' }).click();
		expect(await nameByKey(page, code), code).toContain(code);
		await page
			.getByRole('region', { name: 'What it may be' })
			.getByRole('listitem')
			.getByRole('button', { name: new RegExp(` ${code} (\\d|under)`) })
			.click();
		await page.getByRole('button', { name: 'It is this' }).click();
		await expect(page.getByRole('button', { name: new RegExp(`, ${code}: 1$`) })).toBeVisible();
	}

	// an answer that is taken back leaves no trace in what it may be; what was answered outlives the phone
	await page.getByRole('button', { name: 'Another kind' }).click();
	await page.getByRole('button', { name: 'By what you see' }).click();
	await page.getByRole('button', { name: /^grub with six short legs/ }).click();
	const likely = page.getByRole('region', { name: 'What it may be' }).getByRole('listitem');
	await expect(likely).toHaveCount(3);
	await expect(page.getByRole('button', { name: 'Take back: grub with six short legs' })).toBeVisible();
	const before = await likely.allTextContents();
	await page.reload();
	await page.getByRole('button', { name: 'Another kind' }).click();
	await expect(page.getByRole('button', { name: 'Take back: grub with six short legs' })).toBeVisible();
	expect(await likely.allTextContents()).toEqual(before);
	await page.getByRole('button', { name: 'Cannot see' }).click();
	await page.getByRole('button', { name: /^Take back: .*cannot see/ }).click();
	await expect(page.getByRole('button', { name: /^Take back: / })).toHaveCount(1);
	expect(await likely.allTextContents()).toEqual(before);

	// or it is looked for among the drawings
	await page.getByRole('button', { name: 'By drawings' }).click();
	await page.getByRole('button', { name: 'water mite Acariformes' }).click();
	await page.getByRole('button', { name: 'It is this' }).click();
	await expect(page.getByRole('button', { name: 'water mite, Acariformes: 1' })).toBeVisible();
});

test('squares of a grid are drawn, sorted and scaled up', async ({ page }) => {
	await packField(page);
	const visit = await startAt(page, 'Hobbin 1', 'Animals, fixed count, version 1');
	await page.goto(`${visit}/sort`);
	const squares = page.getByRole('list', { name: 'Squares of the tray' });
	await expect(squares.getByRole('listitem')).toHaveCount(30);
	const done = page.getByRole('button', { name: /^Square \d+ is sorted$/ });
	await page.getByRole('button', { name: 'Another kind' }).click();
	await page.getByRole('searchbox', { name: 'Which kind?' }).fill('Gammaridae');
	await page.getByRole('button', { name: /^scud Gammaridae/ }).click();
	for (const lump of [99, 120, 140]) {
		await page.getByLabel(/A lump of scud/).fill(String(lump));
		await page.getByRole('button', { name: 'Add them' }).click();
		await done.click();
		await expect(page.getByRole('button', { name: /^Square \d+ holds nothing$|^All is sorted$/ })).toBeVisible();
	}
	// 100, 120 and 140 of 30 squares: 3,600 ± 2·30·√(0.9·400/3) = 657, said to the hundred
	await expect(page.getByText('These are enough.')).toBeVisible();
	await expect(page.getByRole('listitem', { name: /, sorted$/ })).toHaveCount(3);
	await expect(page.getByRole('status').filter({ hasText: 'Animals in the sample' })).toContainText(/3600 ± 700/);

	// one is kept, and its label lies with it
	await page.getByRole('button', { name: 'Keep one' }).click();
	await page.getByLabel('Which', { exact: true }).selectOption('Gammaridae');
	await page.getByLabel('How many').fill('0');
	await expect(page.getByText('A whole number from 1 to 9999.')).toBeVisible();
	await page.getByLabel('How many').fill('2');
	await page.getByRole('button', { name: 'Keep it' }).click();
	await expect(page.getByText(/^HO1-\d{6}-VIQ1$/)).toBeVisible();
});
