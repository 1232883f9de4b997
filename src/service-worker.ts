/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { build, files, prerendered, version } from '$service-worker';
import { TAKE_OVER } from './lib/field/take-over';

/*
 * Makes the field app start with no network: its shell and every script, style and font it may load are put by when the
 * worker is installed. Data are not its business: they are in the phone's own store.
 */
const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `keen-riffle-${version}`;
const SHELL = '/sample';
/** Addresses that the one shell boots. */
const FIELD = ['/sample', '/pack', '/bench'];
// fonts' other alphabets and italics come from the network when a page asks for them
const assets = [...build, ...files, ...prerendered].filter((path) => !/(latin-ext|italic).*\.woff2$/.test(path));

/** The static routing of service workers, which the type library does not know yet. */
interface StaticRoutes extends ExtendableEvent {
	addRoutes(rule: { condition: { urlPattern: { pathname: string } }; source: { cacheName: string } }): Promise<void>;
}

const kept = caches.open(CACHE);

worker.addEventListener('install', (event) => {
	// a browser that can takes what never changes straight from the cache, without waking this worker
	if ('addRoutes' in event)
		void (event as StaticRoutes).addRoutes({
			condition: { urlPattern: { pathname: '/_app/immutable/*' } },
			source: { cacheName: CACHE }
		});
	event.waitUntil(
		caches
			.open(CACHE)
			.then((cache) => cache.addAll(assets))
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
	else if (assets.includes(url.pathname)) event.respondWith(fromCache(url.pathname, event.request));
	// the office needs the network: without one, what is on this device is opened, and says so
	else if (event.request.mode === 'navigate')
		event.respondWith(
			fetch(event.request).catch(() => Response.redirect(`${SHELL}?wanted=${encodeURIComponent(url.pathname)}`))
		);
});

async function fromCache(path: string, request: Request): Promise<Response> {
	return (await (await kept).match(path)) ?? fetch(request);
}
