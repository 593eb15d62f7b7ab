/// <reference lib="webworker" />
// Bundled by scripts/build-sw.mjs after the build; kept out of the page's own types.
import {
  CacheFirst,
  ExpirationPlugin,
  NetworkFirst,
  NetworkOnly,
  type PrecacheEntry,
  Serwist,
  type SerwistPlugin,
} from 'serwist';
import { AGE_CHANNEL, pageOf, type AgeMessage } from './kept-age';

declare const self: ServiceWorkerGlobalScope;
declare const __PRECACHE__: PrecacheEntry[];

/** A page that takes longer than this is opened as it was last seen, seconds. */
const PATIENCE_S = 8;

/** Only a whole page is kept: what sends somebody to sign in is not the page that was asked for. */
const wholePages: SerwistPlugin = {
  cacheWillUpdate: ({ response }) => Promise.resolve(response.status === 200 && !response.redirected ? response : null),
};

/** A server at fault is as good as none: what was kept is shown. */
const noFaults: SerwistPlugin = {
  fetchDidSucceed: ({ response }) => {
    if (response.status >= 500) throw new TypeError(`The server answered ${response.status}.`);
    return Promise.resolve(response);
  },
};

/** Pages that were last shown as they had been kept, with when they were served. */
const shownKept = new Map<string, number>();
const ages = new BroadcastChannel(AGE_CHANNEL);
const tellAge = (of: string): void =>
  ages.postMessage({ of, servedMs: shownKept.get(of) ?? null } satisfies AgeMessage);
ages.onmessage = ({ data }: MessageEvent<AgeMessage>) => {
  if ('ask' in data) tellAge(data.ask);
};

/** Whether a page, or the part of one that is opened next, is asked for to be shown, and not to be kept ahead. */
const isShown = ({ mode, headers }: Request): boolean =>
  mode === 'navigate' || (headers.has('RSC') && !headers.has('Next-Router-Prefetch'));

/**
 * A page that is older than its data says how old it is. What counts is the answer that the page was given: one that
 * comes later, when the worker had no more patience, is kept and not shown.
 */
const toldAge: SerwistPlugin = {
  cachedResponseWillBeUsed: ({ cachedResponse, state }) => {
    if (state) state.servedMs = Date.parse(cachedResponse?.headers.get('date') ?? '');
    return Promise.resolve(cachedResponse);
  },
  handlerWillRespond: ({ request, response, state }) => {
    const [page, servedMs] = [pageOf(request.url), Number(state?.servedMs)];
    if (isShown(request)) {
      if (Number.isFinite(servedMs)) shownKept.set(page, servedMs);
      else shownKept.delete(page);
      tellAge(page);
    }
    return Promise.resolve(response);
  },
};

/** The last used stay, the rest goes. */
const keepLast = (maxEntries: number): ExpirationPlugin =>
  new ExpirationPlugin({ maxEntries, maxAgeFrom: 'last-used' });

const serwist = new Serwist({
  precacheEntries: __PRECACHE__,
  skipWaiting: true,
  clientsClaim: true,
  navigationPreload: false,
  runtimeCaching: [
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_next/static/'),
      handler: new CacheFirst({ cacheName: 'static', plugins: [keepLast(400)] }),
    },
    // Taps go to the server or wait in the outbox: never to a cache. Lines that stay open are none of this worker's
    // business.
    {
      matcher: ({ url, sameOrigin }) =>
        sameOrigin &&
        url.pathname.startsWith('/api/') &&
        !url.pathname.startsWith('/api/v1/tracker') &&
        !url.pathname.endsWith('/line'),
      handler: new NetworkOnly(),
    },
    {
      matcher: ({ request, sameOrigin }) => sameOrigin && request.headers.has('RSC'),
      handler: new NetworkFirst({
        cacheName: 'parts',
        networkTimeoutSeconds: PATIENCE_S,
        plugins: [noFaults, toldAge, wholePages, keepLast(100)],
      }),
    },
    {
      matcher: ({ request, sameOrigin }) =>
        sameOrigin && (request.mode === 'navigate' || request.headers.get('accept')?.includes('text/html') === true),
      handler: new NetworkFirst({
        cacheName: 'pages',
        networkTimeoutSeconds: PATIENCE_S,
        plugins: [noFaults, toldAge, wholePages, keepLast(100)],
      }),
    },
  ],
  fallbacks: { entries: [{ url: '/offline', matcher: ({ request }) => request.destination === 'document' }] },
});

self.addEventListener('fetch', (e) => {
  // A worker's own script must come without the cache's bookkeeping: a cached response loses the fragment of its
  // address.
  if (e.request.destination !== 'worker') return;
  e.respondWith(
    (async () => {
      const r = (await serwist.matchPrecache(e.request.url.split('#')[0]!)) ?? (await fetch(e.request));
      return new Response(r.body, { status: r.status, headers: r.headers });
    })(),
  );
});
serwist.addEventListeners();
