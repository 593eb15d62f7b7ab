import type { Posture } from '@/core/body/posture';

/** Which foot can stand ahead. */
export const FRONT_FEET = ['left', 'right'] as const;
/** The foot that stands ahead. */
export type FrontFoot = (typeof FRONT_FEET)[number];

/**
 * A sweep of the whole arm about the shoulder, in one plane through the line to the side and the line ahead; staggered
 * stance. Azimuth 0 = straight out to that side, 90 = ahead, negative = behind; elevation 0 = hanging, 90 = level.
 */
export interface SweepPath {
  readonly kind: 'sweep';
  /** Elevation of the arm straight out to the side, degrees. */
  readonly sideElevationDeg: number;
  /** How far the plane falls away ahead of the client, degrees below level; negative rises. */
  readonly tiltDeg: { readonly default: number; readonly min: number; readonly max: number };
  /** Upper-arm azimuth in the plane at the start when the active range allows it. */
  readonly startAzimuthDeg: number;
  /** Hand to hand at the finish, metres between grip centres. */
  readonly finishGapM: number;
  /** Elbow flexion at start and finish: bent in the stretch, nearly straight at the finish. */
  readonly elbowFlexionDeg: { readonly start: number; readonly finish: number };
  /** Trunk ahead of upright, degrees. */
  readonly leanDeg: number;
}

/** Choices of a sweep on one day; either foot may lead (common practice). */
export interface SweepChoice {
  readonly tiltDeg: number;
  readonly frontFoot: FrontFoot;
  /** How the client stands up to the load; a plain split step where it is not told. */
  readonly posture?: Posture;
}
