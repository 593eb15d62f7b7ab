import 'server-only';
import type { Band } from '@/core/kit/band';
import { areOpposite } from '@/core/body/opposite';
import { entryOf } from '@/core/book/book';
import { usesBand } from '@/core/book/book-entry';
import { bandedHandsN } from '@/core/book/entry-load';
import { shownLimb, type PosedQuestion } from '@/core/book/posed-question';
import { REST_BELOW, type LineMetrics, type ProfileSamples } from '@/core/mechanics/line-profile';
import { jointDegAt } from '@/core/movement/joint-action';
import { lately } from '@/core/record/lately';
import { otherSideOf, withSides } from '@/core/record/side-pair';
import { evaluatePlacement } from '@/core/setup/evaluate';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import { findStanceDrops, findStepIns } from '@/core/setup/stance-drops';
import type { Session, SessionItem } from '@/contract/views/plan';
import { toBand } from '@/contract/to-kit';
import type { DropMarks, OtherItem, RepView, SetView } from '@/contract/views/set';
import { progressOf } from '@/data/queries/read-folds';
import { listBands } from '@/data/queries/kit';
import { loadLabel } from '@/messages/loads';
import { dropTexts } from '@/messages/schemes';
import { loadItem, practicesIn, sidesAlternate, type ItemContext } from './item-context';
import { findBar, loadSteps } from './load-steps';
import { inTurnsWith, nextOf, partnerOf } from './onward';
import { findSettings, settingViews, type FoundSettings } from './settings';
import type { UseCase } from './use-case';

const NO_BANDS = { bands: [], bandlessN: 0 };
const NO_DROPS: DropMarks = { stances: [], stepIns: [], says: [] };
const NO_REP: RepView = { stackTravelM: null, strongerHalf: 'first', loaded: null, shares: null, jointDegs: null };

function dropMarks(problem: SetupProblem, at: Placement): DropMarks {
  const usable = findStanceDrops(problem, at).flatMap((d) =>
    d.blocked === null && d.standX !== null ? [{ third: d.third, standX: d.standX }] : [],
  );
  const stances = usable.length > 1 ? usable : [];
  // One arm steps in towards the column; two stand between the pulleys and move the peak instead.
  const steps = problem.sides.length === 1 ? findStepIns(problem, at) : [];
  const stepIns = steps.length > 1 ? steps : [];
  return {
    stances: stances.map((s) => s.standX),
    stepIns: stepIns.map((s) => s.standX),
    says: dropTexts(stances, stepIns),
  };
}

/** Resistance over its peak, to a hundredth. */
const sharesOf = (metrics: LineMetrics, { resistanceNm }: ProfileSamples): number[] =>
  Array.from(resistanceNm, (r) => Math.round((100 * r) / metrics.peakResistanceNm) / 100);

const loadedOf = (metrics: LineMetrics, { resistanceNm }: ProfileSamples): boolean[] =>
  Array.from(resistanceNm, (r) => r >= REST_BELOW * metrics.peakResistanceNm);

/** How the rep of a set-up is loaded where it stands, and the drops that can be used there. */
function repOf(posed: PosedQuestion, at: Placement | null, pulleyRatio: number): { rep: RepView; drops: DropMarks } {
  const limb = shownLimb(posed);
  const { path, target } = limb.posed;
  const jointDegs = path.proximal.map((_, i) => jointDegAt(path, target.joint, i));
  if (limb.profile) {
    const { metrics, samples } = limb.profile;
    const rep = {
      stackTravelM: null,
      strongerHalf: metrics.strongerHalf,
      loaded: loadedOf(metrics, samples),
      shares: sharesOf(metrics, samples),
      jointDegs,
    };
    return { rep, drops: NO_DROPS };
  }
  if (!posed.search || !at) return { rep: { ...NO_REP, jointDegs }, drops: NO_DROPS };
  const { placement, metrics, bySide, worse } = evaluatePlacement(posed.search, at);
  return {
    rep: {
      stackTravelM: (metrics.maxTravelM - metrics.minClearanceM) / pulleyRatio,
      strongerHalf: metrics.strongerHalf,
      loaded: loadedOf(metrics, bySide[worse]!.samples),
      shares: sharesOf(metrics, bySide[worse]!.samples),
      jointDegs,
    },
    drops: dropMarks(posed.search, placement),
  };
}

/** Places of a set-up whose rep is at hand: as it was solved, and where it was moved to. */
const PLACES = 8;
const repsOf = new WeakMap<PosedQuestion, ReturnType<typeof lately<ReturnType<typeof repOf>>>>();

/** The same, once for whoever opens the set again: which marks serve drops takes a walk over the floor. */
function repOnce(posed: PosedQuestion, at: Placement | null, pulleyRatio: number): ReturnType<typeof repOf> {
  const known = repsOf.get(posed) ?? lately(PLACES);
  repsOf.set(posed, known);
  return known(JSON.stringify([at, pulleyRatio]), () => repOf(posed, at, pulleyRatio));
}

/** The gym's bands, each by what this client's hands carry with it where the movement is posed. */
function bandViews({ db }: UseCase, gymId: string, found: FoundSettings): Pick<SetView, 'bands' | 'bandlessN'> {
  const from = found.from === 'blocked' ? null : found.pose();
  if (!from) return NO_BANDS;
  const { entry, body } = from.question;
  const { posed } = shownLimb(from);
  const handsN = (band: Band | null): number => bandedHandsN(entry, body, band, posed);
  return {
    bands: listBands(db, gymId).map(({ id, name, spec }) => ({ id, name, handsN: handsN(toBand(spec)) })),
    bandlessN: handsN(null),
  };
}

const toOther = ({ id, movement, side }: SessionItem): OtherItem => ({ itemId: id, movement, side });

/** Planned sets of a movement that are neither done, skipped nor stopped for pain. */
function hasSetsLeft({ db }: UseCase, { clientId }: Session, item: SessionItem): boolean {
  if (item.skipped !== null) return false;
  const { sets = 0, isStopped = false } = progressOf(db, [clientId], [item.id]).get(item.id) ?? {};
  return !isStopped && sets < item.sets;
}

/** Where to go on in this session: the other side of the same, and the opposite muscle's movements. */
function othersOf(uc: UseCase, context: ItemContext) {
  const { item, session } = context;
  const { target } = entryOf(item.movement);
  const other = otherSideOf(session.items, item.id);
  // Of two sides the one that has sets left.
  const opposites = withSides(session.items).flatMap((sides) => {
    const left = sides.find((i) => hasSetsLeft(uc, session, i));
    // What it takes turns with is led to by itself.
    const isPaired = item.pairId !== null && left?.pairId === item.pairId;
    return left && !isPaired && areOpposite(target, entryOf(left.movement).target) ? [left] : [];
  });
  return {
    otherSide: other && toOther(other),
    otherSideLeft: other !== null && hasSetsLeft(uc, session, other),
    alternates: other !== null && sidesAlternate(context),
    opposites: opposites.map(toOther),
  };
}

/**
 * What the live set needs: the settings as they stand and how the rep is loaded. Null when there is none of that id.
 */
export function loadSet(uc: UseCase, itemId: string): SetView | null {
  const loaded = loadItem(uc, itemId);
  if (!loaded) return null;
  const { client, item, session, station, unit, events, planned, unreadable, screening, limits } = loaded;
  const entry = entryOf(item.movement);
  const practices = practicesIn(loaded);
  const found = findSettings(uc, loaded);
  const posed = found.from === 'blocked' ? null : found.pose();
  const { rep, drops } =
    found.from === 'blocked' || !posed
      ? { rep: NO_REP, drops: NO_DROPS }
      : repOnce(posed, found.placement, station?.column.pulleyRatio ?? 1);
  return {
    client: { id: client.id, name: client.name, note: client.note },
    item,
    stationName: station?.name ?? null,
    stackG: loadSteps(uc.db, session.gymId, entry, station),
    bar: findBar(uc.db, session.gymId, entry),
    settings: settingViews(found, station, item.side),
    ...(usesBand(entry) ? bandViews(uc, session.gymId, found) : NO_BANDS),
    drops,
    rep,
    unit,
    loadLabel: loadLabel(entry, item.side),
    variantCue: loaded.variant?.cue ?? '',
    breathing: practices.breathing ?? 'out-on-effort',
    lastReps: practices['last-reps'] ?? 'strict',
    ...othersOf(uc, loaded),
    next: nextOf(uc, loaded, (s, i) => hasSetsLeft(uc, s, i)),
    inTurns: inTurnsWith(uc, loaded, (s, i) => hasSetsLeft(uc, s, i)),
    partner: partnerOf(uc, loaded, (s, i) => hasSetsLeft(uc, s, i)),
    setupId: loaded.log.setups.findLast((s) => s.itemId === item.id)?.id ?? null,
    column: station?.column ?? null,
    blocked: found.from === 'blocked' ? found.says : null,
    events,
    planned,
    unreadable,
    screening,
    limits,
    notes: client.notes,
  };
}
