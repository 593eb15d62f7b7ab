import type { FloorEvent } from '@/core/record/floor-event';
import { FLOOR_EVENT_VERSION, readFloorEvent } from '@/contract/records/floor-event-record';
import { sharedOutbox, type EventPlace } from './outbox';

const CHANNEL = 'jorvix-taps';

const readAll = (written: unknown): FloorEvent[] =>
  (Array.isArray(written) ? written : []).flatMap((one: unknown) => {
    const read = readFloorEvent(one);
    return read.ok ? [read.value] : [];
  });

/** Tell the other pages of this device what was tapped: they need no network to agree. */
export function tellPages(events: readonly FloorEvent[]): void {
  if (events.length === 0 || typeof BroadcastChannel === 'undefined') return;
  const channel = new BroadcastChannel(CHANNEL);
  channel.postMessage(events.map((e) => ({ ...e, version: FLOOR_EVENT_VERSION })));
  channel.close();
}

/**
 * Hear what is tapped for a client and movement elsewhere: on this device's other pages, and by the server on other
 * tablets. The line comes back by itself after the network was gone. Gives what ends it.
 */
export function hearOthers({ clientId, movement }: EventPlace, hear: (events: readonly FloorEvent[]) => void) {
  const own = (events: readonly FloorEvent[]): void => {
    const here = events.filter((e) => e.clientId === clientId && e.movement === movement);
    if (here.length > 0) hear(here);
  };
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);
  if (channel) channel.onmessage = (e: MessageEvent<unknown>) => own(readAll(e.data));
  const asked = new URLSearchParams({ client: clientId, movement });
  const line = new EventSource(`/api/v1/floor-events/line?${asked.toString()}`);
  line.addEventListener('clock', (e: MessageEvent<string>) => sharedOutbox().learnClock(Number(e.data)));
  line.onmessage = (e: MessageEvent<string>) => own(readAll(JSON.parse(e.data)));
  return () => {
    channel?.close();
    line.close();
  };
}
