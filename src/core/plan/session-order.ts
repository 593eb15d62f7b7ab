import type { Region } from '@/core/body/region-line';
import type { Group } from '@/core/book/book-entry';
import { betweenS, OUR_TIMES, type ChangeTimes, type Timed } from './session-time';
import { unitsOf, type InTurns } from './turns';

/** How a movement stands to the others of its session. */
export type OrderRank = 'wakes-up' | 'compound' | 'single-joint';

/** What is ordered as one: a planned movement, or both its sides one after the other. */
export interface OrderBlock extends InTurns {
  readonly group: Group;
  readonly target: Region;
  readonly rank: OrderRank;
  /** One side at a time and lighter: it refines what the group's other movements have worked. */
  readonly refines: boolean;
  /** One side at a time and light, for a client who does not feel the group's muscle yet: ahead of the heavy. */
  readonly leads: boolean;
  /** It loads a joint that is noted of the client where that is asked to be careful. */
  readonly strains: boolean;
  /** It stays where it stands when an order is computed. */
  readonly isPinned: boolean;
  /** Its planned movements, in the order that they are done. */
  readonly items: readonly Timed[];
}

/** Rules of a session's order: the first two are kept, the others are weighed against the time that they cost. */
export const ORDER_RULES = [
  'wake-up-first',
  'compound-first',
  'one-arm-first',
  'joint-warm-first',
  'refining-late',
] as const;
/** A rule of a session's order. */
export type OrderRule = (typeof ORDER_RULES)[number];
/** A pair that stands against a rule: `first` should come before `then`. */
export interface BrokenRule {
  readonly rule: OrderRule;
  readonly first: string;
  readonly then: string;
}

const RANKS: readonly OrderRank[] = ['wakes-up', 'compound', 'single-joint'];
/** What a pair that stands against a weighed rule is worth, seconds of walking (ours); the others are kept. */
const WEIGHED: Readonly<Partial<Record<OrderRule, number>>> = {
  'one-arm-first': 90,
  'joint-warm-first': 120,
  'refining-late': 60,
};
/** Whether a rule is kept whatever that costs. */
export const isKept = (rule: OrderRule): boolean => WEIGHED[rule] === undefined;
/** Movements that are ordered exactly: twice as many subsets with each more. */
export const MOST_ORDERED = 12;

/** The rule that asks for one block before another; null where none does. */
function ruleBetween(first: OrderBlock, then: OrderBlock): OrderRule | null {
  if (RANKS.indexOf(first.rank) < RANKS.indexOf(then.rank))
    return first.rank === 'wakes-up' ? 'wake-up-first' : 'compound-first';
  if (first.rank !== then.rank || first.group !== then.group) return null;
  if (first.leads !== then.leads) return first.leads ? 'one-arm-first' : null;
  if (first.strains !== then.strains) return then.strains ? 'joint-warm-first' : null;
  return !first.refines && then.refines ? 'refining-late' : null;
}

/** Every pair of an order that stands against a rule, in the order of what comes too early. */
export const brokenRules = (order: readonly OrderBlock[]): BrokenRule[] =>
  order.flatMap((early, k) =>
    order.slice(k + 1).flatMap((late) => {
      const rule = ruleBetween(late, early);
      return rule ? [{ rule, first: late.id, then: early.id }] : [];
    }),
  );

const weighed = (rules: readonly BrokenRule[]): number => rules.reduce((sum, r) => sum + (WEIGHED[r.rule] ?? 0), 0);

/** Seconds from one block's last rep to the next one's first; nought where they take turns. */
function gapBetween(a: OrderBlock, b: OrderBlock, times: ChangeTimes): number {
  const inTurns = a.pairId !== null && a.pairId === b.pairId;
  return inTurns ? 0 : betweenS(a.items.at(-1)!, b.items[0]!, times);
}

/** What an order costs, seconds: what lies between its blocks, and what stands against a weighed rule. */
export const orderCost = (order: readonly OrderBlock[], times: ChangeTimes = OUR_TIMES): number =>
  order.reduce((sum, b, k) => sum + (k > 0 ? gapBetween(order[k - 1]!, b, times) : 0), weighed(brokenRules(order)));

/** What is ordered as one in the search: a block, or a pair that takes turns, and where it is pinned. */
export interface Unit<T> {
  readonly blocks: readonly T[];
  /** The place of its first block where that may not change, from 0; null where it may. */
  readonly pinnedAt: number | null;
}

/** Blocks as they are ordered: a pair that takes turns as one, and where each is pinned. */
export function toUnits<T extends OrderBlock>(free: readonly T[]): readonly Unit<T>[] {
  let place = 0;
  return unitsOf(free).map((blocks) => {
    const at = place;
    place += blocks.length;
    return { blocks, pinnedAt: blocks.some((b) => b.isPinned) ? at : null };
  });
}

/** Rules that ask for something of one unit before something of another. */
const rulesBetween = (first: Unit<OrderBlock>, then: Unit<OrderBlock>): BrokenRule[] =>
  brokenRules([...then.blocks, ...first.blocks]).filter(
    (r) => first.blocks.some((b) => b.id === r.first) && then.blocks.some((b) => b.id === r.then),
  );

/** What the search asks of its units, each against each. */
export function orderTable<T extends OrderBlock>(units: readonly Unit<T>[], times: ChangeTimes) {
  const each = <R>(of: (own: Unit<T>, other: Unit<T>) => R): R[][] => units.map((a) => units.map((b) => of(a, b)));
  return {
    sizes: units.map((u) => u.blocks.length),
    gaps: each((a, b) => gapBetween(a.blocks.at(-1)!, b.blocks[0]!, times)),
    // What one costs that stands ahead of another.
    early: each((own, other) => (own === other ? 0 : weighed(rulesBetween(other, own)))),
    // Which others have to stand before each; what is pinned is somebody's will, and stands above the rules.
    needs: units.map((own) =>
      units.reduce((set, other, k) => {
        const isFree = own !== other && own.pinnedAt === null && other.pinnedAt === null;
        return isFree && rulesBetween(other, own).some((r) => isKept(r.rule)) ? set | (1 << k) : set;
      }, 0),
    ),
  };
}

/** Whether a unit can stand at a place: at its own where it is pinned, else clear of what is. */
export function fitsAt(units: readonly Unit<unknown>[], j: number, place: number): boolean {
  const { pinnedAt, blocks } = units[j]!;
  if (pinnedAt !== null) return pinnedAt === place;
  return units.every((p) => p.pinnedAt === null || p.pinnedAt >= place + blocks.length || p.pinnedAt < place);
}

/**
 * The order that costs least and keeps the rules that are kept; of equal ones that nearest to how they stand. What was
 * begun comes first, as it stands; what is pinned keeps its place, and a pair that takes turns stays together. Exact,
 * by subsets: the least cost of doing a set S of units and ending with j is the least over i of that of S without j
 * ending with i, what lies between i and j, and what j comes too early for (Held and Karp 1962, J Soc Ind Appl Math 10:
 * 196). More than `MOST_ORDERED` stay as they are, and so do those that cannot be ordered around what is pinned.
 */
export function bestOrder<T extends OrderBlock>(
  blocks: readonly T[],
  isBegun: (block: T) => boolean,
  times: ChangeTimes = OUR_TIMES,
): readonly T[] {
  const [fixed, free] = [blocks.filter(isBegun), blocks.filter((b) => !isBegun(b))];
  const units = toUnits(free);
  const n = units.length;
  if (n < 2 || n > MOST_ORDERED) return blocks;
  const { sizes, gaps, early, needs } = orderTable(units, times);
  const states = 1 << n;
  const least = new Float64Array(states * n).fill(Infinity);
  const from = new Int8Array(states * n).fill(-1);
  const placeAfter = (set: number): number => sizes.reduce((sum, size, k) => (set & (1 << k) ? sum + size : sum), 0);
  // A hair dearer the further it is moved, so that of equal orders the one that stands is kept.
  const moved = (set: number, j: number): number => Math.abs(set.toString(2).replaceAll('0', '').length - j) * 1e-6;
  const alone = (set: number, j: number): number =>
    early[j]!.reduce((sum, cost, k) => (set & (1 << k) ? sum : sum + cost), moved(set, j));
  for (let j = 0; j < n; j++)
    if (needs[j] === 0 && fitsAt(units, j, 0))
      least[(1 << j) * n + j] =
        (fixed.length > 0 ? gapBetween(fixed.at(-1)!, units[j]!.blocks[0]!, times) : 0) + alone(0, j);
  for (let set = 1; set < states; set++) {
    const place = placeAfter(set);
    for (let j = 0; j < n; j++) {
      if (set & (1 << j) || (needs[j]! & ~set) !== 0 || !fitsAt(units, j, place)) continue;
      const own = alone(set, j);
      const at = (set | (1 << j)) * n + j;
      for (let i = 0; i < n; i++) {
        const cost = least[set * n + i]! + gaps[i]![j]! + own;
        if (cost < least[at]!) {
          least[at] = cost;
          from[at] = i;
        }
      }
    }
  }
  let [set, last] = [states - 1, 0];
  for (let j = 1; j < n; j++) if (least[set * n + j]! < least[set * n + last]!) last = j;
  if (least[set * n + last] === Infinity) return blocks;
  const order: T[] = [];
  while (last >= 0) {
    order.unshift(...units[last]!.blocks);
    const before = from[set * n + last]!;
    set &= ~(1 << last);
    last = before;
  }
  return [...fixed, ...order];
}
