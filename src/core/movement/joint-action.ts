import { type Side, signOf } from '@/core/body/side';
import type { RangeName } from '@/core/body/active-range';
import type { Frame } from '@/core/geometry/frame';
import { cross, dot, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { clampedAcos, toDeg } from '@/core/units/angle';

/** Every action of a joint that a movement can have for its target. */
export const JOINT_ACTIONS = [
  'shoulder.flexion',
  'shoulder.extension',
  'shoulder.abduction',
  'shoulder.adduction',
  'shoulder.horizontalAdduction',
  'shoulder.horizontalAbduction',
  'elbow.flexion',
  'elbow.extension',
  'hip.flexion',
  'hip.extension',
  'knee.flexion',
  'knee.extension',
  'trunk.extension',
] as const;
/** An action of a joint. */
export type JointAction = (typeof JOINT_ACTIONS)[number];

/**
 * The joint that an action moves: proximal of the chain (shoulder, hip, hips under the trunk) or its middle (elbow,
 * knee).
 */
export const jointOf = (action: JointAction): 'proximal' | 'middle' =>
  action.startsWith('elbow') || action.startsWith('knee') ? 'middle' : 'proximal';

/**
 * Right-handed axis of an action of a ball joint in its frame, where the limb itself does not tell (it stands still).
 * Flexion raises a hanging limb ahead, about the frame's right axis; abduction away from the midline; horizontal
 * adduction turns a level limb ahead and across, about the frame's up axis.
 */
export function nominalAxis(action: JointAction, frame: Frame, side: Side): Vec3 {
  const s = signOf(side);
  switch (action) {
    case 'shoulder.flexion':
    case 'hip.flexion':
      return frame.z;
    case 'trunk.extension':
      // The trunk over fixed hips goes back and up: from ahead towards up, about the right axis.
      return frame.z;
    case 'shoulder.extension':
    case 'hip.extension':
      return scale(frame.z, -1);
    case 'shoulder.abduction':
      return scale(frame.x, -s);
    case 'shoulder.adduction':
      return scale(frame.x, s);
    case 'shoulder.horizontalAdduction':
      return scale(frame.y, s);
    case 'shoulder.horizontalAbduction':
      return scale(frame.y, -s);
    default:
      throw new Error(`nominalAxis: ${action} is a hinge's; its axis comes from the limb`);
  }
}

/**
 * Axis about which a hinge flexes (elbow: forearm towards the front of the upper arm; knee: shank backwards); null when
 * straight.
 */
export function hingeAxis(upper: Vec3, lower: Vec3): Vec3 | null {
  const n = cross(upper, lower);
  const l = length(n);
  return l > 1e-6 ? scale(n, 1 / l) : null;
}

/**
 * Joint angles of a posed limb, degrees, by the names of the active ranges that they are held against; a motion that
 * the limb is not in is left out. `upper` and `lower` are unit directions, `upper` in the frame of trunk or pelvis.
 */
export function jointAngles(
  chain: 'arm' | 'leg' | 'trunk',
  upperInFrame: Vec3,
  upper: Vec3,
  lower: Vec3,
  side: Side,
): Partial<Record<RangeName, number>> {
  const bend = toDeg(clampedAcos(dot(upper, lower)));
  const elevation = toDeg(clampedAcos(-upperInFrame[1]));
  if (chain === 'leg') return { 'knee.flexion': bend, ...(upperInFrame[0] > 0 ? { 'hip.flexion': elevation } : {}) };
  if (chain === 'trunk') return {};
  const azimuth = toDeg(Math.atan2(upperInFrame[0], side === 'right' ? upperInFrame[2] : -upperInFrame[2]));
  const angles: Partial<Record<RangeName, number>> = { 'elbow.flexion': bend };
  // Raised in the sagittal half of a turn it is flexion or extension, out to the side abduction.
  if (azimuth > 45) angles['shoulder.flexion'] = elevation;
  else if (azimuth >= -45) angles['shoulder.abduction'] = elevation;
  else angles['shoulder.extension'] = elevation;
  if (Math.abs(elevation - 90) <= LEVEL_WITHIN_DEG) {
    if (azimuth < 0) angles['shoulder.horizontalAbduction'] = -azimuth;
    else angles['shoulder.horizontalAdduction'] = azimuth;
  }
  return angles;
}

/** Angle of a path's target joint at a sample, degrees: bend of the hinge, or the limb from hanging. */
export function jointDegAt(
  path: {
    readonly chain: 'arm' | 'leg' | 'trunk';
    readonly proximal: readonly Vec3[];
    readonly middle: readonly Vec3[];
    readonly distal: readonly Vec3[];
  },
  joint: 'proximal' | 'middle',
  i: number,
): number {
  const upper = towards(path.proximal[i]!, path.middle[i]!);
  return toDeg(
    clampedAcos(
      joint === 'middle' && path.chain !== 'trunk' ? dot(upper, towards(path.middle[i]!, path.distal[i]!)) : -upper[1],
    ),
  );
}

/** A joint whose angle is told. */
export type ToldJoint = 'shoulder' | 'hip' | 'elbow' | 'knee';
/** What a joint's angle is counted as: positive ahead, out to the side, ahead of straight out, bent, leant forward. */
export type CountedAs = 'flexion' | 'abduction' | 'horizontal' | 'bend' | 'lean';

/** An arm this near to level moves forward and back, not up and down. */
const LEVEL_WITHIN_DEG = 40;

/** Unit direction from a to b. */
export const towards = (a: Vec3, b: Vec3): Vec3 => normalise(subtract(b, a));
