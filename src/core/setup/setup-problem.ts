import type { Side } from '@/core/body/side';
import type { CompensatingMuscle } from '@/core/body/compensating-muscle';
import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import type { Region } from '@/core/body/region-line';
import { toBody } from '@/core/geometry/rotation';
import type { Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import type { Column, Room } from '@/core/kit/column';
import type { OffAxisTrack } from '@/core/mechanics/off-axis';
import type { Palm } from '@/core/mechanics/forearm-turn';
import type { LimbTrack } from '@/core/mechanics/limb-track';
import type { ChainPath, ChainTarget } from '@/core/movement/chain-path';
import type { CountedAs, ToldJoint } from '@/core/movement/joint-action';
import { SHORTEST_SWEEP_DEG, type RangeEnd } from '@/core/movement/limb-path';
import type { PeakTarget } from '@/core/movement/peak-target';
import type { LimbDepth } from './limb-clear';
import type { LineObstacles } from './line-clear';
import type { ColumnPart, Violation } from './violation';

/** Where the carriage and the client are: floor-frame metres, degrees; yaw 0 faces away from the columns. */
export interface Placement {
  /** Of the right carriage, and of the left one too unless `leftBy` says otherwise. */
  readonly hole: number;
  /**
   * Hole numbers that the left carriage stands above (negative: below) the right one; absent where both stand alike.
   */
  readonly leftBy?: number | undefined;
  readonly standX: number;
  readonly standZ: number;
  readonly yawDeg: number;
}

/** A place with its cost over all samples, degrees. */
export interface Refined {
  readonly placement: Placement;
  readonly cost: number;
}

/** Where the carriages are. */
export type Carriages = Pick<Placement, 'hole' | 'leftBy'>;

/** Hole number of a side's carriage. */
export const holeOf = (at: Carriages, side: Side): number => (side === 'left' ? at.hole + (at.leftBy ?? 0) : at.hole);

/** Settings of a place that the search moves. */
export const PLACEMENT_KEYS = ['hole', 'standX', 'standZ', 'yawDeg'] as const;

/** What the search for a place needs to know of the question. */
export interface SearchInput {
  readonly column: Column;
  /** Floor that is searched: no nearer than the body may come, and with room for the steps in of a set. */
  readonly room: Room;
  /** Floor that there is. */
  readonly floor: Room;
  /** Nearest mark that the body itself comes to the columns, metres, and what of it would meet them; null for none. */
  readonly nearestM: number;
  readonly meets: ColumnPart | null;
  readonly attachmentM: number;
  /** Limits that are broken wherever the client stands: a load over a clinician's limit, a pulley too few. */
  readonly always: readonly Violation[];
  /** Where the curve should be highest. */
  readonly peakTarget: PeakTarget;
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
  /** What a metre further from the columns than need be costs, degrees. */
  readonly perM: number;
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
  readonly pulley: (at: Carriages, side: Side) => Vec3;
  readonly sides: readonly Side[];
  /**
   * The limb of a side, by its place in `sides`, as it is posed for a pulley in the stand frame; `thin`: every fourth
   * sample, for coarse search. It may be filled anew by the next call.
   */
  readonly trackAt: (index: number, pulley: Vec3, thin: boolean) => LimbTrack;
  /**
   * How far a pulley in the stand frame strains a pull beyond the movement's own ends, degrees: its start, and the
   * elbow's bend at its finish; 0 for what is no pull.
   */
  readonly strainDeg: (index: number, pulley: Vec3) => number;
  /**
   * What a client's range leaves of a pull for a pulley in the stand frame, and the least that is still the movement.
   */
  readonly leftShare: ((index: number, pulley: Vec3) => number) | null;
  readonly shortestShare: number;
  /** How deep the forearm of a pull lies in the body for a pulley in the stand frame; null for what is no pull. */
  readonly limbDepth: ((index: number, pulley: Vec3) => LimbDepth) | null;
  /** The body that the lines may not run through; null for a fly, whose cables pass behind it. */
  readonly obstacles: LineObstacles | null;
  readonly tensionN: number;
  /** Both hands hold one attachment. */
  readonly shared: boolean;
  /** Both arms work and move alike, so the best place is midway and square. */
  readonly symmetric: boolean;
  /** The arms reach along the cable, so that the place decides how they lie. */
  readonly pulls: boolean;
  /** Shortest sweep of the working arms, degrees. */
  readonly sweepDeg: number;
}

/** One working limb as a set-up poses it. */
export interface WorkingLimb {
  readonly path: ChainPath;
  readonly target: ChainTarget;
  /** How the hand holds what loads the elbow's flexors; null where nothing turns the forearm. */
  readonly palm: Palm | null;
  /** Where its range begins, and why. */
  readonly start: RangeStart;
}

/**
 * Where a range begins and what sets it: degrees ahead of straight out to the side for a sweep, else of the joint that
 * it is told of, counted as there.
 */
export interface RangeStart {
  readonly deg: number;
  readonly joint: ToldJoint;
  readonly counted: 'sweep' | CountedAs;
  readonly from: RangeEnd;
}

/**
 * A set-up question with the client's limbs already posed and flattened; the place decides how those lie that pull
 * along the cable.
 */
export interface SetupProblem extends SearchProblem {
  readonly body: Body;
  /** The client is on feet or knees alone: no bench, seat or machine answers what the hands pull. */
  readonly stands: boolean;
  /** At the start of the range, stand frame. */
  readonly pose: BodyPose;
  /** At a sample of the range, for drawing. */
  readonly poseAt: (i: number) => BodyPose;
  readonly limbAt: (side: Side, at: Placement) => WorkingLimb;
  readonly region: Region;
  /** Who takes over when the line leaves the sweep to its upper side, and to its lower one. */
  readonly pickUp: { readonly above: CompensatingMuscle; readonly below: CompensatingMuscle };
  /** For the moments beside the target, in the order of `sides`. */
  readonly offAxisTracks: (at: Placement) => readonly OffAxisTrack[];
}

/** The same question with other settings held; nothing is posed anew. */
export const withFixed = <P extends SearchProblem>(problem: P, fixed: Partial<Placement>): P => ({
  ...problem,
  input: { ...problem.input, fixed, lastUsed: null },
});

/** A place on the floor as `toBody` takes it. */
export const standOf = (at: Placement): { readonly x: number; readonly z: number; readonly yawRad: number } => ({
  x: at.standX,
  z: at.standZ,
  yawRad: toRad(at.yawDeg),
});

/** The pulley of a working side as the client at a place sees it: stand frame, metres. */
export const pulleyFrom = (problem: Pick<SearchProblem, 'pulley'>, at: Placement, side: Side): Vec3 =>
  toBody(problem.pulley(at, side), standOf(at));

/** Coarse search reads every fourth sample. */
export const THIN = 4;

/**
 * Flies face away from the columns, midway between them. Past 8 degrees of line it is another movement, and a line held
 * only by letting the load rest for more than a quarter of the range is no set-up (our judgement).
 */
export const FLY_BOUNDS: SearchBounds = {
  yawDeg: 0,
  turnDeg: 30,
  standZ: 0,
  sidewaysM: 0.4,
  lineDeg: 8,
  restShare: 0.25,
  perM: 0,
  shortestSweepDeg: SHORTEST_SWEEP_DEG,
  startsZ: [0],
  heightM: [0, 9],
};
