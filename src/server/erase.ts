import 'server-only';
import { refused, type SaveResult } from '@/contract/save-result';
import { inTransaction } from '@/data/in-transaction';
import { eraseClient } from '@/data/queries/erase';
import { ACCOUNT_REFUSAL } from '@/messages/accounts';
import { ERASE } from '@/messages/screens/erase';
import { keepChanges } from './changes';
import { reachClient } from './reach';
import type { UseCase } from './use-case';

/**
 * Erase a client for good, for the owner who typed their name: everything of theirs, overwritten on the disk. Counts
 * without a name are kept with the changes. Backups that were made before still hold them; a page says so.
 */
export function eraseClientForGood(uc: UseCase, clientId: string, typed: unknown): SaveResult {
  if (uc.actor.role !== 'owner') return refused('', ACCOUNT_REFUSAL.notYours);
  const client = reachClient(uc, clientId);
  if (!client) return refused('', ACCOUNT_REFUSAL.noClient);
  if (typeof typed !== 'string' || typed.trim() !== client.name.trim()) return refused('name', ERASE.wrongName);
  uc.db.pragma('secure_delete = ON');
  try {
    inTransaction(uc.db, () => {
      const { sessions, sets, taps } = eraseClient(uc.db, clientId);
      const erased = ERASE.counts(sessions, sets, taps);
      keepChanges(uc, { subject: 'records', subjectId: 'records' }, {}, { erased });
    });
  } finally {
    uc.db.pragma('secure_delete = OFF');
  }
  // What the log still holds of them goes with it.
  uc.db.pragma('wal_checkpoint(TRUNCATE)');
  return { ok: true, id: clientId };
}
