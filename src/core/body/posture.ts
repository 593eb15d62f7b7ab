import type { Side } from '@/core/body/side';
import type { Frame } from '@/core/geometry/frame';
import type { Vec3 } from '@/core/geometry/vector';

/**
 * The legs leant from the ankles, or the thighs from knees on the floor, towards a direction of the floor: 0 ahead, 90
 * to the right, 180 back; degrees. The hips go along, and the trunk over them stays as the movement has it.
 */
export interface Lean {
  readonly deg: number;
  readonly headingDeg: number;
}

/**
 * How a client stands, kneels, sits, lies or hangs. Angles in degrees; trunk and back angles count from level (90
 * upright, 0 lying). Heights in metres above the floor. The floor mark (origin of the body frame) is under the midpoint
 * of the ankles when standing, under the hips when kneeling, seated, lying or on a hip pad, under the hands in a plank
 * and under the bar when hanging.
 */
export type Posture =
  | { readonly kind: 'standing'; readonly kneeFlexionDeg: number; readonly lean?: Lean }
  /** One foot ahead, ankle to ankle `stepM` where it is told, else a comfortable step. */
  | { readonly kind: 'staggered'; readonly frontFoot: Side; readonly stepM?: number; readonly lean?: Lean }
  | { readonly kind: 'wide'; readonly widthM: number; readonly lean?: Lean }
  | { readonly kind: 'hinged'; readonly trunkDeg: number; readonly kneeFlexionDeg: number; readonly lean?: Lean }
  /** Hips on the edge of a pad, straight legs held at their heels and sloping down behind by `legDeg`. */
  | { readonly kind: 'hip-pad'; readonly trunkDeg: number; readonly legDeg: number }
  | { readonly kind: 'half-kneeling'; readonly kneeDown: Side; readonly lean?: Lean }
  | { readonly kind: 'tall-kneeling'; readonly lean?: Lean }
  /** On a bench, a machine or (height 0) the floor with the legs ahead. */
  | { readonly kind: 'seated'; readonly seatHeightM: number; readonly backDeg: number }
  | {
      readonly kind: 'lying';
      readonly on: 'back' | 'front' | Side;
      readonly surfaceHeightM: number;
      readonly backDeg: number;
    }
  /** Hand and knee of one side on a bench, the other foot down. */
  | { readonly kind: 'hand-and-knee'; readonly benchHeightM: number; readonly support: Side }
  /** One hand on a bench, both feet down. */
  | {
      readonly kind: 'hand-on-bench';
      readonly benchHeightM: number;
      readonly support: Side;
      readonly kneeFlexionDeg: number;
    }
  /** Split stance, forearm on the front thigh of the supporting side. */
  | { readonly kind: 'forearm-on-thigh'; readonly support: Side; readonly trunkDeg: number }
  | { readonly kind: 'plank'; readonly handHeightM: number }
  | { readonly kind: 'hanging'; readonly barHeightM: number }
  /** Seated with the legs held by the machine: thighs above level, knees bent. */
  | {
      readonly kind: 'leg-machine';
      readonly seatHeightM: number;
      readonly backDeg: number;
      readonly thighDeg: number;
      readonly kneeFlexionDeg: number;
    };

/** Trunk against the pelvis, degrees: lean forward, side bend to the right, turn to the left. */
export interface TrunkShape {
  readonly leanDeg: number;
  readonly sideBendDeg: number;
  readonly turnDeg: number;
}

/** Shoulder girdle offset from rest, metres (a few centimetres): forward and up. */
export interface Scapula {
  readonly protractionM: number;
  readonly elevationM: number;
}

/** A trunk that neither leans, bends nor turns. */
export const STRAIGHT_TRUNK: TrunkShape = { leanDeg: 0, sideBendDeg: 0, turnDeg: 0 };
/** Shoulder girdle at rest. */
export const SCAPULA_AT_REST: Scapula = { protractionM: 0, elevationM: 0 };

/** Joints and ends of a leg, body frame, metres. */
export interface Leg {
  readonly hip: Vec3;
  readonly knee: Vec3;
  readonly ankle: Vec3;
  readonly heel: Vec3;
  readonly toe: Vec3;
}

/** An arm that holds the body up: what the free side presses on. */
export interface SupportArm {
  readonly side: Side;
  readonly elbow: Vec3;
  readonly hand: Vec3;
}

/** Joint centres in the body frame (x forward, y up, z right; Wu et al. 2005), metres, origin at the floor mark. */
export interface BodyPose {
  /** Midway between the hips. */
  readonly pelvis: Vec3;
  readonly pelvisFrame: Frame;
  /** Axes of the trunk: forward out of the chest, up along the spine, right. */
  readonly trunkFrame: Frame;
  /** Midway between the shoulders, girdle at rest. */
  readonly neckBase: Vec3;
  readonly neck: Vec3;
  readonly head: Vec3;
  readonly headRadiusM: number;
  readonly shoulder: Readonly<Record<Side, Vec3>>;
  readonly leg: Readonly<Record<Side, Leg>>;
  readonly supportArm: SupportArm | null;
}
