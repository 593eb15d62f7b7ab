import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import type { MovementId } from '@/core/book/book';
import { BEFORE_ACCOUNTS } from '@/contract/actor';
import type { DeliveryReply } from '@/contract/floor-event';
import { FLOOR_EVENT_VERSION, type WrittenEvent } from '@/contract/records/floor-event-version';
import type { ReadRecord } from '@/contract/records/record';
import { clockOffset, learnOffset, sharedNowMs } from './device-clock';
import type { IDBPTransaction } from 'idb';
import { askToStay, onStore, openLocalStore, type LocalSchema, type LocalStore, type StoredEvent } from './local-store';
import { v4 as newId } from 'uuid';
import { whoIsHere } from './who-is-here';

/** What an event belongs to. */
export interface EventPlace {
  readonly clientId: string;
  readonly itemId: string;
  readonly movement: MovementId;
}

export interface OutboxState {
  /** Taps on this device that the server has not confirmed; null until they were counted. */
  readonly waiting: number | null;
  /** Taps that the server will not take as they are; they stay on this device. */
  readonly refused: number;
  /** Taps on this device that somebody else made, or for another database: they wait for both to be here. */
  readonly others: number;
  /** Why the last delivery did not go through; null while all is well. */
  readonly trouble: 'offline' | 'malformed' | 'storage' | 'signed-out' | 'other-database' | null;
  /** How far the server's clock is ahead of this device's, milliseconds; nought where they agree. */
  readonly clockOffMs: number;
}

/** A tap that the server would not take. */
export interface RefusedTap {
  readonly event: WrittenEvent;
  readonly says: string;
}

const ENDPOINT = '/api/v1/floor-events';
const BATCH = 100;
const RETRY_FIRST_MS = 1000;
/** How long a device keeps what the server has, milliseconds: longer than a day's pages are kept. */
const KEEP_SENT_MS = 3 * 24 * 3600 * 1000;
const RETRY_MOST_MS = 30_000;
/** Reps of a running set wait no longer than this after the last one, milliseconds. */
const LEFT_MS = 10 * 60_000;

/** Taps to the server, for the database of this page. */
const send = (events: readonly unknown[]): Promise<Response> =>
  fetch(ENDPOINT, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ databaseId: whoIsHere().databaseId || undefined, events }),
  });

/** Whether a tap is of who is signed in on this page, for the database that it is of. */
function isOwn({ event, databaseId = '' }: StoredEvent): boolean {
  const here = whoIsHere();
  // What was tapped before there were accounts, or before databases had names, is for whoever comes.
  const by = event.actorId ?? BEFORE_ACCOUNTS;
  const mine = by === here.accountId || by === BEFORE_ACCOUNTS;
  return mine && (databaseId === '' || databaseId === here.databaseId);
}

const STATUS_TROUBLE: Readonly<Record<number, OutboxState['trouble']>> = {
  401: 'signed-out',
  409: 'other-database',
  503: 'storage',
};
const troubleOf = (status: number): OutboxState['trouble'] =>
  STATUS_TROUBLE[status] ?? (status >= 400 && status < 500 ? 'malformed' : 'offline');

type Settling = IDBPTransaction<LocalSchema, ('outbox' | 'running' | 'device')[], 'readwrite'>;

/**
 * Reps that the pacer counted of a movement leave the running set: of each set the last one tells of all. It goes out
 * with the set's end as well, which may be taken back. Whether there were any.
 */
async function settle(tx: Settling, itemId: string): Promise<boolean> {
  const running = tx.objectStore('running');
  const own = await running.index('item').getAll(itemId);
  const lastBySet = new Map<unknown, StoredEvent>();
  for (const stored of own.toSorted((a, b) => a.order - b.order))
    lastBySet.set((stored.event as { setId?: unknown }).setId, stored);
  await Promise.all([
    ...own.map((stored) => running.delete(stored.event.id)),
    ...[...lastBySet.values()].map((stored) => tx.objectStore('outbox').put(stored)),
  ]);
  return lastBySet.size > 0;
}

/**
 * Keeps every tap in the browser's own database before anything else, then delivers it. The server keeps each id once,
 * so sending again is always safe.
 */
export class Outbox {
  private listeners = new Set<() => void>();
  private state: OutboxState = { waiting: null, refused: 0, others: 0, trouble: null, clockOffMs: 0 };
  private sending = false;
  /** Something was tapped while a delivery was under way. */
  private again = false;
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

  /**
   * Write an event to this device's disk; resolves once it is there. Delivery follows by itself, but of a rep that the
   * pacer counted (`runs`): it stays here while its set runs.
   */
  async append(place: EventPlace, body: FloorEventBody, atMs: number, runs = false): Promise<FloorEvent> {
    // What the browser cleared under an open page is begun anew, and the tap is kept there.
    const event = await onStore((store) => this.put(store, place, body, atMs, runs));
    askToStay();
    if (runs) return event;
    this.set({ waiting: (this.state.waiting ?? 0) + 1 });
    void this.deliver();
    return event;
  }

  private async put(
    store: LocalStore,
    place: EventPlace,
    body: FloorEventBody,
    atMs: number,
    runs: boolean,
  ): Promise<FloorEvent> {
    const { accountId, databaseId } = whoIsHere();
    const tx = store.transaction(['outbox', 'device', 'running'], 'readwrite', { durability: 'strict' });
    const device = tx.objectStore('device');
    const deviceId = ((await device.get('deviceId')) as string | undefined) ?? newId();
    const seq = (((await device.get('seq')) as number | undefined) ?? 0) + 1;
    const who = { id: newId(), actorId: accountId || BEFORE_ACCOUNTS, deviceId, seq, atMs };
    const event = { ...body, ...place, ...who } as FloorEvent;
    const written: WrittenEvent = { ...event, version: FLOOR_EVENT_VERSION };
    await Promise.all([
      device.put(deviceId, 'deviceId'),
      device.put(seq, 'seq'),
      tx.objectStore(runs ? 'running' : 'outbox').put({ event: written, order: seq, databaseId }),
      runs ? null : settle(tx, place.itemId),
    ]);
    await tx.done;
    return event;
  }

  /**
   * Events of one place tapped on this device in the last days, whether the server has them or not. `readEvent` comes
   * from who asks: pages that hold no records do without what reads them.
   */
  async held(place: EventPlace, readEvent: (event: unknown) => ReadRecord<FloorEvent>): Promise<FloorEvent[]> {
    const all = await onStore(async (store): Promise<StoredEvent[]> => {
      // At one moment: what is on its way from one store to another is in one of them.
      const tx = store.transaction(['sent', 'refused', 'outbox', 'running']);
      const [sent, refused, outbox, running] = await Promise.all([
        tx.objectStore('sent').index('order').getAll(),
        tx.objectStore('refused').getAll(),
        tx.objectStore('outbox').index('order').getAll(),
        tx.objectStore('running').index('item').getAll(place.itemId),
      ]);
      return [...sent, ...refused, ...outbox, ...running];
    });
    // What an older page wrote is read as such; what cannot be read waits in its store, where it is shown.
    return all
      .filter(({ event: e }) => e.clientId === place.clientId && e.movement === place.movement)
      .flatMap(({ event }) => {
        const read = readEvent(event);
        return read.ok ? [read.value] : [];
      });
  }

  /** Reps of a movement that the pacer counted here go out, where its set was ended by somebody else. */
  async release(itemId: string): Promise<void> {
    const moved = await onStore(async (store) => {
      const tx = store.transaction(['outbox', 'running'], 'readwrite');
      const any = await settle(tx, itemId);
      await tx.done;
      return any;
    });
    if (moved) await this.deliver();
  }

  /** A set that nobody went on with leaves what was counted of it. */
  private async releaseLeft(store: LocalStore): Promise<void> {
    const tx = store.transaction(['outbox', 'running'], 'readwrite');
    const newest = new Map<string, number>();
    for (const { event } of await tx.objectStore('running').getAll())
      newest.set(event.itemId, Math.max(event.atMs, newest.get(event.itemId) ?? 0));
    for (const [itemId, atMs] of newest) if (sharedNowMs() - atMs > LEFT_MS) await settle(tx, itemId);
    await tx.done;
  }

  /** Send what waits, oldest first; on trouble try again later, less and less often. */
  async deliver(): Promise<void> {
    if (this.sending) {
      this.again = true;
      return;
    }
    this.sending = true;
    if (this.timer) clearTimeout(this.timer);
    try {
      const store = await openLocalStore();
      await this.releaseLeft(store);
      for (;;) {
        const waiting = (await this.count(store)).slice(0, BATCH);
        if (waiting.length === 0) {
          await this.forget(store, Date.now() - KEEP_SENT_MS);
          if (!this.again) break;
        }
        this.again = false;
        if (waiting.length === 0) continue;
        const askedMs = Date.now();
        const reply = await send(waiting.map((w) => w.event));
        if (!reply.ok) {
          this.set({ trouble: troubleOf(reply.status) });
          this.later();
          return;
        }
        const { nowMs, kept, refused } = (await reply.json()) as DeliveryReply;
        this.learn(clockOffset(askedMs, Date.now(), nowMs));
        const confirmed = new Set(kept);
        const says = new Map(refused.map((r) => [r.id, `${r.path}: ${r.message}`]));
        const tx = store.transaction(['outbox', 'sent', 'refused'], 'readwrite');
        await Promise.all(
          waiting.flatMap((w) => {
            const why = says.get(w.event.id);
            if (!confirmed.has(w.event.id) && why === undefined) return [];
            return [
              why === undefined ? tx.objectStore('sent').put(w) : tx.objectStore('refused').put({ ...w, says: why }),
              tx.objectStore('outbox').delete(w.event.id),
            ];
          }),
        );
        await tx.done;
        this.retryMs = RETRY_FIRST_MS;
        await this.count(store);
        this.set({ trouble: null });
      }
    } catch {
      this.set({ trouble: 'offline' });
      this.later();
    } finally {
      this.sending = false;
    }
  }

  /** Tell how much lies here; gives what waits of who is signed in, oldest first. */
  private async count(store: LocalStore): Promise<StoredEvent[]> {
    const all = await store.getAllFromIndex('outbox', 'order');
    const own = all.filter(isOwn);
    const refused = (await store.getAll('refused')).filter(isOwn).length;
    this.set({ waiting: own.length, others: all.length - own.length, refused });
    return own;
  }

  /** How late it is at the server, heard this moment: what is tapped from now on goes by it. */
  learnClock(serverMs: number): void {
    const now = Date.now();
    this.learn(clockOffset(now, now, serverMs));
  }

  private learn(clockOffMs: number): void {
    learnOffset(clockOffMs);
    if (clockOffMs !== this.state.clockOffMs) this.set({ clockOffMs });
  }

  /** Every tap that the server would not take, with its reason, as it was tapped. */
  async refusedTaps(): Promise<readonly RefusedTap[]> {
    const all = await (await openLocalStore()).getAll('refused');
    return all
      .filter(isOwn)
      .sort((a, b) => a.order - b.order)
      .map(({ event, says }) => ({ event, says }));
  }

  /** What was refused goes out again: the server may have been mended, replaced by a newer one, or be another. */
  async retryRefused(): Promise<void> {
    const tx = (await openLocalStore()).transaction(['outbox', 'refused'], 'readwrite');
    for (const { event, order, databaseId } of (await tx.objectStore('refused').getAll()).filter(isOwn)) {
      await tx.objectStore('outbox').put({ event, order, ...(databaseId === undefined ? {} : { databaseId }) });
      await tx.objectStore('refused').delete(event.id);
    }
    await tx.done;
    await this.deliver();
  }

  /**
   * Send the taps of a file that another tablet saved, to this page's database.
   * @throws when it is no such file, there is no way to the server, or it takes no delivery.
   */
  async sendFile(text: string): Promise<{ readonly kept: number; readonly refused: number }> {
    const { events } = JSON.parse(text) as { events?: unknown };
    if (!Array.isArray(events) || events.length === 0) throw new Error('no taps');
    let [kept, refused] = [0, 0];
    for (let from = 0; from < events.length; from += BATCH) {
      const reply = await send(events.slice(from, from + BATCH));
      if (!reply.ok) throw new Error(String(reply.status));
      const answer = (await reply.json()) as DeliveryReply;
      kept += answer.kept.length;
      refused += answer.refused.length;
    }
    return { kept, refused };
  }

  /** Drop what the server has and was tapped before a time. */
  private async forget(store: LocalStore, beforeMs: number): Promise<void> {
    const tx = store.transaction('sent', 'readwrite');
    for (
      let cursor = await tx.store.index('order').openCursor();
      cursor && cursor.value.event.atMs < beforeMs;
      cursor = await cursor.continue()
    )
      await cursor.delete();
    await tx.done;
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
    const again = (): void => void shared!.retryRefused().catch(() => shared!.deliver());
    window.addEventListener('online', again);
    again();
  }
  return shared;
}
