'use client';
import { useCallback, useEffect, useRef } from 'react';

/** A callback that stays the same and calls the newest one: what it is handed to need not be drawn anew. */
export function useLatest<A extends readonly unknown[]>(fn: (...args: A) => void): (...args: A) => void {
  const now = useRef(fn);
  useEffect(() => {
    now.current = fn;
  });
  return useCallback((...args: A) => now.current(...args), []);
}
