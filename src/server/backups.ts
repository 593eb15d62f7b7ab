import 'server-only';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { refused, type SaveResult } from '@/contract/save-result';
import type { BackupView, RecordsView } from '@/contract/views/records';
import { backupFolder, contentsOf, listBackups, restore } from '@/data/backup';
import { readMigrations } from '@/data/migrate';
import { closeSharedDb, databaseFile, migrationsFolder, sharedDb } from '@/data/open-db';
import { endAllSessions } from '@/data/queries/accounts';
import { listGyms } from '@/data/queries/gyms';
import { ACCOUNT_REFUSAL } from '@/messages/accounts';
import { contentsText, DB_TROUBLE, RESTORE } from '@/messages/database';
import { moment } from '@/messages/day';
import { backUpApart } from './backup-apart';
import { keepChanges, loadChanges } from './changes';
import { whileLetGo } from './let-go';
import { reachClients } from './reach';
import type { UseCase } from './use-case';

function toView(folder: string, name: string): BackupView {
  const file = join(folder, name);
  const { size, mtimeMs } = statSync(file);
  const facts = { name, when: moment(mtimeMs), megabytes: Math.max(0.1, Math.round(size / 1e5) / 10) };
  try {
    const copy = new Database(file, { readonly: true });
    try {
      return { ...facts, holds: contentsText(contentsOf(copy)) };
    } finally {
      copy.close();
    }
  } catch {
    return { ...facts, holds: DB_TROUBLE.unreadable(name) };
  }
}

/** What the owner sees of the records: backups, newest first, and who changed what; null for everybody else. */
export function loadRecords(uc: UseCase, beforeId: number | null): RecordsView | null {
  const changes = loadChanges(uc, beforeId);
  if (!changes) return null;
  const folder = backupFolder(databaseFile());
  return {
    ...changes,
    choices: {
      gyms: listGyms(uc.db).map(({ id, name }) => ({ id, name })),
      clients: reachClients(uc).map(({ id, name }) => ({ id, name })),
    },
    holds: contentsText(contentsOf(uc.db)),
    backups: listBackups(folder).map((name) => toView(folder, name)),
  };
}

/** Copy the records as they stand. */
export async function backUpNow(uc: UseCase): Promise<SaveResult> {
  if (uc.actor.role !== 'owner') return refused('', ACCOUNT_REFUSAL.notYours);
  const file = await backUpApart({ file: uc.db.name, folder: backupFolder(databaseFile()), nowMs: uc.nowMs });
  keepChanges(uc, { subject: 'records', subjectId: 'records' }, {}, { backup: uc.nowMs });
  return { ok: true, id: file };
}

/**
 * Put a backup in the place of the records that are served, and serve it. What was there is backed up first and kept
 * under another name; everybody signs in anew, since who was let in and shut out since would be forgotten.
 */
export async function restoreBackup(uc: UseCase, name: string): Promise<SaveResult> {
  if (uc.actor.role !== 'owner') return refused('', ACCOUNT_REFUSAL.notYours);
  const file = databaseFile();
  const folder = backupFolder(file);
  if (!listBackups(folder).includes(name)) return refused('', RESTORE.none(folder));
  await backUpApart({ file, folder, nowMs: uc.nowMs });
  // The one that was just made may have been one too many.
  if (!listBackups(folder).includes(name)) return refused('', RESTORE.none(folder));
  let done: ReturnType<typeof restore>;
  try {
    done = await whileLetGo(() => {
      // Not before the door has let go: whatever is read while it is waited for would have them open again.
      closeSharedDb();
      return restore(join(folder, name), file, readMigrations(migrationsFolder()), uc.nowMs);
    });
  } finally {
    sharedDb();
  }
  if (!done.ok) return refused('', done.why === 'in-use' ? RESTORE.stillRead : DB_TROUBLE[done.why](name));
  const db = sharedDb();
  endAllSessions(db, uc.nowMs);
  keepChanges({ ...uc, db }, { subject: 'records', subjectId: 'records' }, {}, { restored: name });
  return { ok: true, id: name };
}
