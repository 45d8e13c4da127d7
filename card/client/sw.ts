// The page and its worker are checked together, and only one of them has a window.
const worker = self as unknown as ServiceWorkerGlobalScope;

const CACHE = 'cards';

worker.addEventListener('install', () => void worker.skipWaiting());
worker.addEventListener('activate', (event) => event.waitUntil(worker.clients.claim()));

/** A card is asked for anew whenever there is a network, since it may have been withdrawn; what it brings along never changes. */
worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const { pathname, origin } = new URL(request.url);
  if (request.method !== 'GET' || origin !== worker.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(newest(request));
  else if (pathname.startsWith('/card/') || pathname.startsWith('/r/')) event.respondWith(known(request));
});

async function newest(request: Request): Promise<Response> {
  const cache = await caches.open(CACHE);
  try {
    const answer = await fetch(request);
    if (answer.ok) await cache.put(request, answer.clone());
    // Withdrawn: it must not come back when the network is away.
    else if (answer.status === 410) await cache.delete(request);
    return answer;
  } catch (error) {
    const before = await cache.match(request, { ignoreSearch: true });
    if (before) return before;
    throw error;
  }
}

async function known(request: Request): Promise<Response> {
  const cache = await caches.open(CACHE);
  const before = await cache.match(request);
  if (before) return before;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request, answer.clone());
  return answer;
}
