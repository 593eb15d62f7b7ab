import { useEffect } from 'react';

/**
 * Keeps the screen from going dark while `on`, where the device offers that; asked for anew whenever the page is seen
 * again, because a hidden page loses it.
 */
export function useWakeLock(on: boolean): void {
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) return;
    let gone = false;
    let lock: WakeLockSentinel | null = null;
    const hold = (): void => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (held) => {
          if (gone) void held.release();
          else lock = held;
        },
        // Refused, on a low battery for one: the set goes on without it.
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [on]);
}
