import type { ActiveRangeDeg, Side } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import type { Vec3 } from '@/core/geometry/vector';
import { pulleyAt, type Column, type Room } from '@/core/kit/column';
import { buildLeakTrack, type LeakTrack } from '@/core/mechanics/leak';
import { buildLimbTrack, thinTrack, type LimbTrack } from '@/core/mechanics/limb-track';
import { poseMovement, SHORTEST_SWEEP_DEG, type PosedMovement } from '@/core/movement/limb-path';
import type { Movement, MovementOptions, PeakWish } from '@/core/movement/movement';
import { GRAVITY_MS2 } from '@/core/units/mass';

export type WorkingSide = Side | 'both';

/** Where the carriage and the client are: floor-frame metres, degrees; yaw 0 faces away from the columns. */
export interface Placement {
  readonly hole: number;
  readonly standX: number;
  readonly standZ: number;
  readonly yawDeg: number;
}

export const PLACEMENT_KEYS = ['hole', 'standX', 'standZ', 'yawDeg'] as const;

/** What the search for a place needs to know of the question. */
export interface SearchInput {
  readonly column: Column;
  readonly room: Room;
  readonly attachmentM: number;
  /** Stack load per working side, kilograms. */
  readonly loadKg: number;
  /** Most a clinician allows in the hand, kilograms; null when nothing is limited. */
  readonly mostLoadKg: number | null;
  readonly options: { readonly peak: PeakWish };
  /** Settings that may not move. */
  readonly fixed: Partial<Placement>;
  /** A set-up that worked before is not moved for nothing. */
  readonly lastUsed: Placement | null;
}

/** Where the search looks and what it may not exceed. */
export interface SearchBounds {
  /** Square facing and the most turned from it, degrees. */
  readonly yawDeg: number;
  readonly turnDeg: number;
  /** Middle place sideways and the most from it, metres. */
  readonly standZ: number;
  readonly sidewaysM: number;
  /** Most the line may leave the sweep, degrees, and the most of the range that may rest. */
  readonly lineDeg: number;
  readonly restShare: number;
  readonly shortestSweepDeg: number;
  /** Places sideways that the coarse search starts from, metres from the middle one. */
  readonly startsZ: readonly number[];
  /** Pulley heights to look at, metres. */
  readonly heightM: readonly [number, number];
}

/** A limb to be served by a column: what the search, the cost and an evaluation work on. */
export interface SearchProblem {
  readonly input: SearchInput;
  readonly bounds: SearchBounds;
  /** Pulley of a side in the floor frame. */
  readonly pulley: (hole: number, side: Side) => Vec3;
  readonly sides: readonly Side[];
  readonly tracks: readonly LimbTrack[];
  /** The same limbs at every fourth sample, for coarse search. */
  readonly thinTracks: readonly LimbTrack[];
  readonly tensionN: number;
  /** Both arms work and move alike, so the best place is midway and square. */
  readonly symmetric: boolean;
  /** Shortest sweep of the working arms, degrees. */
  readonly sweepDeg: number;
  /** Directions that the line should run along, flat (3 per sample, unit), by side; null where the sweep alone counts. */
  readonly along: readonly Float64Array[] | null;
}

/** Everything a fly's set-up is solved from. */
export interface SetupInput extends SearchInput {
  readonly body: Body;
  /** Measured active range, and what a clinician allows. */
  readonly range: ActiveRangeDeg;
  readonly limits: ActiveRangeDeg;
  /** Loaded stretches stop level with the trunk (a shoulder note). */
  readonly stopLevel: boolean;
  readonly movement: Movement;
  readonly options: MovementOptions;
  readonly side: WorkingSide;
}

/** A set-up question with the client's limbs already posed and flattened; placement does not change them. */
export interface SetupProblem extends SearchProblem {
  readonly input: SetupInput;
  readonly posed: PosedMovement;
  /** For the moments beside the target, in the order of `sides`. */
  readonly leakTracks: () => readonly LeakTrack[];
}

/** Coarse search reads every fourth sample. */
export const THIN = 4;

/**
 * Flies face away from the columns, midway between them. Past 8 degrees of line it is another movement, and a line held
 * only by letting the load rest for more than a quarter of the range is no set-up (our judgement).
 */
export const FLY_BOUNDS: SearchBounds = { yawDeg: 0, turnDeg: 30, standZ: 0, sidewaysM: 0.4, lineDeg: 8, restShare: 0.25, shortestSweepDeg: SHORTEST_SWEEP_DEG, startsZ: [0], heightM: [0, 9] };

/** Pose and flatten. Precondition: input checked at the border (`contract/case`). */
export function buildProblem(input: SetupInput): SetupProblem {
  const posed = poseMovement(input.body, input.movement, input.options, { active: input.range, limits: input.limits, stopLevel: input.stopLevel });
  const sides: Side[] = input.side === 'both' ? ['left', 'right'] : [input.side];
  const tracks = sides.map((side) => buildLimbTrack(input.body, posed.arms[side], posed.arms[side].target));
  const { left, right } = posed.arms;
  // Only an evaluation that is explained needs these; the search does not.
  let leakTracks: readonly LeakTrack[] | null = null;
  return {
    input,
    bounds: FLY_BOUNDS,
    pulley: (hole, side) => pulleyAt(input.column, hole, side),
    leakTracks: () => (leakTracks ??= sides.map((side) => buildLeakTrack(input.body, posed.arms[side], posed.arms[side].target))),
    posed,
    sides,
    along: null,
    tracks,
    thinTracks: tracks.map((t) => thinTrack(t, THIN)),
    tensionN: (input.loadKg * GRAVITY_MS2) / input.column.pulleyRatio,
    symmetric: input.side === 'both' && left.startDeg === right.startDeg && left.finishDeg === right.finishDeg,
    sweepDeg: Math.min(...sides.map((side) => posed.arms[side].finishDeg - posed.arms[side].startDeg)),
  };
}
