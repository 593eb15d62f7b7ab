'use client';
import { usePathname } from 'next/navigation';
import { useEffect } from 'react';

/** Asked for as a page: by that the service worker knows where to keep it. */
const asPage = (url: string): readonly [string, RequestInit] => [url, { headers: { accept: 'text/html' } }];

/** Has the service worker fetch and keep pages and files. */
function keep(urls: readonly (string | readonly [string, RequestInit])[]): void {
  if (!('serviceWorker' in navigator)) return;
  void navigator.serviceWorker.ready.then((r) =>
    r.active?.postMessage({ type: 'CACHE_URLS', payload: { urlsToCache: urls } }),
  );
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
    keep([...(through ? [] : [asPage(location.href)]), ...new Set(seen)]);
  }, [pathname]);
  return null;
}

/** Keeps pages that will be needed next, before anybody opens them. */
export function KeepAhead({ paths }: { readonly paths: readonly string[] }) {
  const list = paths.join(' ');
  useEffect(() => {
    if (list) keep(list.split(' ').map((p) => asPage(new URL(p, location.href).href)));
  }, [list]);
  return null;
}
