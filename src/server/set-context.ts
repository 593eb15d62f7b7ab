import 'server-only';
import { areOpposite } from '@/core/body/opposite';
import { findEntry } from '@/core/book/book';
import { foldSetLog } from '@/core/fault/set-log';
import type { SchoolChoice } from '@/core/book/school';
import { REST_BELOW, type LineMetrics, type ProfileSamples } from '@/core/mechanics/line-profile';
import { jointDegAt } from '@/core/movement/joint-action';
import { evaluatePlacement } from '@/core/setup/evaluate';
import type { Placement, SetupProblem, WorkingSide } from '@/core/setup/setup-problem';
import { findStanceDrops, findStepIns, type DropWish } from '@/core/setup/stance-drops';
import { caseSchema } from '@/contract/case';
import { describeQuestion } from '@/solver/describe';
import { toQuestion } from '@/solver/to-question';
import type { Db } from '@/data/open-db';
import { listFloorEvents } from '@/data/queries/floor-events';
import type { SessionItem } from '@/data/queries/sessions';
import { loadItem, type ItemContext } from './item-context';
import { findBar, loadSteps } from './load-steps';
import { findPlates, type Plates } from './plates';

export interface SetContext extends ItemContext {
  readonly plates: Plates;
  /** Loads that exist for this movement here, grams. */
  readonly stepsG: readonly number[];
  readonly bar: ReturnType<typeof findBar>;
  readonly schools: SchoolChoice;
  /** The same movement on the other side in this session, where the trainer alternates. */
  readonly otherSide: { readonly itemId: string; readonly side: WorkingSide } | null;
  /** Movements of this session for the opposite muscle with sets left: one works while the other rests. */
  readonly opposites: readonly { readonly itemId: string; readonly movement: string; readonly side: WorkingSide }[];
  /** Floor marks for stance drops at this hole and for steps in, as far as they can be used. */
  readonly drops: DropMarks;
  /** How far the stack goes over the range, metres; null where there is no stack or the set-up is blocked. */
  readonly stackTravelM: number | null;
  /** Where the rep is hardest, share of the range; half way where nothing is known. */
  readonly peakAt: number;
  /** Whether the resistance counts, at evenly spaced samples of the range; null when the set-up is blocked. */
  readonly loaded: readonly boolean[] | null;
  /** Angle of the target joint at evenly spaced samples of the range, degrees; null when the set-up is blocked. */
  readonly jointDegs: readonly number[] | null;
}

/** Marks in metres from the column. */
export interface DropMarks {
  readonly stances: readonly { readonly wish: DropWish; readonly standX: number }[];
  readonly stepIns: readonly { readonly standX: number; readonly share: number }[];
}

const NO_DROPS: DropMarks = { stances: [], stepIns: [] };
/** How far a step in goes, metres (our judgement: a short step). */
const STEP_IN_M = 0.2;

function dropMarks(problem: SetupProblem, at: Placement): DropMarks {
  const stances = findStanceDrops(problem, at).flatMap((d) =>
    d.blocked === null && d.standX !== null ? [{ wish: d.wish, standX: d.standX }] : [],
  );
  // One arm steps in towards the column; two stand between the pulleys and move the peak instead.
  const steps = problem.sides.length === 1 ? findStepIns(problem, at, STEP_IN_M).slice(0, 3) : [];
  return {
    stances: stances.length > 1 ? stances : [],
    stepIns: steps.length > 1 ? steps.map(({ standX, share }) => ({ standX, share })) : [],
  };
}

const loadedOf = (metrics: LineMetrics, { resistanceNm }: ProfileSamples): boolean[] =>
  Array.from(resistanceNm, (r) => r >= REST_BELOW * metrics.peakResistanceNm);

/** Planned sets of a movement that are neither done nor stopped for pain. */
function hasSetsLeft(db: Db, clientId: string, item: SessionItem): boolean {
  const log = foldSetLog(listFloorEvents(db, clientId, item.movement));
  return (
    log.pains.every((p) => p.itemId !== item.id) &&
    log.sets.filter((s) => s.itemId === item.id && s.endedAtMs !== null).length < item.sets
  );
}

/** What the live set needs: the plates as they stand and how the rep is loaded. */
export function loadSet(db: Db, itemId: string): SetContext | null {
  const loaded = loadItem(db, itemId);
  if (!loaded) return null;
  const { item, session } = loaded;
  const schools = (loaded.setupCase.options?.schools ?? {}) as SchoolChoice;
  const other = session.items.find(
    (i) => i.movement === item.movement && i.side !== item.side && i.side !== 'both' && item.side !== 'both',
  );
  const otherSide = other && schools['set-order'] === 'alternate' ? { itemId: other.id, side: other.side } : null;
  const entry = findEntry(item.movement)!;
  const opposites = session.items.flatMap((i) =>
    areOpposite(entry.target, findEntry(i.movement)!.target) && hasSetsLeft(db, session.clientId, i)
      ? [{ itemId: i.id, movement: i.movement, side: i.side }]
      : [],
  );
  const context = { ...loaded, schools, otherSide, opposites, bar: findBar(db, session.gymId, entry) };
  const plates = findPlates(context);
  const stepsG = loadSteps(db, session.gymId, entry, context.station);
  const parsed = caseSchema.safeParse(context.setupCase);
  const found = plates.from === 'blocked' || !parsed.success ? null : describeQuestion(toQuestion(parsed.data));
  if (!found || plates.from === 'blocked')
    return {
      ...context,
      plates,
      stepsG,
      drops: NO_DROPS,
      stackTravelM: null,
      peakAt: 0.5,
      loaded: null,
      jointDegs: null,
    };
  const { path, target } = found.posed;
  const jointDegs = path.proximal.map((_, i) => jointDegAt(path, target.joint, i));
  if (found.free)
    return {
      ...context,
      plates,
      stepsG,
      drops: NO_DROPS,
      stackTravelM: null,
      peakAt: found.free.metrics.peakAt,
      loaded: loadedOf(found.free.metrics, found.free.samples),
      jointDegs,
    };
  const e = plates.placement ? evaluatePlacement(found.problem!, plates.placement) : null;
  return {
    ...context,
    plates,
    stepsG,
    drops: e ? dropMarks(found.problem!, e.placement) : NO_DROPS,
    stackTravelM: e && (e.metrics.maxTravelM - e.metrics.minClearanceM) / context.station!.column.pulleyRatio,
    peakAt: e ? e.metrics.peakAt : 0.5,
    loaded: e && loadedOf(e.metrics, e.bySide[e.worse]!.samples),
    jointDegs,
  };
}
