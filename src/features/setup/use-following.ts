'use client';
import { startTransition, useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';

/**
 * A move that is worked out slower than this leaves no time in a frame for what follows it, milliseconds: painting
 * takes as long again, what follows three times as long, of 16.7.
 */
const SLOW_MS = 3;
/** How long a slow move is remembered, milliseconds. */
const REMEMBERED_MS = 2000;
/** The finger rests when nothing moved for this long, milliseconds. */
const RESTS_MS = 250;

/**
 * A value that comes after the drawing: at once, when there is time, where the device keeps up with the finger; where
 * it does not, when the finger rests. `moving` is called as a move is taken, so that its way to the screen can be
 * timed.
 */
export function useFollowing<T>(value: T): { readonly late: T; readonly moving: () => void } {
  const [late, setLate] = useState(value);
  const moved = useRef<number | null>(null);
  const slowUntil = useRef(0);
  useLayoutEffect(() => {
    if (moved.current === null) return;
    const now = performance.now();
    if (now - moved.current > SLOW_MS) slowUntil.current = now + REMEMBERED_MS;
    moved.current = null;
  }, [value]);
  useEffect(() => {
    const follow = (): void => startTransition(() => setLate(value));
    if (performance.now() > slowUntil.current) return follow();
    const timer = setTimeout(follow, RESTS_MS);
    return () => clearTimeout(timer);
  }, [value]);
  const moving = useCallback(() => {
    moved.current ??= performance.now();
  }, []);
  return { late, moving };
}
