import 'server-only';
import { randomUUID } from 'node:crypto';
import { canTakeTurns } from '@/core/plan/fit-session';
import { planBlocks, type PlanBlock } from '@/core/plan/plan-blocks';
import { refused, type SaveResult } from '@/contract/save-result';
import { inTransaction } from '@/data/in-transaction';
import { begunItems } from '@/data/queries/read-folds';
import { reorderItems, setPair } from '@/data/queries/sessions';
import { doneName } from '@/messages/book';
import { PLAN_REFUSAL } from '@/messages/plan';
import { keepChanges } from './changes';
import { reachItem } from './reach';
import type { UseCase } from './use-case';

/** A block of a session by the first of its planned movements, with the session and its client. */
function reachBlock(uc: UseCase, itemId: unknown) {
  const reached = typeof itemId === 'string' ? reachItem(uc, itemId) : null;
  if (!reached) return null;
  const { session, client } = reached;
  const blocks = planBlocks(session.items, client.notes);
  const block = blocks.find((b) => b.itemIds.includes(reached.item.id));
  return block ? { block, blocks, session, client } : null;
}

const namesOf = (blocks: readonly PlanBlock[]): string => blocks.map((b) => doneName(b.movement, 'both')).join(', ');

/**
 * Let the sets of two movements of a session take turns: the second comes right after the first. Refused where their
 * muscles do not work opposite ways, or where one was begun and would have to be moved.
 */
export function takeTurns(uc: UseCase, itemId: unknown, withId: unknown): SaveResult {
  return inTransaction(uc.db, (): SaveResult => {
    const [a, b] = [reachBlock(uc, itemId), reachBlock(uc, withId)];
    if (!a || !b || a.session.id !== b.session.id) return refused('item', PLAN_REFUSAL.notListed);
    const { session, client } = a;
    if (!canTakeTurns(a.block, b.block)) return refused('item', PLAN_REFUSAL.noTurns);
    const ids = a.blocks.flatMap((one) =>
      one.id === a.block.id ? [...one.itemIds, ...b.block.itemIds] : one.id === b.block.id ? [] : one.itemIds,
    );
    const stands = ids.every((id, k) => session.items[k]?.id === id);
    const begun = begunItems(uc.db, client.id, session.id);
    if (!stands && (session.unreadable.length > 0 || b.block.itemIds.some((id) => begun.has(id))))
      return refused('item', PLAN_REFUSAL.otherPlan);
    if (!stands) reorderItems(uc.db, session.id, ids);
    setPair(uc.db, [...a.block.itemIds, ...b.block.itemIds], randomUUID());
    const of = { subject: 'plan', subjectId: a.block.id, clientId: client.id } as const;
    keepChanges(uc, of, { turns: null }, { turns: namesOf([a.block, b.block]) });
    return { ok: true, id: session.id };
  });
}

/** Let the sets of a pair no longer take turns: one movement after the other again. */
export function endTurns(uc: UseCase, itemId: unknown): SaveResult {
  return inTransaction(uc.db, (): SaveResult => {
    const reached = reachBlock(uc, itemId);
    if (!reached) return refused('item', PLAN_REFUSAL.notListed);
    const { block, blocks, session, client } = reached;
    const pair = blocks.filter((b) => b.pairId !== null && b.pairId === block.pairId);
    if (pair.length === 0) return { ok: true, id: session.id };
    setPair(
      uc.db,
      pair.flatMap((b) => b.itemIds),
      null,
    );
    const of = { subject: 'plan', subjectId: block.id, clientId: client.id } as const;
    keepChanges(uc, of, { turns: namesOf(pair) }, { turns: null });
    return { ok: true, id: session.id };
  });
}
