import 'server-only';
import { checkDb } from '@/data/check-db';
import { backupFolder } from '@/data/backup';
import { readMigrations } from '@/data/migrate';
import { closeSharedDb, databaseFile, leaveLog, migrationsFolder, sharedDb, tidyLog, type Db } from '@/data/open-db';
import { listAccounts } from '@/data/queries/accounts';
import { foldSome, forgetFolds } from '@/data/queries/folds';
import { foldsHold } from '@/data/queries/read-folds';
import { readIdentity } from '@/data/queries/identity';
import { SERVING } from '@/messages/serving';
import { backUpApart } from './backup-apart';
import { isLoopback } from './serving';
import { DB_TROUBLE } from '@/messages/database';

/** The records that this process serves. */
export const sharedRecords = (): Db => sharedDb();

/** Which database that is. */
export const databaseId = (): string => readIdentity(sharedDb());

/** Planned movements that are folded before whoever waits is let in: a few milliseconds. */
const FOLDED_AT_ONCE = 5;
/** How often what was tapped since is folded, milliseconds: whoever reads before folds it first. */
const FOLDED_EACH_MS = 10_000;
/** Folds that are looked over at the start. */
const LOOKED_OVER = 20;
/** How often the log is brought into the file, milliseconds. */
const TIDIED_EACH_MS = 1000;
const HOUR_MS = 3_600_000;

/**
 * Open the records before anything is served on an address of this machine: null when they are open, else why not, in a
 * sentence.
 */
export function openRecords(mayBegin: boolean, host: string): string | null {
  const file = databaseFile();
  const trouble = checkDb(file, readMigrations(migrationsFolder()), mayBegin);
  if (trouble) return DB_TROUBLE[trouble](file);
  leaveLog();
  try {
    // Opened before the pages' process is begun, which would bring the file up to date at the same time.
    const db = sharedDb();
    // Whoever comes first is the owner, so the first one comes at the machine itself.
    const begun = isLoopback(host) || listAccounts(db).length > 0;
    if (!begun) closeSharedDb();
    return begun ? null : SERVING.ownerFirst;
  } catch (error) {
    return `${DB_TROUBLE.unreadable(file)} (${String(error)})`;
  }
}

/** Everything written goes into the one file, and the file is let go. */
export const closeRecords = (): void => closeSharedDb();

/**
 * Fold what was tapped since, what was recorded before there were folds, or was folded by an older version, a little at
 * a time while pages are served; what is asked for meanwhile is folded when it is read. Folds that do not tell what
 * their records tell, by a sample, are all made anew. Gives what ends it.
 */
export function keepFolding(onBug: (error: unknown) => void): () => void {
  let next: NodeJS.Immediate | undefined;
  const some = (): void => {
    next = undefined;
    try {
      if (foldSome(sharedDb(), FOLDED_AT_ONCE) > 0) next = setImmediate(some);
    } catch (error) {
      onBug(error);
    }
  };
  try {
    if (!foldsHold(sharedDb(), LOOKED_OVER)) forgetFolds(sharedDb());
  } catch (error) {
    onBug(error);
  }
  some();
  const now = setInterval(() => next ?? some(), FOLDED_EACH_MS);
  return () => {
    clearInterval(now);
    clearImmediate(next);
  };
}

/** Bring the log into the file now and then, for this process and for the one that takes taps. Gives what ends it. */
export function keepTidy(onBug: (error: unknown) => void): () => void {
  leaveLog();
  const often = setInterval(() => {
    try {
      tidyLog();
    } catch (error) {
      onBug(error);
    }
  }, TIDIED_EACH_MS);
  return () => clearInterval(often);
}

/** A backup now and then one every hour; `onBug` hears of one that failed. Gives what ends it. */
export function keepBackups(onBug: (error: unknown) => void): () => void {
  const once = (): void =>
    void backUpApart({ file: databaseFile(), folder: backupFolder(databaseFile()), nowMs: Date.now() }).catch(onBug);
  once();
  const hourly = setInterval(once, HOUR_MS);
  hourly.unref();
  return () => clearInterval(hourly);
}
