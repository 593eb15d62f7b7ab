'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { FloorEvent } from '@/core/fault/floor-event';
import { foldSetLog, orderEvents } from '@/core/fault/set-log';
import { sharedOutbox, type EventPlace } from './outbox';
import { TapQueue, type Tap } from './tap-queue';

/**
 * The records of one client and movement: the server's, what this device holds, and what is tapped now. `began` is how
 * they stood when the page opened.
 */
export function useFloorLog(place: EventPlace, fromServer: readonly FloorEvent[]) {
  const { clientId, itemId, movement } = place;
  const [held, setHeld] = useState<readonly FloorEvent[]>([]);
  const [own, setOwn] = useState<readonly FloorEvent[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const queue = useMemo(
    () => new TapQueue((body, atMs) => sharedOutbox().append({ clientId, itemId, movement }, body, atMs)),
    [clientId, itemId, movement],
  );
  useEffect(() => queue.know([...fromServer, ...held]), [queue, fromServer, held]);
  useEffect(() => {
    let gone = false;
    void sharedOutbox()
      .held({ clientId, itemId, movement })
      .then((events) => {
        if (!gone && events.length > 0) setHeld(events);
      })
      .catch(() =>
        setTrouble(
          'This browser gives no storage: taps go nowhere until it does. Leave private browsing or free some space.',
        ),
      );
    return () => {
      gone = true;
    };
  }, [clientId, itemId, movement]);
  const append = useCallback(
    async (tap: Tap): Promise<FloorEvent | null> => {
      try {
        const event = await queue.append(tap, Date.now());
        if (event) setOwn((known) => [...known, event]);
        setTrouble(null);
        return event;
      } catch {
        setTrouble('That tap could not be kept on this device. Free some space, then tap again.');
        return null;
      }
    },
    [queue],
  );
  const events = useMemo(() => orderEvents([...fromServer, ...held, ...own]), [fromServer, held, own]);
  const log = useMemo(() => foldSetLog(events), [events]);
  const began = useMemo(() => foldSetLog([...fromServer, ...held]), [fromServer, held]);
  return { log, began, events, append, trouble };
}

export type FloorLog = ReturnType<typeof useFloorLog>;
