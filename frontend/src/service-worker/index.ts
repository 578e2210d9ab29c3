/** Starts the program on this device without a network: its own files, kept when it is put in. Answers are not kept here. */
import { version } from '$app/env';
import { assets, immutable } from '$app/manifest';
import { self as own } from '$app/service-worker';

const CACHE = `program-${version}`;
const rooted = (path: string) => (path.startsWith('/') ? path : `/${path}`);
const FILES = ['/', ...[...immutable, ...assets].map(({ path }) => rooted(path))];

own.addEventListener('install', (event) => {
	event.waitUntil(
		caches
			.open(CACHE)
			.then((cache) => cache.addAll(FILES))
			.then(() => own.skipWaiting())
	);
});
own.addEventListener('activate', (event) => {
	event.waitUntil(
		caches
			.keys()
			.then((names) => Promise.all(names.filter((name) => name !== CACHE).map((name) => caches.delete(name))))
			.then(() => own.clients.claim())
	);
});
/** The page from the program where it answers, so that a newer one is seen at once; else as it was put in. */
async function page(request: Request): Promise<Response> {
	try {
		const got = await fetch(request, { signal: AbortSignal.timeout(3000) });
		if (got.ok) return got;
	} catch {
		/* out of reach */
	}
	return (await caches.match('/', { cacheName: CACHE })) ?? Response.error();
}
own.addEventListener('fetch', (event) => {
	const { request } = event;
	const address = new URL(request.url);
	if (request.method !== 'GET' || address.origin !== own.location.origin || address.pathname.startsWith('/api/')) return;
	if (request.mode === 'navigate') event.respondWith(page(request));
	else if (FILES.includes(address.pathname))
		event.respondWith(caches.match(request, { cacheName: CACHE }).then((kept) => kept ?? fetch(request)));
});
