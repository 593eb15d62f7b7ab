import { otherSide, type Side } from '@/core/body/side';
import { regionAxis } from '@/core/body/region-axis';
import type { Region } from '@/core/body/region-line';
import { RANGE_NAMES, type ActiveRangeDeg, type RangeName } from '@/core/body/active-range';
import type { Frame } from '@/core/geometry/frame';
import { intoFrame } from '@/core/geometry/frame';
import { cross, length, mirrorZ, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { hingeAxis, jointAngles, jointOf, nominalAxis, towards, type JointAction } from './joint-action';

/** Samples over the range s = 0 (start of the lift) to 1 (finish). */
export const SAMPLES = 41;
/** Sample of the finish, and the one half way. */
export const LAST_SAMPLE = SAMPLES - 1;
/** The sample half way through a range. */
export const MIDDLE_SAMPLE = LAST_SAMPLE / 2;

/**
 * One limb over the range: joint centres in metres, in the stand frame (body frame at the floor mark; what the body
 * does about the mark is in the points). An arm: shoulder, elbow, wrist, grip. A leg: hip, knee, ankle, and where the
 * load meets it. The trunk over the hips: pelvis, midpoint of the shoulders twice, and where the load hangs.
 */
export interface ChainPath {
  readonly side: Side;
  readonly chain: 'arm' | 'leg' | 'trunk';
  readonly proximal: readonly Vec3[];
  readonly middle: readonly Vec3[];
  readonly distal: readonly Vec3[];
  readonly contact: readonly Vec3[];
  /** Axes of the trunk for an arm, of the pelvis for a leg and for the trunk. */
  readonly frame: readonly Frame[];
  /**
   * What both hands are on: steel or floor that takes a push to the side (`steel`), the same pulled at its middle by a
   * cable (`line`), weights pressed against each other (`together`) or one held by the palms' pressure alone (`palms`);
   * left out where each hand's load is its own.
   */
  readonly hands?: 'steel' | 'line' | 'together' | 'palms';
}

/** The same limb of the other side. */
export const mirrorPath = (p: ChainPath): ChainPath => ({
  ...p,
  side: otherSide(p.side),
  proximal: p.proximal.map(mirrorZ),
  middle: p.middle.map(mirrorZ),
  distal: p.distal.map(mirrorZ),
  contact: p.contact.map(mirrorZ),
});

/** What a movement works against: the joint, and per sample the action's axis and the normal of its sweep (unit). */
export interface ChainTarget {
  readonly action: JointAction;
  readonly joint: 'proximal' | 'middle';
  /** Axis of the sweep itself, right-handed. */
  readonly axis: readonly Vec3[];
  /**
   * Axis of what answers, right-handed: resistance is minus the moment along it. The sweep's own where one joint moves;
   * the target region's where shoulder and elbow move together.
   */
  readonly answers: readonly Vec3[];
  /** The upper arm lies on a pad, which holds what its shoulder else would. */
  readonly onPad?: boolean;
  /** The region whose axis that is; null for the sweep's own. */
  readonly by: Region | null;
  /** Normal of the sweep on the side called above, see `senseOf`. */
  readonly above: readonly Vec3[];
}

/**
 * Which way the upper side of a sweep looks: up for a level one, out to the limb's side or ahead for an upright one.
 */
export type SweepSense = 'up' | 'out' | 'ahead';
/** Which way a sweep’s normal points: what the cable does to the arm above or below it. */
export function senseOf(normal: Vec3): SweepSense {
  if (Math.abs(normal[1]) > 0.5) return 'up';
  return Math.abs(normal[0]) > Math.abs(normal[2]) ? 'ahead' : 'out';
}

/** Steps of the limb below this are a limb that stands still, metres per sample. */
const STILL_M = 1e-5;

/** Which way a paired action turns about the trunk's right axis; 0 for one that sweeps across the body. */
function sagittalSign(action: JointAction): 1 | -1 | 0 {
  switch (action) {
    case 'shoulder.flexion':
      return 1;
    case 'shoulder.extension':
    case 'shoulder.adduction':
      return -1;
    default:
      return 0;
  }
}

/** Fill gaps of a per-sample axis from the nearest neighbour that has one. */
function filled(axes: readonly (Vec3 | null)[], fallback: (i: number) => Vec3): Vec3[] {
  return axes.map((own, i) => {
    for (let d = 0; own === null && d < axes.length; d++) {
      const near = axes[i - d] ?? axes[i + d];
      if (near) return near;
    }
    return own ?? fallback(i);
  });
}

/**
 * Target of an action along a path. A hinge's axis follows from its two bones. A ball joint's is the normal of the
 * limb's own sweep at that instant (limb x its step); where the limb stands still, the action's nominal axis. `paired`:
 * both hands are on one thing, which moves in the body's own plane, and so does what the shoulders do about it, however
 * the elbows stand out: the axis is the trunk's own, to the right for flexion and to the left for extension.
 */
export function targetOf(
  path: ChainPath,
  action: JointAction,
  paired = false,
  region: Region | null = null,
): ChainTarget {
  const joint = jointOf(action);
  const n = path.proximal.length;
  const limb = path.proximal.map((p, i) => towards(p, path.middle[i]!));
  const lower = path.middle.map((m, i) => (path.chain === 'trunk' ? limb[i]! : towards(m, path.distal[i]!)));
  const nominal = (i: number): Vec3 => nominalAxis(action, path.frame[i]!, path.side);
  const inPlane = paired && joint === 'proximal' ? sagittalSign(action) : 0;
  const axis =
    inPlane !== 0
      ? path.frame.map((f) => scale(f.z, inPlane))
      : joint === 'middle'
        ? filled(
            limb.map((u, i) => hingeAxis(u, lower[i]!)),
            (i) => path.frame[i]!.z,
          ).map((a) => (action.endsWith('extension') ? scale(a, -1) : a))
        : filled(
            limb.map((u, i) => {
              const turn = cross(u, subtract(limb[Math.min(n - 1, i + 1)]!, limb[Math.max(0, i - 1)]!));
              return length(turn) > STILL_M ? normalise(turn) : null;
            }),
            nominal,
          );
  const above = axis.map((a) => {
    const sense = senseOf(a);
    return (sense === 'up' ? a[1] : sense === 'ahead' ? a[0] : path.side === 'right' ? a[2] : -a[2]) >= 0
      ? a
      : scale(a, -1);
  });
  const own = (i: number): Vec3 | null => region && regionAxis(region, path.frame[i]!, limb[i]!, lower[i]!, path.side);
  const answers = axis.map((a, i) => own(i) ?? a);
  return { action, joint, axis, answers, by: answers[0] === axis[0] ? null : region, above };
}

/** The part of the range that a client's active range leaves. */
export interface WorkingRange {
  /** Shares of the whole range. */
  readonly from: number;
  readonly to: number;
  /** Which motion cut each end; null where the movement's own end stands. */
  readonly cutStart: RangeName | null;
  readonly cutFinish: RangeName | null;
  /** Whose limit the cut start is. */
  readonly startCutBy: 'active-range' | 'limit';
}

/**
 * Cut a path to the active range: the longest part of it in which every measured motion is inside its limit, its ends
 * found between samples by straight lines. Null when no part of the range is allowed.
 */
export function findWorkingRange(path: ChainPath, range: ActiveRangeDeg): WorkingRange | null {
  const limits = range[path.side] ?? {};
  const limited = RANGE_NAMES.filter((name) => limits[name] !== undefined);
  if (limited.length === 0) return { from: 0, to: 1, cutStart: null, cutFinish: null, startCutBy: 'active-range' };
  const last = path.proximal.length - 1;
  const excess = path.proximal.map((p, i): readonly [number, RangeName | null] => {
    const upper = towards(p, path.middle[i]!);
    const angles = jointAngles(
      path.chain,
      intoFrame(path.frame[i]!, upper),
      upper,
      path.chain === 'trunk' ? upper : towards(path.middle[i]!, path.distal[i]!),
      path.side,
    );
    let worst: readonly [number, RangeName | null] = [-Infinity, null];
    for (const name of limited) {
      const angle = angles[name];
      if (angle !== undefined && angle - limits[name]! > worst[0]) worst = [angle - limits[name]!, name];
    }
    return worst;
  });
  const inside = (i: number): boolean => excess[i]![0] <= 1e-9;
  // The longest stretch that is inside all the way: an arm that is led round a limit may be inside at both ends.
  let [a, b] = [0, -1];
  for (let i = 0; i <= last; i++) {
    if (!inside(i)) continue;
    let end = i;
    while (end < last && inside(end + 1)) end += 1;
    if (end - i > b - a) [a, b] = [i, end];
    i = end;
  }
  if (b < a) return null;
  const cross0 = (out: number, into: number): number => {
    const [e0, e1] = [excess[out]![0], excess[into]![0]];
    return Number.isFinite(e1) && e0 > e1 ? out + ((into - out) * e0) / (e0 - e1) : into;
  };
  return {
    from: (a === 0 ? 0 : cross0(a - 1, a)) / last,
    to: (b === last ? last : cross0(b + 1, b)) / last,
    cutStart: a === 0 ? null : excess[a - 1]![1],
    cutFinish: b === last ? null : excess[b + 1]![1],
    startCutBy: 'active-range',
  };
}
