import { describe, expect, it } from 'vitest';
import { COLUMN, problemOf, solved } from '../../../test/support/fixtures';
import { holeHeightM } from '@/core/kit/column';
import { checkLine } from './line-check';

describe.each([
  ['cable-fly-high-to-low', 'both'],
  ['cable-row-level-one-arm', 'right'],
  ['pulldown-overhand', 'both'],
  ['rope-pushdown', 'both'],
] as const)('line check of %s', (id, side) => {
  const p = problemOf(id, 1.78, { side });
  const { placement } = solved(p).best;
  const at = (deg: number, place = placement, i = 40) => checkLine(p, place, 'right', i, deg);
  const own = at(0).computedDeg;
  it('agrees with itself and within three degrees, then asks', () => {
    expect(at(own)).toMatchObject({
      differsDeg: expect.closeTo(0, 9),
      agrees: true,
      handHigherM: expect.closeTo(0, 9),
      hole: placement.hole,
    });
    expect([at(own + 2.9).agrees, at(own - 2.9).agrees, at(own + 3.1).agrees, at(own - 3.1).agrees]).toEqual([
      true,
      true,
      false,
      false,
    ]);
  });
  it('another hole shows as that hole', () => {
    const hole = placement.hole > 10 ? placement.hole - 3 : placement.hole + 3;
    expect(at(at(0, { ...placement, hole }).computedDeg).hole).toBe(hole);
  });
  it('a client who stands elsewhere shows as that step', () => {
    const moved = at(0, { ...placement, standX: placement.standX + 0.2 }).computedDeg;
    const seen = at(moved).furtherM;
    // A pull's arm follows its cable, so that a nearer step may lie on the same slope; it explains the line as well.
    expect(seen).not.toBeNull();
    expect(at(0, { ...placement, standX: placement.standX + seen! }).computedDeg).toBeCloseTo(moved, 4);
    expect(Math.abs(seen!)).toBeLessThanOrEqual(0.2 + 1e-6);
    if (!p.pulls) expect(seen).toBeCloseTo(0.2, 6);
  });
  it('a steeper line means a lower hand: by the tangent', () => {
    const c = at(Math.min(own + 5, 89.5));
    expect(c.handHigherM).toBeLessThan(0);
    const level = at(own);
    expect(level.handHigherM - c.handHigherM).toBeGreaterThan(0.01);
    expect(holeHeightM(COLUMN, c.hole)).toBeGreaterThanOrEqual(holeHeightM(COLUMN, placement.hole));
  });
});
