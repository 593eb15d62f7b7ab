'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { FloorEvent } from '@/core/record/floor-event';
import { foldSetLog, type PlannedItems } from '@/core/record/set-log';
import { orderEvents } from '@/core/record/order-events';
import { readFloorEvent } from '@/contract/records/floor-event-record';
import { sharedNowMs } from './device-clock';
import { hearOthers, tellPages } from './other-pages';
import { sharedOutbox, type EventPlace } from './outbox';
import { TapQueue, type Tap, type TappedBy } from './tap-queue';

/** Why a tap could not be kept on this device; the words are in messages/. */
export type TapTrouble = 'no-storage' | 'tap-lost';

/**
 * The records of one client and movement: the server's, what this device holds, and what is tapped now. `began` is how
 * they stood when the page opened.
 */
export function useFloorLog(place: EventPlace, fromServer: readonly FloorEvent[], planned: PlannedItems) {
  const { clientId, itemId, movement } = place;
  const [held, setHeld] = useState<readonly FloorEvent[]>([]);
  const [own, setOwn] = useState<readonly FloorEvent[]>([]);
  // Tapped since on other tablets and other pages: it changes the records, and nothing that was moved here.
  const [heard, setHeard] = useState<readonly FloorEvent[]>([]);
  const [trouble, setTrouble] = useState<TapTrouble | null>(null);
  const queue = useMemo(
    () => new TapQueue((body, atMs, runs) => sharedOutbox().append({ clientId, itemId, movement }, body, atMs, runs)),
    [clientId, itemId, movement],
  );
  useEffect(() => queue.know([...fromServer, ...held, ...heard], planned), [queue, fromServer, held, heard, planned]);
  useEffect(
    () =>
      hearOthers({ clientId, itemId, movement }, (events) =>
        setHeard((known) => {
          const ids = new Set(known.map((e) => e.id));
          const news = events.filter((e) => !ids.has(e.id));
          return news.length > 0 ? [...known, ...news] : known;
        }),
      ),
    [clientId, itemId, movement],
  );
  useEffect(() => {
    let gone = false;
    void sharedOutbox()
      .held({ clientId, itemId, movement }, readFloorEvent)
      .then((events) => {
        if (!gone && events.length > 0) setHeld(events);
      })
      .catch(() => setTrouble('no-storage'));
    return () => {
      gone = true;
    };
  }, [clientId, itemId, movement]);
  /** Keep what a tap makes of the records; null when it could not be kept. */
  const append = useCallback(
    async (tap: Tap, by: TappedBy = 'hand'): Promise<readonly FloorEvent[] | null> => {
      try {
        const events = await queue.append(tap, sharedNowMs(), by);
        if (events.length > 0) setOwn((known) => [...known, ...events]);
        tellPages(events);
        setTrouble(null);
        return events;
      } catch {
        setTrouble('tap-lost');
        return null;
      }
    },
    [queue],
  );
  const events = useMemo(() => orderEvents([...fromServer, ...held, ...heard, ...own]), [fromServer, held, heard, own]);
  const log = useMemo(() => foldSetLog(events, planned), [events, planned]);
  const began = useMemo(() => foldSetLog([...fromServer, ...held], planned), [fromServer, held, planned]);
  return useMemo(() => ({ log, began, events, append, trouble }), [log, began, events, append, trouble]);
}

export type FloorLog = ReturnType<typeof useFloorLog>;
