/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';

/**
 * Keeps a run going with no network: the application's own files, and each run's page as it was last opened. Everything else
 * goes to the server as ever. What happened in a run since is kept by the page itself.
 */
const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `kirapen-${version}`;
/** Pictures of the guide are large and needed by no run. */
const OWN = new Set([...build, ...files].filter((f) => !f.endsWith('.png')));

worker.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll([...OWN]))
      .then(() => worker.skipWaiting())
  );
});

worker.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((keys) =>
        Promise.all(keys.filter((k) => k.startsWith('kirapen-') && k !== CACHE).map((k) => caches.delete(k)))
      )
      .then(() => worker.clients.claim())
  );
});

worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
  if (OWN.has(url.pathname)) event.respondWith(fromCache(request));
  else if (/^\/run\/[^/]+(?:\/__data\.json)?$/.test(url.pathname)) event.respondWith(fromServer(request));
});

async function fromCache(request: Request): Promise<Response> {
  return (await caches.match(request)) ?? fetch(request);
}

/** From the server, and kept; as it was kept where the server does not answer. */
async function fromServer(request: Request): Promise<Response> {
  try {
    const response = await fetch(request);
    if (response.ok && !response.redirected) {
      const cache = await caches.open(CACHE);
      await cache.put(request, response.clone());
    }
    return response;
  } catch (gone) {
    const kept = await caches.match(request);
    if (kept) return kept;
    throw gone;
  }
}
