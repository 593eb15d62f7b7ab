'use client';
import { usePathname, useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import { WORDS } from '@/messages/screens/shell';
import styles from './shell.module.css';

/** A page that is there sooner needs no word; one that takes longer than this has failed and says so itself. */
const SHOW_AFTER_MS = 250;
const GIVE_UP_MS = 20_000;

/** Whether a click leads to another page of this application in this window. */
function leadsOn(e: MouseEvent): boolean {
  if (e.button !== 0 || e.metaKey || e.ctrlKey || e.shiftKey || e.altKey) return false;
  const link = e.target instanceof Element ? e.target.closest('a') : null;
  if (!link || (link.target !== '' && link.target !== '_self') || link.hasAttribute('download')) return false;
  const to = new URL(link.href, location.href);
  // What the server hands out as a file is no page.
  if (to.origin !== location.origin || to.pathname.startsWith('/api/')) return false;
  return to.pathname + to.search !== location.pathname + location.search;
}

/** A line under the title block while the next page is on its way. */
export function UnderWay() {
  const here = `${usePathname()}?${useSearchParams().toString()}`;
  const [from, setFrom] = useState<string | null>(null);
  useEffect(() => {
    let show: ReturnType<typeof setTimeout> | undefined;
    let stop: ReturnType<typeof setTimeout> | undefined;
    const onClick = (e: MouseEvent): void => {
      if (!leadsOn(e)) return;
      clearTimeout(show);
      clearTimeout(stop);
      show = setTimeout(() => setFrom(here), SHOW_AFTER_MS);
      stop = setTimeout(() => setFrom(null), GIVE_UP_MS);
    };
    document.addEventListener('click', onClick, true);
    return () => {
      document.removeEventListener('click', onClick, true);
      clearTimeout(show);
      clearTimeout(stop);
    };
  }, [here]);
  if (from !== here) return null;
  return (
    <span className={styles.underWay} role="status" data-testid="opening">
      {WORDS.opening}
    </span>
  );
}
