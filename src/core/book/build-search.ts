import type { CompensatingMuscle } from '@/core/body/compensating-muscle';
import type { Body } from '@/core/body/body-model';
import { otherSide, type Side } from '@/core/body/side';
import { length, mirrorZ, subtract, type Vec3 } from '@/core/geometry/vector';
import { pulleyAt, type Column } from '@/core/kit/column';
import type { Palm } from '@/core/mechanics/forearm-turn';
import { palmOf } from './palm';
import { buildLimbTrack, thinTrack } from '@/core/mechanics/limb-track';
import { buildOffAxisTrack } from '@/core/mechanics/off-axis';
import { LAST_SAMPLE, MIDDLE_SAMPLE, type ChainPath } from '@/core/movement/chain-path';
import type { JointAction } from '@/core/movement/joint-action';
import {
  FLY_BOUNDS,
  holeOf,
  pulleyFrom,
  THIN,
  type Carriages,
  type Placement,
  type SearchBounds,
  type SetupProblem,
  type RangeStart,
  type WorkingLimb,
} from '@/core/setup/setup-problem';
import { limbDepth, limbObstacle } from '@/core/setup/limb-clear';
import { lineObstacles, LOOKED_AT } from '@/core/setup/line-clear';
import type { Violation } from '@/core/setup/violation';
import { GRAVITY_MS2 } from '@/core/units/mass';
import type { BookEntry, Facing, LoadRule } from './book-entry';
import { standOff } from './stand-off';
import { standsFree } from './stands-free';
import { findOverload } from './load-limit';
import { lacksPulley, type Question } from './question';
import { lineOf } from './pose-on-line';
import { lineTracks } from './line-limb';
import { jointStops } from './joint-stops';
import { poseEntry, SHORTEST_SHARE, type PosedEntry } from './pose-entry';
import type { PlaceSearch, PosedQuestion } from './posed-question';

/**
 * Looser than a fly's: the forearm follows the line, and curls and pulldowns start or end near rest by nature (our
 * judgement). What lies beyond is still told in the metrics.
 */
const LINE_DEG = 30;
const REST_SHARE = 0.5;
/**
 * Nobody stands further off than need be: the floor is shared, the cable sways, and the column is at hand (our
 * judgement). A fly's distance is its line's own.
 */
const PER_M = 5;
const TURN_DEG = 30;
/** A bench that somebody lies on may stand at any turn to the column, up to half way round to its side. */
const BENCH_TURN_DEG = 60;
const SIDEWAYS_M = 0.4;

type CableLoad = Extract<LoadRule, { kind: 'cable' }>;

/**
 * Who takes over when the line leaves the sweep: to its upper side (see `senseOf`), and to its lower one. Common
 * anatomy.
 */
const PICK_UP: Readonly<
  Record<JointAction, { readonly above: CompensatingMuscle; readonly below: CompensatingMuscle }>
> = {
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
  if (load.facing === 'towards') return entry.hands === 'two' ? side : otherSide(side);
  return load.facing === 'free-side' || load.facing === 'half-away' ? otherSide(side) : side;
}

const YAW: Readonly<Record<'away' | 'towards', number>> = { away: 0, towards: 180 };
/** Turned off the column with a right arm working, degrees. */
const TURNED: Readonly<Record<Exclude<Facing, 'away' | 'towards'>, number>> = {
  'free-side': 90,
  'half-away': 135,
  'working-side': -90,
};

/** Both hands go the same way by the mirror. */
const mirrorAlike = (l: ChainPath, r: ChainPath): boolean =>
  [0, MIDDLE_SAMPLE, LAST_SAMPLE].every((i) => length(subtract(mirrorZ(l.contact[i]!), r.contact[i]!)) < 1e-9);

/** The part of a range that sets where a set-up begins, and why. */
function startOf(action: JointAction, p: PosedEntry): RangeStart {
  if (p.sweep) return { deg: p.sweep.startDeg, joint: 'shoulder', counted: 'sweep', from: p.sweep.from };
  const { startDeg, joint, counted } = jointStops(action, p, p.path.side);
  return { deg: startDeg, joint, counted, from: p.range.cutStart === null ? 'movement' : p.range.startCutBy };
}

/** A posed limb as verdicts and drawings read it. */
export const toWorkingLimb = (action: JointAction, p: PosedEntry, palm: Palm | null): WorkingLimb => ({
  path: p.path,
  target: p.target,
  palm,
  start: startOf(action, p),
});

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
  const yawDeg = load.facing === 'away' || load.facing === 'towards' ? YAW[load.facing] : TURNED[load.facing] * sign;
  // The working shoulder before its pulley; both hands, or a body side-on, with the middle before it.
  const shoulderZ = load.facing === 'away' ? sign * half : load.facing === 'towards' ? -sign * half : 0;
  const midway = sides.length === 2 && !load.shared;
  return {
    yawDeg,
    // A client locked in under a pad sits square; so does one between two seats of a row.
    turnDeg: entry.legs === 'locked' ? 0 : entry.posture.kind === 'lying' ? BENCH_TURN_DEG : TURN_DEG,
    standZ: midway ? 0 : atPulleyZ - (sides.length === 2 ? 0 : shoulderZ),
    sidewaysM: SIDEWAYS_M,
    lineDeg: LINE_DEG,
    restShare: REST_SHARE,
    shortestSweepDeg: 0,
    perM: PER_M,
    // A pull begins with its shoulder before the pulley; what is led along a path of its own may stand aside.
    startsZ: lineOf(load) === null ? [-0.25, 0, 0.25] : [0],
    heightM: [load.from[0] * body.statureM, load.from[1] * body.statureM],
  };
}

/** Limits that no place mends. */
function brokenAnywhere(q: Question, column: Column): Violation[] {
  const overload = findOverload(q.entry, q.loadKg, column.pulleyRatio, q.loadLimits);
  return [
    ...(overload
      ? [{ limit: 'load' as const, need: overload.haveKg, have: overload.mostKg, part: overload.part }]
      : []),
    ...(lacksPulley(q) ? [{ limit: 'pulleys' as const, need: 2, have: 1 }] : []),
  ];
}

const samePlace = (a: Placement, b: Placement): boolean =>
  a.hole === b.hole &&
  (a.leftBy ?? 0) === (b.leftBy ?? 0) &&
  a.standX === b.standX &&
  a.standZ === b.standZ &&
  a.yawDeg === b.yawDeg;

/** The limb of a side as a place has it; the last one asked for of each side is kept. */
function placedLimbs(
  { question, entry, range, limbs }: Omit<PosedQuestion, 'search'>,
  pulley: SetupProblem['pulley'],
  tensionN: number,
): (side: Side, at: Placement) => PosedEntry {
  const last: Partial<Record<Side, { readonly at: Placement; readonly posed: PosedEntry }>> = {};
  return (side, at) => {
    const known = last[side];
    if (known && samePlace(known.at, at)) return known.posed;
    const from = pulleyFrom({ pulley }, at, side);
    // Where the client's range leaves too little the place is refused (`part`); what is drawn of it is the nominal arm.
    const posed =
      poseEntry(entry, question.body, side, range, question.kit, { pull: { pulley: from, tensionN } }) ??
      limbs[side]!.posed;
    last[side] = { at, posed };
    return posed;
  };
}

/**
 * Flatten the posed limbs of a cable movement for the search of its place. Preconditions: input checked at the border
 * (`contract/case`); the movement hangs on a cable and a column is asked for.
 */
export function buildSearch(q: Omit<PosedQuestion, 'search'>): PlaceSearch {
  const { question, entry, sides, limbs, range } = q;
  const { body, kit } = question;
  const { load } = entry;
  if (load.kind !== 'cable' || !question.column) throw new Error(`${entry.id}: no place at a column is asked for`);
  const { column, room, attachmentM, attachment } = question.column;
  const posed = sides.map((side) => limbs[side]!.posed);
  const tensionN = (question.loadKg * GRAVITY_MS2) / column.pulleyRatio / (load.shared ? 2 : 1);
  const pulls = load.line === null ? null : sides.map((side) => lineTracks(entry, body, side, range, kit, tensionN));
  const tracks = posed.map((p) => buildLimbTrack(body, p.path, p.target));
  const thin = tracks.map((t) => thinTrack(t, THIN));
  const pulley = (at: Carriages, side: Side): Vec3 =>
    pulleyAt(column, holeOf(at, side), pulleySide(entry, load, column, side));
  const bounds = boundsOf(entry, load, body, sides, pulley({ hole: 1 }, sides[0]!)[2]);
  const where =
    entry.path.kind === 'sweep'
      ? { room, floor: room, nearestM: room.minDistanceM, meets: null }
      : standOff(load, entry, posed, room, bounds.yawDeg, column.floorPlateM);
  const shown = posed[posed.length - 1]!;
  const chests = pulls ? LOOKED_AT.map((i) => limbObstacle(body.statureM, shown.bodyAt(i))) : [];
  const posedAt = load.line === null ? (side: Side) => limbs[side]!.posed : placedLimbs(q, pulley, tensionN);
  const palmOn = (side: Side) => palmOf(entry, body, side, range.active, attachment ?? null);
  return {
    input: {
      column,
      ...where,
      attachmentM,
      always: brokenAnywhere(question, column),
      peakTarget: question.options.peak,
      fixed: question.fixed,
      lastUsed: question.lastUsed,
    },
    bounds,
    pulley,
    sides,
    trackAt: (i, from, coarse) => (pulls ? pulls[i]!.track(from, coarse) : (coarse ? thin : tracks)[i]!),
    obstacles: entry.path.kind === 'sweep' ? null : lineObstacles(body.statureM, shown.bodyAt),
    limbDepth: pulls && ((i, from) => limbDepth(chests, (k) => pulls[i]!.forearm(from, LOOKED_AT[k]!))),
    leftShare: pulls && ((i, from) => pulls[i]!.leftShare(from)),
    shortestShare: SHORTEST_SHARE,
    tensionN,
    strainDeg: (i, from) => (pulls ? pulls[i]!.strainDeg(from) : 0),
    symmetric: posed.length === 2 && mirrorAlike(posed[0]!.path, posed[1]!.path),
    sweepDeg: Math.min(180, ...posed.map((p) => (p.sweep ? p.sweep.finishDeg - p.sweep.startDeg : 180))),
    body,
    stands: standsFree(entry),
    pose: shown.pose,
    poseAt: shown.bodyAt,
    shared: load.shared,
    posedAt,
    pulls: pulls !== null,
    limbAt: (side, at) => toWorkingLimb(entry.action, posedAt(side, at), palmOn(side)),
    region: entry.target,
    pickUp: PICK_UP[entry.action],
    offAxisTracks: (at) =>
      sides.map((side) => posedAt(side, at)).map(({ path, target }) => buildOffAxisTrack(body, path, target)),
  };
}
