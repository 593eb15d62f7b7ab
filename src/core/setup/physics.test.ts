import { describe, expect, it } from 'vitest';
import { COLUMN, FLIES, problemOf, seeded, solved } from '../../../test/support/fixtures';
import { findEntry } from '@/core/book/book';
import { usualOptions } from '@/core/book/entry-options';
import { evaluatePlacement } from './evaluate';
import { findLeastChange } from './least-change';
import { explain, nearestLandmark } from './reasons';

const PLACE = { hole: 14, standX: 0.3, standZ: 0.05, yawDeg: 4 };

describe('what load, ratio, handle and numbering do', () => {
  const at = (change: Parameters<typeof problemOf>[2]) =>
    evaluatePlacement(problemOf('cable-fly-level', 1.75, change), PLACE).bySide.right!;
  const plain = at({});
  it('the line’s moment is in proportion to the load; the limb’s weight stays', () => {
    const double = at({ loadKg: 30 });
    for (let i = 0; i < 41; i += 5) {
      expect(double.samples.lineNm[i]).toBeCloseTo(2 * plain.samples.lineNm[i]!, 9);
      expect(double.samples.resistanceNm[i]! - double.samples.lineNm[i]!).toBeCloseTo(
        plain.samples.resistanceNm[i]! - plain.samples.lineNm[i]!,
        9,
      );
    }
  });
  it('a 2 : 1 pulley halves what the hand feels', () => {
    const geared = at({ column: { ...COLUMN, pulleyRatio: 2 } });
    expect(geared.samples.lineNm[20]).toBeCloseTo(plain.samples.lineNm[20]! / 2, 9);
  });
  it('a longer handle takes up travel and nothing else', () => {
    const long = at({ attachmentM: 0.24 });
    expect(long.samples.travelM[0]).toBeCloseTo(plain.samples.travelM[0]! - 0.1, 9);
    expect(long.samples.resistanceNm[20]).toBeCloseTo(plain.samples.resistanceNm[20]!, 9);
  });
  it('with no load the arm’s own weight is what is left', () => {
    const empty = at({ loadKg: 0 });
    expect(empty.samples.lineNm.every((x) => x === 0)).toBe(true);
    expect(Number.isFinite(empty.metrics.evenness)).toBe(true);
  });
  it.each(FLIES)('%s: holes counted from the top are the same holes', (id) => {
    const up = solved(problemOf(id)).best.placement;
    const fromTop = { ...COLUMN, numberedFrom: 'top' as const, firstHoleM: 2.15 };
    const down = solved(problemOf(id, 1.75, { column: fromTop })).best.placement;
    expect(down.hole).toBe(COLUMN.holes + 1 - up.hole);
    expect(down.standX).toBe(up.standX);
  });
  it('left and right alone solve to mirror images', () => {
    for (const id of FLIES) {
      const own = usualOptions(findEntry(id)!);
      const right = solved(problemOf(id, 1.8, { side: 'right', options: { ...own, frontFoot: 'left' } })).best;
      const left = solved(problemOf(id, 1.8, { side: 'left', options: { ...own, frontFoot: 'right' } })).best;
      expect(left.cost).toBeCloseTo(right.cost, 6);
      expect(left.placement.standZ).toBeCloseTo(-right.placement.standZ, 9);
      expect(left.placement.hole).toBe(right.placement.hole);
    }
  });
});

describe('least change, on seeded stations as found', () => {
  it.each(FLIES)('%s: is in line, breaks no limit, and costs no more effort than the full way', (id) => {
    const problem = problemOf(id, 1.8);
    const { best } = solved(problem);
    const random = seeded(19);
    for (let k = 0; k < 12; k++) {
      const found = {
        hole: 1 + Math.floor(20 * random()),
        standX: Math.round(100 * random()) / 100,
        standZ: Math.round(20 * (random() - 0.5)) / 100,
        yawDeg: Math.round(20 * (random() - 0.5)),
      };
      const change = findLeastChange(problem, found, best)!;
      const after = evaluatePlacement(problem, change.result.placement);
      expect(after.violations).toEqual([]);
      expect(after.metrics.offPlaneRmsDeg).toBeLessThanOrEqual(3);
      expect(after.cost).toBeLessThanOrEqual(best.cost + 3 + 1e-9);
      const moved = (['hole', 'standX', 'standZ', 'yawDeg'] as const).filter(
        (key) => after.placement[key] !== found[key],
      );
      expect(change.changes.map((c) => c.setting)).toEqual(moved);
    }
  });
});

describe('reasons', () => {
  const problem = problemOf('cable-fly-high-to-low');
  const { best } = solved(problem);
  const of = (placement: typeof best.placement) =>
    Object.fromEntries(explain(problem, evaluatePlacement(problem, placement)).map((r) => [r.code, r]));
  it('a solved line has nobody picking it up, and two holes lower goes to the front deltoid', () => {
    expect(of(best.placement).line).toMatchObject({ pickedUpBy: null, twoLower: { by: 'front-deltoid' } });
  });
  it('far too low names the front deltoid, far too high the lats', () => {
    expect(of({ ...best.placement, hole: 8 }).line).toMatchObject({ pickedUpBy: 'front-deltoid' });
    const level = problemOf('cable-fly-level');
    const high = evaluatePlacement(level, { ...solved(level).best.placement, hole: 18 });
    expect(explain(level, high)[0]).toMatchObject({ pickedUpBy: 'lats' });
  });
  it('at the ends of the column there is no neighbour to speak of', () => {
    expect(of({ ...best.placement, hole: 20 }).line).toMatchObject({ twoHigher: null });
    expect(of({ ...best.placement, hole: 1 }).line).toMatchObject({ twoLower: null });
  });
  it('behind the pulleys the weight helps, and the reason says so', () => {
    const level = problemOf('cable-fly-level');
    const e = evaluatePlacement(level, { hole: 12, standX: -0.3, standZ: 0, yawDeg: 0 });
    expect(explain(level, e).find((r) => r.code === 'rest-zone')).toMatchObject({ helps: true });
  });
  it('a pulley is found by the nearest landmark', () => {
    const level = problemOf('cable-fly-level');
    expect(nearestLandmark(level, 13)).toMatchObject({ landmark: 'shoulderHeight', aboveM: expect.closeTo(0.02, 1) });
    expect(nearestLandmark(problem, 20).landmark).toBe('stature');
    expect(nearestLandmark(level, 3).landmark).toBe('kneeHeight');
  });
  it('the range reason tells the client’s own limit from the movement’s', () => {
    const own = problemOf('cable-fly-level', 1.75, {
      side: 'right',
      range: { right: { 'shoulder.horizontalAbduction': 3 } },
    });
    expect(explain(own, solved(own).best).find((r) => r.code === 'range')).toEqual({
      code: 'range',
      deg: expect.closeTo(-3, 9),
      joint: 'shoulder',
      counted: 'sweep',
      from: 'active-range',
    });
  });
});
