import { aimOf } from '@/core/tempo/set-aims';
import {
  betweenS,
  changeAloneS,
  changeBetween,
  OUR_TIMES,
  sessionSeconds,
  type ChangeTimes,
  type Timed,
} from './session-time';

/** What is done in one go, and the pair that it belongs to. */
export interface InTurns {
  readonly id: string;
  /** The same for two blocks whose sets take turns while they stand next to each other; null for one alone. */
  readonly pairId: string | null;
  readonly items: readonly Timed[];
}

/** Blocks in their order, a pair that stands together as one. */
export function unitsOf<T extends InTurns>(blocks: readonly T[]): readonly (readonly T[])[] {
  const units: T[][] = [];
  for (const b of blocks) {
    const last = units.at(-1);
    if (b.pairId !== null && last?.length === 1 && last[0]!.pairId === b.pairId) last.push(b);
    else units.push([b]);
  }
  return units;
}

const setsOf = ({ items }: InTurns): number => Math.max(...items.map((i) => i.sets));

/** Seconds of a block's k-th set, of both its sides one after the other where it has two. */
function setS({ items }: InTurns, k: number, times: ChangeTimes): number {
  const own = items
    .filter((i) => i.sets > k)
    .map((i): Timed => ({ ...i, sets: 1, reps: aimOf(i, k + 1).reps, aims: null }));
  return sessionSeconds(own, times);
}

/**
 * Seconds of two blocks whose sets take turns: each set begins when what is changed is changed and its own muscle has
 * had its rest, while the other one works; where one has more sets it goes on alone. `changeS`: seconds of a change.
 */
export function turnsSeconds(
  a: InTurns,
  b: InTurns,
  times: ChangeTimes = OUR_TIMES,
  changeS: number = changeAloneS(changeBetween(a.items.at(-1)!, b.items[0]!), times),
): number {
  const rested = new Map<InTurns, number>();
  let now = 0;
  let last: InTurns | null = null;
  for (let k = 0; k < Math.max(setsOf(a), setsOf(b)); k++)
    for (const block of [a, b].filter((one) => setsOf(one) > k)) {
      const ready = last === null || last === block ? now : now + changeS;
      now = Math.max(ready, rested.get(block) ?? 0) + setS(block, k, times);
      rested.set(block, now + block.items[0]!.restS);
      last = block;
    }
  return now;
}

/** Seconds of what is done together: a block, or a pair in turns. */
export const unitSeconds = ([a, b]: readonly InTurns[], times: ChangeTimes): number =>
  b ? turnsSeconds(a!, b, times) : sessionSeconds(a!.items, times);

/** Seconds of blocks in the order given, pairs in turns, with what lies between them. */
export const blocksSeconds = (blocks: readonly InTurns[], times: ChangeTimes = OUR_TIMES): number =>
  unitsOf(blocks).reduce(
    (sum, unit, k, all) =>
      sum +
      unitSeconds(unit, times) +
      (k > 0 ? betweenS(all[k - 1]!.at(-1)!.items.at(-1)!, unit[0]!.items[0]!, times) : 0),
    0,
  );

/** Seconds that two neighbours save by taking turns; below nought where it takes longer. */
export const savedInTurns = (a: InTurns, b: InTurns, times: ChangeTimes = OUR_TIMES): number =>
  blocksSeconds(
    [
      { ...a, pairId: null },
      { ...b, pairId: null },
    ],
    times,
  ) - turnsSeconds(a, b, times);
