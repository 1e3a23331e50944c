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

/** A network that is lost without saying so is waited for so long, ms, where there is something kept. */
const PATIENCE = 4000;

/** From the server, and kept; as it was kept where the server does not answer, or not soon. */
async function fromServer(request: Request): Promise<Response> {
  const kept = await caches.match(request);
  const asked = fetch(request).then(async (response) => {
    if (response.ok && !response.redirected) await (await caches.open(CACHE)).put(request, response.clone());
    return response;
  });
  if (!kept) return asked;
  const late = new Promise<Response>((done) => setTimeout(() => done(kept), PATIENCE));
  return Promise.race([asked.catch(() => kept), late]);
}
