import { expect, test } from '@playwright/test';
import { roles, signedIn } from './application';

/** Addresses that differ only in which thing they show: a few of each tell of all. */
const OF_ONE_KIND = 3;
const kindOf = (path: string) =>
	path
		.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, ':id')
		.replace(/^\/sites\/[A-Z0-9]+/, '/sites/:code')
		.replace(/^\/plan\/calibrate\/.+/, '/plan/calibrate/:code');

const linksIn = (html: string) =>
	[...html.matchAll(/<a\b[^>]*?\bhref="([^"]+)"/g)].map(([, href]) => href!.replaceAll('&amp;', '&'));

for (const role of roles)
	test(`whatever a ${role} is shown a link to opens`, async ({ browser, baseURL }) => {
		test.setTimeout(120_000);
		const context = await browser.newContext({ storageState: signedIn(role) });
		const seen = new Map<string, number>();
		const asked = new Set<string>();
		const refused: string[] = [];
		let opened = 0;
		let next: { path: string; from: string }[] = [{ path: '/', from: 'the start' }];
		while (next.length) {
			const found: typeof next = [];
			for (const { path, from } of next) {
				const answer = await context.request.get(path);
				opened++;
				if (answer.status() >= 400) refused.push(`${path}, shown at ${from}: ${answer.status()}`);
				if (!answer.headers()['content-type']?.startsWith('text/html')) continue;
				const here = new URL(answer.url());
				for (const href of linksIn(await answer.text())) {
					const url = new URL(href, here);
					const whole = url.pathname + url.search;
					const kind = kindOf(url.pathname);
					if (url.origin !== new URL(baseURL!).origin || asked.has(whole) || (seen.get(kind) ?? 0) >= OF_ONE_KIND)
						continue;
					asked.add(whole);
					seen.set(kind, (seen.get(kind) ?? 0) + 1);
					found.push({ path: whole, from: here.pathname });
				}
			}
			next = found;
		}
		await context.close();
		expect(refused).toEqual([]);
		expect(opened).toBeGreaterThan(role === 'viewer' ? 5 : 25); // it has been somewhere
	});
