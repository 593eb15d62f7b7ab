import { NO_LOAD_LIMITS } from '@/core/body/loaded-part';
import { describe, expect, it } from 'vitest';
import { findArmPath } from '@/core/body/arm-path-test';
import { limitRange, limitsOn, loadLimits, type ClinicianLimit } from '@/core/body/clinician-limit';
import { narrower } from '@/core/body/active-range';
import { noteDefaults } from '@/core/body/client-note';
import { screeningState } from '@/core/body/screening';
import type { HoleRuler } from '@/core/kit/calibrate-ruler';
import type { Machine, PreacherBench } from '@/core/kit/machine';
import { bodyOf } from '../../../test/support/fixtures';
import { fitAxis, fitHandles } from './machine-fit';
import { fitPreacher } from './preacher-fit';

const ruler = (
  firstHoleM: number,
  pitchM: number,
  holes: number,
  numberedFrom: 'bottom' | 'top' = 'bottom',
): HoleRuler => ({ firstHoleM, pitchM, holes, numberedFrom });

describe('preacher', () => {
  const bench: PreacherBench = { seat: ruler(0.38, 0.03, 8), padTopM: 0.98, padDeg: 50, padM: 0.35 };
  it('the armpit meets the top edge: by arithmetic, hole and gap', () => {
    // Armpit 0.273 x 1.80 = 0.491 above the seat; 0.98 - 0.491 = 0.489: hole 5 is at 0.50, hole 4 at 0.47.
    const [best, next] = fitPreacher(bodyOf(1.8), bench);
    expect([best!.hole, Math.round(best!.gapM * 1000)]).toEqual([5, -11]);
    expect([next!.hole, Math.round(next!.gapM * 1000)]).toEqual([4, 19]);
  });
  it('the shorter the client, the higher the seat; a gap left means too low', () => {
    const holes = [1.5, 1.6, 1.7, 1.8, 1.9, 2].map((h) => fitPreacher(bodyOf(h), bench)[0]!.hole);
    expect(holes).toEqual(holes.toSorted((a, b) => b - a));
    const low = fitPreacher(bodyOf(1.45), { ...bench, seat: ruler(0.38, 0.03, 3) })[0]!;
    expect([low.hole, low.gapM > 0.03]).toEqual([3, true]);
  });
  it('a measured armpit overrides its ratio', () => {
    const own = bodyOf(1.8, { measuredM: { seatedArmpit: 0.52 } });
    expect(fitPreacher(own, bench)[0]).toMatchObject({ hole: 4, estimated: false });
    expect(fitPreacher(bodyOf(1.8), bench)[0]!.estimated).toBe(true);
  });
});

describe('machines', () => {
  const leg: Machine = {
    kind: 'leg-extension',
    seat: null,
    back: ruler(0.42, 0.04, 7),
    axisOverSeatM: 0.06,
    handleHeightM: 0,
    path: { kind: 'arc', radiusM: 0.3, momentArm: [{ x: 0, y: 0.1 }] },
    independentArms: false,
  };
  it('the knee sits on the axis: thigh and half a buttock from the back pad', () => {
    // (0.245 + 0.057) x 1.75 = 0.5285: hole 4 is at 0.54, 1.2 cm short of the axis; hole 3 at 0.50, 2.9 cm beyond.
    const [best] = fitAxis(bodyOf(1.75), leg)!;
    expect([best!.hole, Math.round(best!.aheadM * 1000)]).toEqual([4, -12]);
    expect(best!.offM).toBeGreaterThanOrEqual(Math.abs(best!.aheadM));
  });
  it('on a curl, of two alike the seat further back', () => {
    const body = bodyOf(1.75);
    const knee = 0.302 * 1.75;
    const curl: Machine = { ...leg, kind: 'leg-curl', back: ruler(knee - 0.02, 0.04, 2) };
    expect(fitAxis(body, curl)![0]!.hole).toBe(2);
    expect(fitAxis(body, { ...curl, kind: 'leg-extension', back: ruler(knee - 0.019, 0.04, 2) })![0]!.hole).toBe(1);
    expect(fitAxis(body, { ...leg, back: null })).toBeNull();
  });
  it('handles level with the nipples on a press, with the shoulders on a fly', () => {
    const press: Machine = {
      ...leg,
      kind: 'chest-press',
      back: null,
      seat: ruler(0.36, 0.03, 9),
      handleHeightM: 0.9,
      path: { kind: 'guide', guideDeg: 0, ratio: 1 },
      independentArms: true,
    };
    const hole = (m: Machine, h: number) => fitHandles(bodyOf(h), m)![0]!.hole;
    // 0.90 - 0.238 x 1.75 = 0.4835: hole 5 is at 0.48.
    expect(hole(press, 1.75)).toBe(5);
    expect(hole({ ...press, kind: 'chest-fly' }, 1.75)).toBe(1);
    expect(hole(press, 1.6)).toBeGreaterThan(hole(press, 1.95));
    expect(fitHandles(bodyOf(1.75), leg)).toBeNull();
  });
});

describe('rear-deltoid arm path', () => {
  it('the vertex between trials, exact on a parabola', () => {
    const f = (x: number) => 0.12 - 0.0001 * (x - 17) ** 2;
    expect(findArmPath([0, 10, 20, 30].map((belowDeg) => ({ belowDeg, behindM: f(belowDeg) })))).toEqual({
      belowDeg: expect.closeTo(17, 9),
      behindM: expect.closeTo(0.12, 9),
      source: 'fitted',
    });
  });
  it('best at the last trial: that one, and says so; two paths are too few', () => {
    expect(
      findArmPath([
        { belowDeg: 0, behindM: 0.02 },
        { belowDeg: 10, behindM: 0.04 },
        { belowDeg: 20, behindM: 0.07 },
      ]),
    ).toEqual({ belowDeg: 20, behindM: 0.07, source: 'edge' });
    expect(
      findArmPath([
        { belowDeg: 0, behindM: 0.1 },
        { belowDeg: 10, behindM: 0.12 },
        { belowDeg: 10, behindM: 0.11 },
      ]),
    ).toBeNull();
  });
});

describe('limits, notes, screening', () => {
  const limit = (over: Partial<ClinicianLimit>): ClinicianLimit => ({
    subject: 'shoulder.horizontalAbduction',
    side: 'both',
    most: 10,
    setBy: 'physiotherapist',
    fromDay: 100,
    untilDay: 120,
    ...over,
  });
  it('count from their first to their last day', () => {
    const all = [limit({}), limit({ untilDay: null, fromDay: 110 })];
    expect([99, 100, 110, 120, 121].map((day) => limitsOn(all, day).length)).toEqual([0, 1, 2, 2, 1]);
  });
  it('the tightest wins, by side; loads are apart', () => {
    const all = [
      limit({}),
      limit({ side: 'right', most: 4 }),
      limit({ subject: 'load-in-hand', side: 'left', most: 12 }),
      limit({ subject: 'load-in-hand', most: 20 }),
    ];
    expect(limitRange(all)).toEqual({
      left: { 'shoulder.horizontalAbduction': 10 },
      right: { 'shoulder.horizontalAbduction': 4 },
    });
    expect([loadLimits(all, ['right']), loadLimits(all, ['left', 'right']), loadLimits([], ['left'])]).toEqual([
      { hand: 20, leg: null, spine: null },
      { hand: 12, leg: null, spine: null },
      NO_LOAD_LIMITS,
    ]);
    expect(
      narrower({ left: { 'knee.flexion': 100 } }, { left: { 'knee.flexion': 120, 'hip.flexion': 90 } }).left,
    ).toEqual({ 'knee.flexion': 100, 'hip.flexion': 90 });
  });
  it('a shoulder note stops stretches level and keeps the blade set; blood pressure shortens holds', () => {
    expect(noteDefaults(['shoulder', 'blood-pressure'])).toMatchObject({
      stopLevel: true,
      keepBladeSet: true,
      longestHoldS: 2,
      wantLimits: [],
    });
    expect(noteDefaults(['first-month', 'pregnancy'])).toMatchObject({
      stopLevel: false,
      keepBladeSet: true,
      longestHoldS: null,
      wantLimits: ['pregnancy'],
    });
  });
  it('screening is done, old or missing', () => {
    const s = { doneBy: 'M. Idris', day: 1000, procedure: 'front-desk form' };
    expect([screeningState(s, 1365, 365), screeningState(s, 1366, 365), screeningState(null, 1, 365)]).toEqual([
      { state: 'done', dueDay: 1365 },
      { state: 'old', daysOver: 1 },
      { state: 'missing' },
    ]);
  });
});
