import 'server-only';
import { diffSheet } from '@/core/record/diff-sheet';
import type { ChangeView } from '@/contract/views/account';
import { appendChanges, listChanges, namesOfAll, type Change, type KeptChange } from '@/data/queries/changes';
import { changeText, subjectText } from '@/messages/changes';
import { moment } from '@/messages/day';
import { reaches } from './reach';
import type { UseCase } from './use-case';

/** How many changes a page shows. */
const PAGE = 50;

/** What is changed: the thing, and the client whom it concerns. */
type Thing = Pick<Change, 'subject' | 'subjectId'> & { readonly clientId?: string };

/** Keep who changed what of a thing, from what to what; nothing where nothing changed. */
export function keepChanges({ db, actor, nowMs }: UseCase, thing: Thing, before: unknown, after: unknown): void {
  const of = { clientId: null, ...thing };
  const changes = diffSheet(before, after).map((c) => ({ ...of, ...c }));
  appendChanges(db, changes, actor.id, nowMs);
}

function toViews(uc: UseCase, changes: readonly KeptChange[]): ChangeView[] {
  const names = namesOfAll(uc.db);
  return changes.map((c) => {
    const { what, before, after } = changeText(c, names);
    return {
      id: c.id,
      when: moment(c.atMs),
      who: names.get(c.actorId) ?? c.actorId,
      subject: subjectText(c.subject, names.get(c.clientId ?? c.subjectId) ?? null),
      what,
      before,
      after,
    };
  });
}

/** A client's history, newest first: everything that was changed of them. */
export const loadHistory = (uc: UseCase, clientId: string): ChangeView[] =>
  reaches(uc, clientId, uc.nowMs) ? toViews(uc, listChanges(uc.db, { clientId, beforeId: null, most: PAGE })) : [];

/** Every change of the gym's records, newest first, a page before one; null for who is not the owner. */
export function loadChanges(
  uc: UseCase,
  beforeId: number | null,
): { changes: ChangeView[]; next: number | null } | null {
  if (uc.actor.role !== 'owner') return null;
  const changes = toViews(uc, listChanges(uc.db, { clientId: null, beforeId, most: PAGE }));
  return { changes, next: changes.length < PAGE ? null : changes.at(-1)!.id };
}
