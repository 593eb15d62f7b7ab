import { describe, expect, it } from 'vitest';
import { TURN_STRENGTH_NM } from '@/core/mechanics/forearm-turn';
import type { AttachmentKind } from '@/core/kit/attachment';
import { answerOf, bodyOf, COLUMN, ROOM } from '../../../test/support/fixtures';
import { findEntry } from './book';
import { usualOptions } from './entry-options';
import { explain } from '@/core/setup/reasons';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { explainFree } from './explain-free';
import { searchOf } from './posed-question';
import { WHOLE_RANGE } from './pose-entry';
import { askQuestion } from './question';

const saidOf = (id: string, place: 'middle' | 'thumb-side' | 'little-finger-side', active = {}) => {
  const e = findEntry(id)!;
  const options = { ...usualOptions(e), practices: { 'handle-place': place } };
  const a = answerOf(e, { ...askQuestion(e, { body: bodyOf(1.75), options }), range: { ...WHOLE_RANGE, active } });
  if (!a.ok) throw new Error(id);
  return explainFree(a.from).reasons.flatMap((r) => (r.code === 'forearm' ? [r] : []))[0];
};

describe('a curl with the hand at an end of the handle (common practice)', () => {
  it('thumb against the bell: biceps and supinator hold the palm, most where the forearm is level', () => {
    const said = saidOf('incline-dumbbell-curl', 'thumb-side')!;
    // 15 kg, 1.9 cm off the middle, palm 80 degrees up: 15 g (0.125 - 0.0875) / 2 sin 80.
    expect(said.mostNm).toBeCloseTo(15 * 9.80665 * 0.01875 * Math.sin((80 * Math.PI) / 180), 1);
    expect(said).toMatchObject({ turns: 'down', share: said.mostNm / TURN_STRENGTH_NM.up });
    expect(said.at).toBeGreaterThan(0.3);
    expect(said.at).toBeLessThan(0.9);
  });
  it('little finger against it: the pronators; in the middle nothing is said', () => {
    expect(saidOf('incline-dumbbell-curl', 'little-finger-side')).toMatchObject({ turns: 'up' });
    expect(saidOf('incline-dumbbell-curl', 'middle')).toBeUndefined();
  });
  it('a forearm that turns no further than 20 degrees is loaded by no more than that', () => {
    const narrow = { left: { 'forearm.supination': 20 }, right: { 'forearm.supination': 20 } };
    const share =
      saidOf('incline-dumbbell-curl', 'thumb-side', narrow)!.mostNm /
      saidOf('incline-dumbbell-curl', 'thumb-side')!.mostNm;
    expect(share).toBeCloseTo(Math.sin((20 * Math.PI) / 180) / Math.sin((80 * Math.PI) / 180), 2);
  });
});

it('a rope held in the fist turns the palm of a curl that turns; the bare end of the cable does not', () => {
  const e = findEntry('turning-cable-curl')!;
  const said = (attachment: AttachmentKind) => {
    const column = { column: COLUMN, room: ROOM, attachmentM: 0.1, attachment };
    const a = answerOf(e, { body: bodyOf(1.75), column, side: 'right', loadKg: 10 });
    if (!a.ok || !a.placement) throw new Error('no place');
    const problem = searchOf(a.from);
    return explain(problem, evaluatePlacement(problem, a.placement)).find((r) => r.code === 'forearm');
  };
  const rope = said('half-rope');
  expect(rope).toMatchObject({ code: 'forearm', turns: 'down' });
  // No more than the whole pull at half the breadth of the hand.
  expect(rope!.code === 'forearm' && rope!.mostNm).toBeLessThanOrEqual(10 * 9.80665 * 0.025 * 1.75);
  expect(said('bare-end')).toBeUndefined();
});
