import 'server-only';
import type { DaySession } from '@/core/plan/day';
import { isInTime, isOnFloor } from '@/core/plan/day-standing';
import { freeOrder } from '@/core/plan/free-order';
import { planBlocks, type PlanBlock } from '@/core/plan/plan-blocks';
import { stationUses, type Span } from '@/core/plan/station-use';
import type { Client } from '@/contract/views/client';
import type { Session } from '@/contract/views/plan';
import { progressOf, type ItemProgress } from '@/data/queries/read-folds';
import { changeTimesAt } from './change-times';
import { othersOnFloor } from './reach';
import { toStanding } from './session-state';
import type { UseCase } from './use-case';

type Progress = ReadonlyMap<string, ItemProgress>;

/** How far the movements of some sessions are. */
export const progressIn = ({ db }: Pick<UseCase, 'db'>, sessions: readonly Session[]): Progress =>
  progressOf(
    db,
    sessions.map((s) => s.clientId),
    sessions.flatMap((s) => s.items.map((i) => i.id)),
  );

/**
 * When a session goes on: from now while it lasts, or while its client is on the floor though its time is over; else
 * from its start, to its end. Null once that is over: what was left is wanted from nobody any more.
 */
function goesOn(session: Session, progress: Progress, nowMs: number): Span | null {
  const { startsAtMs, minutes } = session;
  const endsAtMs = startsAtMs + minutes * 60_000;
  if (startsAtMs >= nowMs) return { startsAtMs, endsAtMs };
  const isNow = isInTime(session, nowMs) || isOnFloor(toStanding(session, progress), nowMs);
  return isNow ? { startsAtMs: nowMs, endsAtMs } : null;
}

/** What is left of a session, with the sets that are still to be done: nothing of what is skipped, stopped or done. */
function leftOf({ items, finishedAtMs }: Session, progress: Progress, client: Pick<Client, 'notes'> | null) {
  if (finishedAtMs !== null) return [];
  const left = items.flatMap((i) => {
    const { sets = 0, isStopped = false } = progress.get(i.id) ?? {};
    const more = i.skipped !== null || isStopped ? 0 : i.sets - sets;
    // Blocks of sets tell how many there are: what is left of them is no longer told apart.
    return more > 0 ? [{ ...i, sets: more, aims: sets > 0 ? null : i.aims }] : [];
  });
  return planBlocks(left, client?.notes ?? []);
}

function toDaySession(uc: UseCase, session: Session, progress: Progress): DaySession {
  const { id, startsAtMs, minutes, togetherId, gymId } = session;
  const common = { id, startsAtMs, minutes, togetherId };
  const span = goesOn(session, progress, uc.nowMs);
  if (span === null) return { ...common, fromMs: startsAtMs, uses: [] };
  const blocks = leftOf(session, progress, null);
  const times = blocks.length > 0 ? changeTimesAt(uc, gymId) : undefined;
  return { ...common, fromMs: span.startsAtMs, uses: stationUses(blocks, span, times) };
}

/** When sessions use which stations, reckoned from what is left of each. */
export function daySessions(
  uc: UseCase,
  sessions: readonly Session[],
  progress = progressIn(uc, sessions),
): DaySession[] {
  return sessions.map((s) => toDaySession(uc, s, progress));
}

/** Those of clients in nobody's care who asks that start in [fromMs, toMs): only when and on which stations. */
export const othersSessions = (uc: UseCase, fromMs: number, toMs: number): DaySession[] =>
  othersOnFloor(uc, fromMs, toMs, (sessions) => daySessions(uc, sessions));

/** What is left of a session in another order, in which nobody else wants its stations meanwhile; its own ids stay. */
export function otherOrder(uc: UseCase, session: Session, client: Client, others: readonly DaySession[]) {
  const progress = progressIn(uc, [session]);
  const span = goesOn(session, progress, uc.nowMs);
  if (span === null) return null;
  const left = leftOf(session, progress, client);
  const isBegun = (b: PlanBlock): boolean => b.itemIds.some((id) => progress.get(id)?.isBegun);
  const meanwhile = {
    span,
    others: others.filter((o) => !o.togetherId || o.togetherId !== session.togetherId).flatMap((o) => o.uses),
  };
  const order = freeOrder(left, isBegun, meanwhile, changeTimesAt(uc, session.gymId));
  if (!order) return null;
  const moved = order.flatMap((b) => b.itemIds);
  // What is not left stands where it stands, and what is left takes the other places in its new order.
  const isLeft = new Set(moved);
  const next = moved.values();
  return {
    itemIds: session.items.map((i) => (isLeft.has(i.id) ? next.next().value! : i.id)),
    movements: order.map((b) => b.movement),
  };
}
