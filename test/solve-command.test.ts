import { spawnSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { toRad } from '@/core/units/angle';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { answerSchema, type Answer, type AnswerEvaluation } from '@/contract/answer';
import { answerCase } from '@/solver/solve-case';
import { cross, dot, length, normalise, subtract, type Vec3 } from '@/core/geometry/vector';

const CASE = {
  format: 'jorvix-case/1',
  client: {
    statureM: 1.75,
    massKg: 75,
    measuredM: { shoulderHeight: 1.43 },
    activeRangeDeg: { right: { 'shoulder.horizontalAbduction': 10 } },
  },
  station: {
    column: {
      firstHoleM: 0.25,
      pitchM: 0.1,
      holes: 20,
      numberedFrom: 'bottom',
      twinSpacingM: 2.4,
      pulleyRatio: 1,
      clearanceM: 0.05,
      travelM: 3,
    },
    room: { maxDistanceM: 2 },
  },
  attachment: { lengthM: 0.14 },
  movement: 'cable-fly-high-to-low',
  side: 'right',
  options: { peak: 'even' },
  loadKg: 15,
  given: { hole: 14, standX: 0.2, standZ: 0, yawDeg: 0 },
};
const changed = (edit: (c: typeof CASE & Record<string, unknown>) => void): unknown => {
  const c = structuredClone(CASE) as typeof CASE & Record<string, unknown>;
  edit(c);
  return c;
};
const answer = (c: unknown): Answer => {
  const reply = answerCase(c);
  if (!reply.ok) throw new Error(JSON.stringify(reply.issues));
  return answerSchema.parse(reply.answer);
};

describe('npm run -s solve', () => {
  const run = (args: string[], input = '') =>
    spawnSync('npm', ['run', '-s', 'solve', '--', ...args], { input, encoding: 'utf8' });
  it('answers a case from standard input with JSON and nothing else', () => {
    const { status, stdout } = run(['-'], JSON.stringify(CASE));
    expect(status).toBe(0);
    expect(answerSchema.parse(JSON.parse(stdout)).feasible).toBe(true);
  });
  it('answers an array with an array, and a blocked case with exit 0', () => {
    const short = changed((c) => void (c.station.column.travelM = 0.6));
    const { status, stdout } = run(['-'], JSON.stringify([CASE, short]));
    expect(status).toBe(0);
    expect((JSON.parse(stdout) as Answer[]).map((a) => a.feasible)).toEqual([true, false]);
  });
  it('exits 2 with one line per problem, naming path and expectation', () => {
    const wrong = changed((c) => {
      c.client.statureM = 2.6;
      c.given.hole = 33;
      c.loadKg = -5;
    });
    const { status, stdout, stderr } = run(['-'], JSON.stringify(wrong));
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr.trim().split('\n')).toEqual([
      'client.statureM: expected a number from 1.2 to 2.3 m',
      'loadKg: expected a number from 0 to 500 kg',
      'given.hole: expected a whole number from 1 to 20',
    ]);
    expect(run(['-'], 'not json').status).toBe(2);
    expect(run([]).stderr).toContain('usage');
  });
  it('prints schemas and movements', () => {
    expect(JSON.parse(run(['--schema']).stdout).case.properties.movement.enum).toContain('cable-fly-level');
    const listed = JSON.parse(run(['--movements']).stdout) as { movement: string; solved: string[] }[];
    expect(new Set(listed.map((m) => m.movement)).size).toBe(90);
    expect(listed.find((m) => m.movement === 'pulldown-side-lying')!.solved).toEqual([
      'hole',
      'standX',
      'standZ',
      'yawDeg',
      'notch',
    ]);
  });
});

describe('what a case may not be', () => {
  it.each([
    ['client.statureM', (c: typeof CASE) => void (c.client.statureM = 1.1), 'from 1.2 to 2.3'],
    [
      'client.measuredM.shoulderHeight',
      (c: typeof CASE) => void (c.client.measuredM.shoulderHeight = 0.9),
      '1.07 to 1.75 m',
    ],
    ['given.hole', (c: typeof CASE) => void (c.given.hole = 21), 'from 1 to 20'],
    ['given.hole', (c: typeof CASE) => void (c.given.hole = 2.5), 'whole number'],
    ['loadKg', (c: typeof CASE) => void (c.loadKg = -1), 'from 0 to 500'],
    [
      'station.column.twinSpacingM',
      (c: typeof CASE) => void (c.station.column.twinSpacingM = 0.6),
      'wider than the shoulders',
    ],
    ['movement', (c: typeof CASE) => void (c.movement = 'swim'), 'a movement of the book'],
    ['options.tiltDeg', (c: typeof CASE) => void Object.assign(c.options, { tiltDeg: 5 }), 'from 30 to 65'],
    ['client.weight', (c: typeof CASE) => void Object.assign(c.client, { weight: 5 }), 'unknown key'],
    ['attachment', (c: typeof CASE) => void delete (c as Partial<typeof CASE>).attachment, 'expected an object'],
    ['station.column.firstHoleM', (c: typeof CASE) => void (c.station.column.numberedFrom = 'top'), 'above the floor'],
  ])('%s', (path, edit, message) => {
    const reply = answerCase(changed(edit as never));
    expect(reply.ok).toBe(false);
    if (!reply.ok) expect(reply.issues.find((i) => i.path === path)?.message).toContain(message);
  });
});

/** Metrics made again from nothing but samples and pulley, as a reader of the format would. */
function recompute(e: AnswerEvaluation) {
  const samples = e.samples as readonly {
    s: number;
    shoulderM: Vec3;
    elbowM: Vec3;
    gripM: Vec3;
    lineUnit: Vec3;
    resistanceNm: number;
    offPlaneDeg: number;
    travelM: number;
  }[];
  const pulley = e.pulleyM as Vec3;
  const r = samples.map((s) => s.resistanceNm);
  const peak = Math.max(...r);
  const weights = r.map((x) => Math.max(0, x));
  const rms = Math.sqrt(
    samples.reduce((a, s, i) => a + weights[i]! * s.offPlaneDeg ** 2, 0) / weights.reduce((a, b) => a + b, 0),
  );
  const mean = r.reduce((a, x, i) => a + x * (i === 0 || i === r.length - 1 ? 0.5 : 1), 0) / (r.length - 1);
  return {
    samples,
    pulley,
    peak,
    peakAt: r.indexOf(peak) / (r.length - 1),
    rms,
    evenness: mean / peak,
    travel: samples.map((s) => s.travelM),
  };
}

describe('the answer can be checked from itself', () => {
  const a = answer(CASE);
  it.each([
    ['best', a.best!],
    ['as given', a.asGiven!],
  ] as const)('%s', (_, e) => {
    const again = recompute(e);
    expect(again.samples.length).toBeGreaterThanOrEqual(41);
    expect(again.rms).toBeCloseTo(e.metrics.offPlaneRmsDeg, 6);
    expect(again.peak).toBeCloseTo(e.metrics.peakResistanceNm, 0);
    expect(Math.abs(again.peakAt - e.metrics.peakAt)).toBeLessThanOrEqual(1 / 40);
    expect(again.evenness).toBeCloseTo(e.metrics.evenness, 2);
    expect(Math.min(...again.travel)).toBeCloseTo(e.metrics.minClearanceM!, 9);
    expect(Math.max(...again.travel)).toBeCloseTo(e.metrics.maxTravelM!, 9);
    // Grip, line and pulley agree; cable length less the handle is the travel; the resistance is tension times lever.
    const first = again.samples[0]!;
    const last = again.samples[40]!;
    const normal = normalise(cross(subtract(first.gripM, first.shoulderM), subtract(last.gripM, last.shoulderM)));
    for (const s of again.samples) {
      const toPulley = subtract(again.pulley, s.gripM);
      expect(length(subtract(s.lineUnit, normalise(toPulley)))).toBeLessThan(1e-9);
      expect(length(toPulley) - CASE.attachment.lengthM).toBeCloseTo(s.travelM, 9);
      expect(Math.abs(dot(s.lineUnit, normal))).toBeCloseTo(Math.sin(toRad(Math.abs(s.offPlaneDeg))), 6);
      const lineNm =
        Math.abs(dot(cross(subtract(s.gripM, s.shoulderM), s.lineUnit), normal)) * CASE.loadKg * GRAVITY_MS2;
      expect(Math.abs(lineNm - s.resistanceNm)).toBeLessThan(15); // the arm's own weight, at most
    }
  });
  it('best costs no more than what was given, and the least change puts that right', () => {
    expect(a.best!.cost!.total).toBeLessThan(a.asGiven!.cost!.total);
    expect(a.leastChange!.result.metrics.offPlaneRmsDeg).toBeLessThanOrEqual(3);
    expect(Object.values(a.best!.cost!.terms).reduce((x, y) => x + y, 0)).toBeCloseTo(a.best!.cost!.total, 9);
  });
  it('a partly given set-up fixes that part', () => {
    const part = answer(changed((c) => void (c.given = { hole: 15 } as never)));
    expect([part.best!.hole, part.asGiven]).toEqual([15, null]);
  });
  it('both sides give left and right', () => {
    const both = answer(changed((c) => void Object.assign(c, { side: 'both', given: undefined })));
    const samples = both.best!.samples as { left: unknown[]; right: unknown[] };
    expect([samples.left.length, samples.right.length]).toEqual([41, 41]);
  });
  it('a column that cannot reach names the limit and the nearest that works', () => {
    const low = answer(
      changed((c) => {
        c.station.column.holes = 8;
        c.given.hole = 8;
      }),
    );
    expect(low.feasible).toBe(false);
    expect(low.blockedBy.map((b) => b.limit)).toEqual(['rest']);
    expect(low.blockedBy[0]!.says).toMatch(/would rest for \d+ % of the range/);
    expect(low.nearest).not.toBeNull();
  });
});
