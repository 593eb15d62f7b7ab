import 'server-only';
import { z } from 'zod';
import { entryOf } from '@/core/book/book';
import { withLoads, type AimBlock } from '@/core/tempo/set-aims';
import { retargetLoad } from '@/core/load/retarget-load';
import { toFieldIssues } from '@/contract/field';
import { refused, type Refused, type SaveResult } from '@/contract/save-result';
import { itemFormSchema, skipReasonSchema } from '@/contract/session-form';
import type { Station } from '@/contract/views/station';
import { inTransaction } from '@/data/in-transaction';
import { findStation } from '@/data/queries/kit';
import { begunItems } from '@/data/queries/read-folds';
import { putBack, setItem, setPinned, setSkipped, setStation, takeOut } from '@/data/queries/sessions';
import { loadText } from '@/messages/loads';
import { PLAN_REFUSAL, plannedText } from '@/messages/plan';
import { keepChanges } from './changes';
import { loadUnit } from './load-steps';
import { findLoad } from './plan';
import { reachItem, type ReachedItem } from './reach';
import type { UseCase } from './use-case';

/** What is done to a planned movement, and how it is kept in the changes. */
interface ItemChanged {
  readonly apply: () => void;
  readonly before: unknown;
  readonly after: unknown;
}

/** Does something to planned movements of one session, all or none of them; their changes are kept with them. */
function changeItems(
  uc: UseCase,
  itemIds: unknown,
  changeOf: (reached: ReachedItem) => Refused | ItemChanged,
): SaveResult {
  const ids = z.array(z.string()).min(1).safeParse(itemIds).data ?? [];
  const reached = ids.map((id) => reachItem(uc, id));
  if (reached.length === 0 || reached.some((r) => r === null)) return refused('item', PLAN_REFUSAL.notListed);
  return inTransaction(uc.db, (): SaveResult => {
    const all = (reached as ReachedItem[]).map((one) => ({ one, change: changeOf(one) }));
    for (const { change } of all) if ('ok' in change) return change;
    for (const { one, change } of all) {
      const { apply, before, after } = change as ItemChanged;
      apply();
      keepChanges(uc, { subject: 'plan', subjectId: one.item.id, clientId: one.client.id }, before, after);
    }
    return { ok: true, id: all[0]!.one.session.id };
  });
}

/** Change how often and how heavy a movement, or both its sides, are planned; a load must be there to be lifted. */
export function changeItem(uc: UseCase, itemIds: unknown, typed: unknown): SaveResult {
  return changeItems(uc, itemIds, ({ item, session, client }) => {
    const entry = entryOf(item.movement);
    const parsed = itemFormSchema(entry.tempo).safeParse(typed);
    if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
    const { sets, reps, tempo, load, unit, aims: typedAims } = parsed.data;
    const { kind } = entry.load;
    const wants = kind !== 'body' && kind !== 'none';
    if (wants && load === undefined) return refused('load', PLAN_REFUSAL.noLoad);
    const station = item.stationId === null ? null : findStation(uc.db, item.stationId);
    const gramsOf = (typedLoad: number | undefined, path: string): number | Refused => {
      const form = { movement: item.movement, side: item.side, load: wants ? typedLoad : 0, unit };
      const found = findLoad(uc, { form, client, station, gymId: session.gymId });
      return typeof found === 'number' ? found : refused(path, found.message);
    };
    const loadG = gramsOf(load, 'load');
    if (typeof loadG !== 'number') return loadG;
    const aims: AimBlock[] = [];
    for (const [k, aim] of typedAims.entries()) {
      const own = wants && aim.load !== undefined ? gramsOf(aim.load, `aims.${k}.load`) : null;
      if (own !== null && typeof own !== 'number') return own;
      aims.push({ sets: aim.sets, reps: aim.reps, reserve: aim.reserve ?? null, loadG: own === loadG ? null : own });
    }
    const [only] = aims;
    // One block that asks for nothing more is plain sets.
    const isPlain = aims.length === 1 && only!.reserve === null && only!.loadG === null;
    const after = { sets, reps, tempo, loadG, aims: aims.length === 0 || isPlain ? null : aims };
    const stamped = loadUnit(uc.db, session.gymId, entry, station);
    const plannedOf = (i: typeof item): string =>
      plannedText([{ ...i, load: wants ? loadText(i.loadG, stamped) : null, unit: stamped }]);
    return {
      apply: () => setItem(uc.db, item.id, after),
      before: { planned: plannedOf(item) },
      after: { planned: plannedOf({ ...item, ...after }) },
    };
  });
}

/** Plan movements on another column of their gym: the load becomes what the hand feels alike there. */
export function moveToStation(uc: UseCase, itemIds: unknown, stationId: unknown): SaveResult {
  const to = typeof stationId === 'string' ? findStation(uc.db, stationId) : null;
  return changeItems(uc, itemIds, ({ item, session }) => {
    const from = item.stationId === null ? null : findStation(uc.db, item.stationId);
    if (!from || !to || to.gymId !== session.gymId || to.outOfOrder)
      return refused('stationId', PLAN_REFUSAL.notListed);
    const onTo = (g: number): number =>
      retargetLoad(g, from.column.pulleyRatio, to.column.pulleyRatio, to.stackG)?.loadG ?? g;
    const loadG = onTo(item.loadG);
    const says = (on: Station, g: number): string => `${on.name}, ${loadText(g, on.stackUnit)}`;
    return {
      apply: () => setStation(uc.db, item.id, to.id, loadG, withLoads(item.aims, onTo)),
      before: { column: says(from, item.loadG) },
      after: { column: says(to, loadG) },
    };
  });
}

/** Keep a movement, or both its sides, in its place when an order is computed, or no longer. */
export const pinItem = (uc: UseCase, itemIds: unknown, isPinned: boolean): SaveResult =>
  changeItems(uc, itemIds, ({ item }) => ({
    apply: () => setPinned(uc.db, item.id, isPinned),
    before: { pinned: item.isPinned },
    after: { pinned: isPinned },
  }));

/** Skip a movement, or both its sides, for a reason, or have them again (null). */
export function skipItem(uc: UseCase, itemIds: unknown, reason: unknown): SaveResult {
  const parsed = skipReasonSchema.nullable().safeParse(reason);
  if (!parsed.success) return { ok: false, issues: [{ path: 'reason', message: PLAN_REFUSAL.noReason }] };
  return changeItems(uc, itemIds, ({ item }) => {
    return {
      apply: () => setSkipped(uc.db, item.id, parsed.data),
      before: { skipped: item.skipped },
      after: { skipped: parsed.data },
    };
  });
}

/** Take a movement, or both its sides, out of a plan, or put them back; what has records stays and can be skipped. */
export function takeItemOut(uc: UseCase, itemIds: unknown, out: boolean): SaveResult {
  return changeItems(uc, itemIds, ({ item, session }) => {
    if (out && begunItems(uc.db, session.clientId, session.id).has(item.id))
      return refused('item', PLAN_REFUSAL.begunIsSkipped);
    return out
      ? { apply: () => takeOut(uc.db, item, uc.nowMs), before: item, after: undefined }
      : { apply: () => putBack(uc.db, item), before: undefined, after: item };
  });
}
