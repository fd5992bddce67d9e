import { CacheFirst, ExpirationPlugin, NetworkFirst, Serwist } from 'serwist';

declare const self: ServiceWorkerGlobalScope;

const [PAGES, SCRIPTS] = ['pages', 'scripts'];
const [PATIENCE_S, MOST_PAGES, MOST_SCRIPTS] = [8, 120, 600];

const ours = (url: URL) => url.origin === self.location.origin;

/** Pages of the workshop come from the network while there is one; scripts and fonts never change under their name. */
const serwist = new Serwist({
  skipWaiting: true,
  clientsClaim: true,
  navigationPreload: false,
  runtimeCaching: [
    { matcher: ({ url }) => ours(url) && url.pathname.startsWith('/_next/static/'), handler: new CacheFirst({ cacheName: SCRIPTS, plugins: [new ExpirationPlugin({ maxEntries: MOST_SCRIPTS })] }) },
    {
      matcher: ({ url, request }) => ours(url) && !url.pathname.startsWith('/api/') && (request.mode === 'navigate' || request.headers.get('rsc') === '1'),
      handler: new NetworkFirst({ cacheName: PAGES, networkTimeoutSeconds: PATIENCE_S, matchOptions: { ignoreVary: true }, plugins: [new ExpirationPlugin({ maxEntries: MOST_PAGES })] }),
    },
  ],
});
serwist.addEventListeners();

/** A page that will be wanted without a signal, with all that it is made of. */
async function keepPage(path: string): Promise<void> {
  const response = await fetch(path, { credentials: 'same-origin' });
  if (!response.ok) return;
  const text = await response.clone().text();
  await (await caches.open(PAGES)).put(path, response);
  const scripts = await caches.open(SCRIPTS);
  const wanted = new Set([...text.matchAll(/\/_next\/static\/[^"'\\ )<]+/g)].map(([url]) => url));
  await Promise.all([...wanted].map(async (url) => {
    if (!(await scripts.match(url))) await scripts.add(url).catch(() => undefined);
  }));
}

self.addEventListener('message', (event) => {
  const { keep } = (event.data ?? {}) as { keep?: unknown };
  if (!Array.isArray(keep)) return;
  const paths = keep.filter((path): path is string => typeof path === 'string' && path.startsWith('/') && !path.startsWith('//'));
  event.waitUntil(Promise.all(paths.map((path) => keepPage(path).catch(() => undefined))).then(() => event.source?.postMessage({ kept: paths })));
});
