import { MEASURE_NAMES, HEIGHT_RATIO, type MeasureName } from '@/core/body/segment-ratios';
import type { Side } from '@/core/body/active-range';
import { regionOffPlaneDeg, type Region } from '@/core/body/region-line';
import { resolveLeak, type LeakPart } from '@/core/mechanics/leak';
import { holeHeightM, holeStepUp } from '@/core/kit/column';
import type { Answerer } from '@/core/body/answerer';
import type { RangeEnd } from '@/core/movement/limb-path';
import { evaluatePlacement, type Evaluation } from './evaluate';
import type { SetupProblem } from './setup-problem';
import { LINE_TOLERANCE_DEG } from './tolerance';

/** Who picks up a line that leaves the sweep, and by how much at the finish. */
export interface PickUp {
  readonly deg: number;
  readonly by: Answerer;
}

/** One verdict with the numbers a person needs; texts are in messages/. */
export type Reason =
  | { readonly code: 'line'; readonly rmsDeg: number; readonly finishDeg: number; readonly pickedUpBy: Answerer | null; readonly twoLower: PickUp | null; readonly twoHigher: PickUp | null }
  | { readonly code: 'peak'; readonly at: number; readonly momentNm: number; readonly rightAngleAt: number | null; readonly stepForwardAt: number | null }
  | { readonly code: 'rest-zone'; readonly share: number; readonly finishShare: number; readonly helps: boolean }
  | { readonly code: 'clearance'; readonly cableM: number; readonly needM: number }
  | { readonly code: 'leak'; readonly share: number; readonly parts: readonly LeakPart[] }
  | { readonly code: 'region'; readonly region: Region; readonly deg: number }
  | { readonly code: 'range'; readonly startDeg: number; readonly from: RangeEnd };

/** How far "a step" goes in a verdict line, metres. */
export const STEP_M = 0.2;
const VERDICT_HOLES = 2;

/** Who has to answer a line that is `deg` above (positive) or below the sweep. */
export const answererOf = (problem: SetupProblem, deg: number): Answerer => problem.input.movement.offPlane[deg > 0 ? 'above' : 'below'];

/** Where the moment goes beside the target, largest first; of the side that leaves its line more. */
export function findLeak(problem: SetupProblem, e: Evaluation): LeakPart[] {
  // Forces were counted in the stand frame, where the limb is posed.
  return resolveLeak(problem.leakTracks()[problem.sides.indexOf(e.worse)]!, e.bySide[e.worse]!.samples.load);
}

/** How far the target region's own line leaves the sweep in the stretch, where it is longest; null for a region without a line. */
function regionDeg(problem: SetupProblem, side: Side): number | null {
  const arm = problem.posed.arms[side];
  const { body } = problem.posed;
  const { trunkFrame, neckBase, pelvisFrame, pelvis } = body;
  const pose = { statureM: problem.input.body.statureM, trunkFrame, neckBase, pelvisFrame, pelvis, proximal: arm.proximal[0]!, middle: arm.middle[0]!, distal: arm.distal[0]! };
  return regionOffPlaneDeg(problem.input.movement.target, pose, side, arm.target.above[0]!);
}

/** How many parts of a leak are worth a word. */
const NAMED_PARTS = 2;

/** The verdict lines of an evaluated set-up: line, peak, rest zone, clearance, range, leak, region, in that order. */
export function explain(problem: SetupProblem, e: Evaluation): Reason[] {
  const { column } = problem.input;
  const m = e.metrics;
  const side = e.bySide[e.worse]!;
  const last = side.samples.resistanceNm.length - 1;
  const other = (holesUp: number): PickUp | null => {
    const hole = e.placement.hole + holesUp * holeStepUp(column);
    if (hole < 1 || hole > column.holes) return null;
    const deg = evaluatePlacement(problem, { ...e.placement, hole }).metrics.offPlaneFinishDeg;
    return { deg, by: answererOf(problem, deg) };
  };
  const stepped = { ...e.placement, standX: e.placement.standX + STEP_M };
  const forward = stepped.standX <= problem.input.room.maxDistanceM ? evaluatePlacement(problem, stepped).metrics.peakAt : null;
  const arm = problem.posed.arms[e.worse];
  const region = regionDeg(problem, e.worse);
  return [
    {
      code: 'line',
      rmsDeg: m.offPlaneRmsDeg,
      finishDeg: m.offPlaneFinishDeg,
      pickedUpBy: Math.abs(m.offPlaneFinishDeg) > LINE_TOLERANCE_DEG ? answererOf(problem, m.offPlaneFinishDeg) : null,
      twoLower: other(-VERDICT_HOLES),
      twoHigher: other(VERDICT_HOLES),
    },
    { code: 'peak', at: m.peakAt, momentNm: m.peakResistanceNm, rightAngleAt: m.rightAngleAt, stepForwardAt: forward },
    { code: 'rest-zone', share: m.restShare, finishShare: side.samples.resistanceNm[last]! / m.peakResistanceNm, helps: m.helps },
    { code: 'clearance', cableM: m.minClearanceM, needM: column.clearanceM },
    { code: 'range', startDeg: arm.startDeg, from: arm.startFrom },
    { code: 'leak', share: m.leakShare, parts: findLeak(problem, e).slice(0, NAMED_PARTS) },
    ...(region === null ? [] : [{ code: 'region' as const, region: problem.input.movement.target, deg: region }]),
  ];
}

/** Landmark of the client nearest to the pulley's height, to check the hole by eye; centimetres matter, so with the gap. */
export function nearestLandmark(problem: SetupProblem, hole: number): { readonly landmark: MeasureName | 'stature'; readonly aboveM: number } {
  const { body, column } = problem.input;
  const pulleyM = holeHeightM(column, hole);
  let landmark: MeasureName | 'stature' = 'stature';
  let aboveM = pulleyM - body.statureM;
  for (const name of MEASURE_NAMES) {
    if (!(name in HEIGHT_RATIO)) continue;
    const gap = pulleyM - body.height[name as keyof typeof body.height].m;
    if (Math.abs(gap) < Math.abs(aboveM)) {
      landmark = name;
      aboveM = gap;
    }
  }
  return { landmark, aboveM };
}
