import { describe, expect, it } from 'vitest';
import { length, subtract } from '@/core/geometry/vector';
import { SIDES, signOf } from '@/core/body/side';
import { poseBody } from '@/core/body/pose-body';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { stoodLoad } from '@/core/setup/reasons';
import { standingReason } from '@/core/setup/stand-load';
import { answerOf, bodyOf, COLUMN, ROOM, sampled, uprightOf } from '../../../test/support/fixtures';
import { BOOK, findEntry } from './book';
import { sidesOf, type BookEntry } from './book-entry';
import { usualOptions, type EntryOptions } from './entry-options';
import { searchOf } from './posed-question';
import { settingsOf } from './question-settings';
import { leansFree, MOST_LEAN_DEG, stanceOf } from './stand-up';

const column = { column: COLUMN, room: ROOM, attachmentM: 0.14, handsM: null };
const cables = BOOK.filter((e) => e.load.kind === 'cable' && leansFree(e));

/** How a movement's load is stood at its best place. */
function stood(e: BookEntry, loadKg: number, options: EntryOptions = usualOptions(e), statureM = 1.75) {
  const a = answerOf(e, { body: bodyOf(statureM), side: sidesOf(e).at(-1)!, loadKg, options, column });
  if (!a.ok) throw new Error(`${e.id}: ${JSON.stringify(a.violations)}`);
  const search = searchOf(a.from);
  const reason = standingReason(stoodLoad(search, evaluatePlacement(search, a.placement!))!);
  return { a, reason, ...stanceOf(a.from.entry) };
}

describe('a load that feet and knees alone stand', () => {
  it.each(sampled(cables).map((e) => [e.id, e] as const))(
    '%s: leaning never stands less, and a load that is stood upright asks for none',
    (_, e) => {
      for (const kg of [6, 10, 20]) {
        const upright = stood(e, kg, uprightOf(e)).reason;
        const { reason, lean, furtherM } = stood(e, kg);
        expect(lean.deg % 5).toBe(0);
        expect(lean.deg).toBeLessThanOrEqual(MOST_LEAN_DEG);
        if (upright.marginM > 0.01) expect([lean.deg, furtherM]).toEqual([0, 0]);
        else expect(reason.marginM).toBeGreaterThan(Math.min(0, upright.marginM) - 0.02);
      }
    },
  );
  it('of those that tip upright with 8 kg, nine in ten stand leant', () => {
    const tips = cables.filter((e) => stood(e, 8, uprightOf(e)).reason.marginM < 0);
    const stands = tips.filter((e) => stood(e, 8).reason.marginM >= 0);
    expect(tips.length).toBeGreaterThan(5);
    expect(stands.length).toBeGreaterThanOrEqual(0.9 * tips.length);
  });
  it.each([
    // Facing the column one leans back, turned away from it ahead (common practice).
    ['straight-arm-pushdown-bar', 12, 180],
    ['rope-row-low-hinged', 20, 180],
    ['cable-squeeze-press', 10, 0],
    ['cable-fly-low-to-high', 15, 0],
    ['rear-delt-cable-fly-one-arm', 10, 90],
  ])('%s leans away from its pull', (id, kg, headingDeg) => {
    const { lean } = stood(findEntry(id)!, kg);
    expect(lean.deg).toBeGreaterThan(0);
    expect(lean.headingDeg).toBe(headingDeg);
  });
  it('a chosen lean is kept, with the feet as the movement has them, and told as chosen', () => {
    const e = findEntry('straight-arm-pushdown-bar')!;
    for (const leanDeg of [0, 5, 15]) {
      const { a, lean, furtherM } = stood(e, 12, { ...usualOptions(e), leanDeg });
      expect([lean.deg, furtherM]).toEqual([leanDeg, 0]);
      expect(settingsOf(a.from).find((s) => s.kind === 'lean')).toMatchObject({ leanDeg, chosen: true });
    }
  });
  it('who turns through the rep, or is held by a bench, does not lean', () => {
    for (const id of ['turning-cable-curl', 'incline-dumbbell-curl', 'strap-row', 'machine-press'])
      expect(leansFree(findEntry(id)!)).toBe(false);
  });
});

describe('a leant body', () => {
  const lean = { deg: 10, headingDeg: 0 };
  const body = bodyOf(1.75);
  it.each([
    [{ kind: 'standing', kneeFlexionDeg: 8, lean }],
    [{ kind: 'staggered', frontFoot: 'left', stepM: 0.5, lean: { deg: 5, headingDeg: 90 } }],
    [{ kind: 'wide', widthM: 0.8, lean: { deg: 10, headingDeg: -90 } }],
    [{ kind: 'half-kneeling', kneeDown: 'right', lean }],
    [{ kind: 'tall-kneeling', lean }],
    [{ kind: 'hinged', trunkDeg: 40, kneeFlexionDeg: 20, lean }],
  ] as const)(
    '$0.kind: bones keep their lengths, feet their place, the trunk its angle, and the hips go out',
    (posture) => {
      const drawn = poseBody(body, { ...posture, lean: undefined });
      const own = poseBody(body, posture);
      for (const side of SIDES) {
        const { hip, knee, ankle, toe } = own.leg[side];
        expect(length(subtract(hip, knee))).toBeCloseTo(length(subtract(drawn.leg[side].hip, drawn.leg[side].knee)), 9);
        expect(length(subtract(knee, ankle))).toBeCloseTo(
          length(subtract(drawn.leg[side].knee, drawn.leg[side].ankle)),
          9,
        );
        expect(toe).toEqual(drawn.leg[side].toe);
        expect(hip[2] - own.pelvis[2]).toBeCloseTo(signOf(side) * (drawn.leg.right.hip[2] - drawn.pelvis[2]), 9);
      }
      expect(own.trunkFrame).toEqual(drawn.trunkFrame);
      const { headingDeg } = posture.lean;
      const out = subtract(own.pelvis, drawn.pelvis);
      const along = headingDeg === 0 ? out[0] : Math.sign(headingDeg) * out[2];
      expect(along).toBeGreaterThan(0.03);
      expect(along).toBeLessThan(0.16);
      expect(own.pelvis[1]).toBeLessThanOrEqual(drawn.pelvis[1] + 1e-9 + (posture.kind === 'hinged' ? 0.05 : 0));
    },
  );
});
