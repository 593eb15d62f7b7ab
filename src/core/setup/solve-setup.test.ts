import { stanceOf } from '@/core/book/stand-up';
import { poseKnown } from '@/core/book/pose-question';
import { describe, expect, it } from 'vitest';
import { searchExhaustively } from '../../../test/support/exhaustive-grid';
import { COLUMN, FLIES, problemOf, questionOf, sampled, solved } from '../../../test/support/fixtures';
import { evaluatePlacement } from './evaluate';
import { findLeastChange } from './least-change';
import { findSensitivity } from '@/core/book/sensitivity';
import { findStandIn } from '@/core/book/stand-in';
import { solveSetup } from './solve-setup';
import { findTolerance, isWithin } from './tolerance';

describe('against the exhaustive fine grid', () => {
  it.each(sampled(FLIES.flatMap((id) => [1.45, 1.6, 1.75, 1.9, 2.05].map((h) => [id, h] as const))))(
    '%s, both arms, %d m: every hole, every centimetre',
    (id, statureM) => {
      const p = problemOf(id, statureM);
      const { best } = solved(p);
      const grid = searchExhaustively(p, 0.01, 0, 1, 0);
      expect(best.cost - grid.cost).toBeLessThan(0.5);
      expect(best.cost - searchExhaustively(p, 0.05, 0, 1, 0).cost).toBeLessThan(0.25);
      // A mark that can be found again, on 5 cm, may speak for a hole beside.
      expect(Math.abs(best.placement.hole - grid.placement.hole)).toBeLessThanOrEqual(2);
      if (best.placement.hole === grid.placement.hole)
        expect(Math.abs(best.placement.standX - grid.placement.standX)).toBeLessThanOrEqual(0.1);
    },
  );
  // The exhaustive walk over place and facing takes seconds.
  it.each(
    sampled(
      sampled(
        FLIES.flatMap((id) => [1.5, 1.75, 2.0].map((h) => [id, h] as const)),
        1,
      ),
    ),
  )('%s, one arm, %d m: place and facing too', (id, statureM) => {
    const p = problemOf(id, statureM, { side: 'right' });
    expect(solved(p).best.cost - searchExhaustively(p, 0.05, 0.4, 5, 30).cost).toBeLessThan(0.5);
  });
  it('different sides are searched off the midline too', () => {
    const p = problemOf('cable-fly-level', 1.75, { range: { left: { 'shoulder.horizontalAbduction': 0 } } });
    expect(p.symmetric).toBe(false);
    expect(solved(p).best.cost - searchExhaustively(p, 0.05, 0.2, 5, 15).cost).toBeLessThan(0.5);
  });
});

describe('fixed settings and limits', () => {
  it('a fixed hole stays and the client moves', () => {
    const { best } = solved(problemOf('cable-fly-high-to-low', 1.75, { fixed: { hole: 15 } }));
    expect(best.placement.hole).toBe(15);
    expect(best.metrics.offPlaneRmsDeg).toBeLessThan(3);
  });
  it('alternatives differ in hole and cost more', () => {
    const s = solved(problemOf('cable-fly-level'));
    const all = [s.best, ...s.alternatives];
    expect(new Set(all.map((e) => e.placement.hole)).size).toBe(3);
    expect(all.map((e) => e.cost)).toEqual(all.map((e) => e.cost).toSorted((a, b) => a - b));
  });
  it('the last used set-up pulls a near tie its way', () => {
    const free = solved(problemOf('cable-fly-high-to-low')).best.placement;
    const lastUsed = { ...free, standX: free.standX + 0.01 };
    expect(solved(problemOf('cable-fly-high-to-low', 1.75, { lastUsed })).best.placement.standX).toBeGreaterThanOrEqual(
      free.standX,
    );
  });
  it.each([
    ['line', { column: { ...COLUMN, holes: 8, pitchM: 0.05 } }],
    ['travel', { column: { ...COLUMN, travelM: 0.8 } }],
    ['range', { range: { right: { 'shoulder.horizontalAdduction': 20 } } }],
  ] as const)('%s blocks and says by how much', (limit, change) => {
    const s = solveSetup(problemOf('cable-fly-high-to-low', 1.75, change));
    expect(s.feasible).toBe(false);
    if (!s.feasible) expect(s.nearest.violations.map((v) => v.limit)).toContain(limit);
  });
  it('a column that stops at the hip serves the low fly instead', () => {
    const p = questionOf('cable-fly-high-to-low', 1.75, { column: { ...COLUMN, holes: 9 } });
    expect(findStandIn(p)!.entry.id).toBe('cable-fly-low-to-high');
  });
});

describe('as found', () => {
  const p = problemOf('cable-fly-high-to-low');
  const { best } = solved(p);
  it('nothing to change when it is right', () =>
    expect(findLeastChange(p, best.placement, best)).toMatchObject({ changes: [] }));
  it('a hole four too low is put right by the hole alone', () => {
    const found = { ...best.placement, hole: best.placement.hole - 4 };
    expect(findLeastChange(p, found, best)!.changes.map((c) => c.setting)).toEqual(['hole']);
  });
  it('a stuck hole is put right by stepping', () => {
    const found = { ...best.placement, hole: best.placement.hole - 3 };
    const change = findLeastChange(
      problemOf('cable-fly-high-to-low', 1.75, { fixed: { hole: found.hole } }),
      found,
      best,
    )!;
    expect(change.changes.map((c) => c.setting)).toEqual(['standX']);
    expect(change.changes[0]!.to).toBeLessThan(found.standX);
    expect(change.result.metrics.offPlaneRmsDeg).toBeLessThanOrEqual(3);
  });
  it('facing the columns is turned round', () => {
    const change = findLeastChange(p, { ...best.placement, yawDeg: 180 }, best)!;
    expect(change.changes.map((c) => c.setting)).toEqual(['yawDeg']);
  });
});

describe('carriages apart', () => {
  const p = problemOf('cable-fly-level');
  const { best } = solved(p);
  const apart = { ...best.placement, leftBy: -4 };
  it('only the left arm’s line changes', () => {
    const e = evaluatePlacement(p, apart);
    expect(e.bySide.right!.metrics).toEqual(best.bySide.right!.metrics);
    expect(e.worse).toBe('left');
    expect(e.metrics.offPlaneFinishDeg).toBeLessThan(-5);
    expect(isWithin(findTolerance(p, best), best.placement, apart)).toBe(false);
  });
  it('the least change is to level them; stuck so, the rest is solved round it', () => {
    expect(findLeastChange(p, apart, best)!.changes).toEqual([{ setting: 'leftBy', from: -4, to: 0 }]);
    const stuck = solveSetup(problemOf('cable-fly-level', 1.75, { fixed: { hole: best.placement.hole, leftBy: -1 } }));
    expect((stuck.feasible ? stuck.best : stuck.nearest).placement).toMatchObject({
      hole: best.placement.hole,
      leftBy: -1,
    });
  });
});

describe('tolerance and sensitivity', () => {
  const p = problemOf('cable-fly-high-to-low');
  const { best } = solved(p);
  const t = findTolerance(p, best);
  it('holds just inside and fails just outside', () => {
    const inLine = (dx: number) => {
      const m = evaluatePlacement(p, { ...best.placement, standX: best.placement.standX + dx }).metrics;
      return (
        m.offPlaneRmsDeg <= 3 && Math.abs(m.offPlaneFinishDeg) <= 3 && Math.abs(m.peakAt - best.metrics.peakAt) <= 0.05
      );
    };
    expect(t.standXM[0]).toBeLessThan(0);
    expect([
      inLine(t.standXM[0]),
      inLine(t.standXM[1]),
      inLine(t.standXM[0] - 0.01),
      inLine(t.standXM[1] + 0.01),
    ]).toEqual([true, true, false, false]);
    expect(isWithin(t, best.placement, { ...best.placement, standX: best.placement.standX + t.standXM[1] })).toBe(true);
    expect(isWithin(t, best.placement, { ...best.placement, hole: best.placement.hole - 5 })).toBe(false);
  });
  it('a taller shoulder asks for the same hole or a higher one, never a lower', () => {
    const question = questionOf('cable-fly-level', 1.75);
    const s = findSensitivity(
      question,
      { statureM: 1.75, massKg: question.body.massKg, measuredM: {} },
      'shoulderHeight',
      best.placement,
      stanceOf(poseKnown(question).entry),
    );
    expect(s.higher!.hole).toBeGreaterThanOrEqual(s.lower!.hole);
    expect(s.higher!.hole - s.lower!.hole).toBeLessThanOrEqual(1);
  });
  it('load changes moments, not where things go', () => {
    const heavy = solved(problemOf('cable-fly-level', 1.75, { loadKg: 30 })).best;
    expect(
      Math.abs(heavy.placement.hole - solved(problemOf('cable-fly-level')).best.placement.hole),
    ).toBeLessThanOrEqual(1);
  });
});
