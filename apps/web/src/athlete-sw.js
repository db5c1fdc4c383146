/**
 * Keeps the athlete's page usable without a network, once it was opened: the application itself, and the last answer to each link. Asked first is always the server.
 * `__ASSETS__` and `__BUILD__` are filled in by the build.
 */
const shellCache = 'gambito-athlete-__BUILD__';
const pageCache = 'gambito-pages';
const assets = __ASSETS__;
/** ms after which a stored answer is shown instead of waiting on */
const patience = 4000;

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(shellCache)
      .then((cache) => cache.addAll(['/athlete.html', '/theme.js', '/early.js', '/lantern.svg', ...assets]))
      .then(() => self.skipWaiting()),
  );
});
self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter((name) => name.startsWith('gambito-athlete-') && name !== shellCache).map((name) => caches.delete(name))))
      .then(() => self.clients.claim()),
  );
});

/** The server's answer, kept; where none comes in time, the one kept before. */
async function serverFirst(request, key, name) {
  const cache = await caches.open(name);
  const asked = fetch(request).then(async (answer) => {
    if (answer.ok) await cache.put(key, answer.clone());
    // a link that is gone is no longer kept
    if (answer.status === 404 || answer.status === 410) await cache.delete(key);
    return answer;
  });
  const kept = await cache.match(key);
  if (!kept) return asked;
  const late = new Promise((resolve) => setTimeout(() => resolve(kept.clone()), patience));
  return Promise.race([asked, late]).catch(() => kept);
}
const keptFirst = async (request) => (await caches.match(request)) ?? fetch(request);

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin) return;
  if (request.mode === 'navigate' && pathname.startsWith('/a/')) event.respondWith(serverFirst(request, '/athlete.html', shellCache));
  else if (/^\/api\/a\/[\w-]+$/.test(pathname)) {
    // asked for whole: "not changed since" is nothing one could keep
    event.respondWith(serverFirst(new Request(request.url, { credentials: 'same-origin' }), pathname, pageCache));
  } else if (pathname.startsWith('/assets/') || ['/theme.js', '/early.js', '/lantern.svg'].includes(pathname)) event.respondWith(keptFirst(request));
});
