import 'server-only';
import type { SessionState } from '@/core/plan/day';
import type { DayStanding } from '@/core/plan/day-standing';
import { isFinished, itemState, type ItemState } from '@/core/plan/item-state';
import type { Session, SessionItem } from '@/contract/views/plan';
import type { ItemProgress } from '@/data/queries/read-folds';

type Progress = ReadonlyMap<string, ItemProgress>;

/** How far a planned movement has come, by its records. */
function stateOfItem({ id, sets, skipped }: SessionItem, progress: Progress): ItemState {
  const { sets: ended = 0, isOpen = false, isStopped = false } = progress.get(id) ?? {};
  return itemState({ ended, planned: sets, isOpen, isStopped, isSkipped: skipped !== null });
}

/** How far a session has come, by the records of each of its movements. */
export function stateOf({ items, finishedAtMs }: Session, progress: Progress): SessionState {
  if (finishedAtMs !== null || (items.length > 0 && items.every((i) => isFinished(stateOfItem(i, progress)))))
    return 'done';
  return items.some((i) => progress.get(i.id)?.isBegun) ? 'under-way' : 'planned';
}

/** Whether there is something to tell of a session: sets, pain, or a movement that is skipped. */
export const isTouched = ({ items }: Session, progress: Progress): boolean =>
  items.some((i) => stateOfItem(i, progress) !== 'to-do');

/** A session as it stands on its day. */
export function toStanding(session: Session, progress: Progress): DayStanding {
  const { id, startsAtMs, minutes, items } = session;
  const own = items.flatMap((i) => progress.get(i.id) ?? []);
  const lasts = own.flatMap((p) => p.lastSetMs ?? []);
  return {
    ...{ id, startsAtMs, minutes, state: stateOf(session, progress) },
    // Pain stops the set that it came in.
    isOpen: own.some((p) => p.isOpen && !p.isStopped),
    lastSetMs: lasts.length > 0 ? Math.max(...lasts) : null,
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
