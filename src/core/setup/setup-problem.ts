import type { ActiveRangeDeg, Side } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import type { Column, Room } from '@/core/kit/column';
import { buildLeakTrack, type LeakTrack } from '@/core/mechanics/leak';
import { buildLimbTrack, thinTrack, type LimbTrack } from '@/core/mechanics/limb-track';
import { poseMovement, type PosedMovement } from '@/core/movement/limb-path';
import type { Movement, MovementOptions } from '@/core/movement/movement';
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

/** Everything a set-up is solved from. */
export interface SetupInput {
  readonly body: Body;
  /** Measured active range, and what a clinician allows. */
  readonly range: ActiveRangeDeg;
  readonly limits: ActiveRangeDeg;
  /** Loaded stretches stop level with the trunk (a shoulder note). */
  readonly stopLevel: boolean;
  /** Most a clinician allows in the hand, kilograms; null when nothing is limited. */
  readonly mostLoadKg: number | null;
  readonly movement: Movement;
  readonly options: MovementOptions;
  readonly side: WorkingSide;
  readonly column: Column;
  readonly room: Room;
  readonly attachmentM: number;
  /** Stack load per working side, kilograms. */
  readonly loadKg: number;
  /** Settings that may not move. */
  readonly fixed: Partial<Placement>;
  /** A set-up that worked before is not moved for nothing. */
  readonly lastUsed: Placement | null;
}

/** A set-up question with the client's limbs already posed and flattened; placement does not change them. */
export interface SetupProblem {
  readonly input: SetupInput;
  readonly posed: PosedMovement;
  readonly sides: readonly Side[];
  readonly tracks: readonly LimbTrack[];
  /** The same limbs at every fourth sample, for coarse search. */
  readonly thinTracks: readonly LimbTrack[];
  /** For the moments beside the target, in the order of `sides`. */
  readonly leakTracks: () => readonly LeakTrack[];
  readonly tensionN: number;
  /** Both arms work and move alike, so the best place is midway and square. */
  readonly symmetric: boolean;
  /** Shortest sweep of the working arms, degrees. */
  readonly sweepDeg: number;
}

/** Coarse search reads every fourth sample. */
export const THIN = 4;

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
    leakTracks: () => (leakTracks ??= sides.map((side) => buildLeakTrack(input.body, posed.arms[side], posed.arms[side].target))),
    posed,
    sides,
    tracks,
    thinTracks: tracks.map((t) => thinTrack(t, THIN)),
    tensionN: (input.loadKg * GRAVITY_MS2) / input.column.pulleyRatio,
    symmetric: input.side === 'both' && left.startDeg === right.startDeg && left.finishDeg === right.finishDeg,
    sweepDeg: Math.min(...sides.map((side) => posed.arms[side].finishDeg - posed.arms[side].startDeg)),
  };
}
