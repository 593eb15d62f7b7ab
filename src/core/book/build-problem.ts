import { SIDES, type ActiveRangeDeg, type Side } from '@/core/body/active-range';
import type { Answerer } from '@/core/body/answerer';
import type { Body } from '@/core/body/body-model';
import { length, mirrorZ, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { pulleyAt, type Column, type Room } from '@/core/kit/column';
import { buildLeakTrack, type LeakTrack } from '@/core/mechanics/leak';
import { buildLimbTrack, thinTrack } from '@/core/mechanics/limb-track';
import { SAMPLES, type ChainPath } from '@/core/movement/chain-path';
import { jointDegAt, towards, type JointAction } from '@/core/movement/joint-action';
import type { SweepChoice } from '@/core/movement/sweep-path';
import {
  FLY_BOUNDS,
  holeOf,
  THIN,
  type Carriages,
  type PosedLimb,
  type SearchBounds,
  type SearchInput,
  type SetupProblem,
  type WorkingSide,
} from '@/core/setup/setup-problem';
import { GRAVITY_MS2 } from '@/core/units/mass';
import type { BookEntry, LoadRule } from './book-entry';
import type { ClientFit } from './client-fit';
import { withKit } from './fit-entry';
import { entryBodyAt, poseEntry, type PosedEntry } from './pose-entry';
import type { StationKit } from './station-kit';

/** Everything a set-up at a column is solved from. */
export interface SetupInput extends SearchInput {
  readonly body: Body;
  /** Measured active range, and what a clinician allows. */
  readonly range: ActiveRangeDeg;
  readonly limits: ActiveRangeDeg;
  /** Loaded stretches stop level with the trunk (a shoulder note). */
  readonly stopLevel: boolean;
  readonly fit: ClientFit;
  /** The movement with its schools and fitted parameters; its load must be a cable. */
  readonly entry: BookEntry;
  readonly options: SearchInput['options'] & SweepChoice;
  readonly side: WorkingSide;
  readonly kit: StationKit;
}

/**
 * Looser than a fly's: the forearm follows the line, and curls and pulldowns start or end near rest by nature (our
 * judgement). What lies beyond is still told in the metrics.
 */
const LINE_DEG = 30;
const REST_SHARE = 0.5;
const TURN_DEG = 30;
const SIDEWAYS_M = 0.4;

const OTHER: Readonly<Record<Side, Side>> = { left: 'right', right: 'left' };
type CableLoad = Extract<LoadRule, { kind: 'cable' }>;

/**
 * Who takes over when the line leaves the sweep: to its upper side (see `senseOf`), and to its lower one. Common
 * anatomy.
 */
const PICK_UP: Readonly<Record<JointAction, { readonly above: Answerer; readonly below: Answerer }>> = {
  'shoulder.horizontalAdduction': { above: 'lats', below: 'front-deltoid' },
  'shoulder.horizontalAbduction': { above: 'lats', below: 'side-deltoid' },
  'shoulder.flexion': { above: 'chest', below: 'rear-deltoid' },
  'shoulder.extension': { above: 'lats', below: 'side-deltoid' },
  'shoulder.abduction': { above: 'rear-deltoid', below: 'front-deltoid' },
  'shoulder.adduction': { above: 'rear-deltoid', below: 'chest' },
  'elbow.flexion': { above: 'internal-rotators', below: 'external-rotators' },
  'elbow.extension': { above: 'internal-rotators', below: 'external-rotators' },
  'hip.flexion': { above: 'hip-adductors', below: 'hip-abductors' },
  'hip.extension': { above: 'hip-adductors', below: 'hip-abductors' },
  'knee.flexion': { above: 'joint', below: 'joint' },
  'knee.extension': { above: 'joint', below: 'joint' },
  'trunk.extension': { above: 'trunk', below: 'trunk' },
};

/** Whose pulley a hand uses: the one in front of it when facing the columns, its own when facing away. */
function pulleySide(entry: BookEntry, load: CableLoad, column: Column, side: Side): Side {
  if (column.kind === 'single') return side;
  // Facing the columns the right hand stands before the pulley at -z; two single handles cross over.
  if (load.shared) return 'right';
  if (load.facing === 'towards') return entry.hands === 'two' ? side : OTHER[side];
  return load.facing === 'free-side' ? OTHER[side] : side;
}

const YAW: Readonly<Record<'away' | 'towards', number>> = { away: 0, towards: 180 };

/** Forearm directions over the range, flat; turned round where the hand pushes against the line. */
function forearms(path: ChainPath, sign: 1 | -1): Float64Array {
  const flat = new Float64Array(3 * path.middle.length);
  path.middle.forEach((m, i) => flat.set(scale(towards(m, path.distal[i]!), sign), 3 * i));
  return flat;
}

/** Both hands go the same way by the mirror. */
const mirrorAlike = (l: ChainPath, r: ChainPath): boolean =>
  [0, (SAMPLES - 1) / 2, SAMPLES - 1].every((i) => length(subtract(mirrorZ(l.contact[i]!), r.contact[i]!)) < 1e-9);

/** The part of a range that sets where a set-up begins, and why. */
export function startOf(p: PosedEntry): PosedLimb['start'] {
  if (p.sweep) return { deg: p.sweep.startDeg, of: 'sweep', from: p.sweep.from };
  return {
    deg: jointDegAt(p.path, p.target.joint, 0),
    of: p.target.joint,
    from: p.range.cutStart === null ? 'movement' : p.range.startCutBy,
  };
}

/** Hands and elbows stay this far in front of the column, metres (our judgement: a knuckle and a handle). */
const CLEAR_OF_COLUMN_M = 0.1;
/** Depth that is left to look at where a long reach pushes the client out, metres. */
const LEAST_DEPTH_M = 0.3;

/** Floor that a movement can be done on: its own distances, but no nearer than its reach towards the column. */
function roomFor(load: CableLoad, entry: BookEntry, posed: readonly PosedEntry[], room: Room): Room {
  // Handles of their own run wide of the pulleys they cross to; side on, the working hand may pass the column's side.
  const meets = (load.facing === 'towards' || load.facing === 'away') && (load.shared || entry.hands === 'one');
  const sign = load.facing === 'towards' ? 1 : -1;
  const reach = meets
    ? Math.max(...posed.flatMap((p) => [...p.path.contact, ...p.path.middle].map((v) => sign * v[0]))) +
      CLEAR_OF_COLUMN_M
    : 0;
  const minDistanceM = Math.round(Math.max(room.minDistanceM, load.near, reach) * 100) / 100;
  return {
    minDistanceM,
    maxDistanceM: Math.max(minDistanceM, Math.min(room.maxDistanceM, Math.max(load.far, reach + LEAST_DEPTH_M))),
  };
}

function boundsOf(
  entry: BookEntry,
  load: CableLoad,
  body: Body,
  sides: readonly Side[],
  atPulleyZ: number,
): SearchBounds {
  if (entry.path.kind === 'sweep') return FLY_BOUNDS;
  const half = body.length.shoulderBreadth.m / 2;
  const sign = sides[0] === 'right' ? 1 : -1;
  // Turned so that the free (or the working) side looks at the column.
  const yawDeg =
    load.facing === 'away' || load.facing === 'towards'
      ? YAW[load.facing]
      : (load.facing === 'free-side' ? 90 : -90) * sign;
  // The working shoulder before its pulley; both hands, or a body side-on, with the middle before it.
  const shoulderZ = load.facing === 'away' ? sign * half : load.facing === 'towards' ? -sign * half : 0;
  const midway = sides.length === 2 && !load.shared;
  return {
    yawDeg,
    turnDeg: TURN_DEG,
    standZ: midway ? 0 : atPulleyZ - (sides.length === 2 ? 0 : shoulderZ),
    sidewaysM: SIDEWAYS_M,
    lineDeg: LINE_DEG,
    restShare: REST_SHARE,
    shortestSweepDeg: 0,
    startsZ: [-0.25, 0, 0.25],
    heightM: [load.from[0] * body.statureM, load.from[1] * body.statureM],
  };
}

/**
 * Pose and flatten a cable movement at a column. Null when the client's range leaves too little of it. Preconditions:
 * input checked at the border (`contract/case`); the movement hangs on a cable.
 */
export function findProblem(input: SetupInput): SetupProblem | null {
  const { body, column } = input;
  const entry = withKit(input.entry, input.kit);
  const { load } = entry;
  if (load.kind !== 'cable') throw new Error(`setup: ${entry.id} hangs on no cable`);
  const sides: readonly Side[] = input.side === 'both' ? SIDES : [input.side];
  const posed: PosedEntry[] = [];
  for (const side of sides) {
    const p = poseEntry(
      entry,
      body,
      side,
      { active: input.range, limits: input.limits, stopLevel: input.stopLevel, fit: input.fit },
      input.kit.surfaces,
      input.options,
    );
    if (!p) return null;
    posed.push(p);
  }
  const tracks = posed.map((p) => buildLimbTrack(body, p.path, p.target, load.shared ? 'middle' : 'hand'));
  const pulley = (at: Carriages, side: Side): Vec3 =>
    pulleyAt(column, holeOf(at, side), pulleySide(entry, load, column, side));
  const shown = posed[posed.length - 1]!;
  const same = posed.length === 2 && mirrorAlike(posed[0]!.path, posed[1]!.path);
  // Only an evaluation that is explained needs these; the search does not.
  let leakTracks: readonly LeakTrack[] | null = null;
  return {
    input: entry.path.kind === 'sweep' ? input : { ...input, room: roomFor(load, entry, posed, input.room) },
    bounds: boundsOf(entry, load, body, sides, pulley({ hole: 1 }, sides[0]!)[2]),
    pulley,
    sides,
    tracks,
    thinTracks: tracks.map((t) => thinTrack(t, THIN)),
    tensionN: (input.loadKg * GRAVITY_MS2) / column.pulleyRatio / (load.shared ? 2 : 1),
    symmetric: same,
    sweepDeg: Math.min(180, ...posed.map((p) => (p.sweep ? p.sweep.finishDeg - p.sweep.startDeg : 180))),
    along: load.forearm === 'free' ? null : posed.map((p) => forearms(p.path, load.forearm === 'pulls' ? 1 : -1)),
    body,
    pose: shown.pose,
    poseAt: (i) => entryBodyAt(entry, body, shown, sides[sides.length - 1]!, input.kit.surfaces, i),
    shared: load.shared,
    limbs: Object.fromEntries(
      sides.map((side, i) => [side, { path: posed[i]!.path, target: posed[i]!.target, start: startOf(posed[i]!) }]),
    ),
    region: entry.target,
    pickUp: PICK_UP[entry.action],
    leakTracks: () => (leakTracks ??= posed.map((p) => buildLeakTrack(body, p.path, p.target))),
  };
}

/** The same, where the range is known to leave enough. */
export function buildProblem(input: SetupInput): SetupProblem {
  const problem = findProblem(input);
  if (!problem) throw new Error(`setup: the client's range leaves too little of ${input.entry.id}`);
  return problem;
}
