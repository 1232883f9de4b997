import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { chromium, type BrowserContext } from '@playwright/test';
import { chromiumOptions } from '../scripts/chromium';
import { median, type Bench } from './measure';
import { signIn } from './sign-in';

const RUNS = 9;

export const coldOfflineStart: Bench = {
	name: 'cold-offline-start',
	unit: 'ms',
	reach: 1.3,
	theirs: 'a bare page of the same framework',
	needs: 'application',
	run: async ({ url, scratch }) => {
		const bare = await serveBarePage();
		const profile = mkdtempSync(join(scratch, 'phone-'));
		const launch = () => chromium.launchPersistentContext(profile, chromiumOptions);
		const phone = await launch();
		await phone.addCookies(await signIn(url, 'monitor'));
		await visit(phone, `${url}/sample`, /^Packed /);
		await visit(phone, bare.url, /^bare$/);
		await phone.close();
		bare.child.kill();

		const ours: number[] = [];
		const theirs: number[] = [];
		for (let run = 0; run < RUNS; run++) {
			// each from a browser that was off, the one and the other first by turns
			const order =
				run % 2
					? ([
							[ours, `${url}/sample`, /^Packed /],
							[theirs, bare.url, /^bare$/]
						] as const)
					: ([
							[theirs, bare.url, /^bare$/],
							[ours, `${url}/sample`, /^Packed /]
						] as const);
			for (const [times, address, sign] of order) {
				const cold = await launch();
				await cold.setOffline(true);
				times.push(await start(cold, address, sign));
				await cold.close();
			}
		}
		return { ours: median(ours), theirs: median(theirs), note: `median of ${String(RUNS)} cold starts each` };
	}
};

async function visit(context: BrowserContext, address: string, sign: RegExp): Promise<void> {
	const page = await context.newPage();
	await page.goto(address);
	await page.getByText(sign).first().waitFor();
	await page.evaluate(async () => {
		await navigator.serviceWorker.ready;
	});
	await page.close();
}

/**
 * From the tap to the first thing that can be used: the sign stands on the page. Timed inside the page, by its own
 * clock.
 */
async function start(context: BrowserContext, address: string, sign: RegExp): Promise<number> {
	const page = await context.newPage();
	// as text: the loader that runs this file marks functions in a way that a page does not know
	await page.addInitScript({
		content: `{
			const wanted = new RegExp(${JSON.stringify(sign.source)});
			const look = () => [...document.querySelectorAll('h1, h2, p')].some((e) => wanted.test(e.textContent.trim())) ? (globalThis.usableAt = performance.now()) : requestAnimationFrame(look);
			requestAnimationFrame(look);
		}`
	});
	await page.goto(address);
	const handle = await page.waitForFunction(() => (globalThis as unknown as { usableAt?: number }).usableAt);
	return Number(await handle.jsonValue());
}

async function serveBarePage(): Promise<{ url: string; child: ChildProcess }> {
	const within = resolve('node_modules/.cache/bare-page'); // inside the project, where its modules are found
	const out = join(within, 'build');
	const env = { ...process.env, BARE_PAGE_OUT: out, BARE_PAGE_KIT: join(within, 'kit') };
	execFileSync(resolve('node_modules/.bin/vite'), ['build', '--logLevel', 'silent'], {
		cwd: 'bench/bare-page',
		env,
		stdio: 'pipe'
	});
	const port = 20_000 + Math.floor(Math.random() * 20_000);
	const child = spawn(process.execPath, [out], {
		env: { ...env, PORT: String(port), HOST: '127.0.0.1' },
		stdio: 'ignore'
	});
	const url = `http://127.0.0.1:${String(port)}/`;
	for (let answered = false; !answered;)
		answered = await fetch(url).then(
			(r) => r.ok,
			() => false
		);
	return { url, child };
}
