import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findEntry } from '@/core/book/book';
import { PEAK_TARGETS } from '@/core/movement/peak-target';
import { FLIES as MOVEMENT_IDS } from './support/fixtures';
import type { Answer, AnswerEvaluation } from '@/contract/answer';
import type { CaseInput } from '@/contract/case';
import { answerCase } from '@/solver/solve-case';

const round = (x: number, step: number): number => Math.round(x / step) * step;
const between = (min: number, max: number, step = 0.01) =>
  fc.double({ min, max, noNaN: true }).map((x) => Number(round(x, step).toFixed(4)));

/** Any body on any plausible column, from either end of the numbering. */
const anyCase: fc.Arbitrary<CaseInput> = fc
  .record({
    statureM: between(1.25, 2.25),
    massKg: between(30, 200, 1),
    low: between(0.05, 0.6),
    pitchM: between(0.04, 0.16),
    holes: fc.integer({ min: 3, max: 30 }),
    numberedFrom: fc.constantFrom('bottom' as const, 'top' as const),
    twinSpacingM: between(1, 4),
    pulleyRatio: fc.constantFrom(1, 2, 4),
    travelM: between(0.8, 4),
    lengthM: between(0, 0.5),
    movement: fc.constantFrom(...MOVEMENT_IDS),
    side: fc.constantFrom('left' as const, 'right' as const, 'both' as const),
    peak: fc.constantFrom(...PEAK_TARGETS),
    loadKg: between(0, 60, 0.5),
    behind: fc.option(between(0, 60, 1)),
  })
  .filter((x) => x.low + (x.holes - 1) * x.pitchM <= 3)
  .map((x) => ({
    format: 'jorvix-case/1' as const,
    client: {
      statureM: x.statureM,
      massKg: x.massKg,
      ...(x.behind === null ? {} : { activeRangeDeg: { right: { 'shoulder.horizontalAbduction': x.behind } } }),
    },
    station: {
      column: {
        firstHoleM: x.numberedFrom === 'bottom' ? x.low : x.low + (x.holes - 1) * x.pitchM,
        pitchM: x.pitchM,
        holes: x.holes,
        numberedFrom: x.numberedFrom,
        twinSpacingM: x.twinSpacingM,
        pulleyRatio: x.pulleyRatio,
        travelM: x.travelM,
      },
    },
    attachment: { lengthM: x.lengthM },
    movement: x.movement,
    side: x.side,
    options: { peak: x.peak },
    loadKg: x.loadKg,
  }));

function ask(c: CaseInput): Answer {
  const reply = answerCase(c);
  if (!reply.ok) throw new Error(JSON.stringify(reply.issues));
  return reply.answer;
}

function allFinite(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value);
  if (Array.isArray(value)) return value.every(allFinite);
  return value !== null && typeof value === 'object' ? Object.values(value).every(allFinite) : true;
}

const setting = (e: AnswerEvaluation) => ({
  hole: e.hole!,
  standX: e.stand.x,
  standZ: e.stand.z,
  yawDeg: e.stand.yawDeg,
});

describe('any body on any column', () => {
  it('is answered with a set-up inside every limit, or with the limit that blocks', () => {
    let feasible = 0;
    fc.assert(
      fc.property(anyCase, (c) => {
        const a = ask(c);
        expect(allFinite(a)).toBe(true);
        if (!a.feasible) {
          expect(a.blockedBy.length).toBeGreaterThan(0);
          for (const limit of a.blockedBy) expect(limit.says.length).toBeGreaterThan(20);
          return;
        }
        feasible += 1;
        const best = a.best!;
        const column = c.station!.column!;
        expect(best.limits).toEqual([]);
        expect(best.hole).toBeGreaterThanOrEqual(1);
        expect(best.hole).toBeLessThanOrEqual(column.holes);
        expect(best.metrics.minClearanceM!).toBeGreaterThanOrEqual(0.05);
        expect(best.metrics.maxTravelM!).toBeLessThanOrEqual(column.travelM!);
        expect(best.metrics.restShare).toBeLessThanOrEqual(0.25);
        expect(best.tolerance!.standXM[0]).toBeLessThanOrEqual(0);
        expect(best.tolerance!.standXM[1]).toBeGreaterThanOrEqual(0);
        for (const other of a.alternatives) {
          expect(other.cost!.total).toBeGreaterThanOrEqual(best.cost!.total);
          expect(other.hole).not.toBe(best.hole);
        }
      }),
      { numRuns: 60, seed: 24 },
    );
    expect(feasible).toBeGreaterThan(10);
  });

  it('an answer given back as found needs no change', () => {
    let given = 0;
    fc.assert(
      fc.property(anyCase, (c) => {
        const a = ask(c);
        if (!a.feasible || a.best!.metrics.offPlaneRmsDeg > 2.9 || Math.abs(a.best!.metrics.offPlaneFinishDeg) > 2.9)
          return;
        given += 1;
        const again = ask({ ...c, given: setting(a.best!) });
        expect(again.leastChange!.changes).toEqual([]);
        expect(again.asGiven!.metrics).toEqual(a.best!.metrics);
        expect(setting(again.best!)).toEqual(setting(a.best!));
      }),
      { numRuns: 20, seed: 3 },
    );
    expect(given).toBeGreaterThan(3);
  });

  it('a fixed setting stays fixed', () => {
    let held = 0;
    fc.assert(
      fc.property(anyCase, fc.constantFrom('hole', 'standX', 'standZ', 'yawDeg'), (c, key) => {
        const value = { hole: Math.ceil(c.station!.column!.holes / 2), standX: 0.4, standZ: 0.1, yawDeg: 5 }[key]!;
        const a = ask({ ...c, given: { [key]: value } });
        if (!a.feasible) return;
        held += 1;
        expect(setting(a.best!)[key as keyof ReturnType<typeof setting>]).toBe(value);
      }),
      { numRuns: 30, seed: 8 },
    );
    expect(held).toBeGreaterThan(5);
  });

  it('a wider limit never makes the best worse', () => {
    let compared = 0;
    fc.assert(
      fc.property(anyCase, (c) => {
        const tight = ask(c);
        if (!tight.feasible) return;
        compared += 1;
        const column = { ...c.station!.column!, travelM: 6 };
        const loose = ask({ ...c, station: { column, room: { minDistanceM: -0.5, maxDistanceM: 2.5 } } });
        expect(loose.feasible).toBe(true);
        expect(loose.best!.cost!.total).toBeLessThanOrEqual(tight.best!.cost!.total + 0.5);
      }),
      { numRuns: 20, seed: 15 },
    );
    expect(compared).toBeGreaterThan(3);
  });
});

describe('the cost is what it says', () => {
  const base: CaseInput = {
    format: 'jorvix-case/1',
    client: { statureM: 1.75, massKg: 75 },
    attachment: { lengthM: 0.14 },
    movement: 'cable-fly-level',
    side: 'both',
    loadKg: 15,
    station: { column: { firstHoleM: 0.25, pitchM: 0.1, holes: 20, numberedFrom: 'bottom', twinSpacingM: 2.4 } },
  };
  it.each(MOVEMENT_IDS.flatMap((id) => PEAK_TARGETS.map((p) => [id, p] as const)))(
    '%s, peak %s: terms made again from the metrics',
    (movement, peak) => {
      const e = ask({ ...base, movement, options: { peak } }).best!;
      const m = e.metrics;
      const { terms } = e.cost!;
      const made = {
        lengthened: 30 * Math.abs(m.peakAt - 1 / 6),
        mid: 30 * Math.abs(m.peakAt - 1 / 2),
        contracted: 30 * Math.abs(m.peakAt - 5 / 6),
        even: 25 * (1 - m.evenness),
        matched: 25 * (1 - m.matched),
      }[peak];
      expect(terms.offPlane).toBeCloseTo(m.offPlaneRmsDeg, 9);
      expect(terms.finishLine).toBeCloseTo(Math.abs(m.offPlaneFinishDeg) / 2, 9);
      expect(terms.peak).toBeCloseTo(made, 9);
      expect(terms.restZone).toBeCloseTo(20 * m.restShare, 9);
      expect(terms.shortCable).toBeCloseTo(((0.02 / (m.minClearanceM! + 0.14 + 0.02)) * 180) / Math.PI, 9);
      expect([terms.squareness, terms.change]).toEqual([0, 0]);
    },
  );
  it('a wished peak lands in or next to its third', () => {
    for (const movement of MOVEMENT_IDS) {
      const at = (peak: (typeof PEAK_TARGETS)[number]) =>
        ask({ ...base, movement, options: { peak } }).best!.metrics.peakAt;
      expect(at('lengthened')).toBeLessThan(1 / 3);
      // The floor behind the pulleys ends at 30 cm, and resting a quarter of the range is a limit.
      expect(at('contracted')).toBeGreaterThanOrEqual(at('mid'));
      expect(at('mid')).toBeGreaterThan(at('lengthened'));
    }
  });
  it('the movement’s tilts are all solvable for a common body', () => {
    for (const movement of MOVEMENT_IDS) {
      const { path } = findEntry(movement)!;
      if (path.kind !== 'sweep') throw new Error(movement);
      const { min, max } = path.tiltDeg;
      for (const tiltDeg of [min, (min + max) / 2, max])
        expect([movement, tiltDeg, ask({ ...base, movement, options: { tiltDeg } }).feasible]).toEqual([
          movement,
          tiltDeg,
          true,
        ]);
    }
  });
});
