'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { FloorEvent, FloorEventBody } from '@/core/fault/floor-event';
import { foldSetLog } from '@/core/fault/set-log';
import { sharedOutbox, type EventPlace } from './outbox';

/** The records of one client and movement: the server's, what this device still holds, and what is tapped now. */
export function useFloorLog(place: EventPlace, fromServer: readonly FloorEvent[]) {
  const { clientId, itemId, movement } = place;
  const [own, setOwn] = useState<readonly FloorEvent[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    let gone = false;
    void sharedOutbox()
      .pending({ clientId, itemId, movement })
      .then((events) => {
        if (!gone && events.length > 0) setOwn((known) => [...known, ...events]);
      })
      .catch(() => setTrouble('This browser gives no storage: taps go nowhere until it does. Leave private browsing or free some space.'));
    return () => {
      gone = true;
    };
  }, [clientId, itemId, movement]);
  const append = useCallback(
    async (body: FloorEventBody): Promise<FloorEvent | null> => {
      try {
        const event = await sharedOutbox().append({ clientId, itemId, movement }, body, Date.now());
        setOwn((known) => [...known, event]);
        setTrouble(null);
        return event;
      } catch {
        setTrouble('That tap could not be kept on this device. Free some space, then tap again.');
        return null;
      }
    },
    [clientId, itemId, movement],
  );
  const events = useMemo(() => [...fromServer, ...own], [fromServer, own]);
  const log = useMemo(() => foldSetLog(events), [events]);
  return { log, events, append, trouble };
}

export type FloorLog = ReturnType<typeof useFloorLog>;
