import 'server-only';

/** Why the database could not be written. */
export type StorageTrouble = 'full' | 'readOnly' | 'unwritable';

/** What the database says when its disk cannot be written, by SQLite's code. */
const STORAGE: readonly (readonly [RegExp, StorageTrouble])[] = [
  [/^SQLITE_FULL/, 'full'],
  [/^SQLITE_READONLY/, 'readOnly'],
  [/^SQLITE_(IOERR|CANTOPEN|BUSY|LOCKED)/, 'unwritable'],
];

/** Whether an error is the disk's; null where it is not. */
export function storageTrouble(error: unknown): StorageTrouble | null {
  const code = String((error as { code?: unknown } | null)?.code);
  return STORAGE.find(([pattern]) => pattern.test(code))?.[1] ?? null;
}
