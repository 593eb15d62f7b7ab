import { regionLine } from '@/core/body/region-line';
import { toFloor } from '@/core/geometry/rotation';
import { add, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { REST_BELOW } from '@/core/mechanics/line-profile';
import { regionPoseAt } from '@/core/movement/region-pose';
import type { Spot } from '@/core/mechanics/standing';
import type { Evaluation } from '@/core/setup/evaluate';
import { stoodLoad } from '@/core/setup/reasons';
import { pressureOver } from '@/core/setup/stand-load';
import { type SetupProblem } from '@/core/setup/setup-problem';
import { toRad } from '@/core/units/angle';
import type { Dot } from './capsule';
import { px } from './svg-number';
import type { View } from './view';

/** Where a set-up's verdicts happen on the drawing, for the side that leaves its line more. */
export interface SetupMarks {
  /** Line of the target region at the shown sample, approximate; null for a region without one. */
  readonly region: { readonly from: Dot; readonly to: Dot } | null;
  /** Hatching along the hand's path where the load rests; empty without a rest zone. */
  readonly rest: string;
  /** The cable at its shortest, from the pulley to its end, and its length in whole centimetres. */
  readonly clearance: { readonly from: Dot; readonly to: Dot; readonly cm: number };
  /**
   * How the pull is stood, from above: the outline of feet and knees, the way of the centre of pressure over the rep,
   * and where it is at the shown sample; null where more than feet and knees hold the client.
   */
  readonly stood: { readonly outline: string; readonly way: string; readonly at: Dot | null } | null;
}

/** Half a stroke of the hatching, pixels. */
const HATCH_PX = 5;

const lineOf = (dots: readonly Dot[]): string =>
  dots.map((d, i) => `${i === 0 ? 'M' : 'L'}${px(d.u)} ${px(d.v)}`).join('');

function stoodMarks(
  problem: SetupProblem,
  e: Evaluation,
  now: number,
  at: (x: number, z: number) => Dot,
): SetupMarks['stood'] {
  const load = stoodLoad(problem, e);
  if (!load) return null;
  const stood = pressureOver(load, now);
  const spots = (list: readonly (Spot | null)[]): Dot[] => list.flatMap((s) => (s ? [at(s[0], s[1])] : []));
  return {
    outline: `${lineOf(spots(stood.support))}Z`,
    way: lineOf(spots(stood.over)),
    at: stood.now && at(stood.now[0], stood.now[1]),
  };
}

/** Marks of an evaluated placement; `now` is the sample that the body is shown at. */
export function buildSetupMarks(problem: SetupProblem, e: Evaluation, view: View, now: number): SetupMarks {
  const { placement, worse, metrics } = e;
  const { path } = problem.limbAt(worse, placement);
  const { samples } = e.bySide[worse]!;
  const carry = (v: Vec3): Vec3 =>
    toFloor(v, { x: placement.standX, z: placement.standZ, yawRad: toRad(placement.yawDeg) });
  const contact = (i: number): Vec3 => {
    const g = path.contact[i]!;
    return carry(problem.shared ? [g[0], g[1], 0] : g);
  };
  const line = regionLine(problem.region, regionPoseAt(problem.body.statureM, problem.poseAt(now), path, now), worse);
  let rest = '';
  let least = 0;
  samples.travelM.forEach((m, i) => {
    if (m < samples.travelM[least]!) least = i;
    if (samples.resistanceNm[i]! >= REST_BELOW * metrics.peakResistanceNm) return;
    const d = view.project(carry(path.contact[i]!));
    rest += `M${px(d.u - HATCH_PX)} ${px(d.v + HATCH_PX)}l${2 * HATCH_PX} ${-2 * HATCH_PX}`;
  });
  const pulley = problem.pulley(placement, worse);
  const hand = contact(least);
  const end = add(
    hand,
    scale(normalise(subtract(pulley, hand)), Math.min(problem.input.attachmentM, length(subtract(pulley, hand)))),
  );
  return {
    region: line && { from: view.project(carry(line.from)), to: view.project(carry(line.to)) },
    rest,
    stood: stoodMarks(problem, e, now, (x, z) => view.project(carry([x, 0, z]))),
    clearance: { from: view.project(pulley), to: view.project(end), cm: Math.round(samples.travelM[least]! * 100) },
  };
}
