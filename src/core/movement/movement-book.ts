import { FLY_FAULTS } from './fault-code';
import type { Movement, MovementId } from './movement';

/** What every twin-cable fly shares (common practice): staggered, bent in the stretch, nearly straight at the finish. */
const FLY = {
  station: 'twin-column',
  trunkLeanDeg: 6,
  action: 'shoulder.horizontalAdduction',
  wantedPeak: 'even',
  offPlane: { above: 'lats', below: 'front-deltoid' },
  tempo: { notation: '3-1-2-1', startsWith: 'lifting' },
  restS: 90,
  faults: FLY_FAULTS,
  cautions: ['deep-shoulder-stretch', 'carriage-pin', 'carabiner-and-cable', 'floor-clear', 'stop-signs'],
} as const;

const SWEEP = {
  kind: 'sweep',
  startAzimuthDeg: -10,
  finishGapM: 0.1,
  elbowFlexionDeg: { start: 30, finish: 10 },
} as const;

/**
 * The movement book. Tilts follow the border of the chest that should line up with cable and arm: the lower border for
 * high to low, level fibres for level, the collarbone's for low to high (approximate, from common practice).
 */
export const MOVEMENT_BOOK: Readonly<Record<MovementId, Movement>> = {
  'cable-fly-high-to-low': {
    ...FLY,
    id: 'cable-fly-high-to-low',
    target: 'chest-lower',
    path: { ...SWEEP, sideElevationDeg: 98, tiltDeg: { default: 55, min: 30, max: 65 } },
    reps: { min: 10, max: 15 },
  },
  'cable-fly-level': {
    ...FLY,
    id: 'cable-fly-level',
    target: 'chest-mid',
    path: { ...SWEEP, sideElevationDeg: 90, tiltDeg: { default: 0, min: -10, max: 15 } },
    reps: { min: 10, max: 15 },
  },
  'cable-fly-low-to-high': {
    ...FLY,
    id: 'cable-fly-low-to-high',
    target: 'chest-upper',
    path: { ...SWEEP, sideElevationDeg: 60, tiltDeg: { default: -20, min: -40, max: -5 } },
    reps: { min: 12, max: 15 },
  },
};
