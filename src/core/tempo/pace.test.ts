import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildRep, paceAt, phaseSeconds, repSeconds, slowOf, timeUnderTensionS, type Pace } from './pace';
import { PHASES } from './tempo';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const anyPace: fc.Arbitrary<Pace> = fc
  .record({
    lowering: fc.integer({ min: 1, max: 20 }),
    stretch: fc.integer({ min: 0, max: 20 }),
    lifting: fc.integer({ min: 1, max: 20 }),
    finish: fc.integer({ min: 0, max: 20 }),
    startsWith: fc.constantFrom('lifting' as const, 'lowering' as const),
    ends: fc.tuple(share, share),
    slowEnds: fc.option(fc.tuple(share, share)),
    seconds: fc.integer({ min: 1, max: 20 }),
  })
  .filter(
    (r) =>
      Math.abs(r.ends[0] - r.ends[1]) > 0.05 && (r.slowEnds === null || Math.abs(r.slowEnds[0] - r.slowEnds[1]) > 0.02),
  )
  .map(({ ends, slowEnds, seconds, startsWith, ...tempo }) => ({
    tempo,
    startsWith,
    from: Math.min(...ends),
    to: Math.max(...ends),
    slow: slowEnds && { from: Math.min(...slowEnds), to: Math.max(...slowEnds), seconds },
  }));

describe('any pace', () => {
  it('is a closed way: each leg begins where the one before ended, and the last ends where the first began', () => {
    fc.assert(
      fc.property(anyPace, (p) => {
        const legs = buildRep(p);
        legs.forEach((leg, i) => {
          const next = legs[(i + 1) % legs.length]!;
          expect(leg.to).toBeCloseTo(next.from, 9);
          if (i > 0) expect(leg.startS).toBeCloseTo(legs[i - 1]!.startS + legs[i - 1]!.seconds, 9);
        });
        const ends = legs.flatMap((l) => [l.from, l.to]);
        expect([Math.min(...ends), Math.max(...ends)]).toEqual([expect.closeTo(p.from, 9), expect.closeTo(p.to, 9)]);
      }),
    );
  });
  it('takes the time of its phases, whichever it begins with', () => {
    fc.assert(
      fc.property(anyPace, (p) => {
        const other = { ...p, startsWith: p.startsWith === 'lifting' ? ('lowering' as const) : ('lifting' as const) };
        expect(PHASES.reduce((a, phase) => a + phaseSeconds(p, phase), 0)).toBeCloseTo(repSeconds(p), 9);
        for (const phase of PHASES) expect(phaseSeconds(other, phase)).toBeCloseTo(phaseSeconds(p, phase), 9);
        // Without a section a part of the range takes its share.
        if (!p.slow) expect(phaseSeconds(p, 'lifting')).toBeCloseTo(p.tempo.lifting * (p.to - p.from), 9);
      }),
    );
  });
  it('a section that is wholly in the range takes its own seconds each way', () => {
    fc.assert(
      fc.property(
        anyPace.filter((p) => p.slow !== null && p.slow.from >= p.from && p.slow.to <= p.to),
        (p) => {
          const within = buildRep(p).filter(
            (l) =>
              l.from !== l.to &&
              Math.min(l.from, l.to) >= p.slow!.from - 1e-12 &&
              Math.max(l.from, l.to) <= p.slow!.to + 1e-12,
          );
          for (const phase of ['lifting', 'lowering'] as const)
            expect(within.filter((l) => l.phase === phase).reduce((a, l) => a + l.seconds, 0)).toBeCloseTo(
              p.slow!.seconds,
              6,
            );
        },
      ),
    );
  });
  it('counts reps by their time and tells how long a phase still lasts', () => {
    fc.assert(
      fc.property(anyPace, fc.double({ min: 0, max: 200, noNaN: true }), (p, t) => {
        const at = paceAt(p, t);
        expect(at.done).toBe(Math.floor(t / repSeconds(p)));
        expect(at.leftS).toBeGreaterThan(0);
        // A moment before the phase is over it is still the same one.
        if (at.leftS > 1e-3) expect(paceAt(p, t + at.leftS - 1e-4).phase).toBe(at.phase);
      }),
    );
  });
  it('all of it is under tension where all is loaded, none where nothing is', () => {
    fc.assert(
      fc.property(anyPace, fc.integer({ min: 1, max: 30 }), (p, reps) => {
        expect(
          timeUnderTensionS(
            p,
            reps,
            Array.from({ length: 41 }, () => true),
          ),
        ).toBeCloseTo(timeUnderTensionS(p, reps, null), 6);
        expect(
          timeUnderTensionS(
            p,
            reps,
            Array.from({ length: 41 }, () => false),
          ),
        ).toBe(0);
      }),
    );
  });
  it('a section’s shares are where the angle says, rising or falling', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 90 }),
        fc.integer({ min: 20, max: 90 }),
        fc.integer({ min: 0, max: 170 }),
        fc.integer({ min: 1, max: 60 }),
        fc.boolean(),
        (start, turn, fromDeg, wide, falling) => {
          const rising = Array.from({ length: 41 }, (_, i) => start + (turn * i) / 40);
          const s = slowOf(
            { fromDeg, toDeg: Math.min(180, fromDeg + wide), seconds: 3 },
            falling ? [...rising].reverse() : rising,
          );
          const [a, b] = [Math.max(fromDeg, start), Math.min(Math.min(180, fromDeg + wide), start + turn)];
          if (b - a < 1e-9) {
            expect(s).toBeNull();
            return;
          }
          const at = (deg: number): number => (falling ? 1 - (deg - start) / turn : (deg - start) / turn);
          expect([s!.from, s!.to]).toEqual([at(a), at(b)].sort((x, y) => x - y).map((v) => expect.closeTo(v, 9)));
        },
      ),
    );
  });
});
