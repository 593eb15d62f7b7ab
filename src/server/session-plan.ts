import 'server-only';
import { noteDefaults } from '@/core/body/client-note';
import { entryOf } from '@/core/book/book';
import { planBlocks } from '@/core/plan/plan-blocks';
import { refused, type SaveResult } from '@/contract/save-result';
import type { Session, SessionItem } from '@/contract/views/plan';
import type { PlanBlockView, SessionPlanView } from '@/contract/views/session-plan';
import { inTransaction } from '@/data/in-transaction';
import { begunItems } from '@/data/queries/read-folds';
import { reorderItems } from '@/data/queries/sessions';
import { findVariant } from '@/data/queries/variants';
import { doneName } from '@/messages/book';
import { momentIn } from '@/messages/day';
import { loadText } from '@/messages/loads';
import { orderText, PLAN_REFUSAL, plannedText } from '@/messages/plan';
import { keepChanges } from './changes';
import { kitNames } from './kit-names';
import { loadUnit } from './load-steps';
import { reachClient, reachSession } from './reach';
import type { UseCase } from './use-case';

const wantsLoad = ({ movement }: SessionItem): boolean => !['body', 'none'].includes(entryOf(movement).load.kind);

/** A session's plan in its order; null where there is none of that id, or none of a client in somebody's care. */
export function loadSessionPlan(uc: UseCase, sessionId: string): SessionPlanView | null {
  const session = reachSession(uc, sessionId);
  const client = session && reachClient(uc, session.clientId);
  if (!session || !client) return null;
  const names = kitNames(uc.db);
  const byId = new Map(session.items.map((i) => [i.id, i]));
  const begun = begunItems(uc.db, client.id, sessionId);
  const toBlock = (b: ReturnType<typeof planBlocks>[number]): PlanBlockView => {
    const own = b.itemIds.map((id) => byId.get(id)!);
    const item = own[0]!;
    const station = names.stationOf(item.stationId);
    const unit = loadUnit(uc.db, session.gymId, entryOf(item.movement), station);
    const variant = item.variantId === null ? null : (findVariant(uc.db, item.variantId)?.name ?? null);
    return {
      ...b,
      name: doneName(item.movement, own.length > 1 ? 'both' : item.side, variant),
      says: plannedText(own.map((i) => ({ ...i, load: wantsLoad(i) ? loadText(i.loadG, unit) : null }))),
      station: station?.name ?? null,
      isBegun: b.itemIds.some((id) => begun.has(id)),
    };
  };
  return {
    sessionId,
    clientName: client.name,
    when: momentIn(session.startsAtMs, uc.nowMs),
    minutes: session.minutes,
    blocks: planBlocks(session.items, noteDefaults(client.notes).oneArm).map(toBlock),
    unreadable: session.unreadable.length,
  };
}

const namesIn = (items: readonly SessionItem[], ids: readonly string[]): string =>
  orderText(
    ids.map((id) => {
      const { movement, side } = items.find((i) => i.id === id)!;
      return doneName(movement, side);
    }),
  );

/** Whether the ids are a session's planned movements, each once. */
function isOrderOf({ items }: Session, typed: unknown): typed is readonly string[] {
  return Array.isArray(typed) && typed.length === items.length && items.every((i) => typed.includes(i.id));
}

/** Put a session's planned movements in another order; where some were added meanwhile, nothing is moved. */
export function orderSession(uc: UseCase, sessionId: string, typed: unknown): SaveResult {
  const session = reachSession(uc, sessionId);
  if (!session) return refused('session', PLAN_REFUSAL.notListed);
  return inTransaction(uc.db, (): SaveResult => {
    const now = reachSession(uc, sessionId)!;
    const was = now.items.map((i) => i.id);
    if (!isOrderOf(now, typed) || now.unreadable.length > 0) return refused('order', PLAN_REFUSAL.otherPlan);
    reorderItems(uc.db, sessionId, typed);
    const [before, after] = [was, typed].map((ids) => ({ order: namesIn(now.items, ids) }));
    keepChanges(uc, { subject: 'plan', subjectId: sessionId, clientId: now.clientId }, before, after);
    return { ok: true, id: sessionId };
  });
}
