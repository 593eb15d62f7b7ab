'use client';
import { useEffect, useState } from 'react';
import { sharedNowMs } from '@/offline/device-clock';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

const clock = (s: number): string => `${Math.floor(s / 60)}:${String(Math.floor(s % 60)).padStart(2, '0')}`;

/** Time since the set ended, beside the planned rest. */
export function RestClock({ sinceMs, restS }: { readonly sinceMs: number; readonly restS: number }) {
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    const tick = (): void => setNow(sharedNowMs());
    const first = setTimeout(tick, 0);
    const timer = setInterval(tick, 500);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [sinceMs]);
  const rested = now === null ? 0 : Math.max(0, (now - sinceMs) / 1000);
  return (
    <div className={styles.rest}>
      <span>{WORDS.resting}</span>
      <b>{rested < 3600 ? clock(rested) : WORDS.overAnHour}</b>
      <span>{rested >= restS ? WORDS.plannedReady(clock(restS)) : WORDS.ofPlanned(clock(restS))}</span>
    </div>
  );
}
