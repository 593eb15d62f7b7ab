import { signOf, type Side } from '@/core/body/side';
import { cross, dot, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import {
  jointDegAt,
  nominalAxis,
  towards,
  type CountedAs,
  type JointAction,
  type ToldJoint,
} from '@/core/movement/joint-action';
import { clampedAcos, toDeg } from '@/core/units/angle';
import type { PosedEntry } from './pose-entry';

/** The joint whose ends are told, and what its angle is counted as. */
export interface JointStops {
  readonly joint: ToldJoint;
  readonly counted: CountedAs;
  readonly startDeg: number;
  readonly finishDeg: number;
}

/** The motion that a ball joint's angle is counted as: positive ahead, out to the side, or ahead of straight out. */
const COUNTED: Readonly<Partial<Record<JointAction, readonly [CountedAs, JointAction]>>> = {
  'shoulder.flexion': ['flexion', 'shoulder.flexion'],
  'shoulder.extension': ['flexion', 'shoulder.flexion'],
  'shoulder.abduction': ['abduction', 'shoulder.abduction'],
  'shoulder.adduction': ['abduction', 'shoulder.abduction'],
  'shoulder.horizontalAdduction': ['horizontal', 'shoulder.horizontalAdduction'],
  'shoulder.horizontalAbduction': ['horizontal', 'shoulder.horizontalAdduction'],
  'hip.flexion': ['flexion', 'hip.flexion'],
  'hip.extension': ['flexion', 'hip.flexion'],
};

/**
 * Signed angle from one direction to another about an axis, degrees: of their parts square to the axis u,
 * atan2(u . (a x b), a . b - (a . u)(b . u)).
 */
function aboutAxisDeg(axis: Vec3, from: Vec3, to: Vec3): number {
  const flat = (v: Vec3): Vec3 => subtract(v, scale(axis, dot(v, axis)));
  const [a, b] = [flat(from), flat(to)];
  return toDeg(Math.atan2(dot(axis, cross(a, b)), dot(a, b)));
}

/**
 * Where the target joint of a posed movement begins and ends, degrees: a hinge's bend; a ball joint's angle in the
 * plane of its action, from the limb along trunk or pelvis, or from straight out to the side. The start is signed, and
 * the finish is the start and every turn after it with its sign: both differ by what the joint turns, and a limb that
 * passes its zero goes on below it.
 */
export function jointStops(action: JointAction, { path, target, pose }: PosedEntry, side: Side): JointStops {
  const last = path.proximal.length - 1;
  if (path.chain === 'trunk') {
    const lean = (i: number): number => 180 - jointDegAt(path, 'proximal', i);
    return { joint: 'hip', counted: 'lean', startDeg: lean(0), finishDeg: lean(last) };
  }
  if (target.joint === 'middle')
    return {
      joint: path.chain === 'leg' ? 'knee' : 'elbow',
      counted: 'bend',
      startDeg: jointDegAt(path, 'middle', 0),
      finishDeg: jointDegAt(path, 'middle', last),
    };
  const named = COUNTED[action];
  if (!named) throw new Error(`jointStops: ${action} is no action of a ball joint`);
  const [counted, motion] = named;
  const frame = path.chain === 'leg' ? pose.pelvisFrame : pose.trunkFrame;
  const axis = nominalAxis(motion, frame, side);
  const limb = path.proximal.map((p, i) => towards(p, path.middle[i]!));
  const zero = counted === 'horizontal' ? scale(frame.z, signOf(side)) : scale(frame.y, -1);
  const startDeg = aboutAxisDeg(axis, zero, limb[0]!);
  let finishDeg = startDeg;
  for (let i = 1; i <= last; i++) {
    const turn = toDeg(clampedAcos(dot(limb[i - 1]!, limb[i]!)));
    finishDeg += dot(cross(limb[i - 1]!, limb[i]!), axis) < 0 ? -turn : turn;
  }
  return { joint: path.chain === 'leg' ? 'hip' : 'shoulder', counted, startDeg, finishDeg };
}
