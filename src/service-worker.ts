/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { files, prerendered, version } from '$service-worker';
import { TAKE_OVER } from './lib/field/take-over';

/*
 * Makes the field app start with no network: its shell and every script, style and font it may load are put by when the
 * worker is installed, and nothing of the office, which needs the network. Data are not its business: they are in the
 * phone's own store.
 */
const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `keen-riffle-${version}`;
const SHELL = '/sample';
/** Addresses that the one shell boots. */
const FIELD = ['/sample', '/pack', '/bench'];
/** What never changes under its name. */
const BUILT = '/_app/immutable/';
/** The built files that the field app can ask for: `scripts/field-app-files.ts` writes the list. */
const FIELD_FILES = '/_app/field-app.json';
/** Fonts' other alphabets and italics come from the network when a page asks for them. */
const RARE = /(latin-ext|italic).*\.woff2$/;
const asIs = [...files, ...prerendered];

/** The static routing of service workers, which the type library does not know yet. */
interface StaticRoutes extends ExtendableEvent {
	addRoutes(rule: { condition: { urlPattern: { pathname: string } }; source: { cacheName: string } }): Promise<void>;
}

const kept = caches.open(CACHE);

worker.addEventListener('install', (event) => {
	// a browser that can takes what never changes straight from the cache, without waking this worker
	if ('addRoutes' in event)
		void (event as StaticRoutes).addRoutes({
			condition: { urlPattern: { pathname: `${BUILT}*` } },
			source: { cacheName: CACHE }
		});
	event.waitUntil(
		putBy()
			// where an older version is at work, it goes on until a page says that the moment is good
			.then(() => (worker.registration.active ? undefined : worker.skipWaiting()))
	);
});

worker.addEventListener('message', (event) => {
	if (event.data === TAKE_OVER) void worker.skipWaiting();
});

worker.addEventListener('activate', (event) => {
	event.waitUntil(
		caches
			.keys()
			.then((names) =>
				Promise.all(
					names.filter((name) => name.startsWith('keen-riffle-') && name !== CACHE).map((name) => caches.delete(name))
				)
			)
			.then(() => worker.clients.claim())
	);
});

worker.addEventListener('fetch', (event) => {
	const url = new URL(event.request.url);
	if (event.request.method !== 'GET' || url.origin !== location.origin) return;
	const isField = FIELD.some((part) => url.pathname === part || url.pathname.startsWith(`${part}/`));
	if (event.request.mode === 'navigate' && isField) event.respondWith(fromCache(SHELL, event.request));
	else if (url.pathname.startsWith(BUILT) || asIs.includes(url.pathname))
		event.respondWith(fromCache(url.pathname, event.request));
	// the office needs the network: without one, what is on this device is opened, and says so
	else if (event.request.mode === 'navigate')
		event.respondWith(
			fetch(event.request).catch(() => Response.redirect(`${SHELL}?wanted=${encodeURIComponent(url.pathname)}`))
		);
});

/** All or nothing: without one of its files the field app would stop where it is wanted. */
async function putBy(): Promise<void> {
	const answer = await fetch(FIELD_FILES, { cache: 'no-cache' });
	const built = ((await answer.json()) as string[]).filter((file) => !RARE.test(file)).map((file) => `/${file}`);
	await (await kept).addAll([...asIs, ...built]);
}

async function fromCache(path: string, request: Request): Promise<Response> {
	return (await (await kept).match(path)) ?? fetch(request);
}
