import { intoFrame } from '@/core/geometry/frame';
import { dot, type Vec3 } from '@/core/geometry/vector';
import { readTable, type TablePoint } from '@/core/kit/force-table';
import { towards, type JointAction } from '@/core/movement/joint-action';
import type { ChainPath } from '@/core/movement/chain-path';
import { clampedAcos, toDeg } from '@/core/units/angle';

/**
 * Which angle of a pose a strength curve goes by, degrees: a hinge's bend; a limb's elevation from hanging beside the
 * trunk; a level arm's way ahead from straight out to the side.
 */
export type StrengthAngle = 'bend' | 'elevation' | 'ahead';

/** Where a curve comes from, by code; texts are in messages/. */
export const STRENGTH_SOURCES = ['anderson-2007', 'kulig-1984', 'williams-1959', 'flat'] as const;
/** A source of a strength curve. */
export type StrengthSource = (typeof STRENGTH_SOURCES)[number];

/** How much of its greatest moment a joint action has at each angle, from one muscle group tested at rest. */
export interface StrengthCurve {
  readonly by: StrengthAngle;
  readonly source: StrengthSource;
  /** Angle in degrees to share of the greatest moment, in (0, 1]. */
  readonly points: readonly TablePoint[];
  /** Standard deviation between people, share of the greatest moment. */
  readonly spread: number;
  /** Greatest moment of a grown man, newton metres; only the ratio between joints is used. From memory. */
  readonly mostNm: number;
}

const at = (...list: readonly (readonly [deg: number, share: number])[]): TablePoint[] =>
  list.map(([x, y]) => ({ x, y }));

/**
 * Isometric moment against angle. Source: Anderson, Madigan and Nussbaum 2007, J Biomech 40: 3105, young men:
 * M = c1 cos(c2 (q - c3)), q in radians, flexion positive; parameters from memory. Read from 0 to 130 degrees and never
 * below a fifth, because the cosine was fitted where people were tested.
 */
const anderson = (c2: number, c3: number): TablePoint[] =>
  Array.from({ length: 27 }, (_, i) => 5 * i).map((deg) => ({
    x: deg,
    y: Math.max(0.2, Math.cos(c2 * ((deg * Math.PI) / 180 - c3))),
  }));

/**
 * Strength over the range of each joint action.
 * - Knee and hip: Anderson et al. 2007 as above; knee seated, hip lying with the knee bent.
 * - Elbow: shapes as gathered by Kulig, Andrews and Hay 1984 (Exerc Sport Sci Rev 12: 417): both rise and fall, the
 *   flexors highest near 90 degrees; upper arm beside the trunk. Values from memory, for the nearly straight elbow on
 *   the high side of what was measured, as practice finds it. The biceps crosses the shoulder too: see `bicepsShare`.
 * - Shoulder: Williams and Stutzman 1959 (Phys Ther Rev 39: 145) and Kulig et al. 1984: every action is strongest with
 *   its muscles long and falls as they shorten. Values from memory, read off the shape.
 * - Trunk: the back holds its shape here, so its angle does not change: flat.
 */
export const STRENGTH: Readonly<Record<JointAction, StrengthCurve>> = {
  'elbow.flexion': {
    by: 'bend',
    source: 'kulig-1984',
    points: at([0, 0.62], [15, 0.71], [30, 0.8], [60, 0.95], [85, 1], [110, 0.88], [130, 0.7], [150, 0.5]),
    spread: 0.1,
    mostNm: 75,
  },
  'elbow.extension': {
    by: 'bend',
    source: 'kulig-1984',
    points: at([0, 0.6], [30, 0.78], [60, 0.94], [80, 1], [100, 0.97], [120, 0.87], [150, 0.68]),
    spread: 0.12,
    mostNm: 55,
  },
  'shoulder.flexion': {
    by: 'elevation',
    source: 'williams-1959',
    points: at([0, 1], [30, 0.94], [60, 0.85], [90, 0.74], [120, 0.62], [150, 0.52], [180, 0.44]),
    spread: 0.12,
    mostNm: 70,
  },
  'shoulder.extension': {
    by: 'elevation',
    source: 'williams-1959',
    points: at([0, 0.58], [30, 0.7], [60, 0.82], [90, 0.93], [120, 1], [150, 0.97], [180, 0.88]),
    spread: 0.12,
    mostNm: 95,
  },
  'shoulder.abduction': {
    by: 'elevation',
    source: 'williams-1959',
    points: at([0, 1], [30, 0.95], [60, 0.84], [90, 0.72], [120, 0.6], [150, 0.5], [180, 0.44]),
    spread: 0.12,
    mostNm: 65,
  },
  'shoulder.adduction': {
    by: 'elevation',
    source: 'williams-1959',
    points: at([0, 0.55], [30, 0.7], [60, 0.86], [90, 0.97], [120, 1], [150, 0.93], [180, 0.85]),
    spread: 0.12,
    mostNm: 95,
  },
  'shoulder.horizontalAdduction': {
    by: 'ahead',
    source: 'williams-1959',
    points: at([-40, 0.92], [-10, 1], [20, 0.98], [50, 0.88], [80, 0.75], [110, 0.62], [130, 0.55]),
    spread: 0.14,
    mostNm: 95,
  },
  'shoulder.horizontalAbduction': {
    by: 'ahead',
    source: 'williams-1959',
    points: at([-40, 0.48], [-10, 0.58], [20, 0.7], [50, 0.83], [80, 0.94], [110, 1], [130, 0.98]),
    spread: 0.14,
    mostNm: 60,
  },
  'hip.flexion': {
    by: 'elevation',
    source: 'anderson-2007',
    points: anderson(0.738, -0.214),
    spread: 0.15,
    mostNm: 150,
  },
  'hip.extension': {
    by: 'elevation',
    source: 'anderson-2007',
    points: anderson(0.958, 0.932),
    spread: 0.15,
    mostNm: 215,
  },
  'knee.flexion': { by: 'bend', source: 'anderson-2007', points: anderson(0.869, 0.522), spread: 0.12, mostNm: 115 },
  'knee.extension': { by: 'bend', source: 'anderson-2007', points: anderson(1.258, 1.133), spread: 0.12, mostNm: 215 },
  'trunk.extension': { by: 'elevation', source: 'flat', points: at([0, 1], [180, 1]), spread: 0, mostNm: 300 },
};

/** Degrees at which a laid-out curve begins, and how many there are. */
const FIRST_DEG = -90;
const DEGREES = 271;

/** Curves laid out by the degree, because the search reads them at every sample of every place. */
const LAID = new Map<JointAction, Float64Array>();

/** A curve laid out by the degree from -90 on, for `readStrength`. */
export function strengthTable(action: JointAction): Float64Array {
  const known = LAID.get(action);
  if (known) return known;
  const { points } = STRENGTH[action];
  const [first, last] = [points[0]!, points.at(-1)!];
  const table = Float64Array.from({ length: DEGREES }, (_, i) => {
    const deg = FIRST_DEG + i;
    return deg <= first.x ? first.y : deg >= last.x ? last.y : readTable(points, deg);
  });
  LAID.set(action, table);
  return table;
}

/** Share of its greatest moment that an action has at an angle, degrees. */
export function readStrength(table: Float64Array, deg: number): number {
  const k = Math.min(DEGREES - 1, Math.max(0, deg - FIRST_DEG));
  const below = Math.min(DEGREES - 2, Math.floor(k));
  return table[below]! + (table[below + 1]! - table[below]!) * (k - below);
}

/** Degrees in a radian; the search reads angles at every sample of every place. */
const DEG = 180 / Math.PI;

/**
 * Angle by which an action's strength is read, from the limb's unit direction in its frame's axes, outward third,
 * degrees.
 */
export const strengthDeg = (by: StrengthAngle, forward: number, up: number, outward: number): number =>
  by === 'ahead' ? DEG * Math.atan2(forward, outward) : DEG * Math.acos(Math.min(1, Math.max(-1, -up)));

/**
 * The biceps is about half of the elbow's flexors and crosses the shoulder as well. Raised ahead with the elbow well
 * bent it is short at both ends and gives little; behind the trunk it is longer and gives a little more. Shares of the
 * flexors' moment and the angles at which they are whole, degrees: from memory of anatomy, and as large as the trade's
 * own finding asks for, that a curl begun with the arm behind is stronger in its first half.
 */
const SHORT = { loss: 0.5, raisedDeg: 45, bentDeg: [60, 130] } as const;
const LONG = { gain: 0.2, behindDeg: 30 } as const;
const part = (value: number, from: number, to: number): number =>
  Math.min(1, Math.max(0, (value - from) / (to - from)));
const bicepsShare = (bendDeg: number, raisedDeg: number): number =>
  1 -
  SHORT.loss * part(raisedDeg, 0, SHORT.raisedDeg) * part(bendDeg, ...SHORT.bentDeg) +
  LONG.gain * part(-raisedDeg, 0, LONG.behindDeg);

/** Share of its greatest moment that an action has at a sample of a posed limb. */
export function strengthAt(path: ChainPath, action: JointAction, i: number): number {
  const { by } = STRENGTH[action];
  const table = strengthTable(action);
  const upper: Vec3 = towards(path.proximal[i]!, path.middle[i]!);
  const [x, y, z] = intoFrame(path.frame[i]!, upper);
  if (by === 'bend') {
    const bendDeg = toDeg(clampedAcos(dot(upper, towards(path.middle[i]!, path.distal[i]!))));
    const share = readStrength(table, bendDeg);
    return action === 'elbow.flexion' ? share * bicepsShare(bendDeg, toDeg(Math.asin(x))) : share;
  }
  return readStrength(table, strengthDeg(by, x, y, path.side === 'right' ? z : -z));
}
