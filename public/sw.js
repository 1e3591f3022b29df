/*
 * Keeps the pages of the lathe going without a net: what the build made is kept on the device as soon as a page of the lathe was
 * open once, and the page of a run as it was last served. What happens there is kept by the page itself.
 */
const FILES = 'shingle-files';
const PAGES = 'shingle-pages';

/** A server that has not answered a page by then does not answer, ms. */
const PATIENCE_MS = 4000;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

/** Fetches every file of the build that is not here yet, and lets go of those of builds before. */
async function keepFiles() {
  const answer = await fetch('/api/page-files');
  if (!answer.ok) return;
  const { files } = await answer.json();
  const cache = await caches.open(FILES);
  const here = new Set((await cache.keys()).map(({ url }) => new URL(url).pathname));
  for (const file of files) if (!here.has(file)) await cache.add(file);
  for (const file of here) if (!files.includes(file)) await cache.delete(file);
}

/** The page of a run, whichever of its places: they are one page, and its address says which is shown. */
const pageOf = (pathname) => /^\/runs\/\d+/.exec(pathname)?.[0];

async function servedPage(request, page) {
  const cache = await caches.open(PAGES);
  try {
    const answer = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
    if (answer.ok && !answer.redirected) await cache.put(page, answer.clone());
    return answer.status >= 500 ? ((await cache.match(page)) ?? answer) : answer;
  } catch (error) {
    const kept = await cache.match(page);
    if (kept) return kept;
    throw error;
  }
}

/** A file of the build; what is kept is given without its address, so that a worker keeps the one that it was asked for by. */
async function servedFile(request) {
  const kept = await caches.match(request, { ignoreSearch: true });
  return kept ? new Response(kept.body, { status: kept.status, headers: kept.headers }) : fetch(request);
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin) return;
  if (pathname.startsWith('/_next/static/')) return event.respondWith(servedFile(request));
  const page = request.mode === 'navigate' ? pageOf(pathname) : undefined;
  if (page) event.respondWith(servedPage(request, page));
});

self.addEventListener('message', (event) => {
  if (event.data?.keep !== true) return;
  event.waitUntil(
    Promise.all([
      keepFiles(),
      ...(pageOf(event.data.path) ? [servedPage(new Request(event.data.path), pageOf(event.data.path))] : []),
    ]).then(() => event.source?.postMessage({ kept: true })),
  );
});
