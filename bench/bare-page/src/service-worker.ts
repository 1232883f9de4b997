/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { build, files, prerendered, version } from '$service-worker';

const worker = self as unknown as ServiceWorkerGlobalScope;
worker.addEventListener('install', (event) =>
	event.waitUntil(caches.open(version).then((cache) => cache.addAll([...build, ...files, ...prerendered])))
);
worker.addEventListener('activate', (event) => event.waitUntil(worker.clients.claim()));
worker.addEventListener('fetch', (event) => {
	const { pathname } = new URL(event.request.url);
	event.respondWith(caches.match(pathname).then((kept) => kept ?? fetch(event.request)));
});
