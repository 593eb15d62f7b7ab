import { fitsAt, orderTable, toUnits, type OrderBlock } from './session-order';
import { OUR_TIMES, type ChangeTimes } from './session-time';
import { collide, stationUses, usesOfUnit, type Span, type StationUse } from './station-use';
import { blocksSeconds, unitSeconds } from './turns';

/** So many movements, or pairs, are tried in every order that is left to try. */
const MOST_TRIED = 9;

/** When a session goes on, and when others use which stations. */
export interface Meanwhile {
  readonly span: Span;
  readonly others: readonly StationUse[];
}

/** Whether nobody else uses a station of an order while it does. */
export const isFreeOrder = (
  blocks: readonly OrderBlock[],
  { span, others }: Meanwhile,
  times: ChangeTimes = OUR_TIMES,
): boolean => !stationUses(blocks, span, times).some((own) => others.some((o) => collide(own, o)));

/**
 * The order that costs least of those in which nobody else uses a station of the session while it does: the rules that
 * are kept hold, what was begun comes first, what is pinned keeps its place, pairs stay together. Exact: orders are
 * tried unit by unit, and left as soon as a station is in use or the cost is no longer the least. Null where there is
 * none, or where there are too many to try.
 */
export function freeOrder<T extends OrderBlock>(
  blocks: readonly T[],
  isBegun: (block: T) => boolean,
  meanwhile: Meanwhile,
  times: ChangeTimes = OUR_TIMES,
): readonly T[] | null {
  const [fixed, free] = [blocks.filter(isBegun), blocks.filter((b) => !isBegun(b))];
  // What was begun goes first, as if it were a unit of its own that cannot be moved.
  const units = [...(fixed.length > 0 ? [{ blocks: fixed, pinnedAt: null }] : []), ...toUnits(free)];
  const n = units.length;
  if (n > MOST_TRIED || !isFreeOrder(fixed, meanwhile, times)) return null;
  const { sizes, gaps, early, needs } = orderTable(units, times);
  const first = fixed.length > 0 ? 1 : 0;
  const all = (1 << n) - 1;
  let best: { readonly cost: number; readonly order: readonly number[] } | null = null;
  const tryFrom = (order: readonly number[], set: number, endMs: number, cost: number): void => {
    if (best && cost >= best.cost) return;
    if (set === all) {
      best = { cost, order };
      return;
    }
    const last = order.at(-1);
    const place = order.slice(first).reduce((sum, k) => sum + sizes[k]!, 0);
    for (let j = first; j < n; j++) {
      if (set & (1 << j) || (needs[j]! & ~set) !== 0 || !fitsAt(units, j, place)) continue;
      const gap = last === undefined ? 0 : gaps[last]![j]!;
      const atMs = endMs + gap * 1000;
      const uses = usesOfUnit(units[j]!.blocks, atMs, meanwhile.span, times);
      if (uses.some((own) => meanwhile.others.some((o) => collide(own, o)))) continue;
      const ahead = early[j]!.reduce((sum, c, k) => (k < first || set & (1 << k) ? sum : sum + c), 0);
      const moved = Math.abs(order.length - j) * 1e-6;
      const doneMs = atMs + unitSeconds(units[j]!.blocks, times) * 1000;
      tryFrom([...order, j], set | (1 << j), doneMs, cost + gap + ahead + moved);
    }
  };
  tryFrom(first === 1 ? [0] : [], first, meanwhile.span.startsAtMs + blocksSeconds(fixed, times) * 1000, 0);
  const found = best as { readonly order: readonly number[] } | null;
  return found && found.order.flatMap((k) => units[k]!.blocks);
}
