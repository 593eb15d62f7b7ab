'use client';
import { usePathname } from 'next/navigation';
import { useEffect } from 'react';

/** Asked for as a page: by that the service worker knows where to keep it. */
const asPage = (url: string): readonly [string, RequestInit] => [url, { headers: { accept: 'text/html' } }];

/** Has the service worker fetch and keep pages and files; resolves when they are kept, at once where nothing keeps. */
async function keep(urls: readonly (string | readonly [string, RequestInit])[]): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  const { active } = await navigator.serviceWorker.ready;
  await new Promise<void>((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => resolve();
    active?.postMessage({ type: 'CACHE_URLS', payload: { urlsToCache: urls } }, [port2]);
  });
}

/** Kept again after so long at the earliest, milliseconds. */
const FRESH_MS = 5 * 60_000;
/** A page that is not idle for so long keeps one all the same, milliseconds. */
const BUSY_MS = 4000;
const keptAt = new Map<string, number>();

const whenIdle = (): Promise<unknown> =>
  new Promise((resolve) =>
    'requestIdleCallback' in window ? requestIdleCallback(resolve, { timeout: BUSY_MS }) : setTimeout(resolve, 200),
  );

/** One page after the other, whenever this one has nothing to do: the server draws one of them at a time. */
async function keepInTurn(paths: readonly string[], left: () => boolean): Promise<void> {
  for (const path of paths) {
    if (Date.now() - (keptAt.get(path) ?? -Infinity) < FRESH_MS) continue;
    await whenIdle();
    if (left()) return;
    await keep([asPage(new URL(path, location.href).href)]);
    keptAt.set(path, Date.now());
  }
}

/** Registers the service worker, and keeps every page that is opened for when there is no network. */
export function KeepPages() {
  const pathname = usePathname();
  useEffect(() => {
    if (process.env.NODE_ENV === 'production' && 'serviceWorker' in navigator)
      void navigator.serviceWorker.register('/sw.js');
  }, []);
  useEffect(() => {
    const seen = performance
      .getEntriesByType('resource')
      .map((e) => e.name)
      .filter((u) => new URL(u).origin === location.origin && u.includes('/_next/static/'));
    // A page that came through the service worker is kept already: asked for again it would only be drawn twice.
    const opened = performance.getEntriesByType('navigation')[0] as PerformanceNavigationTiming | undefined;
    const through = opened !== undefined && opened.workerStart > 0 && opened.name === location.href;
    void keep([...(through ? [] : [asPage(location.href)]), ...new Set(seen)]);
  }, [pathname]);
  return null;
}

/** Keeps pages that will be needed next, before anybody opens them. */
export function KeepAhead({ paths }: { readonly paths: readonly string[] }) {
  const list = paths.join(' ');
  useEffect(() => {
    let gone = false;
    if (list) void keepInTurn(list.split(' '), () => gone);
    return () => {
      gone = true;
    };
  }, [list]);
  return null;
}
