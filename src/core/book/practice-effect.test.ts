import { describe, expect, it } from 'vitest';
import { questionOf, sampled } from '../../../test/support/fixtures';
import { effectText } from '@/messages/practices';
import { answerQuestion } from './answer-question';
import { BOOK, findEntry } from './book';
import { sidesOf } from './book-entry';
import { ownSideOf, PRACTICE_QUESTIONS, practicesOf } from './practice';
import { isAsked, isFelt, practiceEffects, practicesFor, takenSide, withOurSides } from './practice-effect';
import { withChoices } from './question';

const asked = (id: string, side = sidesOf(findEntry(id)!).at(-1)!) => {
  const question = questionOf(id, 1.75, { side });
  const practices = practicesFor(question, []);
  return { practices, question: withChoices(question, withOurSides(question.options, practices), side) };
};

describe('what another side of a practice changes', () => {
  it('is what the answer with that side says, for every row', () => {
    for (const e of sampled(sampled(BOOK.filter((entry) => entry.group === 'rows')))) {
      const { practices, question } = asked(e.id);
      const was = answerQuestion(question);
      if (!was.ok) throw new Error(was.reason);
      for (const { question: asks, side, change } of practiceEffects(question, practices)) {
        const sides = { ...question.options.practices, [asks]: side };
        const now = answerQuestion(withChoices(question, { ...question.options, practices: sides }, question.side));
        if (!now.ok) expect(change).toBeNull();
        else expect(change!.peakBy).toBeCloseTo(now.metrics.peakResistanceNm / was.metrics.peakResistanceNm - 1, 9);
      }
    }
  });
  it('a row to the armpit turns its lever to the upper lat and loads the lower one less (common practice)', () => {
    const { practices, question } = asked('cable-row-level-one-arm');
    const { change } = practiceEffects(question, practices).find((e) => e.side === 'neutral-to-armpit')!;
    expect(change!.peakBy).toBeLessThan(-0.2);
    expect(effectText('neutral, to the armpit', change)).toMatch(/^Neutral, to the armpit: .*peak \d+ % less/);
  });
  it('nothing changed is said so, and no set-up too', () => {
    const same = { hole: null, standX: null, peakBy: 0.01, meanBy: 0, rangeByDeg: -1, hardestBy: 0 };
    expect(isFelt(same)).toBe(false);
    expect(effectText('locked', same)).toBe('Locked: the set-up stays as it is.');
    expect(effectText('locked', { ...same, hole: 4, standX: 0.45, rangeByDeg: -8.4 })).toBe(
      'Locked: hole 4, mark at 45 cm, 8° less range.',
    );
    expect(effectText('locked', null)).toBe('Locked: no set-up with it here.');
  });
});

describe('questions that are asked', () => {
  it('each has one side that leaves the movement as the book has it', () => {
    for (const q of PRACTICE_QUESTIONS) expect(ownSideOf(q)).toBeTruthy();
  });
  it('is left out where no side changes anything, never where the set is done otherwise', () => {
    const none = [{ question: 'range-top' as const, side: 'full', change: null }];
    expect([isAsked('range-top', []), isAsked('breathing', []), isAsked('range-top', none)]).toEqual([
      false,
      true,
      true,
    ]);
  });
  it('our side stands where none was chosen; what was chosen stays', () => {
    const { practices, question } = asked('dumbbell-row-one-arm');
    for (const p of practices) expect(takenSide(p.question, question.options.practices)).toBe(p.preset);
    const kept = withOurSides({ ...question.options, practices: { 'row-base': 'forearm-on-thigh' } }, practices);
    expect(kept.practices['row-base']).toBe('forearm-on-thigh');
  });
  it('what the curve decides is judged on the movement as it is in the book, whatever was chosen', () => {
    for (const e of sampled(BOOK)) {
      const { practices, question } = asked(e.id);
      const again = practicesFor(question, []);
      expect(again).toEqual(practices);
      expect(practicesOf(e, [], 0).length).toBe(practices.length);
    }
  });
});
