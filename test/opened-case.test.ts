import { describe, expect, it } from 'vitest';
import { openCase, type OpenedCase } from '@/features/setup/opened-case';
import { solvedBench } from '@/features/setup/use-setup';
import { withChoices } from '@/core/book/question';
import { poseQuestion } from '@/core/book/pose-question';
import { searchOf } from '@/core/book/posed-question';
import { solveSetup } from '@/core/setup/solve-setup';
import { loadSetup } from '@/server/setup';
import { at, world } from './support/world';

const { setupCase, bench } = loadSetup(at(world()), 'anselm-2026-11-24-0')!;
const questionOf = (opened: OpenedCase) => {
  if (!opened.ok) throw new Error(JSON.stringify(opened.issues));
  return opened.question;
};
const opened = questionOf(openCase(setupCase, bench.practices));
const choice = { options: opened.options, side: opened.side, held: {} };
const { placement } = solvedBench(opened, choice, bench.client).base;

describe('a case that is opened again', () => {
  it('is the same question, answered as before; read anew from its text too', () => {
    const again = questionOf(openCase(structuredClone(setupCase), structuredClone(bench.practices)));
    expect(again).toBe(opened);
    expect(solvedBench(again, structuredClone(choice), bench.client)).toBe(solvedBench(opened, choice, bench.client));
  });
  it.each([
    ['a lighter client', { client: { ...setupCase.client, massKg: 50 } }],
    ['a shorter one', { client: { ...setupCase.client, statureM: 1.6 } }],
    ['another load', { loadKg: 31 }],
  ])('is another question for %s, solved anew', (_, change) => {
    const other = questionOf(openCase({ ...setupCase, ...change }, bench.practices));
    expect(other).not.toBe(opened);
    const kept = solvedBench(other, { ...choice, options: other.options }, bench.client);
    const alone = solveSetup(searchOf(poseQuestion(other)!));
    expect(alone.feasible && alone.best.placement).toEqual(kept.base.placement);
  });
  it('every choice has its own answer, the one that a fresh question gives, in whatever order they are taken', () => {
    const hole = placement.hole + 2;
    const choices = [{}, { held: { hole } }, { side: 'right' as const }, { held: { hole } }, {}].map((c) => ({
      ...choice,
      ...c,
    }));
    for (const c of choices) {
      const { base, problem } = solvedBench(opened, c, bench.client);
      expect(problem.input.fixed).toEqual('hole' in c.held ? { hole } : {});
      if ('hole' in c.held) expect(base.placement.hole).toBe(hole);
      else {
        const alone = solveSetup(searchOf(poseQuestion(withChoices(opened, c.options, c.side))!));
        expect(alone.feasible && alone.best.placement).toEqual(base.placement);
      }
    }
  });
  it.each([
    ['the case', 'client.statureM', setupCase.movement, { statureM: 9 }],
    ['the range', 'client.activeRangeDeg', 'barbell-curl', { activeRangeDeg: { left: { 'elbow.flexion': 5 } } }],
  ] as const)('what cannot be opened says where it is wrong: %s', (_, path, movement, wrong) => {
    const client = { ...setupCase.client, ...wrong };
    const refused = openCase({ ...setupCase, movement, side: 'both', client, lastUsed: undefined }, []);
    expect(!refused.ok && refused.issues.map((i) => i.path)).toContain(path);
  });
});
