import { useCallback, useState } from 'react';

/**
 * The saved set-up that a bench opens with. What this device or another one still tells of is taken up until the bench
 * is touched; from then on it stays, so that nothing moved here is lost to news that come late.
 */
export function useOpenedWith<T extends { readonly id: string }>(saved: T | null) {
  const [opened, setOpened] = useState(saved);
  const [touched, setTouched] = useState(false);
  if (!touched && saved?.id !== opened?.id) setOpened(saved);
  const touch = useCallback(() => setTouched(true), []);
  return { opened, hands: { onPointerDownCapture: touch, onKeyDownCapture: touch } };
}

/** The handlers that tell a bench is touched. */
export type Hands = ReturnType<typeof useOpenedWith>['hands'];
