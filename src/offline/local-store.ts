import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { SpottingAnswer } from '@/core/spotting/spotting-answer';
import type { WrittenEvent } from '@/contract/records/floor-event-version';

/** An event on this device's disk, with its place in the order of taps. */
export interface StoredEvent {
  /** As it was written, by whatever version. */
  readonly event: WrittenEvent;
  readonly order: number;
  /** The database whose page it was tapped on; none before databases had names. */
  readonly databaseId?: string;
}

/** An answer of fault-spotting practice on this device's disk, and whose it is. */
export interface StoredSpotting {
  readonly answer: SpottingAnswer;
  readonly accountId: string;
  readonly databaseId: string;
}

/** What lies in the browser's own database. */
export interface LocalSchema extends DBSchema {
  /** Events not yet confirmed by the server, in the order they were tapped. */
  outbox: { key: string; value: StoredEvent; indexes: { order: number } };
  /** Events of the last days that the server has: a page kept by the browser may be older than they are. */
  sent: { key: string; value: StoredEvent; indexes: { order: number } };
  /** Reps that the pacer counted while their set runs: the last leaves with the set's end. */
  running: { key: string; value: StoredEvent; indexes: { item: string } };
  /** Events that the server will not take as they are, with its reason: kept and shown here, in nobody's way. */
  refused: { key: string; value: StoredEvent & { readonly says: string } };
  /** Answers of fault-spotting practice that the server has not confirmed. */
  spotting: { key: string; value: StoredSpotting };
  /** `deviceId` and the running `seq`. */
  device: { key: string; value: string | number };
}

export type LocalStore = IDBPDatabase<LocalSchema>;

let opened: Promise<LocalStore> | null = null;

/** This device's own store in the browser. */
export function openLocalStore(): Promise<LocalStore> {
  opened ??= openDB<LocalSchema>('jorvix', 4, {
    upgrade(db, from) {
      if (from < 1) {
        db.createObjectStore('outbox', { keyPath: 'event.id' }).createIndex('order', 'order');
        db.createObjectStore('device');
      }
      if (from < 2) {
        db.createObjectStore('sent', { keyPath: 'event.id' }).createIndex('order', 'order');
        db.createObjectStore('refused', { keyPath: 'event.id' });
      }
      if (from < 4) db.createObjectStore('spotting', { keyPath: 'answer.id' });
      if (from < 3) db.createObjectStore('running', { keyPath: 'event.id' }).createIndex('item', 'event.itemId');
    },
    terminated() {
      // The browser took it away, for room or because somebody cleared it.
      opened = null;
    },
    blocking(_was, _is, event) {
      // Another tab brings a newer version: let it.
      (event.target as IDBDatabase).close();
      opened = null;
    },
  });
  opened.catch(() => {
    opened = null;
  });
  return opened;
}

/**
 * Do something with the store; where it was taken away under the page, once more with a fresh one.
 * @throws what the second try throws: the browser gives no store, or no room.
 */
export async function onStore<T>(does: (store: LocalStore) => Promise<T>): Promise<T> {
  try {
    return await does(await openLocalStore());
  } catch {
    const stale = await opened?.catch(() => null);
    stale?.close();
    opened = null;
    return does(await openLocalStore());
  }
}

let asked = false;

/** Ask the browser to keep what lies here when room gets short; it may say no, and taps are delivered all the same. */
export function askToStay(): void {
  if (asked || typeof navigator.storage?.persist !== 'function') return;
  asked = true;
  void navigator.storage.persist().catch(() => false);
}
