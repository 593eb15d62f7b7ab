'use client';
import { useSyncExternalStore } from 'react';
import { sharedOutbox, type OutboxState } from './outbox';

const QUIET: OutboxState = { waiting: null, refused: 0, others: 0, trouble: null, clockOffMs: 0 };
const subscribe = (listener: () => void): (() => void) => sharedOutbox().subscribe(listener);

/** How many taps wait to reach the server, and why. */
export const useOutboxState = (): OutboxState =>
  useSyncExternalStore(
    subscribe,
    () => sharedOutbox().getState(),
    () => QUIET,
  );
