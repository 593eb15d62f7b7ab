import 'server-only';
import { randomUUID } from 'node:crypto';
import { coversOn } from '@/core/account/care';
import { DAY_MS } from '@/core/body/clinician-limit';
import { careFormSchema } from '@/contract/account-form';
import { toFieldIssues } from '@/contract/field';
import { refused, type SaveResult } from '@/contract/save-result';
import type { CareView } from '@/contract/views/account';
import { inTransaction } from '@/data/in-transaction';
import { findAccount, listAccounts } from '@/data/queries/accounts';
import { addCover, endCover, findCare, setTrainer } from '@/data/queries/care';
import { ACCOUNT_REFUSAL } from '@/messages/accounts';
import { dateOf } from '@/messages/day';
import { keepChanges } from './changes';
import { dayText, toLocalDay } from './clock';
import { handsOver, reaches } from './reach';
import type { UseCase } from './use-case';

/** Who cares for a client, for who sees them; null for who does not. */
export function loadCare(uc: UseCase, clientId: string): CareView | null {
  const care = findCare(uc.db, clientId);
  if (!care || !reaches(uc, clientId, uc.nowMs)) return null;
  const accounts = listAccounts(uc.db);
  const nameOf = (id: string | null): string | null => accounts.find((a) => a.id === id)?.name ?? null;
  const today = toLocalDay(uc.nowMs);
  const may = handsOver(uc, clientId);
  return {
    trainer: nameOf(care.trainerId),
    covers: care.covers
      .filter((c) => coversOn(c, today))
      .map((c) => ({ id: c.id, name: nameOf(c.accountId) ?? c.accountId, until: dateOf(c.untilDay) })),
    others: may
      ? accounts.filter((a) => a.endedAtMs === null && a.id !== care.trainerId).map(({ id, name }) => ({ id, name }))
      : [],
    may,
    inAWeek: dayText(uc.nowMs + 7 * DAY_MS),
  };
}

/** Give a client to another trainer: until a day to stand in, for good without one. */
export function giveClient(uc: UseCase, clientId: string, typed: unknown): SaveResult {
  const parsed = careFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  if (!handsOver(uc, clientId)) return refused('accountId', ACCOUNT_REFUSAL.noClient);
  const { accountId, until } = parsed.data;
  const to = findAccount(uc.db, accountId);
  const care = findCare(uc.db, clientId);
  if (!care || !to || to.endedAtMs !== null) return refused('accountId', ACCOUNT_REFUSAL.nobody);
  const thing = { subject: 'care', subjectId: clientId, clientId } as const;
  const today = toLocalDay(uc.nowMs);
  if (until !== null && until < today) return refused('until', ACCOUNT_REFUSAL.ahead);
  inTransaction(uc.db, () => {
    if (until === null) {
      setTrainer(uc.db, clientId, accountId);
      keepChanges(uc, thing, { trainerId: care.trainerId }, { trainerId: accountId });
      return;
    }
    const cover = { id: randomUUID(), clientId, accountId, fromDay: today, untilDay: until };
    addCover(uc.db, cover);
    keepChanges(uc, thing, {}, { cover: { accountId, untilDay: until } });
  });
  // Given away for good it is out of sight: no id to go back to.
  return { ok: true, id: reaches(uc, clientId, uc.nowMs) ? clientId : '' };
}

/** Call off who stands in. */
export function endCoverOf(uc: UseCase, clientId: string, coverId: string): SaveResult {
  const cover = handsOver(uc, clientId) ? findCare(uc.db, clientId)?.covers.find((c) => c.id === coverId) : undefined;
  if (!cover) return refused('', ACCOUNT_REFUSAL.noClient);
  inTransaction(uc.db, () => {
    endCover(uc.db, coverId, uc.nowMs);
    const { accountId, untilDay } = cover;
    keepChanges(uc, { subject: 'care', subjectId: clientId, clientId }, { cover: { accountId, untilDay } }, {});
  });
  return { ok: true, id: clientId };
}
