import type { FloorEvent, FloorEventBody } from '@/core/fault/floor-event';
import type { MovementId } from '@/core/movement/movement';
import { openLocalStore } from './local-store';

/** What an event belongs to. */
export interface EventPlace {
  readonly clientId: string;
  readonly itemId: string;
  readonly movement: MovementId;
}

export interface OutboxState {
  /** Taps on this device that the server has not confirmed. */
  readonly waiting: number;
  /** Why the last delivery did not go through; null while all is well. */
  readonly trouble: 'offline' | 'refused' | null;
}

const ENDPOINT = '/api/v1/floor-events';
const BATCH = 100;
const RETRY_FIRST_MS = 1000;
const RETRY_MOST_MS = 30_000;

/**
 * Keeps every tap in the browser's own database before anything else, then delivers it. The server keeps each id once,
 * so sending again is always safe.
 */
export class Outbox {
  private listeners = new Set<() => void>();
  private state: OutboxState = { waiting: 0, trouble: null };
  private sending = false;
  private retryMs = RETRY_FIRST_MS;
  private timer: ReturnType<typeof setTimeout> | null = null;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly getState = (): OutboxState => this.state;

  private set(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change };
    this.listeners.forEach((l) => l());
  }

  /** Write an event to this device's disk; resolves once it is there. Delivery follows by itself. */
  async append(place: EventPlace, body: FloorEventBody, atMs: number): Promise<FloorEvent> {
    const store = await openLocalStore();
    const tx = store.transaction(['outbox', 'device'], 'readwrite', { durability: 'strict' });
    const device = tx.objectStore('device');
    const deviceId = ((await device.get('deviceId')) as string | undefined) ?? crypto.randomUUID();
    const seq = (((await device.get('seq')) as number | undefined) ?? 0) + 1;
    const event = { ...body, ...place, id: crypto.randomUUID(), deviceId, seq, atMs } as FloorEvent;
    await Promise.all([device.put(deviceId, 'deviceId'), device.put(seq, 'seq'), tx.objectStore('outbox').put({ event, order: seq })]);
    await tx.done;
    this.set({ waiting: this.state.waiting + 1 });
    void this.deliver();
    return event;
  }

  /** Events of one place that are still on this device only. */
  async pending(place: EventPlace): Promise<FloorEvent[]> {
    const store = await openLocalStore();
    const all = await store.getAllFromIndex('outbox', 'order');
    return all.map((x) => x.event).filter((e) => e.clientId === place.clientId && e.movement === place.movement);
  }

  /** Send what waits, oldest first; on trouble try again later, less and less often. */
  async deliver(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    if (this.timer) clearTimeout(this.timer);
    try {
      const store = await openLocalStore();
      for (;;) {
        const waiting = await store.getAllFromIndex('outbox', 'order', undefined, BATCH);
        this.set({ waiting: await store.count('outbox') });
        if (waiting.length === 0) break;
        const reply = await fetch(ENDPOINT, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ events: waiting.map((w) => w.event) }),
        });
        if (!reply.ok) {
          this.set({ trouble: reply.status >= 400 && reply.status < 500 ? 'refused' : 'offline' });
          this.later();
          return;
        }
        const { kept } = (await reply.json()) as { kept: string[] };
        const tx = store.transaction('outbox', 'readwrite');
        await Promise.all(kept.map((id) => tx.store.delete(id)));
        await tx.done;
        this.retryMs = RETRY_FIRST_MS;
        this.set({ waiting: await store.count('outbox'), trouble: null });
      }
    } catch {
      this.set({ trouble: 'offline' });
      this.later();
    } finally {
      this.sending = false;
    }
  }

  private later(): void {
    this.timer = setTimeout(() => void this.deliver(), this.retryMs);
    this.retryMs = Math.min(RETRY_MOST_MS, this.retryMs * 2);
  }
}

let shared: Outbox | null = null;

/** The page's one outbox; tries again when the network comes back. */
export function sharedOutbox(): Outbox {
  if (!shared) {
    shared = new Outbox();
    window.addEventListener('online', () => void shared!.deliver());
    void shared.deliver();
  }
  return shared;
}
