import 'server-only';
import { checkDb } from '@/data/check-db';
import { backUp, backupFolder } from '@/data/backup';
import { readMigrations } from '@/data/migrate';
import { closeSharedDb, databaseFile, migrationsFolder, sharedDb } from '@/data/open-db';
import { DB_TROUBLE } from '@/messages/database';

const HOUR_MS = 3_600_000;

/** Open the records before anything is served: null when they are open, else why not, in a sentence. */
export function openRecords(mayBegin: boolean): string | null {
  const file = databaseFile();
  const trouble = checkDb(file, readMigrations(migrationsFolder()), mayBegin);
  if (trouble) return DB_TROUBLE[trouble](file);
  try {
    sharedDb();
    return null;
  } catch (error) {
    return `${DB_TROUBLE.unreadable(file)} (${String(error)})`;
  }
}

/** Everything written goes into the one file, and the file is let go. */
export const closeRecords = (): void => closeSharedDb();

/** A backup now and then one every hour; `onBug` hears of one that failed. Gives what ends it. */
export function keepBackups(onBug: (error: unknown) => void): () => void {
  const once = (): void =>
    void backUp(sharedDb(), backupFolder(databaseFile()), Date.now()).catch((error: unknown) => onBug(error));
  once();
  const hourly = setInterval(once, HOUR_MS);
  hourly.unref();
  return () => clearInterval(hourly);
}
