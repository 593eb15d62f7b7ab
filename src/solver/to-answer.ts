import type { Side } from '@/core/body/active-range';
import { toFloor } from '@/core/geometry/rotation';
import type { Vec3 } from '@/core/geometry/vector';
import { lineUnit } from '@/core/mechanics/line-profile';
import type { Violation } from '@/core/setup/cost';
import type { Evaluation } from '@/core/setup/evaluate';
import { explain, findLeak, nearestLandmark } from '@/core/setup/reasons';
import type { SetupProblem } from '@/core/setup/setup-problem';
import { findTolerance } from '@/core/setup/tolerance';
import { toDeg, toRad } from '@/core/units/angle';
import type { AnswerEvaluation } from '@/contract/answer';
import { CAUTION } from '@/messages/cautions';
import { heightByEye, limitText, lookAlongText, toVerdict } from '@/messages/reasons';
import { pulleyAt } from '@/core/kit/column';

const point = (v: Vec3): [number, number, number] => [v[0], v[1], v[2]];

/** Samples of one working side in the floor frame, everything that the metrics are made of. */
function toSamples(problem: SetupProblem, e: Evaluation, side: Side) {
  const arm = problem.posed.arms[side];
  const { samples } = e.bySide[side]!;
  const stand = { x: e.placement.standX, z: e.placement.standZ, yawRad: toRad(e.placement.yawDeg) };
  const pulley = pulleyAt(problem.input.column, e.placement.hole, side);
  return arm.contact.map((g, i) => {
    const grip = toFloor(g, stand);
    return {
      s: i / (arm.contact.length - 1),
      shoulderM: point(toFloor(arm.proximal[i]!, stand)),
      elbowM: point(toFloor(arm.middle[i]!, stand)),
      gripM: point(grip),
      lineUnit: point(lineUnit(grip, pulley)),
      resistanceNm: samples.resistanceNm[i]!,
      offPlaneDeg: toDeg(samples.offPlaneRad[i]!),
      travelM: samples.travelM[i]!,
    };
  });
}

export const toLimits = (violations: readonly Violation[], of: 'best' | 'found') => violations.map((v) => ({ ...v, says: limitText(v, of) }));

/** One evaluated set-up in the answer format. */
export function toAnswerEvaluation(problem: SetupProblem, e: Evaluation): AnswerEvaluation {
  const { input, sides } = problem;
  const forSides = <T>(f: (side: Side) => T): T | { left: T; right: T } => (sides.length === 2 ? { left: f('left'), right: f('right') } : f(sides[0]!));
  const { metrics: m } = e;
  const near = nearestLandmark(problem, e.placement.hole);
  return {
    hole: e.placement.hole,
    pulleyM: forSides((side) => point(pulleyAt(input.column, e.placement.hole, side))),
    stand: { x: e.placement.standX, z: e.placement.standZ, yawDeg: e.placement.yawDeg },
    bench: null,
    seatHole: null,
    metrics: {
      offPlaneRmsDeg: m.offPlaneRmsDeg,
      offPlaneFinishDeg: m.offPlaneFinishDeg,
      peakAt: m.peakAt,
      rightAngleAt: m.rightAngleAt,
      restShare: m.restShare,
      loadedShare: m.loadedShare,
      evenness: m.evenness,
      minClearanceM: m.minClearanceM,
      maxTravelM: m.maxTravelM,
      leakShare: m.leakShare,
      peakResistanceNm: m.peakResistanceNm,
      peakLeverM: m.peakLeverM,
    },
    metricsSide: e.worse,
    leak: findLeak(problem, e).map((p) => ({ ...p, joint: p.joint === 'middle' ? ('elbow' as const) : ('shoulder' as const) })),
    cost: { total: e.cost, terms: { ...e.terms } },
    limits: toLimits(e.violations, 'found'),
    tolerance: mutable(findTolerance(problem, e)),
    why: explain(problem, e).map((r) => {
      const v = toVerdict(r);
      return v.figure === 'none' ? v.text : `${v.figure} ${v.text}`;
    }),
    checkByEye: [lookAlongText(input.side, input.movement.path.sideElevationDeg), heightByEye(near.landmark, near.aboveM)],
    cautions: input.movement.cautions.map((c) => CAUTION[c].text),
    samples: forSides((side) => toSamples(problem, e, side)),
  };
}

const mutable = (t: ReturnType<typeof findTolerance>) => ({
  standXM: [...t.standXM] as [number, number],
  standZM: [...t.standZM] as [number, number],
  holes: [...t.holes] as [number, number],
  yawDeg: [...t.yawDeg] as [number, number],
});
