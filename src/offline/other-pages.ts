import type { FloorEvent } from '@/core/record/floor-event';
import { readFloorEvent } from '@/contract/records/floor-event-record';
import { FLOOR_EVENT_VERSION } from '@/contract/records/floor-event-version';
import { sharedOutbox, type EventPlace } from './outbox';

const CHANNEL = 'jorvix-taps';

const LINE = '/api/v1/floor-events/line';
/** A line that has not begun within this is asked for instead, so often, milliseconds. */
const SILENT_MS = 4000;
const ASK_EACH_MS = 1500;

/** What was tapped in the last day, asked for once. */
async function askOnce(asked: string): Promise<FloorEvent[]> {
  const reply = await fetch(`${LINE}?${asked}&once=yes`, { cache: 'no-store' });
  if (!reply.ok) return [];
  const data = /^data: (\[.*)$/m.exec(await reply.text())?.[1] ?? '[]';
  return readAll(JSON.parse(data));
}

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
  const asked = new URLSearchParams({ client: clientId, movement }).toString();
  const line = new EventSource(`${LINE}?${asked}`);
  let heardMs = Date.now();
  line.addEventListener('clock', (e: MessageEvent<string>) => {
    heardMs = Infinity;
    sharedOutbox().learnClock(Number(e.data));
  });
  line.onmessage = (e: MessageEvent<string>) => own(readAll(JSON.parse(e.data)));
  line.onerror = () => {
    heardMs = Math.min(heardMs, Date.now());
  };
  // A line that something between holds back, or that is refused, never says how late it is: then it is asked for.
  const asking = setInterval(() => {
    if (Date.now() - heardMs > SILENT_MS) void askOnce(asked).then(own, () => undefined);
  }, ASK_EACH_MS);
  return () => {
    clearInterval(asking);
    channel?.close();
    line.close();
  };
}
