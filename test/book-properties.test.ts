import type { Asked } from '@/core/book/question';
import { SIDES } from '@/core/body/side';
import { describe, expect, it } from 'vitest';
import { RANGE_NAMES } from '@/core/body/active-range';
import { BOOK } from '@/core/book/book';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { poseEntry, WHOLE_RANGE } from '@/core/book/pose-entry';
import { USUAL_SURFACES } from '@/core/book/posture-rule';
import { USUAL_KIT } from '@/core/book/station-kit';
import { practicesOf, withPractices } from '@/core/book/practice';
import { length, subtract } from '@/core/geometry/vector';
import { totalCost } from '@/core/setup/cost';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { COLUMN, ROOM, answerOf, bodyOf, searchFor, seeded, uprightOf } from './support/fixtures';

const inputFor = (e: BookEntry, statureM: number, loadKg = 15, side = sidesOf(e).at(-1)!): Asked => ({
  body: bodyOf(statureM),
  side,
  loadKg,
  column: { column: COLUMN, room: ROOM, attachmentM: 0.14 },
});
const CABLES = BOOK.filter((e) => e.load.kind === 'cable').map((e) => [e.id, e] as const);
const ALL = BOOK.map((e) => [e.id, e] as const);
/** How far the search may stand above the best of chance, degrees of cost. */
const WITHIN_DEG = 0.4;

describe('a cable movement’s place', () => {
  it.each(CABLES)('%s: four hundred places taken by chance do not beat it', (id, e) => {
    const random = seeded(id.length * 7919 + id.charCodeAt(0));
    const problem = searchFor(e, inputFor(e, 1.7))!;
    const answer = answerOf(e, inputFor(e, 1.7));
    if (!answer.ok) throw new Error(answer.reason);
    const best = totalCost(problem, answer.placement!);
    const { room } = problem.input;
    const { yawDeg, standZ, sidewaysM, turnDeg, heightM } = problem.bounds;
    for (let i = 0; i < 400; i++) {
      const hole = 1 + Math.floor(random() * COLUMN.holes);
      const pulleyM = COLUMN.firstHoleM + COLUMN.pitchM * (hole - 1);
      const standX = room.minDistanceM + random() * (room.maxDistanceM - room.minDistanceM);
      const place = {
        hole,
        standX,
        standZ: standZ + (2 * random() - 1) * sidewaysM,
        yawDeg: yawDeg + (2 * random() - 1) * turnDeg,
      };
      if (pulleyM < heightM[0] || pulleyM > heightM[1]) continue;
      expect(totalCost(problem, place)).toBeGreaterThan(best - WITHIN_DEG);
    }
  });
  // A pull begins where the cable holds the arm's own weight, and so elsewhere under a heavier stack.
  const STEADY = CABLES.filter(([, e]) => e.load.kind === 'cable' && e.load.line === null);
  it.each(STEADY)('%s: at one place the cable’s moment is in proportion to the stack', (_, e) => {
    const answer = answerOf(e, inputFor(e, 1.8, 10));
    if (!answer.ok) throw new Error(answer.reason);
    const line = (kg: number) => {
      const p = searchFor(e, { ...inputFor(e, 1.8, kg), options: uprightOf(e) })!;
      return evaluatePlacement(p, answer.placement!).bySide[p.sides.at(-1)!]!.samples.lineNm;
    };
    const [one, three] = [line(10), line(30)];
    one.forEach((v, i) => expect(three[i]).toBeCloseTo(3 * v, 8));
  });
});

describe('bodies', () => {
  // Bars, plates, straps, handles and pins do not grow with the body, and a relaxed arm's sag does not with its cable.
  const OWN = ALL.filter(
    ([, e]) =>
      !e.hold &&
      e.id !== 'machine-press' &&
      !(e.load.kind === 'cable' && e.load.line !== null) &&
      e.load.kind !== 'landmine' &&
      e.load.kind !== 'body' &&
      !e.ruled.some((r) => r.setting === 'pinM'),
  );
  it.each(OWN)('%s: a body a fifth larger in every part moves through a range a fifth larger', (_, e) => {
    const factor = 1.2;
    const [small, large] = [1.6, 1.6 * factor].map((h) =>
      poseEntry(e, bodyOf(h), 'right', WHOLE_RANGE, { ...USUAL_KIT, surfaces: scaledSurfaces(h / 1.6) })!,
    );
    for (const i of [0, 20, 40]) {
      const reach = (p: typeof small) => length(subtract(p!.path.contact[i]!, p!.path.proximal[i]!));
      expect(reach(large) / reach(small)).toBeCloseTo(factor, 3);
    }
  });
  it.each(ALL)('%s: less range is never more range: each joint narrowed leaves a part of what there was', (_, e) => {
    for (const side of SIDES) {
      const whole = poseEntry(e, bodyOf(1.75), side, WHOLE_RANGE, USUAL_KIT)!.range;
      for (const motion of RANGE_NAMES) {
        const cut = poseEntry(
          e,
          bodyOf(1.75),
          side,
          { ...WHOLE_RANGE, active: { [side]: { [motion]: 70 } } },
          USUAL_KIT,
        );
        if (!cut) continue;
        expect(cut.range.from).toBeGreaterThanOrEqual(whole.from - 1e-9);
        expect(cut.range.to).toBeLessThanOrEqual(whole.to + 1e-9);
      }
    }
  });
});

describe('practices', () => {
  it.each(ALL)(
    '%s: no choice of side makes another movement of it, and choosing nothing more changes nothing',
    (_, e) => {
      for (const s of practicesOf(e, [], 1)) {
        for (const option of s.options) {
          const once = withPractices(e, { [s.question]: option });
          expect(withPractices(once, {})).toEqual(once);
          expect(once.id).toBe(e.id);
          expect(sidesOf(once)).toEqual(sidesOf(e));
        }
      }
    },
  ) as unknown as typeof USUAL_SURFACES;
});

/** Benches and seats that grow with the body, so that only size differs. */
function scaledSurfaces(by: number): typeof USUAL_SURFACES {
  return Object.fromEntries(
    Object.entries(USUAL_SURFACES).map(([k, v]) => [k, k.endsWith('M') && typeof v === 'number' ? v * by : v]),
  ) as unknown as typeof USUAL_SURFACES;
}
