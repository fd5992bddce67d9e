import { CacheFirst, ExpirationPlugin, NetworkFirst, Serwist, type SerwistPlugin } from 'serwist';

declare const self: ServiceWorkerGlobalScope;

const [PAGES, SCRIPTS] = ['pages', 'scripts'];
const [PATIENCE_S, MOST_PAGES, MOST_SCRIPTS] = [8, 120, 600];

const ours = (url: URL) => url.origin === self.location.origin;

/** A worker reads its settings from its own address; a response with a name would take the place of that. */
const namelessForWorkers: SerwistPlugin = {
  handlerWillRespond: async ({ request, response }) =>
    request.destination === 'worker'
      ? new Response(response.body, { status: response.status, headers: response.headers })
      : response,
};

/** Pages of the workshop come from the network while there is one; scripts and fonts never change under their name. */
const serwist = new Serwist({
  skipWaiting: true,
  clientsClaim: true,
  navigationPreload: false,
  runtimeCaching: [
    {
      matcher: ({ url }) => ours(url) && url.pathname.startsWith('/_next/static/'),
      handler: new CacheFirst({
        cacheName: SCRIPTS,
        plugins: [new ExpirationPlugin({ maxEntries: MOST_SCRIPTS }), namelessForWorkers],
      }),
    },
    {
      matcher: ({ url, request }) =>
        ours(url) &&
        !url.pathname.startsWith('/api/') &&
        // a link that was taken back shows nothing, also without a line
        !url.pathname.startsWith('/shared/') &&
        (request.mode === 'navigate' ||
          request.headers.get('rsc') === '1' ||
          url.pathname.startsWith('/help/')),
      handler: new NetworkFirst({
        cacheName: PAGES,
        networkTimeoutSeconds: PATIENCE_S,
        matchOptions: { ignoreVary: true },
        plugins: [new ExpirationPlugin({ maxEntries: MOST_PAGES })],
      }),
    },
  ],
});
serwist.addEventListeners();

/** A page that will be wanted without a signal, with its scripts and those that they load later, workers among them. */
async function keepPage(path: string): Promise<void> {
  const response = await fetch(path, { credentials: 'same-origin' });
  if (!response.ok) return;
  const text = await response.clone().text();
  await (await caches.open(PAGES)).put(path, response);
  await keepScripts(text);
}

const NAMED = /static\/(?:chunks|media)\/[A-Za-z0-9_.~/-]+\.(?:js|css|wasm|woff2)/g;

async function keepScripts(text: string): Promise<void> {
  const cache = await caches.open(SCRIPTS);
  const looked = new Set<string>();
  let open = namedIn(text, looked);
  while (open.length > 0 && looked.size < MOST_SCRIPTS) {
    const texts = await Promise.all(
      open.map(async (url) => {
        const known =
          (await cache.match(url)) ??
          (await cache
            .add(url)
            .then(() => cache.match(url))
            .catch(() => undefined));
        return known && url.endsWith('.js') ? known.text() : '';
      }),
    );
    open = texts.flatMap((one) => namedIn(one, looked));
  }
}

/** Seven megabytes that make solids at a desk: nobody needs them beside the track. */
const KERNEL = /replicad/;

/** What a text names and was not looked at before. */
function namedIn(text: string, looked: Set<string>): string[] {
  const fresh = [...new Set([...text.matchAll(NAMED)].map(([name]) => `/_next/${name}`))].filter(
    (url) => !looked.has(url) && !KERNEL.test(url),
  );
  for (const url of fresh) looked.add(url);
  return fresh;
}

self.addEventListener('message', (event) => {
  const { keep } = (event.data ?? {}) as { keep?: unknown };
  if (!Array.isArray(keep)) return;
  const paths = keep.filter(
    (path): path is string => typeof path === 'string' && path.startsWith('/') && !path.startsWith('//'),
  );
  event.waitUntil(
    Promise.all(paths.map((path) => keepPage(path).catch(() => undefined))).then(() =>
      event.source?.postMessage({ kept: paths }),
    ),
  );
});
