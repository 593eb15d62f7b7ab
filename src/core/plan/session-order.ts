import type { Group } from '@/core/book/book-entry';
import { betweenS, OUR_TIMES, type ChangeTimes, type Timed } from './session-time';

/** How a movement stands to the others of its session. */
export type OrderRank = 'wakes-up' | 'compound' | 'single-joint';

/** What is ordered as one: a planned movement, or both its sides one after the other. */
export interface OrderBlock {
  readonly id: string;
  readonly group: Group;
  readonly rank: OrderRank;
  /** One side at a time and lighter: it refines what the group's other movements have worked. */
  readonly refines: boolean;
  /** Its planned movements, in the order that they are done. */
  readonly items: readonly Timed[];
}

/** Rules of a session's order: the first two are kept, the third is weighed against the time that it costs. */
export type OrderRule = 'wake-up-first' | 'compound-first' | 'refining-late';
/** A pair that stands against a rule: `first` should come before `then`. */
export interface BrokenRule {
  readonly rule: OrderRule;
  readonly first: string;
  readonly then: string;
}

const RANKS: readonly OrderRank[] = ['wakes-up', 'compound', 'single-joint'];
/** A refining movement ahead of one that its group still has to do is worth so much walking, seconds (ours). */
const REFINING_S = 60;
/** Movements that are ordered exactly: twice as many subsets with each more. */
export const MOST_ORDERED = 12;

/** The rule that asks for one block before another; null where none does. */
function ruleBetween(first: OrderBlock, then: OrderBlock): OrderRule | null {
  if (RANKS.indexOf(first.rank) < RANKS.indexOf(then.rank))
    return first.rank === 'wakes-up' ? 'wake-up-first' : 'compound-first';
  const alike = first.rank === then.rank && first.group === then.group;
  return alike && !first.refines && then.refines ? 'refining-late' : null;
}

/** Every pair of an order that stands against a rule, in the order of what comes too early. */
export const brokenRules = (order: readonly OrderBlock[]): BrokenRule[] =>
  order.flatMap((early, k) =>
    order.slice(k + 1).flatMap((late) => {
      const rule = ruleBetween(late, early);
      return rule ? [{ rule, first: late.id, then: early.id }] : [];
    }),
  );

/** What an order costs, seconds: what lies between its blocks, and what its refining movements come too early. */
export const orderCost = (order: readonly OrderBlock[], times: ChangeTimes = OUR_TIMES): number =>
  order.reduce(
    (sum, b, k) => sum + (k > 0 ? betweenS(order[k - 1]!.items.at(-1)!, b.items[0]!, times) : 0),
    brokenRules(order).filter((r) => r.rule === 'refining-late').length * REFINING_S,
  );

/**
 * The order that costs least and keeps the rules that are kept; of equal ones that nearest to how they stand. What was
 * begun comes first, as it stands. Exact, by subsets: the least cost of doing a set S of blocks and
 * ending with j is the least over i of that of S without j ending with i, what lies between i and j, and what j comes
 * too early for (Held and Karp 1962, J Soc Ind Appl Math 10: 196). More than `MOST_ORDERED` stay as they are.
 */
export function bestOrder<T extends OrderBlock>(
  blocks: readonly T[],
  isBegun: (block: T) => boolean,
  times: ChangeTimes = OUR_TIMES,
): readonly T[] {
  const [fixed, free] = [blocks.filter(isBegun), blocks.filter((b) => !isBegun(b))];
  const n = free.length;
  if (n < 2 || n > MOST_ORDERED) return blocks;
  const states = 1 << n;
  const least = new Float64Array(states * n).fill(Infinity);
  const from = new Int8Array(states * n).fill(-1);
  // Which others have to stand before each, and which it would rather follow.
  const bits = (of: (other: OrderBlock, own: OrderBlock) => boolean): number[] =>
    free.map((own) => free.reduce((set, other, k) => (other !== own && of(other, own) ? set | (1 << k) : set), 0));
  const needs = bits((other, own) => ['wake-up-first', 'compound-first'].includes(ruleBetween(other, own) ?? ''));
  const likes = bits((other, own) => ruleBetween(other, own) === 'refining-late');
  const gap = (a: OrderBlock, b: OrderBlock): number => betweenS(a.items.at(-1)!, b.items[0]!, times);
  const gaps = free.map((a) => free.map((b) => (a === b ? 0 : gap(a, b))));
  const count = (set: number): number => set.toString(2).replaceAll('0', '').length;
  const tooEarly = (set: number, j: number): number => count(likes[j]! & ~set) * REFINING_S;
  // A hair dearer the further it is moved, so that of equal orders the one that stands is kept.
  const moved = (set: number, j: number): number => Math.abs(count(set) - j) * 1e-6;
  for (let j = 0; j < n; j++)
    if (needs[j] === 0)
      least[(1 << j) * n + j] = (fixed.length > 0 ? gap(fixed.at(-1)!, free[j]!) : 0) + tooEarly(0, j) + moved(0, j);
  for (let set = 1; set < states; set++)
    for (let i = 0; i < n; i++) {
      const sofar = least[set * n + i]!;
      if (sofar === Infinity) continue;
      for (let j = 0; j < n; j++) {
        if (set & (1 << j) || (needs[j]! & ~set) !== 0) continue;
        const cost = sofar + gaps[i]![j]! + tooEarly(set, j) + moved(set, j);
        const at = (set | (1 << j)) * n + j;
        if (cost < least[at]!) {
          least[at] = cost;
          from[at] = i;
        }
      }
    }
  let [set, last] = [states - 1, 0];
  for (let j = 1; j < n; j++) if (least[set * n + j]! < least[set * n + last]!) last = j;
  const order: T[] = [];
  while (last >= 0) {
    order.unshift(free[last]!);
    const before = from[set * n + last]!;
    set &= ~(1 << last);
    last = before;
  }
  return [...fixed, ...order];
}
