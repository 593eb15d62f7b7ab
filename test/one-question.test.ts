import { afterEach, expect, it, vi } from 'vitest';
import { answerQuestion } from '@/core/book/answer-question';
import { BOOK, entryOf } from '@/core/book/book';
import { sidesOf } from '@/core/book/book-entry';
import * as poseEntry from '@/core/book/pose-entry';
import { poseQuestion } from '@/core/book/pose-question';
import { regionOf, settingsOf } from '@/core/book/question-settings';
import { costOfFault } from '@/core/fault/fault-cost';
import { PERTURBATION } from '@/core/fault/perturbation';
import { findTolerance } from '@/core/setup/tolerance';
import { solveSetup } from '@/core/setup/solve-setup';
import { limbOn } from '@/core/book/posed-question';
import { questionOf, uprightOf } from './support/fixtures';

vi.mock('@/core/book/pose-entry', { spy: true });
const posedTimes = () => vi.mocked(poseEntry.poseEntry).mock.calls.length;
afterEach(() => vi.clearAllMocks());

it.each(BOOK.filter((e) => e.load.kind === 'cable').map((e) => e.id))(
  '%s: each limb is posed once, whatever is asked of the posed question',
  (id) => {
    const entry = entryOf(id);
    const side = sidesOf(entry).at(-1)!;
    const posed = poseQuestion(questionOf(id, 1.75, { side, options: uprightOf(entry) }))!;
    const limbs = side === 'both' ? 2 : 1;
    // What meets the body is posed whole first, to find where.
    const stopped = limbOn(posed, posed.shown).finishBy === 'touch' ? 1 : 0;
    expect(posedTimes()).toBe(limbs + stopped);
    settingsOf(posed);
    regionOf(posed);
    const solution = solveSetup(posed.search!);
    if (solution.feasible) {
      findTolerance(posed.search!, solution.best);
      const off = PERTURBATION['line-off-arm']!;
      costOfFault(posed, solution.best.placement, posed.shown, off, off.usual);
    }
    // A pull's arms reach for the pulley: they are posed once more where they are placed.
    const pulls = entry.load.kind === 'cable' && entry.load.line !== null;
    expect(posedTimes()).toBe((pulls ? 2 * limbs : limbs) + stopped);
  },
);

it('an answer poses its question once, and again for each stance that is tried for its load', () => {
  const fly = entryOf('cable-fly-level');
  answerQuestion(questionOf('cable-fly-level', 1.75, { options: uprightOf(fly) }));
  expect(posedTimes()).toBe(2);
  answerQuestion(questionOf('cable-fly-level', 1.75, { loadKg: 2 }));
  expect(posedTimes()).toBe(4);
  answerQuestion(questionOf('cable-fly-level', 1.75, { loadKg: 10 }));
  expect(posedTimes()).toBeLessThanOrEqual(4 + 2 * 4);
});
