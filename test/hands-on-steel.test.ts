import { describe, expect, it } from 'vitest';
import { answerQuestion, posedOf, type GoodAnswer } from '@/core/book/answer-question';
import { BOOK, findEntry } from '@/core/book/book';
import { poseQuestion } from '@/core/book/pose-question';
import { limbOn, searchOf } from '@/core/book/posed-question';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { limitText } from '@/messages/reasons';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { askQuestion } from '@/core/book/question';
import { gripReachM } from '@/core/book/landmine';
import { USUAL_KIT } from '@/core/book/station-kit';
import { SIDES, signOf } from '@/core/body/side';
import { segmentDistance } from '@/core/geometry/segments';
import { GRIP_SHARE_OF_HAND } from '@/core/body/segment-ratios';
import { dot, length, normalise, subtract, type Vec3 } from '@/core/geometry/vector';
import { limbDepth, limbObstacle } from '@/core/setup/limb-clear';
import { jointDegAt, towards } from '@/core/movement/joint-action';
import { toDeg } from '@/core/units/angle';
import { poseEntry, WHOLE_RANGE } from '@/core/book/pose-entry';
import { bodyOf, COLUMN, ROOM, seeded, uprightOf } from './support/fixtures';

/**
 * A pose is only true when what is held can be held: every movement, three statures, every side, two kinds of column.
 */
const STATURES = [1.5, 1.75, 1.98];
const LAST = 40;
const SINGLE = { ...COLUMN, kind: 'single' } as const;

interface Found {
  readonly name: string;
  readonly e: BookEntry;
  readonly h: number;
  readonly a: GoodAnswer;
}
const found: Found[] = BOOK.flatMap((e) =>
  STATURES.flatMap((h) =>
    sidesOf(e).flatMap((side) =>
      (e.load.kind === 'cable' ? [COLUMN, SINGLE] : [COLUMN]).flatMap((column) => {
        const at = { column, room: ROOM, attachmentM: 0.14 };
        const a = answerQuestion(askQuestion(e, { body: bodyOf(h), side, column: at }));
        return a.ok ? [{ name: `${e.id} ${h} m ${side} ${column.kind}`, e, h, a }] : [];
      }),
    ),
  ),
);
/** Names of what breaks a rule, with by how much. */
const broken = (of: (f: Found) => string | null): string[] =>
  found.flatMap((f) => {
    const says = of(f);
    return says === null ? [] : [`${f.name}: ${says}`];
  });
const far = (a: Vec3, b: Vec3): number => length(subtract(a, b));
const worst = (values: readonly number[]): number => Math.max(...values.map(Math.abs));
const samples = Array.from({ length: LAST + 1 }, (_, i) => i);
/** An angle between two directions, degrees. */
const between = (a: Vec3, b: Vec3): number =>
  toDeg(Math.acos(Math.min(1, Math.max(-1, dot(normalise(a), normalise(b))))));

describe('every pose of the book', () => {
  it('is found but where a single column lacks the second pulley', () => {
    const twoPulleys = BOOK.filter((e) => e.load.kind === 'cable' && e.hands === 'two' && !e.load.shared);
    const asked = BOOK.flatMap((e) => sidesOf(e).map((): number => (e.load.kind === 'cable' ? 6 : 3))).reduce(
      (a, b) => a + b,
    );
    expect(found.length).toBe(asked - 3 * twoPulleys.length);
  });

  it('keeps its bones: upper arm, forearm and hand, thigh and shank, 1 mm', () => {
    const off = broken(({ a }) => {
      const posed = posedOf(a);
      const { body } = a.from.question;
      const { path } = posed;
      const [thigh, shank] = [
        body.height.hipHeight.m - body.height.kneeHeight.m,
        body.height.kneeHeight.m - body.height.ankleHeight.m,
      ];
      const errors = samples.flatMap((i) => {
        const pose = posed.bodyAt(i);
        const legs = (['left', 'right'] as const).flatMap((side) => [
          far(pose.leg[side].hip, pose.leg[side].knee) - thigh,
          far(pose.leg[side].knee, pose.leg[side].ankle) - shank,
        ]);
        if (path.chain !== 'arm') return legs;
        return [
          ...legs,
          far(path.proximal[i]!, path.middle[i]!) - body.length.upperArm.m,
          far(path.middle[i]!, path.distal[i]!) - body.length.forearm.m,
          far(path.distal[i]!, path.contact[i]!) - body.length.hand.m * GRIP_SHARE_OF_HAND,
        ];
      });
      const most = worst(errors);
      return most > 0.001 ? `${(most * 1000).toFixed(0)} mm` : null;
    });
    expect(off).toEqual([]);
  });

  it('keeps the hands where one thing has them, 2 mm, and a bar’s width is the same all the way', () => {
    const off = broken(({ e, a }) => {
      const { hold } = a.from.entry;
      if (!hold) return null;
      const { path, range } = posedOf(a);
      const [start, finish] = [hold.start, hold.finish] as number[];
      const errors = samples.map((i) => {
        const s = range.from + ((range.to - range.from) * i) / LAST;
        return 2 * path.contact[i]![2] * signOf(path.side) - (start! + (finish! - start!) * s);
      });
      if (typeof e.hold!.start === 'string' && start !== finish) return 'a bar that grows';
      return worst(errors) > 0.002 ? `${(worst(errors) * 1000).toFixed(0)} mm` : null;
    });
    expect(off).toEqual([]);
  });

  it('keeps a landmine’s grip at one distance from its pivot, and a strap’s from its anchor, 2 mm', () => {
    const off = broken(({ e, a }) => {
      const { anchor, path } = posedOf(a);
      if (!anchor || e.load.kind === 'band') return null;
      const long = e.load.kind === 'landmine' ? gripReachM(e.load.at, USUAL_KIT.landmine) : USUAL_KIT.straps.strapM;
      const paired = e.load.kind !== 'landmine' || e.load.at === 'between';
      const errors = path.contact.map((c) => far(paired ? [c[0], c[1], anchor[2]] : c, anchor) - long);
      return worst(errors) > 0.002 ? `${(worst(errors) * 1000).toFixed(0)} mm` : null;
    });
    expect(off).toEqual([]);
  });

  it('ends where its range is cut: at seven tenths of it as the whole has it there, 3 degrees', () => {
    const off = BOOK.filter((e) => e.path.kind === 'arm' || e.path.kind === 'leg').flatMap((e) => {
      const pose = (stopAt: number) => poseEntry({ ...e, stopAt }, bodyOf(1.75), 'right', WHOLE_RANGE, USUAL_KIT)!.path;
      const [whole, cut] = [pose(1), pose(e.startAt + 0.7 * (1 - e.startAt))];
      const errors = (['middle', 'proximal'] as const).map((joint) => {
        const [from, to] = joint === 'middle' ? (['middle', 'distal'] as const) : (['proximal', 'middle'] as const);
        return between(towards(whole[from][28]!, whole[to][28]!), towards(cut[from][LAST]!, cut[to][LAST]!));
      });
      return worst(errors) > 3 ? [`${e.id} ${worst(errors).toFixed(1)}`] : [];
    });
    expect(off).toEqual([]);
  });

  it('keeps feet, and hands that hold the body, where they stand', () => {
    const off = broken(({ e, a }) => {
      const posed = posedOf(a);
      const moves = (of: (i: number) => Vec3): number => worst(samples.map((i) => far(of(i), of(0))));
      const turning = e.motion.some((k) => k.yawDeg);
      const stands = !turning && posed.path.chain === 'arm' && !(e.load.kind === 'body' && e.load.on === 'bar');
      const floor = (i: number): Vec3 => {
        const { heel, toe } = posed.bodyAt(i).leg.left;
        return e.load.kind === 'body' && e.load.on === 'floor' ? toe : heel;
      };
      const hands = e.load.kind === 'body' && e.load.on !== 'straps' ? moves((i) => posed.path.contact[i]!) : 0;
      const most = Math.max(stands ? moves(floor) : 0, hands);
      return most > 0.002 ? `${(most * 1000).toFixed(0)} mm` : null;
    });
    expect(off).toEqual([]);
  });

  it('bends elbows and knees no further than people do (AAOS: elbow 150, knee 135 degrees)', () => {
    const off = broken(({ a }) => {
      const { path } = posedOf(a);
      if (path.chain === 'trunk') return null;
      const most = Math.max(...samples.map((i) => jointDegAt(path, 'middle', i)));
      return most > (path.chain === 'arm' ? 150 : 135) + 1e-6 ? `${most.toFixed(0)} degrees` : null;
    });
    expect(off).toEqual([]);
  });

  it('keeps forearm and hand out of trunk and head, but for a touch of 3 cm where both are drawn round', () => {
    const off = broken(({ h, a }) => {
      const posed = posedOf(a);
      if (posed.path.chain !== 'arm') return null;
      const body = samples.map((i) => limbObstacle(h, posed.bodyAt(i)));
      const { middle, contact } = posed.path;
      const { metres, part } = limbDepth(body, (k) => [middle[samples[k]!]!, contact[samples[k]!]!]);
      return metres > 0.03 ? `${(metres * 100).toFixed(0)} cm, ${part}` : null;
    });
    expect(off).toEqual([]);
  });

  it('keeps the forearms out of each other, also where they cross', () => {
    const off = broken(({ h, a }) => {
      if (a.from.sides.length < 2) return null;
      const [left, right] = SIDES.map((side) => limbOn(a.from, side).posed.path);
      if (left!.chain !== 'arm') return null;
      const least = Math.min(
        ...samples.map((i) =>
          segmentDistance(...left!.middle[i]!, ...left!.distal[i]!, ...right!.middle[i]!, ...right!.distal[i]!),
        ),
      );
      // Two forearms of a fiftieth of the stature each, that may touch by a centimetre.
      return least < 0.04 * h - 0.01 ? `${(least * 100).toFixed(0)} cm` : null;
    });
    expect(off).toEqual([]);
  });

  it('crosses the hands fully in the crossed reverse fly, one over the other', () => {
    for (const h of STATURES) {
      const { from } = found.find((f) => f.e.id === 'crossed-reverse-fly' && f.h === h)!.a;
      const [left, right] = SIDES.map((side) => limbOn(from, side).posed.path.contact[0]!);
      expect(left![2] - right![2]).toBeGreaterThan(0.2);
      expect(right![1] - left![1]).toBeGreaterThan(0.05);
    }
  });

  it('a place that leads the forearm into the head is refused by name', () => {
    const rope = findEntry('rope-row-low-hinged')!;
    const column = { column: COLUMN, room: ROOM, attachmentM: 0.14, handsM: null };
    const search = searchOf(
      poseQuestion(askQuestion(rope, { body: bodyOf(1.75), side: 'both', column, options: uprightOf(rope) }))!,
    );
    const near = { hole: 11, standX: 0.5, standZ: search.bounds.standZ, yawDeg: 180 };
    const [limb] = evaluatePlacement(search, near).violations.filter((v) => v.limit === 'limb');
    expect(limb).toMatchObject({ through: 'head' });
    expect(limitText(limb!)).toMatch(/^The forearm would lie \d+ cm deep in the head/);
  });

  it('leads the hand without a kink: no turn over 15 degrees between samples', () => {
    const off = broken(({ a }) => {
      const { contact } = posedOf(a).path;
      const steps = contact.slice(1).map((c, i) => subtract(c, contact[i]!));
      const most = Math.max(
        0,
        ...steps.slice(1).map((s, i) => (Math.min(length(s), length(steps[i]!)) < 0.002 ? 0 : between(s, steps[i]!))),
      );
      return most > 15 ? `${most.toFixed(0)} degrees` : null;
    });
    expect(off).toEqual([]);
  });
});

describe('on a gym’s own steel', () => {
  const random = seeded(7);
  const within = (a: number, b: number): number => a + (b - a) * random();
  const steels = Array.from({ length: 25 }, () => ({
    ...USUAL_KIT,
    landmine: { pivotHeightM: within(0.02, 0.3), barKg: 20, barM: within(1.5, 2.4), platesAtM: 1.3 },
    straps: ((anchorM) => ({ anchorM, strapM: anchorM - within(0.8, 1.1) }))(within(1.9, 2.8)),
    machines: Object.fromEntries(
      (['chest-press', 'shoulder-press', 'leg-press'] as const).map((kind) => [
        kind,
        {
          kind,
          seat: null,
          back: null,
          axisOverSeatM: 0,
          handleHeightM: 1,
          path: {
            kind: 'guide' as const,
            guideDeg: kind === 'shoulder-press' ? within(60, 90) : within(0, 45),
            ratio: 1,
          },
          independentArms: true,
        },
      ]),
    ),
  }));
  const ON_STEEL = BOOK.filter(
    (e) =>
      e.load.kind === 'landmine' ||
      (e.load.kind === 'body' && e.load.on === 'straps') ||
      (e.load.kind === 'machine' && ['chest-press', 'shoulder-press', 'leg-press'].includes(e.load.machine)),
  );
  it.each(ON_STEEL.map((e) => [e.id, e] as const))('%s: bones, pivots and guides hold', (_, e) => {
    for (const kit of steels) {
      const body = bodyOf(within(1.5, 2));
      const posed = poseEntry(e, body, 'right', WHOLE_RANGE, kit)!;
      const { path, anchor } = posed;
      const [upper, lower] = [far(path.proximal[0]!, path.middle[0]!), far(path.middle[0]!, path.distal[0]!)];
      for (const i of samples) {
        expect(far(path.proximal[i]!, path.middle[i]!)).toBeCloseTo(upper, 3);
        expect(far(path.middle[i]!, path.distal[i]!)).toBeCloseTo(lower, 3);
        const c = path.contact[i]!;
        const paired = e.load.kind !== 'landmine' || e.load.at === 'between';
        if (anchor) {
          const long = e.load.kind === 'landmine' ? gripReachM(e.load.at, kit.landmine) : kit.straps.strapM;
          expect(far(paired ? [c[0], c[1], anchor[2]] : c, anchor)).toBeCloseTo(long, 2);
        } else {
          const slope = toDeg(Math.atan2(c[1] - path.contact[0]![1], Math.abs(c[0] - path.contact[0]![0])));
          const machine = e.load.kind === 'machine' ? kit.machines[e.load.machine] : undefined;
          if (i > 0 && machine?.path.kind === 'guide') expect(slope).toBeCloseTo(machine.path.guideDeg, 1);
        }
      }
    }
  });
});

describe('a bar in both hands', () => {
  // A thigh is drawn as thick at the knee as at the hip: a bar that passes the knee may be 3.5 cm in it.
  it('ends at thighs and belly, a graze in them at most, and passes the knees', () => {
    const off = broken(({ e, a }) => {
      const bar = e.load.kind === 'weight' ? e.load.kit === 'bar' : e.load.kind === 'cable' && e.load.shared;
      if (!e.hold || !bar) return null;
      const posed = posedOf(a);
      const { statureM } = a.from.question.body;
      const depth = (i: number): number => {
        const { pelvis, neckBase, leg } = posed.bodyAt(i);
        const [x, y, z] = posed.path.contact[i]!;
        const end = Math.abs(z) + 0.05;
        const inside = (from: Vec3, to: Vec3, radius: number): number =>
          radius * statureM + 0.015 - segmentDistance(x, y, -end, x, y, end, ...from, ...to);
        const thighs = SIDES.map((s) => inside(leg[s].hip, leg[s].knee, 0.04));
        // A belly gives 3 cm, a thigh one.
        return Math.max(inside(pelvis, neckBase, 0.065) - 0.02, ...thighs);
      };
      const [ends, passing] = [Math.max(depth(0), depth(LAST)), Math.max(...samples.map(depth))];
      return ends > 0.015 || passing > 0.035 ? `${(100 * ends).toFixed(1)} ${(100 * passing).toFixed(1)} cm` : null;
    });
    expect(off).toEqual([]);
  });
  it('the thighs stop a straight-arm pushdown, and the settings say so', () => {
    const own = found.filter(({ e }) => e.id === 'straight-arm-pushdown-bar');
    expect(own.length).toBeGreaterThan(0);
    for (const { a } of own) expect(limbOn(a.from, a.from.shown).finishBy).toBe('touch');
  });
});

describe('pulls', () => {
  const pulls = (e: BookEntry): boolean => e.load.kind === 'cable' && e.load.line !== null;
  it('begin on the line: on no cable does the weight help, and a pull resists less than half its most', () => {
    const off = broken(({ e, a }) => {
      if (e.load.kind !== 'cable') return null;
      const share = a.samples.resistanceNm[0]! / a.metrics.peakResistanceNm;
      return share < 0 || (pulls(e) && share > 0.5) ? share.toFixed(2) : null;
    });
    expect(off).toEqual([]);
  });
  it('lay the forearm along the force, 10 degrees, but for hands drawn in or apart on one handle', () => {
    const off = broken(({ e, a }) => {
      if (e.load.kind !== 'cable' || e.load.line !== 'forearm') return null;
      const { path } = posedOf(a);
      const { forceN } = a.samples.load;
      const flat = (v: Vec3): Vec3 => (e.hold ? [v[0], v[1], 0] : v);
      const most = worst(
        samples.map((i) =>
          between(
            flat(towards(path.middle[i]!, path.contact[i]!)),
            flat([forceN[3 * i]!, forceN[3 * i + 1]!, forceN[3 * i + 2]!]),
          ),
        ),
      );
      return most > 10 ? `${most.toFixed(0)} degrees` : null;
    });
    expect(off).toEqual([]);
  });
});
