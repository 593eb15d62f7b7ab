import highs from 'highs';
import { beforeAll, describe, expect, it } from 'vitest';
import { bestOrder, brokenRules, isKept, orderCost, type OrderBlock } from '@/core/plan/session-order';
import { betweenS } from '@/core/plan/session-time';
import { drawnBlocks } from './support/order-blocks';
import { seeded } from './support/fixtures';

/**
 * The order as an integer program, solved by HiGHS: y_ij is 1 where block i comes right before j; u_i is its position;
 * o_ij is 1 where i comes anywhere before j. Every block but the first has one before it and every one but the last has
 * one after it; positions make that one path (Miller, Tucker, Zemlin 1960).
 */
function program(blocks: readonly OrderBlock[]): string {
  const n = blocks.length;
  const pairs = blocks.flatMap((_, i) => blocks.flatMap((__, j) => (i === j ? [] : [[i, j] as const])));
  const rules = pairs.flatMap(([i, j]) => {
    // Of two in the wrong order the rule names who should come first.
    const broken = brokenRules([blocks[j]!, blocks[i]!]).find((r) => r.first === blocks[i]!.id);
    return broken ? [{ i, j, rule: broken.rule }] : [];
  });
  const soft = rules.filter((r) => !isKept(r.rule));
  // What one broken soft rule costs is read from the cost itself.
  const price = (r: (typeof rules)[0]): number => {
    const [a, b] = [blocks[r.i]!, blocks[r.j]!];
    return orderCost([b, a]) - betweenS(b.items.at(-1)!, a.items[0]!);
  };
  const lines = [
    'Minimize',
    ` cost: ${[
      ...pairs.map(([i, j]) => `${betweenS(blocks[i]!.items.at(-1)!, blocks[j]!.items[0]!)} y_${i}_${j}`),
      ...soft.map((r) => `${price(r)} o_${r.j}_${r.i}`),
    ].join(' + ')}`,
    'Subject To',
    ` path: ${pairs.map(([i, j]) => `y_${i}_${j}`).join(' + ')} = ${n - 1}`,
    ...blocks.flatMap((_, i) => [
      ` out_${i}: ${pairs
        .filter(([a]) => a === i)
        .map(([a, b]) => `y_${a}_${b}`)
        .join(' + ')} <= 1`,
      ` in_${i}: ${pairs
        .filter(([, b]) => b === i)
        .map(([a, b]) => `y_${a}_${b}`)
        .join(' + ')} <= 1`,
    ]),
    ...pairs.map(([i, j]) => ` next_${i}_${j}: u_${i} - u_${j} + ${n} y_${i}_${j} <= ${n - 1}`),
    ...rules.filter((r) => isKept(r.rule)).map((r) => ` hard_${r.i}_${r.j}: u_${r.i} - u_${r.j} <= -1`),
    // j before i where the soft rule is broken: then o is 1.
    ...soft.map((r) => ` soft_${r.i}_${r.j}: u_${r.i} - u_${r.j} - ${n} o_${r.j}_${r.i} <= -1`),
    'Bounds',
    ...blocks.map((_, i) => ` 0 <= u_${i} <= ${n - 1}`),
    'General',
    ` ${blocks.map((_, i) => `u_${i}`).join(' ')}`,
    'Binary',
    ` ${pairs.map(([i, j]) => `y_${i}_${j}`).join(' ')} ${soft.map((r) => `o_${r.j}_${r.i}`).join(' ')}`,
    'End',
  ];
  return lines.join('\n');
}

describe('the order of a session against an integer program', () => {
  let solver: Awaited<ReturnType<typeof highs>>;
  beforeAll(async () => {
    solver = await highs();
  });
  it.each([4, 6, 7, 8, 9, 10])('%i movements: the same least cost', (n) => {
    const random = seeded(100 + n);
    for (let k = 0; k < 2; k++) {
      const blocks = drawnBlocks(n, random);
      const solved = solver.solve(program(blocks));
      expect(solved.Status).toBe('Optimal');
      expect(orderCost(bestOrder(blocks, () => false))).toBeCloseTo(solved.ObjectiveValue, 4);
    }
  });
});
