import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { findInTrace, speedLoss } from './findings';
import { wayAt } from './minimum-jerk';
import { segmentReps, type TracePoint } from './segment-reps';

/** `npm test` goes through a hundred, `npm run traces` through five hundred. */
const SEEDS = Number(process.env.JORVIX_TRACES ?? (process.env.JORVIX_WHOLE ? 100 : 30));

interface Made {
  readonly lifting: number;
  readonly finish: number;
  readonly lowering: number;
  readonly stretch: number;
  readonly range: number;
}

function trace(
  reps: readonly Made[],
  o: {
    readonly hz: number;
    readonly noiseM?: number;
    readonly driftMs?: number;
    readonly missing?: number;
    readonly way?: (s: number) => number;
    readonly random: () => number;
  },
): TracePoint[] {
  const legs = reps.flatMap(
    (r) =>
      [
        [r.lifting, 0, r.range],
        [r.finish, r.range, r.range],
        [r.lowering, r.range, 0],
        [r.stretch, 0, 0],
      ] as const,
  );
  const total = legs.reduce((a, l) => a + l[0], 1) + 1;
  const points: TracePoint[] = [];
  // Gaussian by Box and Muller.
  const noise = (): number =>
    (o.noiseM ?? 0) * Math.sqrt(-2 * Math.log(1 - o.random())) * Math.cos(2 * Math.PI * o.random());
  for (let tS = 0; tS <= total; tS += 1 / o.hz) {
    if (points.length > 0 && tS < total - 1 && o.random() < (o.missing ?? 0)) continue;
    let [t, x] = [tS - 1, 0];
    for (const [s, a, b] of legs) {
      if (t >= 0) x = s > 0 ? a + (b - a) * (o.way ?? wayAt)(Math.min(1, t / s)) : x;
      t -= s;
    }
    points.push({ tS, xM: x + noise() + (o.driftMs ?? 0) * tS });
  }
  return points;
}

const made = (change: Partial<Made> = {}): Made => ({
  lifting: 2,
  finish: 1,
  lowering: 3,
  stretch: 1,
  range: 0.5,
  ...change,
});

describe('reps of a trace', () => {
  it.each<[number, string, number, ((s: number) => number) | null]>([
    [SEEDS, 'free', 0.1, null],
    [
      SEEDS,
      'after a mark, with ramps of a tenth',
      0.2,
      (s) => (s < 0.1 ? (s * s) / 0.18 : s > 0.9 ? 1 - (1 - s) ** 2 / 0.18 : (s - 0.05) / 0.9),
    ],
  ])(
    '%d seeded traces, %s, with noise, drift and missing samples: every rep, no other, phases within %d s',
    (count, _, withinS, way) => {
      const random = seeded(7);
      const between = (a: number, b: number): number => a + (b - a) * random();
      for (let k = 0; k < count; k++) {
        const base = made({
          lifting: between(way ? 1.5 : 0.6, 3),
          finish: between(0.3, 2),
          lowering: between(way ? 1.5 : 1, 5),
          stretch: between(0.3, 2),
          range: between(0.25, 0.8),
        });
        const near = (v: number): number => v * between(0.9, 1.1);
        const reps = Array.from({ length: 3 + Math.floor(random() * 10) }, () =>
          made({
            lifting: near(base.lifting),
            finish: near(base.finish),
            lowering: near(base.lowering),
            stretch: near(base.stretch),
            range: base.range * between(0.9, 1),
          }),
        );
        const found = segmentReps(
          trace(reps, {
            hz: between(20, 200),
            noiseM: 0.003 * random(),
            driftMs: between(-0.0004, 0.0004),
            missing: 0.1 * random(),
            random,
            ...(way ? { way } : {}),
          }),
        );
        expect(found?.length, `trace ${k}`).toBe(reps.length);
        found!.forEach((r, i) => {
          const want = reps[i]!;
          for (const [name, a, b] of [
            ['lifting', r.liftingS, want.lifting],
            ['finish', r.finishS!, want.finish],
            ['lowering', r.loweringS, want.lowering],
            ...(r.stretchS === null ? [] : [['stretch', r.stretchS, want.stretch] as const]),
          ] as const)
            expect(Math.abs(a - b), `trace ${k} rep ${i} ${name} ${b}`).toBeLessThan(withinS);
          expect(Math.abs(r.rangeM - want.range)).toBeLessThan(0.02);
        });
      }
    },
  );
  it('speeds: mean is way over time, the peak of a minimum-jerk lift 15/8 of it', () => {
    const [rep] = segmentReps(trace([made()], { hz: 100, random: seeded(1) }))!;
    expect(rep!.meanSpeedMs).toBeCloseTo(0.25, 2);
    expect(rep!.peakSpeedMs / rep!.meanSpeedMs).toBeCloseTo(15 / 8, 1);
  });
  it('a bounce turns hard, a paused stretch does not; a shrinking range is told against the first reps', () => {
    const turns = segmentReps(
      trace([made(), made({ lowering: 0.5, stretch: 0 }), made({ lifting: 0.5 }), made({ range: 0.35 })], {
        hz: 100,
        random: seeded(2),
      }),
    )!;
    expect(turns[2]!.turnMs2).toBeGreaterThan(6);
    expect(turns[1]!.turnMs2).toBeLessThan(2);
    expect(turns[3]!.rangeShare).toBeCloseTo(0.7, 1);
  });
  it.each<[string, TracePoint[]]>([
    ['nothing', []],
    ['standing still', trace([], { hz: 50, random: seeded(3) })],
    [
      'a gap of more than a second',
      [
        { tS: 0, xM: 0 },
        { tS: 2, xM: 0.5 },
        { tS: 4, xM: 0 },
      ],
    ],
    [
      'time going back',
      [
        { tS: 0, xM: 0 },
        { tS: -1, xM: 0.5 },
      ],
    ],
  ])('%s is no set', (_, points) => expect(segmentReps(points)).toBeNull());
});

const ASKED = { liftingS: 2, loweringS: 3, share: 1 };

describe('what a trace shows, by lifter', () => {
  const lifter: Readonly<Record<string, Made[]>> = {
    steady: Array.from({ length: 6 }, () => made()),
    rushed: Array.from({ length: 6 }, () => made({ lowering: 1 })),
    bouncing: Array.from({ length: 6 }, () => made({ lifting: 0.5, lowering: 0.5, stretch: 0 })),
    shrinking: [1, 1, 1, 0.95, 0.8, 0.7].map((k) => made({ range: 0.5 * k })),
    'dropping the last': [...Array.from({ length: 5 }, () => made()), made({ lowering: 0.6 })],
  };
  it.each([
    ['steady', []],
    [
      'rushed',
      [
        ['lowering-rushed', [1, 2, 3, 4, 5, 6]],
        ['off-tempo', [1, 2, 3, 4, 5, 6]],
      ],
    ],
    [
      'bouncing',
      [
        ['lowering-rushed', [1, 2, 3, 4, 5, 6]],
        ['bounces', [2, 3, 4, 5, 6]],
        ['off-tempo', [1, 2, 3, 4, 5, 6]],
      ],
    ],
    ['shrinking', [['range-shrinks', [5, 6]]]],
    [
      'dropping the last',
      [
        ['last-lowering-dropped', [6]],
        ['off-tempo', [6]],
      ],
    ],
  ] as const)('%s', (name, want) => {
    const reps = segmentReps(trace(lifter[name]!, { hz: 100, noiseM: 0.001, random: seeded(5) }))!;
    expect(findInTrace(reps, () => ASKED, null).map((f) => [f.kind, f.reps])).toEqual(want);
  });
  it('a stack that comes back to where it rested has set down', () => {
    const reps = segmentReps(trace(lifter['steady']!, { hz: 100, random: seeded(6) }))!;
    expect(findInTrace(reps, () => ASKED, 0)).toEqual([{ kind: 'stack-touches', reps: [2, 3, 4, 5, 6] }]);
    expect(findInTrace(reps, () => ASKED, -0.05)).toEqual([]);
  });
  it('speed lost: half the speed by the last rep is a half', () =>
    expect(speedLoss(segmentReps(trace([made(), made({ lifting: 4 })], { hz: 100, random: seeded(8) }))!)).toBeCloseTo(
      0.5,
      1,
    ));
});
