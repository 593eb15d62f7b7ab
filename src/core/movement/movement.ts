import type { Answerer } from '@/core/body/answerer';
import type { Region } from '@/core/body/region-line';
import type { FaultCode } from './fault-code';

/** Where in the range the trainer wants the resistance to peak; `even` asks for the flattest curve instead. */
export const PEAK_WISHES = ['even', 'contracted', 'mid', 'lengthened'] as const;
export type PeakWish = (typeof PEAK_WISHES)[number];

export const FRONT_FEET = ['left', 'right'] as const;

/**
 * A sweep of the whole arm about the shoulder, in one plane through the line to the side and the line ahead.
 * Azimuth 0 = straight out to that side, 90 = ahead, negative = behind; elevation 0 = hanging, 90 = level.
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
}

/** Seconds of lowering, pause in the stretch, lifting, pause in the contraction; the rep starts with `startsWith`. */
export interface MovementTempo {
  readonly notation: string;
  readonly startsWith: 'lifting' | 'lowering';
}

export type CautionCode = 'deep-shoulder-stretch' | 'carriage-pin' | 'carabiner-and-cable' | 'stop-signs' | 'floor-clear';

/** A movement of the book, as data. */
export interface Movement {
  readonly id: MovementId;
  readonly station: 'twin-column';
  readonly trunkLeanDeg: number;
  readonly path: SweepPath;
  readonly target: Region;
  readonly action: 'shoulder.horizontalAdduction';
  readonly wantedPeak: PeakWish;
  /** Who takes over when the line leaves the sweep: above it the arm is pulled up, below it down. */
  readonly offPlane: { readonly above: Answerer; readonly below: Answerer };
  readonly tempo: MovementTempo;
  readonly reps: { readonly min: number; readonly max: number };
  readonly restS: number;
  readonly faults: readonly FaultCode[];
  readonly cautions: readonly CautionCode[];
}

export const MOVEMENT_IDS = ['cable-fly-high-to-low', 'cable-fly-level', 'cable-fly-low-to-high'] as const;
export type MovementId = (typeof MOVEMENT_IDS)[number];

/** Choices a set-up can be solved with; the defaults are the movement's own. */
export interface MovementOptions {
  readonly peak: PeakWish;
  readonly tiltDeg: number;
  readonly frontFoot: 'left' | 'right';
}

/** The movement's own options. Either foot may lead (common practice); left is only the one drawn first. */
export const defaultOptions = (movement: Movement): MovementOptions => ({
  peak: movement.wantedPeak,
  tiltDeg: movement.path.tiltDeg.default,
  frontFoot: 'left',
});
