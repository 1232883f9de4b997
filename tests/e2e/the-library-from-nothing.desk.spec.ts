import { expect, test, type Page } from '@playwright/test';
import { keep, packField, signedIn } from './application';
import { OwnServer } from './own-server';

/* A program that begins with nothing, set up in the interface alone, until its season can be planned. */

test.describe.configure({ mode: 'serial' });

const me = {
	program: 'Kell Watch',
	timeZone: 'Etc/UTC',
	name: 'Ada Fenn',
	initials: 'AF',
	email: 'ada@kell.invalid',
	password: 'four plain wet words'
};
let server: OwnServer;
let page: Page;

test.beforeAll(async ({ browser }) => {
	server = await OwnServer.startEmpty();
	page = await (await browser.newContext({ baseURL: server.url })).newPage();
});
test.afterAll(async () => {
	await page.context().close();
	await server.end();
});

/** Fills the fields of one thing by their labels and keeps it; from its shelf. */
async function add(shelf: string, fields: Record<string, string | string[]>): Promise<void> {
	await page.goto(`/library/${shelf}/new`);
	for (const [label, text] of Object.entries(fields)) {
		if (Array.isArray(text))
			for (const option of text)
				await page.getByRole('group', { name: label }).getByLabel(option, { exact: true }).check();
		else {
			const field = page.getByLabel(label, { exact: false }).first();
			await ((await field.evaluate((e) => e.tagName)) === 'SELECT' ? field.selectOption(text) : field.fill(text));
		}
	}
	await page.getByRole('button', { name: 'Save' }).click();
	await page.waitForURL((url) => !url.pathname.endsWith('/new'));
}

test('whoever comes first begins it, and the library says what is next', async () => {
	await page.goto('/');
	await page.getByRole('heading', { name: 'Begin a program' }).waitFor();
	await page.getByRole('button', { name: 'Begin' }).waitFor();
	for (const [name, text] of Object.entries({ ...me, password: 'short' })) await page.locator(`#${name}`).fill(text);
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByText('Ten letters or more. Four plain words are good.')).toBeVisible();
	await expect(page.locator('#program')).toHaveValue(me.program);
	await page.locator('#password').fill(me.password);
	await page.getByRole('button', { name: 'Begin' }).click();
	await expect(page.getByRole('heading', { name: 'Next: say when the season begins and ends' })).toBeVisible();
	await page.getByRole('link', { name: 'Open the program' }).click();
	await page.getByRole('textbox', { name: 'Season begins' }).fill('1 May 2026');
	await page.getByRole('textbox', { name: 'Season ends' }).fill('2026-09-30');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
	await page.goto('/today');
	await expect(page.getByText('The program is being set up.')).toBeVisible();
	await page.getByRole('link', { name: 'What comes next' }).click();
	await expect(page.getByRole('heading', { name: 'Library' })).toBeVisible();
	await page.goto('/library');
	await expect(page.getByRole('heading', { name: 'Next: the first stream' })).toBeVisible();
});

test('streams, sites, cards, teams, people, places and a circuit, each where the last one leads', async () => {
	await add('streams', { Name: 'Kell', Length: '12' });
	await add('sites', {
		Code: 'KE1',
		Name: 'Kell 1',
		Stream: 'Kell',
		'Above its mouth': '3',
		Latitude: '50',
		Longitude: '-20',
		Elevation: '120',
		'Landowner’s permission': 'given',
		'Ways to sample': ['wading', 'bank']
	});
	await page.goto('/library');
	await page.getByRole('link', { name: 'Choose a card' }).click();
	await page
		.getByRole('listitem')
		.filter({ hasText: 'Stream visit, trained crew' })
		.getByRole('button', { name: 'Take it into use' })
		.click();
	await page.getByRole('heading', { name: 'Stream visit, trained crew', level: 1 }).waitFor();
	await add('teams', { Name: 'North' });
	await add('people', {
		Name: 'Ben Orr',
		Initials: 'BO',
		'E-mail': 'ben@kell.invalid',
		Role: 'monitor',
		Team: 'North',
		'Trained in': ['trained crew'],
		'Can on': ['Mon', 'Tue', 'Wed', 'Thu', 'Fri']
	});
	await add('depots', { Name: 'Shed', Latitude: '50,02', Longitude: '-20' });
	await add('labs', {
		Name: 'Bench',
		Latitude: '50.1',
		Longitude: '-20',
		'Bottles are': 'delivered',
		'Takes bottles': 'Mon–Thu 12–16',
		'Bottles a day': '8',
		'From handing in': '40'
	});
	await add('circuits', {
		Name: 'North round',
		Sites: ['KE1'],
		Team: 'North',
		'Method card': 'stream-visit-crew',
		Water: 'Kell',
		'Sets out from': 'Shed',
		'Hands in at': 'Bench',
		'Runs on': ['Mon', 'Tue', 'Wed', 'Thu'],
		'Days apart, at least': '15',
		'Days apart, near': '30',
		'Days apart, at most': '37',
		People: '1',
		'Starts from': '07:30',
		'Starts until': '11:00'
	});
	await page.goto('/library');
	await expect(page.getByText('All that a season needs is here.')).toBeVisible();
	// a site that nobody has sampled is new, not late
	await page.goto('/today');
	await expect(page.getByRole('link', { name: 'Kell 1, not sampled yet' })).toBeVisible();
	await page.getByRole('link', { name: 'Plan the season' }).click();
	await page.getByRole('button', { name: /^Propose/ }).click();
	await page.getByRole('button', { name: /^Take these/ }).click();
	await expect(page.getByRole('status').filter({ hasText: /rounds are in the plan/ })).toBeVisible();
});

test('a person chooses a password at the address they were given, and sees what is theirs', async ({ browser }) => {
	await page.goto('/library/people');
	await page.getByRole('link', { name: 'Ben Orr' }).click();
	await page.getByRole('button', { name: 'Make a link' }).click();
	const address = await page.getByLabel('Address for choosing a password').inputValue();
	const ben = await (await browser.newContext({ baseURL: server.url })).newPage();
	await ben.goto(address);
	await ben.getByLabel('Password').fill('river stones are round');
	await ben.getByRole('button', { name: 'Save it' }).click();
	await ben.getByLabel('E-mail').fill('ben@kell.invalid');
	await ben.getByLabel('Password').fill('river stones are round');
	await ben.getByRole('button', { name: 'Sign in' }).click();
	await ben.getByRole('navigation').getByRole('link', { name: 'Library' }).click();
	await ben.goto('/library/people');
	await expect(ben.getByRole('link', { name: 'Add a person' })).toHaveCount(0);
	await ben.getByRole('link', { name: 'Ada Fenn' }).click();
	await expect(ben.getByRole('heading', { name: 'AF' })).toBeVisible();
	await expect(ben.getByText('coordinator', { exact: true })).toBeVisible();
	await expect(ben.getByText('ada@kell.invalid')).toHaveCount(0);
	await ben.context().close();
});

test('what is typed is checked as the hand moves on, and is still there after a wrong turn', async () => {
	await page.goto('/library/sites/new');
	await page.getByLabel('Code').fill('ke1');
	await page.getByLabel('Latitude').fill('95');
	await expect(page.getByText(/does not\./)).toHaveCount(0); // nobody is scolded while typing
	await page.getByLabel('Longitude').fill('-20');
	await expect(page.getByText('Latitude lies between −90 and 90 °; 95 does not.')).toBeVisible();
	await page.goto('/library');
	await page.goto('/library/sites/new');
	await expect(page.getByLabel('Latitude')).toHaveValue('95');
	await page.getByRole('button', { name: 'Start over' }).click();
	await expect(page.getByLabel('Latitude')).toHaveValue('');
	await page.goto('/library/streams');
	await page.getByRole('link', { name: 'Kell' }).click();
	const joins = page.getByLabel('Joins', { exact: false }).first();
	await joins.selectOption('Kell');
	await expect(page.getByText('Kell cannot join itself.')).toBeVisible(); // a choice is made with one tap
	await page.getByLabel('Joins at').fill('1');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(joins).toBeFocused(); // nothing was saved: there is what to mend
	await joins.selectOption('');
	await page.getByLabel('Joins at').fill('');
	await page.getByLabel('Length').fill('13');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Length: 12 13')).toBeVisible(); // the audit, with what it was struck through
	await page.getByRole('link', { name: 'as it was before' }).click();
	await expect(page.getByLabel('Length')).toHaveValue('12');
});

test('a file is looked at row by row, then written; a shelf is searched, sorted and filtered by keys', async () => {
	await page.goto('/library/sites/import');
	await page
		.getByLabel(/paste its rows/)
		.fill(
			'code,name,stream,river_km,latitude,longitude,elevation_m\nKE2,Kell 2,Kell,5,50.01,-20,130\nKE3,Kell ' +
				'3,Nowhere,6,50,-20,140\nKE10,Kell 10,Kell,9\nKE10,Kell 10,Kell,9,50.03,-20,150'
		);
	await page.getByRole('button', { name: 'Look at it' }).click();
	await expect(page.getByText('there is no “Nowhere” in streams')).toBeVisible();
	await expect(page.getByText('The row has 4 cells, the headings are 7.')).toBeVisible();
	await page.getByLabel('Landowner’s permission').selectOption('asked');
	await page.getByLabel('Ways to sample').selectOption('bank');
	await page.getByRole('button', { name: 'Look at it' }).click();
	await page.getByRole('button', { name: 'Write 2 rows, leave out 2' }).click();
	await expect(page.getByText('2 rows are in the library.')).toBeVisible();
	await page.getByRole('link', { name: 'See them' }).click();
	const codes = page.getByRole('row').locator('td b');
	await expect(codes).toHaveText(['KE1', 'KE2', 'KE10']);
	await page.getByRole('button', { name: 'Code' }).press('Enter');
	await expect(codes).toHaveText(['KE10', 'KE2', 'KE1']);
	await page.keyboard.press('/');
	await page.keyboard.type('asked 130');
	await expect(codes).toHaveText(['KE2']);
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { name: 'KE2' })).toBeVisible();
	await expect(
		page.getByText('The landowner’s permission is asked for, not given yet: nobody should be sent here.')
	).toBeVisible();
});

test('a file too large is refused before it is sent', async () => {
	await page.goto('/library/sites/import');
	const large = Buffer.from(
		`<gpx>${'<wpt lat="50.000000" lon="-20.000000"><name>A place</name><ele>12.00</ele></wpt>\n'.repeat(50_000)}</gpx>`
	);
	await page
		.locator('input[type=file]')
		.setInputFiles({ name: 'all.gpx', mimeType: 'application/gpx+xml', buffer: large });
	await expect(page.getByText(/all\.gpx is 4\.\d MB; at most 3\.5 MB are taken/)).toBeVisible();
	await page.locator('input[type=file]').setInputFiles({
		name: 'all.gpx',
		mimeType: 'application/gpx+xml',
		buffer: Buffer.from(`<gpx>${'<wpt lat="50" lon="-20"/>'.repeat(50_000)}</gpx>`)
	});
	await page.getByRole('button', { name: 'Look at it' }).click();
	await expect(page.getByText('50,000 rows; at most 2,000 are taken at once. Nothing was written')).toBeVisible();
});

test('a card is changed as its next version and compared with the last', async () => {
	await page.goto('/library/cards/stream-visit-crew');
	await page.getByLabel('depth × speed at most').fill('0,7');
	await page.getByLabel('a bottle without ice').fill('9');
	await page.getByRole('button', { name: 'Save as version 2' }).click();
	await expect(page.getByText('A bottle is asked about after 9 h without ice, but is lost after 8 h.')).toBeVisible();
	await page.getByLabel('a bottle without ice').fill('1');
	await page.getByRole('button', { name: 'Save as version 2' }).click();
	await expect(
		page.getByText(/Saved as version 2, in use from now on\. \d+ planned rounds? (goes|go) over to it/)
	).toBeVisible();
	await page.getByRole('link', { name: 'beside 2' }).click();
	await expect(page.getByText('They differ in 1 of')).toBeVisible();
	await expect(page.getByRole('row', { name: /depth × speed/ })).toContainText('0.60.7');
});

test('a parameter of the program’s own is defined, and chosen in a step of a card', async () => {
	await add('parameters', {
		Code: 'chlorophyll-a',
		Name: 'Chlorophyll a',
		Unit: 'µg/L',
		'Decimals shown': '1',
		'Least possible': '0',
		'Most possible': '1000',
		'Usual from': '0,5',
		'Usual to': '60',
		'Found by': ['meter']
	});
	await page.goto('/library/cards/stream-visit-crew');
	const steps = page.getByRole('region', { name: 'Steps of the card' });
	await steps.getByLabel('Add a step').selectOption('A reading by meter or thermometer');
	await steps.getByRole('button', { name: 'Add' }).click();
	await page.locator('[name="steps.reading.parameter"]').selectOption('Chlorophyll a');
	await page.locator('[name="steps.reading.title"]').fill('Chlorophyll');
	await page.getByRole('button', { name: 'Save as version 3' }).click();
	await expect(page.getByText(/Saved as version 3/)).toBeVisible();
});

test('a step is added to a card, another removed, and a phone asks for what the card asks for', async () => {
	await page.goto('/library/cards/stream-visit-crew');
	const steps = page.getByRole('region', { name: 'Steps of the card' });
	await page.getByLabel('how', { exact: false }).first().waitFor();
	await steps.getByRole('link', { name: 'Flow: remove' }).click();
	await expect(steps.getByText(/The rule “What stirs the bed comes last.*” goes/)).toBeVisible();
	await steps.getByLabel('Add a step').selectOption('A staff gauge (water level on a board)');
	await steps.getByRole('button', { name: 'Add' }).click();
	await expect(steps.getByRole('listitem').filter({ hasText: 'Staff gauge' })).toBeVisible();
	await expect(steps.getByText('2 changes of the steps, not kept yet.')).toBeVisible();
	await steps.getByRole('link', { name: 'Air temperature: do it twice' }).click();
	await expect(steps.getByText('3 changes of the steps, not kept yet.')).toBeVisible();
	await steps.getByRole('link', { name: 'Take the last one back' }).click();
	await expect(steps.getByRole('listitem').filter({ hasText: 'again' })).toHaveCount(0);
	await page.getByLabel('the board is marked in').selectOption('centimetres');
	await page.getByLabel('from mark to mark').fill('2');
	await page.getByRole('button', { name: 'Save as version 4' }).click();
	await expect(page.getByText(/Saved as version 4/)).toBeVisible();
	await expect(steps.getByText(/not kept yet/)).toHaveCount(0); // what was kept is not made once more
	await expect(steps.getByRole('listitem').filter({ hasText: 'Staff gauge' })).toHaveCount(1);

	await packField(page);
	await page.getByRole('button', { name: 'Start at Kell 1' }).last().click();
	await page.getByRole('heading', { name: 'Arrive and decide' }).waitFor();
	await page
		.getByRole('link', { name: /Staff gauge/ })
		.first()
		.click();
	await page.locator('.slots input').first().focus();
	await keep(page, '64');
	await expect(page.getByText('Water level: 0.640 ± 0.010 m')).toBeVisible();
	await expect(page.getByText('One reading on the board, known to half a mark.')).toBeVisible();
	await page.getByRole('button', { name: 'the tide reaches it' }).click();
	await expect(page.getByText(/Such a level does not tell how much water flows/)).toBeVisible();

	await page
		.getByRole('link', { name: /Chlorophyll/ })
		.first()
		.click();
	await page.locator('.slots input').first().focus();
	await keep(page, '90');
	await expect(page.getByText('Chlorophyll a is usually 0.5 to 60 µg/L. If 90 stands, save it again.')).toBeVisible();
	await page.locator('.slots input').first().fill('12.5');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Chlorophyll a: 12.5 µg/L')).toBeVisible();
});

test('an address or a form that asks for nonsense is answered in words', async () => {
	const streams = await page.request.get('/library/streams');
	const id = /\/library\/streams\/([0-9a-f-]{36})/.exec(await streams.text())![1]!;
	expect((await page.request.get(`/library/streams/${id}?before=yesterday`)).status()).toBe(200);
	expect((await page.request.get('/library/no-such-shelf')).status()).toBe(404);
	const post = (path: string, form: Record<string, string>) =>
		page.request.post(path, { form, headers: { origin: server.url } });
	expect((await post('/library/people/new?/join', {})).status()).toBe(404);
	const odd = await post('/library/sites/import', { text: 'code\nA', defaults: '{' });
	expect(await odd.text()).toContain('could not be read. Load the page again.');
});

test('only a coordinator changes the library', async ({ browser }) => {
	const context = await browser.newContext({ storageState: signedIn('monitor') });
	for (const action of ['keep', 'remove']) {
		const answer = await context.request.post(`/library/streams/new?/${action}`, {
			form: { name: 'Mine' },
			headers: { origin: process.env['BASE_URL'] ?? 'http://127.0.0.1:5180' }
		});
		expect(answer.status(), action).toBe(403);
	}
	await context.close();
});
