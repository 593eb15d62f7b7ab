import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { useOutboxState } from '@/offline/use-outbox';

/** These go by what the device holds itself, and ask for the rest where it matters (`useNewestSetup`). */
const HOLDS_TAPS = /^\/(set|setup)\//;
/** A page may have been drawn this long before it is in sight: longer than the service worker has patience. */
const DRAWN_BEFORE_MS = 10_000;

/**
 * A page that was drawn before the last taps of this device had reached the server is asked for again once they have:
 * a set that was ended on the way to the floor or the ledger is on it.
 */
export function useTapsThere(): void {
  const router = useRouter();
  const path = usePathname();
  const { waiting } = useOutboxState();
  const waited = useRef(false);
  const cameMs = useRef(-Infinity);
  useEffect(() => {
    if (waiting === null) return;
    if (waiting === 0 && waited.current) cameMs.current = performance.now();
    waited.current = waiting > 0;
    if (waiting > 0 || HOLDS_TAPS.test(path) || performance.now() - cameMs.current > DRAWN_BEFORE_MS) return;
    cameMs.current = -Infinity;
    router.refresh();
  }, [waiting, path, router]);
}
