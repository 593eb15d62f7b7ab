import { SIDES } from '@/core/body/side';
import { describe, expect, it } from 'vitest';
import { dot, length, normalise, subtract } from '@/core/geometry/vector';
import type { Band } from '@/core/kit/band';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { clampedAcos, toDeg } from '@/core/units/angle';
import { answerOf, bodyOf, sampled, uprightOf } from '../../../test/support/fixtures';
import { BOOK, findEntry } from './book';
import { sidesOf } from './book-entry';
import { bandedHandsN, entryLoads } from './entry-load';
import { USUAL_KIT, type StationKit } from './station-kit';
import { poseEntry, WHOLE_RANGE } from './pose-entry';

const LOAD_KG = 30;
const posedOn = (id: string, statureM = 1.75) => {
  const e = findEntry(id)!;
  return { e, body: bodyOf(statureM), posed: poseEntry(e, bodyOf(statureM), 'right', WHOLE_RANGE, USUAL_KIT)! };
};
const loadOf = (id: string, kit: StationKit = USUAL_KIT, statureM = 1.75) => {
  const { e, body, posed } = posedOn(id, statureM);
  return entryLoads(e, posed, body, LOAD_KG, kit)[0]!;
};
const solve = (id: string, more: object = {}) => {
  const e = findEntry(id)!;
  const a = answerOf(e, {
    body: bodyOf(1.75),
    side: sidesOf(e).at(-1)!,
    loadKg: LOAD_KG,
    column: null,
    ...more,
  });
  if (!a.ok) throw new Error(a.reason);
  return a;
};

describe('loads without a cable', () => {
  it('a dumbbell hangs whole in a hand, a bar half in each', () => {
    expect([loadOf('dumbbell-row-one-arm'), loadOf('barbell-curl')]).toEqual([
      { kind: 'weight', massKg: 30 },
      { kind: 'weight', massKg: 15 },
    ]);
  });
  it('a pull-up holds half the body in each hand, less half the band', () => {
    const body = bodyOf(1.75).massKg * GRAVITY_MS2;
    const held = (bandN: number) =>
      (loadOf('pull-up-band-assisted', { ...USUAL_KIT, bandN }) as { forceN: readonly number[] }).forceN;
    expect(held(0)).toEqual([0, expect.closeTo(body / 2, 9), 0]);
    expect(held(200)[1]).toBeCloseTo(body / 2 - 100, 9);
  });
  // A rigid body about its toes carries a few per cent more forward than ankles that give.
  it('hands carry about three quarters of the body in a push-up (remembered: 69 % up, 75 % down)', () => {
    for (const h of [1.5, 1.75, 2]) {
      const { forceN } = loadOf('close-push-up', USUAL_KIT, h) as { forceN: readonly number[] };
      const share = (2 * forceN[1]!) / (bodyOf(h).massKg * GRAVITY_MS2);
      expect(share).toBeGreaterThan(0.68);
      expect(share).toBeLessThan(0.8);
    }
  });
  it.each(['leg-extension', 'seated-leg-curl'])(
    '%s: the moment at the knee is half the stack on its moment arm, all the way',
    (id) => {
      const { samples, posed } = solve(id);
      const want = (LOAD_KG * GRAVITY_MS2 * 0.25) / 2;
      for (const v of samples.lineNm) expect(Math.abs(v - want)).toBeLessThan(0.02 * want);
      expect(posed.target.joint).toBe('middle');
    },
  );
  it('a cam that falls off takes the moment with it', () => {
    const own = {
      kind: 'leg-extension',
      seat: null,
      back: null,
      axisOverSeatM: 0,
      handleHeightM: 0,
      independentArms: false,
    } as const;
    const cam: StationKit = {
      ...USUAL_KIT,
      machines: {
        'leg-extension': {
          ...own,
          path: {
            kind: 'arc',
            radiusM: 0.36,
            momentArm: [
              { x: 0, y: 0.3 },
              { x: 90, y: 0.1 },
            ],
          },
        },
      },
    };
    const { samples, metrics } = solve('leg-extension', { kit: cam });
    expect(metrics.peakAt).toBe(0);
    expect(samples.lineNm[0]! / samples.lineNm[40]!).toBeGreaterThan(2);
  });
  it('twice the plates of a landmine add their own weight only, the bar’s share stays', () => {
    const row = findEntry('landmine-row-two-hand')!;
    const peak = (loadKg: number) => Math.max(...solve(row.id, { loadKg, options: uprightOf(row) }).samples.lineNm);
    const [none, one, two] = [peak(0), peak(20), peak(40)];
    expect(none).toBeGreaterThan(0);
    expect(two - one).toBeCloseTo(one - none, 6);
  });
});

const ANATOMY_DEG = { elbow: 152, knee: 145 };

const STATURES = [1.5, 1.75, 2];

describe.each(STATURES)('every movement is a thing a body can do, %d m', (h) => {
  it.each(sampled(BOOK, STATURES.indexOf(h)).map((e) => [e.id, e] as const))(
    '%s: nobody under the floor, no joint past its end, limbs of one length',
    (_, e) => {
      const body = bodyOf(h);
      for (const side of SIDES) {
        const posed = poseEntry(e, body, side, WHOLE_RANGE, USUAL_KIT)!;
        const { path } = posed;
        const upper = length(subtract(path.middle[0]!, path.proximal[0]!));
        for (const i of [0, 10, 20, 30, 40]) {
          const [p, m, d] = [path.proximal[i]!, path.middle[i]!, path.distal[i]!];
          expect(Math.min(p[1], m[1], d[1])).toBeGreaterThan(-0.02);
          expect(length(subtract(m, p))).toBeCloseTo(upper, 6);
          if (path.chain !== 'trunk')
            expect(toDeg(clampedAcos(dot(normalise(subtract(m, p)), normalise(subtract(d, m)))))).toBeLessThan(
              path.chain === 'arm' ? ANATOMY_DEG.elbow : ANATOMY_DEG.knee,
            );
          const pose = posed.bodyAt(i);
          expect(pose.head[1]).toBeGreaterThan(0);
          for (const s of SIDES)
            for (const point of [pose.leg[s].knee, pose.leg[s].ankle, pose.leg[s].heel, pose.leg[s].toe])
              expect(point[1]).toBeGreaterThan(-0.03);
        }
      }
    },
  );
});

describe('a band round the soles', () => {
  const at = (h: number, kit: StationKit) => {
    const a = answerOf(findEntry('band-row')!, { body: bodyOf(h), side: 'both', kit });
    if (!a.ok) throw new Error(a.reason);
    const { path, anchor } = a.posed;
    const { forceN } = a.samples.load;
    return path.contact.map((c, i) => ({
      longM: length(subtract(c, anchor!)),
      pullN: length([forceN[3 * i]!, forceN[3 * i + 1]!, forceN[3 * i + 2]!]),
    }));
  };
  const spring = (restM: number): StationKit => ({
    ...USUAL_KIT,
    band: {
      restM,
      table: [
        { x: 0, y: 0 },
        { x: 2, y: 400 },
      ],
    },
  });
  it('an end of half a metre pulls by twice its own stretch', () => {
    for (const { longM, pullN } of at(2, spring(0.9)))
      expect(pullN).toBeCloseTo(200 * 2 * Math.max(0, longM - 0.45), 6);
  });
  it('pulls on both hands by the mean of its ends, and nothing pulls where none is hung', () => {
    const kit = spring(0.9);
    const a = answerOf(findEntry('band-row')!, { body: bodyOf(2), side: 'both', kit });
    if (!a.ok) throw new Error(a.reason);
    const hands = (band: Band | null) => bandedHandsN(a.from.question.entry, bodyOf(2), band, a.posed);
    expect(hands(kit.band)).toBeCloseTo(
      (2 * at(2, kit).reduce((s, e) => s + e.pullN, 0)) / a.posed.path.contact.length,
      6,
    );
    expect(hands(null)).toBe(0);
  });
  it('is held shorter by a shorter client, so that it pulls from the start', () => {
    const [first, ...rest] = at(1.5, spring(1.2));
    // One twentieth longer than at rest: a twentieth of 1.2 m of band.
    expect(first!.pullN).toBeCloseTo(200 * 1.2 * 0.05, 6);
    for (const { longM, pullN } of rest) expect(pullN).toBeCloseTo(200 * 1.2 * (longM / (first!.longM / 1.05) - 1), 6);
  });
});

describe('a band from the bar to the foot', () => {
  const entry = findEntry('pull-up-band-assisted')!;
  const curve = (kit: StationKit) => {
    const a = answerOf(entry, { body: bodyOf(1.75), side: 'both', kit });
    if (!a.ok) throw new Error(a.reason);
    return a;
  };
  const steady = (forceN: number) => ({
    restM: 0.1,
    table: [
      { x: 0, y: forceN },
      { x: 3, y: forceN },
    ],
  });
  const up = (a: ReturnType<typeof curve>, i: number) => a.samples.load.forceN[3 * i + 1]!;
  it('that pulls 200 N at any stretch takes 100 N off each hand, but for its slant to the foot', () => {
    const [own, none] = [curve({ ...USUAL_KIT, band: steady(200) }), curve({ ...USUAL_KIT, bandN: 0 })];
    for (const i of [0, 10, 20, 30, 40]) {
      expect(up(none, i) - up(own, i)).toBeLessThanOrEqual(100 + 1e-9);
      expect(up(none, i) - up(own, i)).toBeGreaterThan(90);
    }
  });
  it('helps most at the bottom, where it is longest, and not at all once it is slack', () => {
    const stiff = {
      restM: 0.5,
      table: [
        { x: 0, y: 0 },
        { x: 2, y: 600 },
      ],
    };
    const [own, none] = [curve({ ...USUAL_KIT, band: stiff }), curve({ ...USUAL_KIT, bandN: 0 })];
    expect(up(own, 0)).toBeLessThan(up(own, 40));
    expect(up(own, 40)).toBeLessThan(up(none, 40));
    const slack = curve({ ...USUAL_KIT, band: { ...stiff, restM: 3 } });
    expect(slack.samples.resistanceNm).toEqual(none.samples.resistanceNm);
  });
});
