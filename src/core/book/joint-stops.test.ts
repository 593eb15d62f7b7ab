import { describe, expect, it } from 'vitest';
import { poseQuestion } from './pose-question';
import { BOOK, type MovementId } from './book';
import { sidesOf } from './book-entry';
import { shownLimb } from './posed-question';
import { settingsOf } from './question-settings';
import { rangeDegOf } from './range-deg';
import { SIDES, type Side } from '@/core/body/side';
import { questionOf } from '../../../test/support/fixtures';

function stopsOf(id: MovementId, side: Side | null = null) {
  const entry = BOOK.find((e) => e.id === id)!;
  const posed = poseQuestion(questionOf(id, 1.75, { side: side ?? sidesOf(entry).at(-1)! }))!;
  const stops = settingsOf(posed).find((s) => s.kind === 'stops')!;
  const { path, target } = shownLimb(posed).posed;
  return { stops, turnDeg: rangeDegOf(path, target.joint) };
}
const KEYED = BOOK.filter((e) => e.path.kind !== 'sweep').map((e) => e.id);

describe('where a joint begins and ends', () => {
  it.each(KEYED)('%s: both ends differ by what the joint turns', (id) => {
    const { stops, turnDeg } = stopsOf(id);
    expect(Math.abs(stops.finishDeg - stops.startDeg)).toBeCloseTo(turnDeg, 0);
  });
  // The angles that the book's keys are written with, within their own shape (remembered).
  it.each<[MovementId, string, number, number]>([
    ['machine-fly', 'shoulder', -5, 96],
    ['cable-fly-incline', 'shoulder', -8, 102],
    ['dumbbell-side-raise', 'shoulder', 29, 87],
    ['leg-extension', 'knee', 100, 8],
    ['rack-pull', 'hip', 68, 4],
    ['preacher-curl-one-arm', 'elbow', 12, 125],
  ])('%s: the %s from %d to %d', (id, joint, from, to) => {
    const { stops } = stopsOf(id);
    expect([stops.joint, Math.round(stops.startDeg), Math.round(stops.finishDeg)]).toEqual([joint, from, to]);
  });
  it('left and right are alike', () => {
    for (const id of ['rear-delt-cable-fly-one-arm', 'dumbbell-row-one-arm', 'cross-body-cable-raise'] as const) {
      const [left, right] = SIDES.map((s) => stopsOf(id, s).stops);
      expect([left!.startDeg, left!.finishDeg]).toEqual([
        expect.closeTo(right!.startDeg, 6),
        expect.closeTo(right!.finishDeg, 6),
      ]);
    }
  });
});
