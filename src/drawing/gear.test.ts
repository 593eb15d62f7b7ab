import { describe, expect, it } from 'vitest';
import { findEntry } from '@/core/book/book';
import { poseKnown } from '@/core/book/pose-question';
import { limbOn } from '@/core/book/posed-question';
import { dot, length, subtract, type Vec3 } from '@/core/geometry/vector';
import { ATTACHMENT_KINDS, USUAL_ATTACHMENT } from '@/core/kit/attachment';
import { answerOf, bodyOf, COLUMN, questionOf, ROOM } from '../../test/support/fixtures';
import { handleParts } from './handle-parts';
import { handOf } from './hands';
import { heldThings } from './held';
import { facesOf } from './seats';
import { disc, rod, slab, solidPath } from './solid';
import { elevationView, planView } from './view';

const W = { minX: -1, maxX: 1, maxY: 2, minZ: -1, maxZ: 1 };
const numbers = (d: string): number[] => [...d.matchAll(/-?\d+(\.\d+)?/g)].map((m) => Number(m[0]));
/** Area of an outline by its corners, square metres. */
function areaOf(path: string, scale: number): number {
  const n = numbers(path);
  let twice = 0;
  for (let i = 0; i < n.length; i += 2) twice += n[i]! * n[(i + 3) % n.length]! - n[(i + 2) % n.length]! * n[i + 1]!;
  return Math.abs(twice) / 2 / scale ** 2;
}

describe('solids seen from the side and from above', () => {
  const [side, above] = [elevationView(W, 1000), planView(W, 1000)];
  it('a plate is a circle along its axis and a strip across it', () => {
    const plate = disc([0, 1, 0], [0, 0, 1], 0.2, 0.03);
    // A polygon of twenty corners covers sin(18)/18 degrees of its circle.
    expect(areaOf(solidPath(side, plate), 1000)).toBeCloseTo(10 * 0.2 ** 2 * Math.sin(Math.PI / 10), 4);
    expect(areaOf(solidPath(above, plate), 1000)).toBeCloseTo(0.4 * 0.06, 3);
  });
  it('a pad is its length by its thickness from the side, by its breadth from above', () => {
    const pad = slab([0, 0.5, 0], [0.5, 0.5, 0], [0, -1, 0], 0.06, 0.14);
    expect(areaOf(solidPath(side, pad), 1000)).toBeCloseTo(0.5 * 0.06, 4);
    expect(areaOf(solidPath(above, pad), 1000)).toBeCloseTo(0.5 * 0.28, 4);
  });
  it('a rod of no length is a ball', () =>
    expect(solidPath(side, rod([0, 1, 0], [0, 1, 0], 0.02))).toContain('a20 20'));
});

describe('handles as they are gripped', () => {
  it.each(ATTACHMENT_KINDS)('%s: reaches the end of the cable, and both hands', (kind) => {
    const { lengthM, handsM } = USUAL_ATTACHMENT[kind];
    const apartM = Math.min(handsM?.[0] ?? 0, lengthM);
    const parts = handleParts(kind, lengthM, apartM);
    const near = ([x, y]: readonly [number, number]): number =>
      Math.min(
        ...parts.map(({ from: [ax, ay], to: [bx, by] }) => {
          const [dx, dy] = [bx - ax, by - ay];
          const k = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
          return Math.hypot(x - ax - k * dx, y - ay - k * dy);
        }),
      );
    if (kind !== 'rope') expect(near([0, lengthM])).toBeLessThan(0.04);
    for (const s of [-1, 1]) expect(near([(s * apartM) / 2, 0])).toBeLessThan(0.03);
  });
  it('a rope is as long from its knot to the hand as it is measured, however wide it is held', () => {
    for (const apartM of [0.1, 0.3, 0.5]) {
      const [strand] = handleParts('rope', 0.3, apartM);
      expect(Math.hypot(strand!.from[1], apartM / 2)).toBeCloseTo(0.3, 9);
    }
  });
});

/** A movement's shown hand at a sample. */
const handAt = (id: string, i: number) => {
  const posed = poseKnown(questionOf(id, 1.75, { side: findEntry(id)!.hands === 'two' ? 'both' : 'right' }));
  return handOf(posed.entry, limbOn(posed, 'right').posed.path, i);
};

describe('grips as trainers name them, right hand (common practice)', () => {
  const UP: Vec3 = [0, 1, 0];
  const RIGHT: Vec3 = [0, 0, 1];
  it.each<readonly [string, number, Vec3]>([
    // Thumb up where the forearm is level; palms up, thumbs outward; palms at each other, thumb to the head.
    ['half-kneeling-neutral-curl', 20, UP],
    ['barbell-curl', 20, RIGHT],
    ['dumbbell-row-hinged', 40, [1, 0, 0]],
  ])('%s at %d: %j', (id, i, way) => expect(dot(handAt(id, i).thumb, way)).toBeGreaterThan(0.7));
  it('overhand: thumbs towards each other', () => {
    for (const id of ['pulldown-overhand', 'dumbbell-row-wide-elbow', 'seated-dumbbell-press'])
      expect(dot(handAt(id, 10).thumb, RIGHT)).toBeLessThan(-0.5);
  });
  it('lies square to the forearm, one long', () => {
    for (const id of ['dumbbell-fly-flat', 'strap-row', 'curl-up-supinated-down-pronated'])
      for (const i of [0, 20, 40]) expect(length(handAt(id, i).thumb)).toBeCloseTo(1, 6);
  });
});

describe('what is held', () => {
  it.each([4, 12, 30])('a dumbbell of %d kg is as big as its steel', (loadKg) => {
    const a = answerOf(findEntry('dumbbell-row-hinged')!, { body: bodyOf(1.75), loadKg });
    if (!a.ok) throw new Error(a.reason);
    const hand = { side: 'right', at: [0, 1, 0], thumb: [1, 0, 0] } as const;
    const none = () => null;
    const [one] = heldThings({
      posed: a.from,
      hands: [hand],
      anchorOf: none,
      pulleyOf: none,
      axisOf: () => [0, 0, 0],
      soleOf: () => [
        [0, 0, 0],
        [1, 0, 0],
      ],
    });
    const bells = one!.gear.filter((g) => g.look === 'weight').map((g) => g.solid);
    const kg = bells.reduce((sum, solid) => {
      if (solid.kind !== 'hull') throw new Error('a bell is a hull');
      const xs = solid.corners.map((c) => c[0]);
      const r = length(subtract(solid.corners[0]!, [xs[0]!, 1, 0]));
      return sum + 7850 * Math.PI * r ** 2 * (Math.max(...xs) - Math.min(...xs));
    }, 0);
    expect(kg).toBeCloseTo(loadKg, 6);
  });
});

describe('what is sat on', () => {
  it.each([
    ['seated-dumbbell-press', 2],
    ['reverse-machine-fly', 2],
    ['dumbbell-row-one-arm', 1],
    ['barbell-curl', 0],
  ])('%s has %d faces, none above the hips but what is leant on', (id, faces) => {
    const a = answerOf(findEntry(id)!, {
      body: bodyOf(1.75),
      column: { column: COLUMN, room: ROOM, attachmentM: 0.14 },
    });
    if (!a.ok) throw new Error(a.reason);
    const pose = a.posed.bodyAt(0);
    const found = facesOf(a.from.entry, bodyOf(1.75), pose);
    expect(found).toHaveLength(faces);
    for (const f of found.filter(({ away }) => away[1] === -1)) expect(f.from[1]).toBeLessThan(pose.pelvis[1]);
  });
});
