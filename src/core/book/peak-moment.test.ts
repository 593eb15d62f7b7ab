import { describe, expect, it } from 'vitest';
import { answerQuestion, type GoodAnswer } from './answer-question';
import { BOOK } from './book';
import { sidesOf } from './book-entry';
import { peakMomentNm } from './peak-moment';
import { poseQuestion } from './pose-question';
import { questionOf } from '../../../test/support/fixtures';

const ask = (id: string, loadKg: number) => {
  const entry = BOOK.find((e) => e.id === id)!;
  return questionOf(id, 1.75, { loadKg, side: sidesOf(entry).at(-1)! });
};
const good = (id: string, loadKg: number): GoodAnswer => {
  const a = answerQuestion(ask(id, loadKg));
  if (!a.ok) throw new Error(id);
  return a;
};

describe('the largest moment of a movement at a place that was used', () => {
  it.each(['cable-fly-level', 'cable-row-level-one-arm', 'dumbbell-side-raise', 'leg-extension'])(
    '%s: where it was solved, what the answer says; heavier is more',
    (id) => {
      const [light, heavy] = [good(id, 10), good(id, 15)];
      const at = (a: GoodAnswer, loadKg: number) => peakMomentNm(poseQuestion(ask(id, loadKg))!, a.placement)!;
      expect(at(light, 10)).toBeCloseTo(light.metrics.peakResistanceNm, 9);
      expect(at(heavy, 15)).toBeCloseTo(heavy.metrics.peakResistanceNm, 9);
      expect(at(light, 15)).toBeGreaterThan(1.2 * at(light, 10));
    },
  );
  it('on a cable whose place nobody saved is not known', () => {
    expect(peakMomentNm(poseQuestion(ask('cable-fly-level', 10))!, null)).toBeNull();
  });
});
