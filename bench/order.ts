import { bestOrder, brokenRules, isKept, orderCost, type OrderBlock } from '@/core/plan/session-order';
import { fitSession } from '@/core/plan/fit-session';
import { seeded } from '../test/support/fixtures';
import { drawnBlocks } from '../test/support/order-blocks';
import { line, measure } from './timing';

/** Every order, one after the other: the least cost of those that keep the rules that are kept. */
function leastByTrying(blocks: readonly OrderBlock[]): number {
  let least = Infinity;
  const go = (sofar: readonly OrderBlock[], left: readonly OrderBlock[]): void => {
    if (left.length === 0) {
      if (!brokenRules(sofar).some((r) => isKept(r.rule))) least = Math.min(least, orderCost(sofar));
      return;
    }
    left.forEach((b, k) => go([...sofar, b], left.toSpliced(k, 1)));
  };
  go([], blocks);
  return least;
}

/** The order of a session beside trying every order; what a move by hand costs again. */
export function benchOrder(): void {
  const random = seeded(3);
  const of = (n: number) => Array.from({ length: 6 }, () => drawnBlocks(n, random));
  const [seven, ten, twelve] = [of(7), of(10), of(12)];
  const order = (all: readonly (readonly OrderBlock[])[]) => (i: number) => bestOrder(all[i % 6]!, () => false);
  console.log('Order of a session (drawn at random, few stations and groups)');
  const computed = measure(6, order(seven));
  line('seven movements', computed);
  line(
    'seven movements, every order tried',
    measure(2, (i) => leastByTrying(seven[i]!)),
    {
      name: 'computed',
      t: computed,
    },
  );
  line('ten movements', measure(12, order(ten)));
  line('twelve movements', measure(6, order(twelve)));
  line(
    'a move by hand: time, rules and cost again',
    measure(200, (i) => [orderCost(ten[i % 6]!), brokenRules(ten[i % 6]!)]),
  );
  line(
    'what to give up of ten to fit',
    measure(60, (i) => fitSession(ten[i % 6]!, 1500, () => true)),
  );
  console.log();
}
