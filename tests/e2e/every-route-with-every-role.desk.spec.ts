import { expect, test } from '@playwright/test';
import type { Role } from '../../src/lib/core/library';
import { can, routeActions, type Member } from '../../src/lib/server/access';
import { roles, signedIn } from './application';

/** An address for each route of the table of rights. */
const addresses: Record<string, string> = {
	'/': '/',
	'/(public)/sign-in': '/sign-in',
	'/(public)/sign-out': '/sign-out',
	'/(field)/sample': '/sample',
	'/(field)/sample/[visit]': '/sample/01890000-0000-7000-8000-000000000000',
	'/(field)/sample/[visit]/[step]': '/sample/01890000-0000-7000-8000-000000000000/arrive',
	'/(field)/bench': '/bench',
	'/(field)/bench/[visit]': `/bench/${crypto.randomUUID()}`,
	'/(field)/bench/boxes': '/bench/boxes',
	'/(field)/pack': '/pack',
	'/(field)/pack/[round]': '/pack/01890000-0000-7000-8000-000000000000',
	'/(public)/healthz': '/healthz',
	'/(public)/healthz/database': '/healthz/database',
	'/(office)/account': '/account',
	'/(office)/today': '/today',
	'/(office)/sites': '/sites',
	'/(office)/sites/[code]/animals': '/sites/TE4/animals',
	'/(office)/sites/[code]': '/sites/TE1',
	'/(office)/find': '/find?q=Tessel',
	'/(office)/sites/results.csv': '/sites/results.csv?from=2026-05-01',
	'/(office)/sites/animals': '/sites/animals',
	'/(office)/sites/animals/counts': '/sites/animals/counts',
	'/(office)/sites/animals.zip': '/sites/animals.zip',
	'/(office)/sites/[code]/series.csv': '/sites/TE1/series.csv',
	'/(office)/sites/[code]/points.json': '/sites/TE1/points.json',
	'/(office)/visits': '/visits?state=waiting&from=2026-02-30&page=-1',
	'/(office)/visits/[id]': '/visits/01890000-0000-7000-8000-000000000000',
	'/(office)/vouchers': '/vouchers',
	'/(office)/vouchers/names': '/vouchers/names',
	'/(office)/vouchers/labels.pdf': '/vouchers/labels.pdf',
	'/(office)/shipments': '/shipments',
	'/(office)/shipments/[id]': '/shipments/01890000-0000-7000-8000-000000000000',
	'/(office)/shipments/[id]/papers.pdf': '/shipments/01890000-0000-7000-8000-000000000000/papers.pdf',
	'/(office)/apart': '/apart',
	'/(office)/apart/blanks': '/apart/blanks',
	'/(office)/lab-reports': '/lab-reports',
	'/(office)/lab-reports/[id]': '/lab-reports/01890000-0000-7000-8000-000000000000',
	'/(office)/lab-reports/[id]/as-sent.csv': '/lab-reports/01890000-0000-7000-8000-000000000000/as-sent.csv',
	'/(office)/review': '/review',
	'/(public)/calendar/[key]': '/calendar/no-such-key.ics',
	'/(public)/begin': '/begin',
	'/(public)/join/[token]': '/join/no-such-word',
	'/(office)/library': '/library',
	'/(office)/library/cards': '/library/cards',
	'/(office)/library/cards/[code]': '/library/cards/stream-visit',
	'/(office)/library/cards/[code]/settings.csv': '/library/cards/stream-visit/settings.csv',
	'/(office)/library/schemes': '/library/schemes',
	'/(office)/library/schemes/[code]': '/library/schemes/example-score',
	'/(office)/library/schemes/[code]/scheme.csv': '/library/schemes/example-score/scheme.csv',
	'/(office)/library/animals/all': '/library/animals/all',
	'/(office)/library/[kind]': '/library/sites',
	'/(office)/library/[kind]/[id]': '/library/streams/01890000-0000-7000-8000-000000000000',
	'/(office)/library/[kind]/import': '/library/sites/import',
	'/(office)/library/[kind]/rows.csv': '/library/people/rows.csv',
	'/(office)/library/[kind]/rows.geojson': '/library/sites/rows.geojson',
	'/(office)/library/[kind]/rows.gpx': '/library/sites/rows.gpx',
	'/(office)/plan': '/plan',
	'/(office)/plan/change': '/plan/change',
	'/(office)/plan/calibrate/[code]': '/plan/calibrate/M-1',
	'/(office)/plan/season.ics': '/plan/season.ics',
	'/(office)/plan/season.pdf': '/plan/season.pdf',
	'/(office)/plan/animals.pdf': '/plan/animals.pdf',
	'/(office)/plan/rounds/[id]': '/plan/rounds/01890000-0000-7000-8000-000000000000',
	'/(office)/plan/rounds/[id]/labels.pdf': '/plan/rounds/01890000-0000-7000-8000-000000000000/labels.pdf',
	'/(office)/plan/rounds/[id]/paper.pdf': '/plan/rounds/01890000-0000-7000-8000-000000000000/paper.pdf',
	'/(office)/plan/rounds/[id]/round.gpx': '/plan/rounds/01890000-0000-7000-8000-000000000000/round.gpx',
	'/(office)/plan/rounds/[id]/round.geojson': '/plan/rounds/01890000-0000-7000-8000-000000000000/round.geojson',
	'/api/sync': '/api/sync',
	'/api/satchel': '/api/satchel',
	'/api/pack': '/api/pack',
	'/api/boxes': '/api/boxes',
	'/api/photos/[sha256]': `/api/photos/${'0'.repeat(64)}`
};

/** Routes that only hear what is said to them. */
const POSTED = ['/api/sync', '/api/pack', '/api/boxes'];

test('every route of the table has an address here', () => {
	expect(Object.keys(addresses).sort()).toEqual(Object.keys(routeActions).sort());
});

for (const role of roles)
	test(`a ${role} reaches what the table says, and nothing else`, async ({ browser }) => {
		const context = await browser.newContext({ storageState: signedIn(role) });
		const member = { role, alsoRoles: [] as Role[], removedAt: null } as unknown as Member;
		for (const [route, needs] of Object.entries(routeActions)) {
			if (needs === 'public') continue;
			const answer =
				POSTED.includes(route) || route.endsWith('/change')
					? await context.request.post(addresses[route]!, { data: { entries: [], rounds: [], ticks: [], words: [] } })
					: await context.request.get(addresses[route]!);
			const allowed = needs === 'any-member' || can(member, needs);
			// a visit or round that is not there is told to those who may see such; an empty change is refused in words
			const expected = allowed ? answerTo(route) : 403;
			expect(answer.status(), `${role} at ${route}`).toBe(expected);
		}
		await context.close();
	});

test.describe('without a session, or with one that has run out', () => {
	for (const [what, cookies] of [
		['nobody', []],
		[
			'a stale session',
			[
				{
					name: 'better-auth.session_token',
					value: 'gone.forged',
					domain: '127.0.0.1',
					path: '/',
					expires: -1,
					httpOnly: true,
					secure: false,
					sameSite: 'Lax' as const
				}
			]
		]
	] as const)
		test(what, async ({ browser }) => {
			const context = await browser.newContext({ storageState: { cookies: [...cookies], origins: [] } });
			for (const [route, needs] of Object.entries(routeActions)) {
				if (needs === 'public') continue;
				const answer = POSTED.includes(route)
					? await context.request.post(addresses[route]!, { data: {}, maxRedirects: 0 })
					: await context.request.get(addresses[route]!, { maxRedirects: 0 });
				expect(answer.status(), route).toBe(route.startsWith('/api/') ? 401 : 303);
			}
			await context.close();
		});
});

test.describe('bad input at the door', () => {
	test.use({ storageState: signedIn('monitor') });

	test('a body of 10 MB is refused with what to do', async ({ request }) => {
		const answer = await request.post('/api/sync', { data: { entries: [], photos: ['x'.repeat(10_000_000)] } });
		expect(answer.status()).toBe(413);
		expect(((await answer.json()) as { message: string }).message).toMatch(
			/10\.0 MB; at most 4 MB .* nothing was written/
		);
	});

	test('nobody guesses the type of a file that is served past the hooks', async ({ request }) => {
		const page = await (await request.get('/sign-in')).text();
		const script = /href="([^"]+\.js)"/.exec(page)?.[1] ?? '';
		for (const path of ['/manifest.webmanifest', script]) {
			const answer = await request.get(new URL(path, 'http://x/sign-in').pathname);
			expect(answer.status(), path).toBe(200);
			expect(answer.headers()['x-content-type-options'], path).toBe('nosniff');
		}
	});

	test('the sign-in library’s own ways to change a password are shut: ours refuses weak ones and leaves a line', async ({
		request,
		baseURL
	}) => {
		for (const path of ['change-password', 'reset-password', 'update-user', 'sign-up/email', 'sign-in/email/']) {
			const answer = await request.post(`/api/auth/${path}`, {
				headers: { origin: baseURL! },
				data: { newPassword: 'password1234' }
			});
			expect(answer.status(), path).toBe(404);
		}
	});

	test('what is not JSON, or not the agreed form, is told so', async ({ request }) => {
		const broken = await request.post('/api/sync', {
			headers: { 'content-type': 'application/json' },
			data: Buffer.from('{"entries": [')
		});
		expect(broken.status()).toBe(400);
		expect(((await broken.json()) as { message: string }).message).toMatch(/not JSON/);
		const wrong = await request.post('/api/sync', { data: { entries: 'none', since: {} } });
		expect(wrong.status()).toBe(400);
		expect(((await wrong.json()) as { message: string }).message).toMatch(/entries is a list/);
	});

	test('an address that asks for nonsense falls back to what most want', async ({ request }) => {
		expect((await request.get("/sites/TE1?p=drop%20table&span=-1&view='")).status()).toBe(200);
		expect((await request.get('/sites/NOWHERE')).status()).toBe(404);
		expect((await request.get('/visits/not-an-id')).status()).toBe(404);
	});
});

function answerTo(route: string): number {
	if (/\[(id|sha256)\]/.test(route)) return 404;
	return route.endsWith('/change') ? 400 : 200;
}
