import { describe, expect, it } from 'vitest';
import { findEntry } from '@/core/book/book';
import { explainFree } from '@/core/book/explain-free';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { answerOf, bodyOf, uprightOf } from '../../../test/support/fixtures';
import { braceReason, standingReason, type StoodLoad } from './stand-load';

const body = bodyOf(1.75);
const reasons = (id: string, loadKg: number) => {
  const a = answerOf(findEntry(id)!, {
    body,
    options: uprightOf(findEntry(id)!),
    side: id.includes('one-arm') ? 'right' : 'both',
    loadKg,
  });
  if (!a.ok) throw new Error(a.reason);
  return { a, all: explainFree(a.from).reasons };
};
const stoodOf = (id: string, loadKg: number): StoodLoad => {
  const { a } = reasons(id, loadKg);
  const limbs = a.from.sides.map((side) => {
    const { posed, profile } = a.from.limbs[side]!;
    return { path: posed.path, load: profile!.samples.load };
  });
  return { body, poseAt: a.posed.bodyAt, limbs, loadKg, freeHand: limbs.length === 1 };
};

describe('weights that are stood', () => {
  it('a bar in a curl moves the pressure ahead by its share of all that is stood, and the margin with it', () => {
    const margin = (kg: number): number => standingReason(stoodOf('barbell-curl', kg)).marginM;
    expect(margin(10)).toBeGreaterThan(margin(30));
    // At the load that it names, the pressure is at the edge.
    const { mostKg } = standingReason(stoodOf('barbell-curl', 20));
    expect(margin(mostKg!)).toBeCloseTo(0, 3);
  });
  it('past the edge: the lean, the feet and the hand that would stand it', () => {
    const r = standingReason({ ...stoodOf('barbell-curl', 60), freeHand: true });
    expect(r.marginM).toBeLessThan(0);
    expect(r.splitM).toBeCloseTo(0.02 - r.marginM, 9);
    // Hips over ankles, and 0.82 of the body's mass goes along with them (Winter).
    const legM = body.height.hipHeight.m - body.height.ankleHeight.m;
    expect(Math.sin((r.leanDeg * Math.PI) / 180) * 0.8245 * legM).toBeCloseTo(r.splitM, 9);
    // All the weight by what is lacking, over the height of the hand.
    expect(r.holdN!).toBeCloseTo(((body.massKg + 60) * GRAVITY_MS2 * r.splitM) / (0.72 * 1.75), 3);
  });
  it('is said of what is stood, and of no machine, bench or strap', () => {
    const said = (id: string): readonly string[] => reasons(id, 15).all.map((r) => r.code);
    expect(said('barbell-curl')).toContain('standing');
    for (const id of ['machine-press', 'incline-dumbbell-curl', 'strap-row', 'leg-extension'])
      expect(said(id)).not.toContain('standing');
  });
});

describe('a hand on a bench', () => {
  it('presses more the heavier the row, and less than body and weight together', () => {
    const press = (kg: number): number => braceReason(stoodOf('dumbbell-row-one-arm', kg))!.pressN;
    expect(press(40)).toBeGreaterThan(press(10));
    expect(press(40)).toBeLessThan((body.massKg + 40) * GRAVITY_MS2);
    expect(reasons('dumbbell-row-one-arm', 15).all.map((r) => r.code)).toContain('brace');
  });
  it('takes by the lever what the feet do not: moments about their middle vanish', () => {
    const stood = stoodOf('dumbbell-row-one-arm', 0.001);
    const { pressN } = braceReason(stood)!;
    // Nobody leans on nothing: without a hand there is no brace.
    expect(braceReason({ ...stood, poseAt: (i) => ({ ...stood.poseAt(i), supportArm: null }) })).toBeNull();
    expect(pressN).toBeGreaterThan(0);
    expect(pressN).toBeLessThan(0.5 * body.massKg * GRAVITY_MS2);
  });
});
