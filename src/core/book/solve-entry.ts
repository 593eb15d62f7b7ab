import { SIDES, type Side } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import { scale, type Vec3 } from '@/core/geometry/vector';
import { pulleyAt, type Column, type Room } from '@/core/kit/column';
import { buildLimbTrack, thinTrack } from '@/core/mechanics/limb-track';
import { allocateSamples, profileLoads, type LineMetrics, type ProfileSamples } from '@/core/mechanics/line-profile';
import { SAMPLES, type ChainPath } from '@/core/movement/chain-path';
import { towards } from '@/core/movement/joint-action';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { FLY_BOUNDS, THIN, type Placement, type SearchProblem, type WorkingSide } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import type { Violation } from '@/core/setup/cost';
import { GRAVITY_MS2 } from '@/core/units/mass';
import type { BookEntry } from './book-entry';
import { entryLoads, USUAL_LOAD_KIT, type LoadKit } from './entry-load';
import { poseEntry, USUAL_SURFACES, type EntryRange, type PosedEntry, type Surfaces } from './pose-entry';

/** A movement asked of a body: on which side, with what, at which column. */
export interface EntryInput {
  readonly body: Body;
  readonly range: EntryRange;
  readonly side: WorkingSide;
  readonly loadKg: number;
  readonly surfaces: Surfaces;
  readonly loadKit: LoadKit;
  /** Null where the gym has none; a cable movement is blocked then. */
  readonly column: { readonly column: Column; readonly room: Room; readonly attachmentM: number } | null;
}

export const usualInput = (body: Body, side: WorkingSide, loadKg: number, range: EntryRange): Omit<EntryInput, 'column'> => ({ body, range, side, loadKg, surfaces: USUAL_SURFACES, loadKit: USUAL_LOAD_KIT });

export type EntryAnswer =
  | {
      readonly ok: true;
      /** Null for a movement that needs no place at a column. */
      readonly placement: Placement | null;
      readonly metrics: LineMetrics;
      readonly samples: ProfileSamples;
      readonly posed: PosedEntry;
      readonly side: Side;
      readonly pulley: Vec3 | null;
    }
  | { readonly ok: false; readonly reason: 'range' | 'no-column' | 'one-pulley' | 'sides' | 'limits'; readonly violations: readonly Violation[] };

/**
 * Looser than a fly's: the forearm follows the line, and curls and pulldowns start or end near rest by nature (our
 * judgement). What lies beyond is still told in the metrics.
 */
const LINE_DEG = 30;
const REST_SHARE = 0.5;
const TURN_DEG = 30;
const SIDEWAYS_M = 0.4;

const OTHER: Readonly<Record<Side, Side>> = { left: 'right', right: 'left' };

/** Whose pulley a hand uses: the one in front of it when facing the columns, its own when facing away. */
function pulleySide(entry: BookEntry, column: Column, side: Side): Side {
  const { load } = entry;
  if (load.kind !== 'cable' || column.kind === 'single') return side;
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

function searchProblem(entry: BookEntry, input: EntryInput, posed: Readonly<Partial<Record<Side, PosedEntry>>>, sides: readonly Side[]): SearchProblem {
  const { load } = entry;
  if (load.kind !== 'cable' || !input.column) throw new Error(`searchProblem: ${entry.id} has no cable`);
  const { column, room, attachmentM } = input.column;
  const tracks = sides.map((side) => buildLimbTrack(input.body, posed[side]!.path, posed[side]!.target, load.shared ? 'middle' : 'hand'));
  const first = sides[0]!;
  const pulley = (hole: number, side: Side): Vec3 => pulleyAt(column, hole, pulleySide(entry, column, side));
  const half = input.body.length.shoulderBreadth.m / 2;
  const sign = first === 'right' ? 1 : -1;
  // Turned so that the free (or the working) side looks at the column.
  const yawDeg = load.facing === 'away' || load.facing === 'towards' ? YAW[load.facing] : (load.facing === 'free-side' ? 90 : -90) * sign;
  const atPulley = pulley(1, first)[2];
  // The working shoulder before its pulley; both hands, or a body side-on, with the middle before it.
  const shoulderZ = load.facing === 'away' ? sign * half : load.facing === 'towards' ? -sign * half : 0;
  const midway = sides.length === 2 && !load.shared;
  const same = sides.length === 2 && posed.left!.range.from === posed.right!.range.from && posed.left!.range.to === posed.right!.range.to;
  return {
    input: {
      column, attachmentM, room: { minDistanceM: Math.max(room.minDistanceM, load.near), maxDistanceM: Math.min(room.maxDistanceM, load.far) },
      loadKg: input.loadKg, mostLoadKg: null, options: { peak: entry.wantedPeak }, fixed: {}, lastUsed: null,
    },
    bounds: entry.path === null ? FLY_BOUNDS : { yawDeg, turnDeg: TURN_DEG, standZ: midway ? 0 : atPulley - (sides.length === 2 ? 0 : shoulderZ), sidewaysM: SIDEWAYS_M, lineDeg: LINE_DEG, restShare: REST_SHARE, shortestSweepDeg: 0, startsZ: [-0.25, 0, 0.25], heightM: [load.from[0] * input.body.statureM, load.from[1] * input.body.statureM] },
    pulley, sides, tracks, thinTracks: tracks.map((t) => thinTrack(t, THIN)),
    tensionN: (input.loadKg * GRAVITY_MS2) / column.pulleyRatio / (load.shared ? 2 : 1),
    symmetric: same,
    sweepDeg: 180,
    along: load.forearm === 'free' ? null : sides.map((side) => forearms(posed[side]!.path, load.forearm === 'pulls' ? 1 : -1)),
  };
}

/** The search that a cable movement asks; null for others, or when the client's range leaves too little of it. */
export function entryProblem(entry: BookEntry, input: EntryInput): SearchProblem | null {
  const sides = input.side === 'both' ? SIDES : [input.side];
  const posed: Partial<Record<Side, PosedEntry>> = {};
  for (const side of sides) {
    const p = poseEntry(entry, input.body, side, input.range, input.surfaces);
    if (!p) return null;
    posed[side] = p;
  }
  return entry.load.kind === 'cable' && input.column ? searchProblem(entry, input, posed, sides) : null;
}

/** Solve or fit a movement: place it at a column where it hangs on a cable, and profile it either way. */
export function solveEntry(entry: BookEntry, input: EntryInput): EntryAnswer {
  const no = (reason: Extract<EntryAnswer, { ok: false }>['reason'], violations: readonly Violation[] = []): EntryAnswer => ({ ok: false, reason, violations });
  if ((entry.hands === 'two') !== (input.side === 'both')) return no('sides');
  const sides = input.side === 'both' ? SIDES : [input.side];
  const posed: Partial<Record<Side, PosedEntry>> = {};
  for (const side of sides) {
    const p = poseEntry(entry, input.body, side, input.range, input.surfaces);
    if (!p) return no('range');
    posed[side] = p;
  }
  const shown = sides[sides.length - 1]!;
  if (entry.load.kind !== 'cable') {
    const p = posed[shown]!;
    const track = buildLimbTrack(input.body, p.path, p.target);
    const samples = allocateSamples(SAMPLES);
    const metrics = profileLoads(track, entryLoads(entry, p, input.body, input.loadKg, input.loadKit), samples);
    return { ok: true, placement: null, metrics, samples, posed: p, side: shown, pulley: null };
  }
  if (!input.column) return no('no-column');
  if (input.column.column.kind === 'single' && input.side === 'both' && !entry.load.shared) return no('one-pulley');
  const problem = searchProblem(entry, input, posed, sides);
  const solution = solveSetup(problem);
  if (!solution.feasible) return no('limits', solution.nearest.violations);
  const { placement } = solution.best;
  const e = evaluatePlacement(problem, placement);
  const profile = e.bySide[shown]!;
  return { ok: true, placement, metrics: profile.metrics, samples: profile.samples, posed: posed[shown]!, side: shown, pulley: problem.pulley(placement.hole, shown) };
}
