'use client';
import { usePathname } from 'next/navigation';
import { useEffect } from 'react';
import { LOCKS_AFTER_MS } from '@/core/account/session-state';

const LOOK_EACH_MS = 30_000;

/**
 * A tablet that slept, or lay about, shows nothing of a client to whoever takes it up: it asks for the PIN. While a
 * set's page is in sight it stays, since a long set is watched and not touched. Without a way to the server nothing
 * could let anybody in again, so nothing is shut.
 */
export function LockAfterSleep() {
  const path = usePathname();
  useEffect(() => {
    let lastMs = Date.now();
    const used = (): void => {
      lastMs = Date.now();
    };
    const look = (): void => {
      if (Date.now() - lastMs < LOCKS_AFTER_MS) return;
      const shut = (): void => location.assign(`/sign-in?to=${encodeURIComponent(location.pathname)}`);
      void fetch('/sign-in', { method: 'HEAD', cache: 'no-store' }).then(shut, () => undefined);
    };
    const timer = setInterval(() => {
      if (path.startsWith('/set/') && document.visibilityState === 'visible') return used();
      look();
    }, LOOK_EACH_MS);
    const shown = (): void => {
      if (document.visibilityState === 'visible') look();
    };
    const inputs = ['pointerdown', 'keydown'] as const;
    for (const input of inputs) window.addEventListener(input, used, true);
    document.addEventListener('visibilitychange', shown);
    return () => {
      clearInterval(timer);
      for (const input of inputs) window.removeEventListener(input, used, true);
      document.removeEventListener('visibilitychange', shown);
    };
  }, [path]);
  return null;
}
