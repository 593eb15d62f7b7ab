import { describe, expect, it } from 'vitest';
import { regionAxis, regionPull, viaDeg } from '@/core/body/region-axis';
import { REGIONS, type Region } from '@/core/body/region-line';
import { SIDES } from '@/core/body/side';
import { intoFrame, UPRIGHT } from '@/core/geometry/frame';
import { add, cross, dot, length, mirrorZ, type Vec3 } from '@/core/geometry/vector';
import { towards } from '@/core/movement/joint-action';
import { bodyOf } from '../../../test/support/fixtures';
import { BOOK } from './book';
import { poseEntry, WHOLE_RANGE } from './pose-entry';
import { USUAL_KIT } from './station-kit';

/** An arm this far out to the side, its sine, is not flexed or extended any more. */
const SAGITTAL = 0.6;
/** What a region's axis does to the right arm at a pose: positive parts are flexion, abduction, and so on. */
function actionsAt(axis: Vec3, upper: Vec3) {
  const [x, y, z] = axis;
  return { flexion: Math.abs(upper[2]) < SAGITTAL ? z : 0, abduction: -x, horizontal: y, inward: -dot(axis, upper) };
}
type Action = keyof ReturnType<typeof actionsAt>;

/** Every pose of the book's arms whose target a region is, right side, in the trunk's axes. */
const posesOf = (region: Region) =>
  [1.5, 1.75, 1.98].flatMap((h) =>
    BOOK.filter((e) => e.target === region).flatMap((e) => {
      const posed = poseEntry(e, bodyOf(h), 'right', WHOLE_RANGE, USUAL_KIT);
      if (!posed || posed.path.chain !== 'arm') return [];
      const { proximal, middle, distal, frame } = posed.path;
      return [0, 10, 20, 30, 40].map((i) => ({
        upper: intoFrame(frame[i]!, towards(proximal[i]!, middle[i]!)),
        fore: intoFrame(frame[i]!, towards(middle[i]!, distal[i]!)),
      }));
    }),
  );

describe('the axis of a region is that of its actions in anatomy texts, over the poses of the book', () => {
  // First the action that it has at every pose, then those that it has on the whole; a minus is the action's opposite.
  it.each<[Region, Action, 1 | -1, readonly (readonly [Action, 1 | -1])[]]>([
    [
      'lat-upper',
      'flexion',
      -1,
      [
        ['abduction', -1],
        ['inward', 1],
      ],
    ],
    [
      'lat-lower',
      'flexion',
      -1,
      [
        ['abduction', -1],
        ['inward', 1],
      ],
    ],
    [
      'chest-lower',
      'horizontal',
      1,
      [
        ['abduction', -1],
        ['flexion', -1],
        ['inward', 1],
      ],
    ],
    [
      'chest-mid',
      'horizontal',
      1,
      [
        ['abduction', -1],
        ['inward', 1],
      ],
    ],
    [
      'chest-upper',
      'horizontal',
      1,
      [
        ['flexion', 1],
        ['inward', 1],
      ],
    ],
    [
      'deltoid-front',
      'flexion',
      1,
      [
        ['abduction', 1],
        ['horizontal', 1],
        ['inward', 1],
      ],
    ],
    ['deltoid-side', 'abduction', 1, []],
    [
      'deltoid-rear',
      'horizontal',
      -1,
      [
        ['flexion', -1],
        ['inward', -1],
      ],
    ],
  ])('%s', (region, prime, sign, also) => {
    const all = posesOf(region).map(({ upper, fore }) =>
      actionsAt(regionAxis(region, UPRIGHT, upper, fore, 'right')!, upper),
    );
    expect(all.length).toBeGreaterThan(10);
    for (const a of all) if (a[prime] !== 0) expect(sign * a[prime]).toBeGreaterThan(0);
    for (const [action, way] of also) expect(way * all.reduce((sum, a) => sum + a[action], 0)).toBeGreaterThan(0);
  });
});

describe('the axis itself', () => {
  const arms: readonly (readonly [Vec3, Vec3])[] = [
    [
      [0, -1, 0],
      [1, 0, 0],
    ],
    [
      [0.6, -0.48, 0.64],
      [0.8, 0.6, 0],
    ],
    [
      [0, 0, 1],
      [0, 0, 1],
    ],
  ];
  it('is the moment of the line from the insertion to the via point: hanging, a lat pulls back and in', () => {
    // r = (ridge, -0.03, 0), V = (-0.07, -0.05, -0.005): r x V by hand, over its length.
    const r: Vec3 = [0.008, -0.03, 0];
    const m = cross(r, [-0.07, -0.05, -0.005]);
    const axis = regionAxis('lat-lower', UPRIGHT, [0, -1, 0], [1, 0, 0], 'right')!;
    for (let k = 0; k < 3; k++) expect(axis[k]).toBeCloseTo(m[k]! / length(m), 12);
  });
  it('is a unit vector, mirrored as a turn is from side to side, and known for what turns the arm alone', () => {
    for (const region of REGIONS) {
      for (const [upper, fore] of arms) {
        const [left, right] = SIDES.map((side) =>
          regionAxis(
            region,
            UPRIGHT,
            side === 'left' ? mirrorZ(upper) : upper,
            side === 'left' ? mirrorZ(fore) : fore,
            side,
          ),
        );
        expect(right === null).toBe(regionPull(region) === null);
        if (!right || !left) continue;
        expect(length(right)).toBeCloseTo(1, 12);
        expect(length(add(left, [right[0], right[1], -right[2]]))).toBeLessThan(1e-12);
      }
    }
  });
  it('draws the arm towards the via point: the length that is left falls as the arm comes to it', () => {
    for (const region of REGIONS) {
      for (const [upper, fore] of arms) {
        const axis = regionAxis(region, UPRIGHT, upper, fore, 'right');
        if (!axis) continue;
        const on = cross(axis, upper);
        const moved = upper.map((u, k) => u + 1e-4 * on[k]!) as unknown as Vec3;
        const size = length(moved);
        const next = viaDeg(region, [moved[0] / size, moved[1] / size, moved[2] / size])!;
        expect(next).toBeLessThan(viaDeg(region, upper)! + 0.02);
      }
    }
  });
});
