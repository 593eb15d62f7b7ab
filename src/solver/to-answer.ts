import type { Side } from '@/core/body/active-range';
import type { SetupInput } from '@/core/book/build-problem';
import { cautionsOf } from '@/core/book/entry-cautions';
import { fitSettings, type FitSetting } from '@/core/book/fit-entry';
import { loadedRegion } from '@/core/book/region-of';
import type { BookEntry } from '@/core/book/book-entry';
import type { PosedEntry } from '@/core/book/pose-entry';
import { limbOfProfile, type ProfiledEntry } from '@/core/book/profile-entry';
import { toFloor } from '@/core/geometry/rotation';
import { length, scale, type Vec3 } from '@/core/geometry/vector';
import { buildLeakTrack, resolveLeak, type LeakPart } from '@/core/mechanics/leak';
import { lineUnit, type LineMetrics, type ProfileSamples } from '@/core/mechanics/line-profile';
import type { ChainPath } from '@/core/movement/chain-path';
import type { Violation } from '@/core/setup/cost';
import type { Evaluation } from '@/core/setup/evaluate';
import { explain, explainProfile, findLeak, nearestLandmark } from '@/core/setup/reasons';
import { limbOf, type SetupProblem } from '@/core/setup/setup-problem';
import { findTolerance } from '@/core/setup/tolerance';
import { toDeg, toRad } from '@/core/units/angle';
import type { AnswerEvaluation } from '@/contract/answer';
import { CAUTION } from '@/messages/cautions';
import { heightByEye, limitText, lookAlongText, toVerdict, type Verdict } from '@/messages/reasons';
import { regionChangeText, regionText, settingText } from '@/messages/settings';
import type { Question } from './to-question';

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
  violations.map((v) => ({ ...v, says: limitText(v, of) }));

const toMetrics = (m: LineMetrics, onCable: boolean): AnswerEvaluation['metrics'] => ({
  offPlaneRmsDeg: m.offPlaneRmsDeg,
  offPlaneFinishDeg: m.offPlaneFinishDeg,
  peakAt: m.peakAt,
  rightAngleAt: m.rightAngleAt,
  restShare: m.restShare,
  loadedShare: m.loadedShare,
  evenness: m.evenness,
  minClearanceM: onCable ? m.minClearanceM : null,
  maxTravelM: onCable ? m.maxTravelM : null,
  leakShare: m.leakShare,
  peakResistanceNm: m.peakResistanceNm,
  peakLeverM: m.peakLeverM,
});

const JOINT = { arm: ['shoulder', 'elbow'], leg: ['hip', 'knee'], trunk: ['hips', 'hips'] } as const;
const toLeak = (parts: readonly LeakPart[], chain: ChainPath['chain']) =>
  parts.map((p) => ({ ...p, joint: JOINT[chain][p.joint === 'middle' ? 1 : 0] }));
const words = (v: Verdict): string => (v.figure === 'none' ? v.text : `${v.figure} ${v.text}`);

/** Everything of an answer that a movement carries wherever it is done. */
function common(entry: BookEntry, settings: readonly FitSetting[], posed: PosedEntry, side: Side) {
  const find = <K extends FitSetting['kind']>(kind: K) =>
    settings.find((s): s is Extract<FitSetting, { kind: K }> => s.kind === kind);
  const notch = find('notch');
  const block = find('block');
  const loaded = loadedRegion(entry, posed, side);
  return {
    bench:
      notch || block
        ? { notch: notch?.notch ?? null, backDeg: notch ? notch.deg : -block!.deg, blockM: block?.blockM ?? null }
        : null,
    seatHole: find('seat-hole')?.hole ?? null,
    backHole: find('back-hole')?.hole ?? null,
    settings: settings.map((s) => {
      const t = settingText(s);
      return { kind: s.kind, estimated: t.estimated, figure: `${t.figure} ${t.unit}`, says: `${t.label}: ${t.note}` };
    }),
    region: {
      region: loaded.region,
      says: regionText(loaded),
      changes: loaded.changes.map((c) => ({ to: c.to, says: regionChangeText(c) })),
    },
    cautions: cautionsOf(entry).map((c) => CAUTION[c].text),
  };
}

/** One evaluated set-up at a column in the answer format. */
export function toAnswerEvaluation(
  setup: SetupInput,
  problem: SetupProblem,
  posedOf: (side: Side) => PosedEntry,
  e: Evaluation,
): AnswerEvaluation {
  const { entry } = setup;
  const { sides } = problem;
  const forSides = <T>(f: (side: Side) => T): T | { left: T; right: T } =>
    sides.length === 2 ? { left: f('left'), right: f('right') } : f(sides[0]!);
  const near = nearestLandmark(problem, e.placement.hole);
  const stand = { x: e.placement.standX, z: e.placement.standZ, yawRad: toRad(e.placement.yawDeg) };
  const shared = entry.load.kind === 'cable' && entry.load.shared;
  const posed = posedOf(e.worse);
  const own = common(
    entry,
    fitSettings(entry, problem.body, setup.kit, posed, e.worse, {
      startBy: posed.range.cutStart ? 'joint' : 'own',
      finishBy: posed.range.cutFinish ? 'joint' : 'own',
    }),
    posed,
    e.worse,
  );
  return {
    hole: e.placement.hole,
    pulleyM: forSides((side) => point(problem.pulley(e.placement, side))),
    stand: { x: e.placement.standX, z: e.placement.standZ, yawDeg: e.placement.yawDeg },
    ...own,
    metrics: toMetrics(e.metrics, true),
    metricsSide: e.worse,
    leak: toLeak(findLeak(problem, e), limbOf(problem, e.worse).path.chain),
    cost: { total: e.cost, terms: { ...e.terms } },
    limits: toLimits(e.violations, 'found'),
    tolerance: mutable(findTolerance(problem, e)),
    why: explain(problem, e).map(toVerdict).map(words),
    checkByEye: [
      ...(entry.path.kind === 'sweep' ? [lookAlongText(setup.side, entry.path.sideElevationDeg)] : []),
      heightByEye(near.landmark, near.aboveM),
    ],
    samples: forSides((side) => {
      const { path } = limbOf(problem, side);
      const pulley = problem.pulley(e.placement, side);
      const lineM = (i: number): Vec3 => {
        const g = path.contact[i]!;
        return toFloor(shared ? [g[0], g[1], 0] : g, stand);
      };
      return toSamples(path, e.bySide[side]!.samples, stand, (i) => lineUnit(lineM(i), pulley), shared ? lineM : null);
    }),
  };
}

/**
 * A movement without a column in the answer format, from its working sides; the one with the lower peak speaks for
 * both.
 */
export function toFreeEvaluation(
  q: Question,
  bySide: Readonly<Partial<Record<Side, ProfiledEntry>>>,
): AnswerEvaluation {
  const sides = (Object.keys(bySide) as Side[]).sort();
  const forSides = <T>(f: (side: Side) => T): T | { left: T; right: T } =>
    sides.length === 2 ? { left: f('left'), right: f('right') } : f(sides[0]!);
  const shown = sides.at(-1)!;
  const { posed, metrics, samples, startBy, finishBy } = bySide[shown]!;
  const { body, kit } = q.input;
  const leak = resolveLeak(buildLeakTrack(body, posed.path, posed.target), samples.load);
  const unit = (p: ProfiledEntry, i: number): Vec3 => {
    const { forceN } = p.samples.load;
    const f: Vec3 = [forceN[3 * i]!, forceN[3 * i + 1]!, forceN[3 * i + 2]!];
    return length(f) > 0 ? scale(f, 1 / length(f)) : [0, 0, 0];
  };
  const limb = limbOfProfile(bySide[shown]!);
  return {
    hole: null,
    pulleyM: null,
    stand: { x: 0, z: 0, yawDeg: 0 },
    ...common(q.entry, fitSettings(q.entry, body, kit, posed, shown, { startBy, finishBy }), posed, shown),
    metrics: toMetrics(metrics, false),
    metricsSide: shown,
    leak: toLeak(leak, posed.path.chain),
    cost: null,
    limits: [],
    tolerance: null,
    why: explainProfile({ body, pose: posed.pose, limb, region: q.entry.target, metrics, samples, leak })
      .map(toVerdict)
      .map(words),
    checkByEye: [],
    samples: forSides((side) =>
      toSamples(bySide[side]!.posed.path, bySide[side]!.samples, ORIGIN, (i) => unit(bySide[side]!, i), null),
    ),
  };
}

const mutable = (t: ReturnType<typeof findTolerance>) => ({
  standXM: [...t.standXM] as [number, number],
  standZM: [...t.standZM] as [number, number],
  holes: [...t.holes] as [number, number],
  yawDeg: [...t.yawDeg] as [number, number],
});
