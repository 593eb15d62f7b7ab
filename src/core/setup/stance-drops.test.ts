import { describe, expect, it } from 'vitest';
import { COLUMN, FLIES, problemOf, solved } from '../../../test/support/fixtures';
import { evaluatePlacement } from './evaluate';
import { DROP_ORDER, findStanceDrops, findStepIns } from './stance-drops';

const WIDE = { room: { minDistanceM: -1, maxDistanceM: 2 } };
const CENTRE = { contracted: 5 / 6, mid: 1 / 2, lengthened: 1 / 6 } as const;

describe.each([1.5, 1.75, 2])('stance drops, %d m', (h) => {
  it('a level fly: each usable mark puts the peak into its third, further out for each (common practice)', () => {
    const p = problemOf('cable-fly-level', h, WIDE);
    const at = solved(p).best.placement;
    const drops = findStanceDrops(p, at);
    expect(drops.map((d) => d.third)).toEqual(DROP_ORDER);
    const usable = drops.filter((d) => d.blocked === null);
    expect(usable.length).toBeGreaterThanOrEqual(2);
    for (const d of usable) {
      const e = evaluatePlacement(p, { ...at, standX: d.standX! });
      expect(Math.abs(e.metrics.peakAt - CENTRE[d.third])).toBeLessThanOrEqual(1 / 6 + 0.02);
      expect(e.metrics.minClearanceM).toBeGreaterThanOrEqual(COLUMN.clearanceM);
      expect(e.metrics.offPlaneRmsDeg).toBeLessThanOrEqual(evaluatePlacement(p, at).metrics.offPlaneRmsDeg + 3 + 1e-9);
    }
    const x = usable.map((d) => d.standX!);
    expect(x).toEqual(x.toSorted((a, b) => a - b));
  });
});

it('finds the mark that an exhaustive walk over the floor finds', () => {
  for (const id of FLIES) {
    const p = problemOf(id, 1.75, WIDE);
    const at = solved(p).best.placement;
    for (const d of findStanceDrops(p, at)) {
      if (d.blocked !== null) continue;
      for (let cm = -100; cm <= 200; cm++) {
        const e = evaluatePlacement(p, { ...at, standX: cm / 100 });
        const fine =
          e.metrics.minClearanceM >= COLUMN.clearanceM &&
          e.metrics.maxTravelM <= COLUMN.travelM &&
          e.metrics.offPlaneRmsDeg <= evaluatePlacement(p, at).metrics.offPlaneRmsDeg + 3;
        if (fine)
          expect(Math.abs(e.metrics.peakAt - CENTRE[d.third])).toBeGreaterThanOrEqual(
            Math.abs(d.peakAt - CENTRE[d.third]) - 0.02,
          );
      }
    }
  }
});

it('a step that lets the stack down or leaves the line is named, not offered', () => {
  const high = problemOf('cable-fly-high-to-low', 1.75, WIDE);
  const blocked = findStanceDrops(high, solved(high).best.placement).filter((d) => d.blocked !== null);
  expect(blocked.length).toBeGreaterThan(0);
  for (const d of blocked) expect(['line', 'stack', 'room']).toContain(d.blocked);
  const touchy = problemOf('cable-fly-level', 1.75, { ...WIDE, column: { ...COLUMN, clearanceM: 0.5 } });
  expect(
    findStanceDrops(touchy, { hole: 13, standX: 0.5, standZ: 0, yawDeg: 0 }).some((d) => d.blocked === 'stack'),
  ).toBe(true);
});

describe.each(['left', 'right'] as const)('one-arm rear-deltoid fly, %s', (side) => {
  it.each([1.5, 1.75, 1.98])(
    '%d m: stands where two steps in each take a tenth of the finish (common practice)',
    (h) => {
      const p = problemOf('rear-delt-cable-fly-one-arm', h, { side });
      const { placement } = solved(p).best;
      const steps = findStepIns(p, placement);
      expect(steps).toHaveLength(3);
      expect(steps[0]).toMatchObject({ standX: placement.standX, share: 1, laterShare: 1 });
      for (const [k, s] of steps.slice(1).entries()) {
        expect(steps[k]!.laterShare - s.laterShare).toBeGreaterThan(0.1);
        // The stretch stays about as hard.
        expect(s.share).toBeLessThan(steps[k]!.share);
        expect(s.share).toBeGreaterThan(0.85);
        expect(s.clearanceM).toBeGreaterThanOrEqual(COLUMN.clearanceM);
        expect(Math.round(s.standX * 100) % 5).toBe(0);
      }
    },
  );
});
