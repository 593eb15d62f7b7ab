import { areOpposite } from '@/core/body/opposite';
import { bestOrder, type OrderBlock } from './session-order';
import { OUR_TIMES, type ChangeTimes, type Timed } from './session-time';
import { oneSetLess } from '@/core/tempo/set-aims';
import { blocksSeconds } from './turns';

/**
 * What makes a session shorter: the sets of a block take turns with those of another one, which then comes right after
 * it; one set less of each of its movements; or all of it is left out.
 */
export type FitStep = {
  readonly id: string;
  /** What it saves by itself after the steps before it, seconds. */
  readonly savesS: number;
} & ({ readonly kind: 'take-turns'; readonly withId: string } | { readonly kind: 'a-set-less' | 'leave-out' });
type Step = Pick<FitStep, 'kind' | 'id'> & { readonly withId?: string };

const secondsIn =
  (times: ChangeTimes) =>
  (blocks: readonly OrderBlock[]): number =>
    blocksSeconds(blocks, times);
type SecondsOf = ReturnType<typeof secondsIn>;
const oneLess = <T extends OrderBlock>(b: T): T => ({
  ...b,
  items: b.items.map((i): Timed => ({ ...i, sets: i.sets - 1, aims: i.aims && oneSetLess(i.aims) })),
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
 * Whether sets of two blocks can take turns: their muscles work opposite ways, and both are alike heavy, so that no
 * rule of order stands between them.
 */
export const canTakeTurns = (a: OrderBlock, b: OrderBlock): boolean =>
  a.id !== b.id && a.pairId === null && b.pairId === null && a.rank === b.rank && areOpposite(a.target, b.target);

/** Blocks with two of them as a pair, the second right after the first. */
export function inTurns<T extends OrderBlock>(blocks: readonly T[], id: string, withId: string): readonly T[] {
  const other = blocks.find((b) => b.id === withId);
  if (!other || id === withId) return blocks;
  const paired = (b: T): T => ({ ...b, pairId: id });
  return blocks.flatMap((b) => (b.id === id ? [paired(b), paired(other)] : b.id === withId ? [] : [b]));
}

const applied = <T extends OrderBlock>(blocks: readonly T[], { kind, id, withId }: Step): readonly T[] => {
  if (kind === 'take-turns') return inTurns(blocks, id, withId!);
  if (kind === 'leave-out') return blocks.filter((b) => b.id !== id);
  return blocks.map((b) => (b.id === id && hasSetToGive(b) ? oneLess(b) : b));
};

/** The pair whose turns save most; null where none saves anything. */
function bestPair(blocks: readonly OrderBlock[], may: (b: OrderBlock) => boolean, secondsOf: SecondsOf): Step | null {
  const now = secondsOf(blocks);
  const pairs = blocks.flatMap((a, k) =>
    blocks
      .slice(k + 1)
      .filter((b) => may(a) && may(b) && canTakeTurns(a, b))
      .map((b) => ({ a, b, savesS: now - secondsOf(inTurns(blocks, a.id, b.id)) })),
  );
  const [best] = pairs.filter((p) => p.savesS > 0).toSorted((x, y) => y.savesS - x.savesS);
  return best ? { kind: 'take-turns', id: best.a.id, withId: best.b.id } : null;
}

/** When opposite muscles take turns: to fit the time, never, or wherever it saves some. */
export type Opposites = 'when-short' | 'one-first' | 'in-turns';

/** Blocks with every two that save time by taking turns as a pair, those that save most first. */
export function allInTurns<T extends OrderBlock>(
  blocks: readonly T[],
  may: (block: T) => boolean = () => true,
  times: ChangeTimes = OUR_TIMES,
): readonly T[] {
  const open = new Set(blocks.filter(may).map((b) => b.id));
  const secondsOf = secondsIn(times);
  const next = (now: readonly T[]): Step | null => bestPair(now, (b) => open.has(b.id), secondsOf);
  let now = blocks;
  for (let pair = next(now); pair; pair = next(now)) now = applied(now, pair);
  return now;
}

/** The best order of a session; where opposite muscles always take turns, all that was neither begun nor pinned. */
export function bestOrderBy<T extends OrderBlock>(
  opposites: Opposites,
  blocks: readonly T[],
  isBegun: (block: T) => boolean,
  times: ChangeTimes = OUR_TIMES,
): readonly T[] {
  const order = bestOrder(blocks, isBegun, times);
  if (opposites !== 'in-turns') return order;
  return bestOrder(
    allInTurns(order, (b) => !isBegun(b) && !b.isPinned, times),
    isBegun,
    times,
  );
}

/**
 * What to do so that a session takes no more than `mostS`: opposite muscles in turns, which costs no set; then a set of
 * one movement after the other, then whole movements; no step that is not needed. Empty where it fits, or where
 * everything that is left was begun. `canGive`: whether a block may be changed; who has one muscle done first is
 * proposed no turns.
 */
export function fitSession<T extends OrderBlock>(
  blocks: readonly T[],
  mostS: number,
  canGive: (block: T) => boolean,
  times: ChangeTimes = OUR_TIMES,
  opposites: Opposites = 'when-short',
): readonly FitStep[] {
  const secondsOf = secondsIn(times);
  const may = new Set(blocks.filter(canGive).map((b) => b.id));
  let now: readonly T[] = blocks;
  const steps: Step[] = [];
  const isOver = (): boolean => secondsOf(now) > mostS;
  const take = (step: Step): void => {
    steps.push(step);
    now = applied(now, step);
  };
  const nextPair = (): Step | null =>
    opposites === 'one-first' ? null : bestPair(now, (b) => may.has(b.id), secondsOf);
  for (let pair = nextPair(); isOver() && pair; pair = nextPair()) take(pair);
  const order = sacrifice(blocks.filter(canGive)).map((b) => b.id);
  for (const id of order) if (isOver() && hasSetToGive(now.find((b) => b.id === id)!)) take({ kind: 'a-set-less', id });
  for (const id of order) if (isOver()) take({ kind: 'leave-out', id });
  return needed(blocks, steps, mostS, secondsOf);
}

/** A session after some steps. */
export const afterSteps = <T extends OrderBlock>(blocks: readonly T[], steps: readonly Step[]): readonly T[] =>
  steps.reduce<readonly T[]>(applied, blocks);

/** Whether a step does nothing to what is left out anyway. */
const isVoid = ({ kind, id, withId }: Step, out: ReadonlySet<string>): boolean =>
  kind !== 'leave-out' && (out.has(id) || (withId !== undefined && out.has(withId)));

/** Without the steps that are not needed: what costs sets is given back before turns are. */
function needed<T extends OrderBlock>(
  blocks: readonly T[],
  steps: readonly Step[],
  mostS: number,
  secondsOf: SecondsOf,
): readonly FitStep[] {
  const out = new Set(steps.filter((s) => s.kind === 'leave-out').map((s) => s.id));
  let kept = steps.filter((s) => !isVoid(s, out));
  const givenBack = [...steps.filter((s) => s.kind !== 'take-turns'), ...steps.filter((s) => s.kind === 'take-turns')];
  for (const step of givenBack) {
    const without = kept.filter((s) => s !== step);
    if (without.length < kept.length && secondsOf(afterSteps(blocks, without)) <= mostS) kept = without;
  }
  return kept.map((step, k): FitStep => {
    const [before, after] = [kept.slice(0, k), kept.slice(0, k + 1)].map((s) => secondsOf(afterSteps(blocks, s)));
    return { ...step, savesS: before! - after! } as FitStep;
  });
}
