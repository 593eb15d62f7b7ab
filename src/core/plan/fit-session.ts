import type { OrderBlock } from './session-order';
import { OUR_TIMES, sessionSeconds, type ChangeTimes, type Timed } from './session-time';

/** What is given up of a block so that a session fits its time: one set of each of its movements, or all of it. */
export interface FitStep {
  readonly kind: 'a-set-less' | 'leave-out';
  readonly id: string;
  /** What it saves by itself after the steps before it, seconds. */
  readonly savesS: number;
}

const secondsIn =
  (times: ChangeTimes) =>
  (blocks: readonly OrderBlock[]): number =>
    sessionSeconds(
      blocks.flatMap((b) => b.items),
      times,
    );
type SecondsOf = ReturnType<typeof secondsIn>;
const oneLess = <T extends OrderBlock>(b: T): T => ({
  ...b,
  items: b.items.map((i): Timed => ({ ...i, sets: i.sets - 1 })),
});
const hasSetToGive = (b: OrderBlock): boolean => b.items.every((i) => i.sets > 1);

/**
 * Blocks in the order in which they are given up: what refines first, then single-joint movements, then the others, of
 * each kind the last first (common practice: what sits late is given up first). What wakes up stays to the end.
 */
function sacrifice<T extends OrderBlock>(blocks: readonly T[]): readonly T[] {
  const weight = (b: T): number => (b.rank === 'wakes-up' ? 3 : b.refines ? 0 : b.rank === 'single-joint' ? 1 : 2);
  return blocks.toReversed().toSorted((a, b) => weight(a) - weight(b));
}

/**
 * What to give up so that a session takes no more than `mostS`: a set of one movement after the other, then whole
 * movements; no step that is not needed. Empty where it fits, or where everything that is left was begun. `canGive`:
 * whether a block may be cut.
 */
export function fitSession<T extends OrderBlock>(
  blocks: readonly T[],
  mostS: number,
  canGive: (block: T) => boolean,
  times: ChangeTimes = OUR_TIMES,
): readonly FitStep[] {
  const secondsOf = secondsIn(times);
  let now: readonly T[] = blocks;
  const steps: FitStep[] = [];
  const give = (kind: FitStep['kind'], id: string, next: readonly T[]): void => {
    steps.push({ kind, id, savesS: secondsOf(now) - secondsOf(next) });
    now = next;
  };
  const order = sacrifice(blocks.filter(canGive)).map((b) => b.id);
  for (const id of order) {
    if (secondsOf(now) <= mostS) return needed(blocks, steps, mostS, secondsOf);
    const own = now.find((b) => b.id === id)!;
    if (hasSetToGive(own))
      give(
        'a-set-less',
        id,
        now.map((b) => (b.id === id ? oneLess(b) : b)),
      );
  }
  for (const id of order) {
    if (secondsOf(now) <= mostS) break;
    give(
      'leave-out',
      id,
      now.filter((b) => b.id !== id),
    );
  }
  return needed(blocks, steps, mostS, secondsOf);
}

/** A session after some steps. */
export const afterSteps = <T extends OrderBlock>(
  blocks: readonly T[],
  steps: readonly Pick<FitStep, 'kind' | 'id'>[],
): readonly T[] =>
  steps.reduce<readonly T[]>(
    (now, s) =>
      s.kind === 'leave-out'
        ? now.filter((b) => b.id !== s.id)
        : now.map((b) => (b.id === s.id && hasSetToGive(b) ? oneLess(b) : b)),
    blocks,
  );

/** Without the steps that are not needed, the first ones given back first; what is left out gives no set. */
function needed<T extends OrderBlock>(
  blocks: readonly T[],
  steps: readonly FitStep[],
  mostS: number,
  secondsOf: SecondsOf,
) {
  const out = new Set(steps.filter((s) => s.kind === 'leave-out').map((s) => s.id));
  let kept = steps.filter((s) => s.kind === 'leave-out' || !out.has(s.id));
  for (const step of steps) {
    const without = kept.filter((s) => s !== step);
    if (without.length < kept.length && secondsOf(afterSteps(blocks, without)) <= mostS) kept = without;
  }
  return kept.map((step, k): FitStep => {
    const [before, after] = [kept.slice(0, k), kept.slice(0, k + 1)].map((s) => secondsOf(afterSteps(blocks, s)));
    return { ...step, savesS: before! - after! };
  });
}
