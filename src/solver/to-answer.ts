import type { Violation } from '@/core/setup/violation';
import type { Side } from '@/core/body/side';
import { cautionsOf } from '@/core/book/entry-cautions';
import type { FitSetting } from '@/core/book/fit-entry';
import { limbOn, searchOf, type PosedQuestion } from '@/core/book/posed-question';
import { explainFree } from '@/core/book/explain-free';
import { profileOf } from '@/core/book/profile-limb';
import { closedAt } from '@/core/book/pose-question';
import { regionOf, settingsOf } from '@/core/book/question-settings';
import { toFloor } from '@/core/geometry/rotation';
import { length, scale, type Vec3 } from '@/core/geometry/vector';
import type { OffAxisPart } from '@/core/mechanics/off-axis';
import { lineUnit, type LineMetrics, type ProfileSamples } from '@/core/mechanics/line-profile';
import type { ChainPath } from '@/core/movement/chain-path';
import type { Evaluation } from '@/core/setup/evaluate';
import { explain, findOffAxis, nearestLandmark, type Reason } from '@/core/setup/reasons';
import { findTolerance } from '@/core/setup/tolerance';
import { toDeg, toRad } from '@/core/units/angle';
import type { AnswerEvaluation } from '@/contract/answer';
import { CAUTION } from '@/messages/cautions';
import { heightByEye, limitText, lookAlongText, toVerdict } from '@/messages/reasons';
import { regionChangeText, regionText, settingText } from '@/messages/settings';

const point = (v: Vec3): [number, number, number] => [v[0], v[1], v[2]];
type Stand = { readonly x: number; readonly z: number; readonly yawRad: number };
const ORIGIN: Stand = { x: 0, z: 0, yawRad: 0 };

/** Samples of one side in the floor frame, everything that the metrics are made of. */
function toSamples(
  path: ChainPath,
  samples: ProfileSamples,
  stand: Stand,
  lineAt: (i: number) => Vec3,
  lineM: ((i: number) => Vec3) | null,
) {
  const at = (v: Vec3) => point(toFloor(v, stand));
  const common = (i: number) => ({
    s: i / (path.contact.length - 1),
    lineUnit: point(lineAt(i)),
    resistanceNm: samples.resistanceNm[i]!,
    offPlaneDeg: toDeg(samples.offPlaneRad[i]!),
    travelM: samples.travelM[i]!,
  });
  const all = path.contact.map((_, i) => i);
  switch (path.chain) {
    case 'arm':
      return all.map((i) => ({
        ...common(i),
        shoulderM: at(path.proximal[i]!),
        elbowM: at(path.middle[i]!),
        gripM: at(path.contact[i]!),
        ...(lineM ? { lineAtM: point(lineM(i)) } : {}),
      }));
    case 'leg':
      return all.map((i) => ({
        ...common(i),
        hipM: at(path.proximal[i]!),
        kneeM: at(path.middle[i]!),
        ankleM: at(path.distal[i]!),
        contactM: at(path.contact[i]!),
      }));
    case 'trunk':
      return all.map((i) => ({
        ...common(i),
        hipM: at(path.proximal[i]!),
        neckM: at(path.middle[i]!),
        contactM: at(path.contact[i]!),
      }));
  }
}

export const toLimits = (violations: readonly Violation[], of: 'best' | 'found') =>
  violations.map((v) => ({ limit: v.limit, need: v.need, have: v.have, says: limitText(v, of) }));

const toMetrics = (m: LineMetrics, onCable: boolean): AnswerEvaluation['metrics'] => ({
  offPlaneRmsDeg: m.offPlaneRmsDeg,
  offPlaneFinishDeg: m.offPlaneFinishDeg,
  peakAt: m.peakAt,
  rightAngleAt: m.rightAngleAt,
  restShare: m.restShare,
  loadedShare: m.loadedShare,
  evenness: m.evenness,
  hardestAt: m.hardestAt,
  matched: m.matched,
  strongerHalf: m.strongerHalf,
  minClearanceM: onCable ? m.minClearanceM : null,
  maxTravelM: onCable ? m.maxTravelM : null,
  leakShare: m.offAxisShare,
  peakResistanceNm: m.peakResistanceNm,
  peakLeverM: m.peakLeverM,
});

const JOINT = { arm: ['shoulder', 'elbow'], leg: ['hip', 'knee'], trunk: ['hips', 'hips'] } as const;
const toOffAxis = (parts: readonly OffAxisPart[], chain: ChainPath['chain']) =>
  parts.map(({ compensatedBy, joint, ...p }) => ({
    ...p,
    joint: JOINT[chain][joint === 'middle' ? 1 : 0],
    answeredBy: compensatedBy,
  }));
/** A case gives the mass as it is. */
const words = (reason: Reason): string => {
  const { figure, text } = toVerdict(reason, false);
  return figure === 'none' ? text : `${figure} ${text}`;
};

/**
 * Everything of an answer that a movement carries wherever it is done; of one side. `placed`: with its limbs as its
 * place has them, which says where its range begins and ends.
 */
function common(posed: PosedQuestion, side: Side, placed: PosedQuestion = posed) {
  const settings = settingsOf(placed, side);
  const find = <K extends FitSetting['kind']>(kind: K) =>
    settings.find((s): s is Extract<FitSetting, { kind: K }> => s.kind === kind);
  const notch = find('notch');
  const block = find('block');
  const loaded = regionOf(posed, side);
  return {
    bench:
      notch || block
        ? {
            notch: notch?.notch ?? null,
            backDeg: notch ? notch.deg : -block!.deg,
            blockM: block?.blockM ?? null,
          }
        : null,
    seatHole: find('seat-hole')?.hole ?? null,
    backHole: find('back-hole')?.hole ?? null,
    settings: settings.map((s) => {
      const t = settingText(s);
      const figure = `${t.figure} ${t.unit}`.trim();
      return { kind: s.kind, estimated: t.estimated, figure, says: `${t.label}: ${t.note}` };
    }),
    region: {
      region: loaded.region,
      says: regionText(loaded),
      changes: loaded.changes.map((c) => ({ to: c.to, says: regionChangeText(c) })),
    },
    cautions: cautionsOf(posed.entry).map((c) => CAUTION[c].text),
  };
}

/** The value of one side, or of both by name. */
const bySides = <T>(sides: readonly Side[], of: (side: Side) => T): T | { left: T; right: T } =>
  sides.length === 2 ? { left: of('left'), right: of('right') } : of(sides[0]!);

/** One evaluated set-up at a column in the answer format. */
export function toAnswerEvaluation(posed: PosedQuestion, e: Evaluation): AnswerEvaluation {
  const search = searchOf(posed);
  const { entry, question } = posed;
  const { hole, standX, standZ, yawDeg } = e.placement;
  const near = nearestLandmark(search, hole);
  const stand = { x: standX, z: standZ, yawRad: toRad(yawDeg) };
  return {
    hole,
    pulleyM: bySides(search.sides, (side) => point(search.pulley(e.placement, side))),
    stand: { x: standX, z: standZ, yawDeg },
    ...common(posed, e.worse, closedAt(posed, e.placement)),
    metrics: toMetrics(e.metrics, true),
    metricsSide: e.worse,
    leak: toOffAxis(findOffAxis(search, e), search.limbAt(e.worse, e.placement).path.chain),
    cost: { total: e.cost, terms: { ...e.terms } },
    limits: toLimits(e.violations, 'found'),
    tolerance: mutable(findTolerance(search, e)),
    why: explain(search, e).map(words),
    checkByEye: [
      ...(entry.path.kind === 'sweep' ? [lookAlongText(question.side, entry.path.sideElevationDeg)] : []),
      heightByEye(near.landmark, near.aboveM),
    ],
    samples: bySides(search.sides, (side) => {
      const { path } = search.limbAt(side, e.placement);
      const pulley = search.pulley(e.placement, side);
      const lineM = (i: number): Vec3 => {
        const g = path.contact[i]!;
        return toFloor(search.shared ? [g[0], g[1], 0] : g, stand);
      };
      const { samples } = e.bySide[side]!;
      return toSamples(path, samples, stand, (i) => lineUnit(lineM(i), pulley), search.shared ? lineM : null);
    }),
  };
}

/** Direction of the force at a sample; zero where nothing pulls. */
function forceUnit({ load: { forceN } }: ProfileSamples, i: number): Vec3 {
  const f: Vec3 = [forceN[3 * i]!, forceN[3 * i + 1]!, forceN[3 * i + 2]!];
  return length(f) > 0 ? scale(f, 1 / length(f)) : [0, 0, 0];
}

/** A movement without a column in the answer format; the side that is shown speaks for both. */
export function toFreeEvaluation(posed: PosedQuestion): AnswerEvaluation {
  const { shown, sides } = posed;
  const limb = limbOn(posed, shown);
  const { path } = limb.posed;
  const { metrics } = profileOf(limb);
  const { reasons, offAxis } = explainFree(posed);
  return {
    hole: null,
    pulleyM: null,
    stand: { x: 0, z: 0, yawDeg: 0 },
    ...common(posed, shown),
    metrics: toMetrics(metrics, false),
    metricsSide: shown,
    leak: toOffAxis(offAxis, path.chain),
    cost: null,
    limits: [],
    tolerance: null,
    why: reasons.map(words),
    checkByEye: [],
    samples: bySides(sides, (side) => {
      const own = limbOn(posed, side);
      const profile = profileOf(own);
      return toSamples(own.posed.path, profile.samples, ORIGIN, (i) => forceUnit(profile.samples, i), null);
    }),
  };
}

const mutable = (t: ReturnType<typeof findTolerance>) => ({
  standXM: [...t.standXM] as [number, number],
  standZM: [...t.standZM] as [number, number],
  holes: [...t.holes] as [number, number],
  yawDeg: [...t.yawDeg] as [number, number],
});
