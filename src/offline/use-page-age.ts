'use client';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { AGE_CHANNEL, type AgeMessage } from './kept-age';

/** When a page was served, by the server's clock, and when that was heard here, milliseconds. */
interface PageAge {
  readonly servedMs: number;
  readonly heardMs: number;
}

/** How old the page is that is shown; null where it was served just now. */
export function usePageAge(): PageAge | null {
  const path = usePathname();
  const [kept, setKept] = useState<(PageAge & { readonly of: string }) | null>(null);
  useEffect(() => {
    if (typeof BroadcastChannel === 'undefined') return;
    const channel = new BroadcastChannel(AGE_CHANNEL);
    channel.onmessage = ({ data }: MessageEvent<AgeMessage>) => {
      if (!('of' in data) || data.of !== path) return;
      setKept(data.servedMs === null ? null : { of: path, servedMs: data.servedMs, heardMs: Date.now() });
    };
    channel.postMessage({ ask: path } satisfies AgeMessage);
    return () => channel.close();
  }, [path]);
  return kept?.of === path ? kept : null;
}
