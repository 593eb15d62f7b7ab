import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { FloorEvent } from '@/core/fault/floor-event';

interface Schema extends DBSchema {
  /** Events not yet confirmed by the server, in the order they were tapped. */
  outbox: { key: string; value: { readonly event: FloorEvent; readonly order: number }; indexes: { order: number } };
  /** `deviceId` and the running `seq`. */
  device: { key: string; value: string | number };
}

export type LocalStore = IDBPDatabase<Schema>;

let opened: Promise<LocalStore> | null = null;

/** This device's own store in the browser. */
export function openLocalStore(): Promise<LocalStore> {
  opened ??= openDB<Schema>('jorvix', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'event.id' }).createIndex('order', 'order');
      db.createObjectStore('device');
    },
  });
  return opened;
}
