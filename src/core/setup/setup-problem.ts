import type { ActiveRangeDeg, Side } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import type { Vec3 } from '@/core/geometry/vector';
import { holeHeightM, type Column, type Room } from '@/core/kit/column';
import { buildLimbTrack, TRACK_STRIDE, type LimbTrack } from '@/core/mechanics/limb-track';
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
  readonly range: ActiveRangeDeg;
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
  readonly tensionN: number;
  /** Both arms work and move alike, so the best place is midway and square. */
  readonly symmetric: boolean;
  /** Shortest sweep of the working arms, degrees. */
  readonly sweepDeg: number;
}

const THIN = 4;

function thin(track: LimbTrack): LimbTrack {
  const samples = (track.samples - 1) / THIN + 1;
  const data = new Float64Array(samples * TRACK_STRIDE);
  for (let i = 0; i < samples; i++) {
    data.set(track.data.subarray(i * THIN * TRACK_STRIDE, (i * THIN + 1) * TRACK_STRIDE), i * TRACK_STRIDE);
  }
  return { ...track, data, samples };
}

/** Pose and flatten. Precondition: input checked at the border (`contract/case`). */
export function buildProblem(input: SetupInput): SetupProblem {
  const posed = poseMovement(input.body, input.movement, input.options, input.range);
  const sides: Side[] = input.side === 'both' ? ['left', 'right'] : [input.side];
  const tracks = sides.map((side) => buildLimbTrack(input.body, posed.arms[side]));
  const { left, right } = posed.arms;
  return {
    input,
    posed,
    sides,
    tracks,
    thinTracks: tracks.map(thin),
    tensionN: (input.loadKg * GRAVITY_MS2) / input.column.pulleyRatio,
    symmetric: input.side === 'both' && left.startDeg === right.startDeg && left.finishDeg === right.finishDeg,
    sweepDeg: Math.min(...sides.map((side) => posed.arms[side].finishDeg - posed.arms[side].startDeg)),
  };
}

/** Pulley pivot in the floor frame: the right hand's cable comes from +z. */
export function pulleyInFloor(column: Column, hole: number, side: Side): Vec3 {
  return [0, holeHeightM(column, hole), ((side === 'right' ? 1 : -1) * column.twinSpacingM) / 2];
}
