import 'server-only';
import type { SessionState } from '@/core/plan/day';
import type { DayStanding } from '@/core/plan/day-standing';
import type { Session, SessionItem } from '@/contract/views/plan';
import type { ItemProgress } from '@/data/queries/read-folds';

type Progress = ReadonlyMap<string, ItemProgress>;

const NOT_BEGUN: ItemProgress = { isBegun: false, isOpen: false, lastSetMs: null, sets: 0, isStopped: false };

/** Whether nothing more is to be done with a movement: an open set is to be ended, however many there were. */
function isOver(item: SessionItem, progress: Progress): boolean {
  const { sets, isOpen, isStopped } = progress.get(item.id) ?? NOT_BEGUN;
  return isStopped || (!isOpen && (item.skipped !== null || sets >= item.sets));
}

/** How far a session has come, by the records of each of its movements. */
export function stateOf({ items, finishedAtMs }: Session, progress: Progress): SessionState {
  if (finishedAtMs !== null || (items.length > 0 && items.every((i) => isOver(i, progress)))) return 'done';
  return items.some((i) => progress.get(i.id)?.isBegun) ? 'under-way' : 'planned';
}

/** A session as it stands on its day. */
export function toStanding(session: Session, progress: Progress): DayStanding {
  const { id, startsAtMs, minutes, items } = session;
  const own = items.flatMap((i) => progress.get(i.id) ?? []);
  const last = Math.max(...own.map((p) => p.lastSetMs ?? -Infinity), -Infinity);
  return {
    ...{ id, startsAtMs, minutes, state: stateOf(session, progress) },
    isOpen: own.some((p) => p.isOpen),
    lastSetMs: Number.isFinite(last) ? last : null,
  };
}

/** Ended sets of a session, and how many it was planned with. */
export const setsIn = (
  { items }: Session,
  progress: Progress,
): { readonly done: number; readonly planned: number } => ({
  done: items.reduce((sum, i) => sum + (progress.get(i.id)?.sets ?? 0), 0),
  planned: items.reduce((sum, i) => sum + i.sets, 0),
});
