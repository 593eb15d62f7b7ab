import { SIDES, type Side, type WorkingSide } from '@/core/body/side';
import type { SetLog, SetRecord, UsedSetup } from '@/core/record/set-log';
import { correctionEffects, type CorrectionEffect } from './correction-effect';
import { watchList, type WatchEntry } from './watch-list';

/** What the next trainer needs of one movement. */
export interface MovementHandOver {
  readonly lastAtMs: number;
  /** On each side that works: the newest set, and the set-up that was last used. */
  readonly sides: readonly {
    readonly side: WorkingSide;
    readonly last: SetRecord;
    readonly setup: UsedSetup | null;
  }[];
  /** Corrections that more likely hold than not, best first. */
  readonly works: readonly CorrectionEffect[];
  readonly watch: readonly WatchEntry[];
}

/** Corrections that are told of one movement: more are not remembered. */
const MOST_WORKS = 2;

/** What is handed over of a movement; null where no set was ended. */
export function handOverOf(log: Pick<SetLog, 'sets' | 'setups'>): MovementHandOver | null {
  const done = log.sets.filter((s) => s.endedAtMs !== null);
  const newest = done.at(-1);
  if (!newest) return null;
  const sides = (['both', ...SIDES] as const).flatMap((side) => {
    const last = done.findLast((s) => s.side === side);
    return last ? [{ side, last, setup: log.setups.findLast((u) => u.side === side) ?? null }] : [];
  });
  const effects = correctionEffects(done.flatMap((s) => s.corrections));
  return {
    lastAtMs: newest.startedAtMs,
    sides,
    works: effects.filter((e) => e.held > 0 && e.works.mean > 0.5).slice(0, MOST_WORKS),
    watch: watchList(done),
  };
}

/** Left and right differ where they are so far apart, degrees: more than two measurings differ by (our judgement). */
const RANGE_DIFFERS_DEG = 10;

/** Motions whose measured ranges differ between the sides, widest apart first. */
export function rangesThatDiffer<K extends string>(range: {
  readonly [S in Side]?: Readonly<Partial<Record<K, number>>> | undefined;
}): { readonly motion: K; readonly left: number; readonly right: number }[] {
  return (Object.keys(range.left ?? {}) as K[])
    .flatMap((motion) => {
      const [left, right] = [range.left?.[motion], range.right?.[motion]];
      return left === undefined || right === undefined || Math.abs(left - right) < RANGE_DIFFERS_DEG
        ? []
        : [{ motion, left, right }];
    })
    .toSorted((a, b) => Math.abs(b.left - b.right) - Math.abs(a.left - a.right));
}
