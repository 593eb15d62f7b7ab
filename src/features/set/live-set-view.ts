import { entryOf } from '@/core/book/book';
import type { BookEntry } from '@/core/book/book-entry';
import { faultsOf } from '@/core/book/entry-faults';
import { correctionFits } from '@/core/fault/correction-fits';
import { sessionResults } from '@/core/fault/judge-set';
import { rankFaults, watchList, type WatchEntry } from '@/core/fault/watch-list';
import { chooseBand, type BandChoice } from '@/core/load/choose-band';
import { dropsInRow } from '@/core/load/drop-steps';
import { loadForReps } from '@/core/load/one-rep-max';
import { nextLoad, type NextLoad } from '@/core/load/progress';
import { findNearestStep } from '@/core/load/stack-steps';
import type { CorrectionCode } from '@/core/movement/correction-code';
import type { FaultCode } from '@/core/movement/fault-code';
import type { FloorEvent } from '@/core/record/floor-event';
import {
  findOpenCorrection,
  type CorrectionMark,
  type PainMark,
  type SetLog,
  type SetRecord,
  type UsedSetup,
} from '@/core/record/set-log';
import { paceOfPart, scaledPace, type Pace } from '@/core/tempo/pace';
import {
  AS_IT_COMES,
  buildParts,
  dropFractions,
  isAsItComes,
  SCHEMES,
  type ChosenScheme,
  type Scheme,
  type SchemeChoices,
  type SchemePart,
} from '@/core/tempo/scheme';
import { aimOf, type SetAim } from '@/core/tempo/set-aims';
import { parseTempo, withSection } from '@/core/tempo/tempo';
import type { PackedTrace } from '@/core/trace/pack-trace';
import type { SetView } from '@/contract/views/set';
import type { Records } from '@/offline/tap-queue';
import type { SetState } from './set-machine';

/** What a set is made of beside its records: the plan as the server gives it. */
export type SetPlan = Pick<SetView, 'item' | 'stackG' | 'bands' | 'drops' | 'rep' | 'limits' | 'blocked'>;

/** What the page itself holds: the pacer, and what was chosen for the next set. */
export interface LiveSetState {
  readonly pacer: SetState;
  /** Null: as last used, else as planned. */
  readonly chosenLoadG: number | null;
  /** Band chosen for the next set. */
  readonly chosenBandId: string | null;
}

/** Where a movement stands: nothing done yet, a set under way or left, resting, stopped, or waiting for a limit. */
export type SetMode = 'ready' | 'running' | 'paused' | 'left' | 'resting' | 'stopped' | 'wants-limit';

/** Where a set stands: what commands act on. */
export interface SetNow {
  readonly mode: SetMode;
  readonly log: SetLog;
  /** The set-up as it was saved last, here or on another tablet; null while it is as solved. */
  readonly setup: UsedSetup | null;
  readonly movement: BookEntry;
  /** Sets of this planned movement, oldest first. */
  readonly here: readonly SetRecord[];
  readonly last: SetRecord | null;
  readonly open: SetRecord | null;
  readonly pain: PainMark | null;
  /** Number of the set under way or next, as it is told. */
  readonly setNo: number;
  readonly finished: boolean;
  readonly loadG: number;
  /** Why the first part is lifted with another load than the set before; null where it is not. */
  readonly proposal: LoadProposal | null;
  /** Band under the feet; null where none is hung. */
  readonly bandId: string | null;
  readonly scheme: Scheme;
  readonly choices: SchemeChoices;
  /** What the set before today's was done by, where that is another way; null once today's was chosen or begun. */
  readonly lastScheme: ChosenScheme | null;
  /** The movement's tempo with the section that was chosen. */
  readonly tempo: string;
  /** Ways to do the set that can be done with what is here. */
  readonly schemes: readonly Scheme[];
  readonly parts: readonly SchemePart[];
  readonly index: number;
  readonly part: SchemePart;
  readonly next: SchemePart | null;
  /** Reps done before this part. */
  readonly base: number;
  readonly pace: Pace;
  /** The client's own seconds of a rep over those of the tempo, as the pace has it. */
  readonly scale: number;
  /** How a rep of a set was asked for, 1 for the first. */
  readonly paceOfRep: (set: SetRecord, rep: number) => Pace;
  /** Some part lifts more than a clinician's limit allows. */
  readonly overLimit: boolean;
}

/** A band to hang, and the set that says so. */
export interface BandAdvice extends BandChoice {
  readonly by: { readonly bandId: string; readonly reps: number };
}

/** What is judged of the records: what to look for, what to lift, what to ask. */
export interface SetJudgement {
  readonly faults: readonly FaultCode[];
  readonly ranked: readonly WatchEntry[];
  readonly watch: readonly WatchEntry[];
  /** Offered before the first set; null once one was begun. */
  readonly advice: NextLoad | null;
  /** The band for the movement's reps, by the last set that was done with one. */
  readonly bandAdvice: BandAdvice | null;
  readonly openCorrection: CorrectionMark | null;
  readonly undoable: FloorEvent | null;
  readonly lastNote: string;
  /** Traces that are kept of sets of this session, by set; the last of each. */
  readonly traces: Readonly<Record<string, PackedTrace>>;
}

/** The set under way as everything on its screen reads it. */
export interface LiveSet extends SetNow, SetJudgement {}

const UNDOABLE: readonly FloorEvent['kind'][] = [
  'fault',
  'clean',
  'set-confirmed',
  'correction',
  'outcome',
  'set-ended',
  'go-ahead',
  'setup-saved',
];

/** Reps that the load of slow work is good for (common practice). */
const GOOD_FOR = 20;

/**
 * The set of a planned movement that is under way in the records; null when none is. Whatever its place among the sets:
 * a tablet whose clock is slow puts it before sets that are over.
 */
export const openSetOf = (log: SetLog, itemId: string): SetRecord | null =>
  log.sets.findLast((s) => s.itemId === itemId && s.endedAtMs === null) ?? null;

/**
 * The last tap on a planned movement that can be taken back; null when none can. While a stop for pain stands nothing
 * is: it has a way back of its own, so that a second tap in the same place cannot lift it.
 */
export function findUndoable(events: readonly FloorEvent[], itemId: string): FloorEvent | null {
  const undone = new Set(events.flatMap((e) => (e.kind === 'undo' ? [e.eventId] : [])));
  const own = events.filter((e) => e.itemId === itemId);
  if (own.some((e) => e.kind === 'pain' && !undone.has(e.id))) return null;
  const begun = own.findLastIndex((e) => e.kind === 'set-started');
  // Once another set is begun, the end of the one before stands, two sets cannot be under way; and so does the set-up
  // that it is done with.
  const stands = (e: FloorEvent, i: number): boolean =>
    (e.kind === 'set-ended' || e.kind === 'setup-saved') && i < begun;
  return own.findLast((e, i) => UNDOABLE.includes(e.kind) && !undone.has(e.id) && !stands(e, i)) ?? null;
}

/** A load that slow work proposes, and the set that says so. */
export interface LoadProposal {
  readonly loadG: number;
  readonly by: Pick<SetRecord, 'loadG' | 'reps'>;
}

/** The load that is good for about 20 reps, by a set to its limit: today's first, else the last there was. */
function goodFor({ item, stackG }: SetPlan, log: SetLog): LoadProposal | null {
  // Reps in reserve are reps that the load would have allowed.
  const counts = (s: SetRecord): boolean => s.confirmed && s.reps > 0 && s.scheme === 'straight';
  const by = log.sets.findLast((s) => s.itemId === item.id && counts(s)) ?? log.sets.findLast(counts);
  const good = by && loadForReps(by.loadG, by.reps + (by.choices.reserve ?? 0), GOOD_FOR);
  const loadG = good ? findNearestStep(stackG, good.middle) : null;
  return by && loadG !== null ? { loadG, by } : null;
}

/** The movement's tempo with the section that was chosen. */
function tempoOf({ item }: SetPlan, entry: BookEntry, { slow }: SchemeChoices): string {
  const tempo = parseTempo(item.tempo) ? item.tempo : entry.tempo;
  return slow === null ? tempo : withSection(tempo, slow === 'none' ? null : slow);
}

/** How a set is done, with the tempo that it was begun at; a set to come has the movement's. */
interface Asked extends ChosenScheme {
  /** Reps that are planned for it. */
  readonly aimReps: number;
  readonly tempo?: string;
}

/**
 * Parts of a scheme with what is here; none where it cannot be done. `partLoadG`: what the first part is lifted with;
 * `twentyG`: what slow work proposes instead.
 */
function partsOf(
  plan: SetPlan,
  entry: BookEntry,
  asked: Asked,
  partLoadG: number,
  twentyG: number | null,
): SchemePart[] {
  const { stackG, drops, rep } = plan;
  const { scheme, choices } = asked;
  return buildParts(scheme, {
    reps: asked.aimReps,
    tempo: asked.tempo ?? tempoOf(plan, entry, choices),
    loadG: partLoadG,
    dropsG: dropsInRow(stackG, partLoadG, dropFractions(choices)),
    twentyG,
    stances: drops.stances,
    stepIns: drops.stepIns,
    strongerHalf: choices.half ?? rep.strongerHalf,
    repsOfParts: choices.reps,
  });
}

const STRAIGHT: ChosenScheme = { scheme: 'straight', choices: AS_IT_COMES };

/**
 * How a set is done: as it was begun, else as chosen for this movement, else as today's set before it. How near to
 * failure it goes is as planned for this set, where nothing was chosen.
 */
function schemeOf({ item }: SetPlan, log: SetLog, open: SetRecord | null, last: SetRecord | null, aim: SetAim) {
  const chosen: ChosenScheme | undefined = open ?? log.schemes.findLast((s) => s.itemId === item.id);
  if (chosen) return chosen;
  const before = last ?? STRAIGHT;
  return item.aims === null ? before : { ...before, choices: { ...before.choices, reserve: aim.reserve } };
}

/** What the next set is lifted with: as the one before it where it is planned alike, else as it is planned. */
function nextLoadG({ item }: SetPlan, last: SetRecord | null, aim: SetAim): number {
  if (last === null) return aim.loadG ?? item.loadG;
  const before = aimOf(item, last.setNo);
  return before.loadG === aim.loadG ? last.loadG : (aim.loadG ?? item.loadG);
}

/** How the newest set of another day was done, on the side that works, where that was no plain set. */
function lastSchemeOf({ item }: SetPlan, log: SetLog): ChosenScheme | null {
  if (log.schemes.some((s) => s.itemId === item.id) || log.sets.some((s) => s.itemId === item.id)) return null;
  const before = log.sets.findLast((s) => s.side === item.side);
  const plain = before?.scheme === 'straight' && isAsItComes(before.choices);
  return before && !plain ? { scheme: before.scheme, choices: before.choices } : null;
}

function modeOf(plan: SetPlan, log: SetLog, open: SetRecord | null, last: SetRecord | null, pacer: SetState): SetMode {
  const { id } = plan.item;
  if (log.pains.some((p) => p.itemId === id)) return 'stopped';
  if (open) return pacer.mode === 'idle' ? 'left' : pacer.mode;
  if (plan.limits.missing.length > 0 && !log.goAheads.some((g) => g.itemId === id)) return 'wants-limit';
  return last ? 'resting' : 'ready';
}

/** The next load by what the sessions before say, on the side that works. */
function adviceOf({ item, stackG, limits }: SetPlan, log: SetLog, here: readonly SetRecord[]): NextLoad | null {
  if (here.length > 0) return null;
  const own = log.sets.filter((s) => s.side === item.side);
  const session = item.sessionId;
  const fits = (c: CorrectionCode): boolean => correctionFits(entryOf(item.movement), c);
  return nextLoad(sessionResults(own, session, fits), item.loadG, stackG, limits.mostLoadG);
}

/** The band of the last set today, else as planned, else the first there is. */
const bandBefore = ({ item, bands }: SetPlan, last: SetRecord | null): string | null =>
  [last?.bandId, item.bandId].find((id) => bands.some((b) => b.id === id)) ?? bands[0]?.id ?? null;

/** The band that leaves the movement's own reps, by the newest set that was done with a band of this gym. */
function bandAdviceOf({ item, bands }: SetPlan, log: SetLog): BandAdvice | null {
  const done = log.sets.findLast((s) => s.confirmed && s.reps > 0 && bands.some((b) => b.id === s.bandId));
  const band = bands.find((b) => b.id === done?.bandId);
  if (!done || !band) return null;
  const reps = done.reps + (done.choices.reserve ?? 0);
  const choice = chooseBand(bands, { handsN: band.handsN, reps }, entryOf(item.movement).reps);
  return choice && { ...choice, by: { bandId: band.id, reps: done.reps } };
}

/** How quickly the client works, over what the tempo asks for. */
const ownScale = (pacer: SetState): number => (pacer.mode === 'idle' ? 1 : pacer.taps.scale);

/** Where a set stands, from the records, the plan and what the page holds. */
export function setNow({ log }: Pick<Records, 'log'>, plan: SetPlan, state: LiveSetState): SetNow {
  const { item, limits } = plan;
  const movement = entryOf(item.movement);
  const here = log.sets.filter((s) => s.itemId === item.id);
  const open = openSetOf(log, item.id);
  const last = open ?? here.at(-1) ?? null;
  const aim = aimOf(item, open?.setNo ?? here.length + 1);
  const loadG = state.chosenLoadG ?? (open ? open.loadG : nextLoadG(plan, last, aim));
  const chosen = schemeOf(plan, log, open, last, aim);
  const { scheme, choices } = chosen;
  // What the trainer chose is lifted, whatever the scheme would propose.
  const free = open === null && state.chosenLoadG === null;
  const twentyG = free ? (goodFor(plan, log)?.loadG ?? null) : null;
  const partsBy = (by: Asked): readonly SchemePart[] => partsOf(plan, movement, by, open?.loadG ?? loadG, twentyG);
  const partsFor = (by: Asked): readonly SchemePart[] => {
    const own = partsBy(by);
    return own.length > 0 ? own : partsBy({ ...by, scheme: 'straight', choices: { ...by.choices, reps: [] } });
  };
  const parts = partsFor({ ...chosen, aimReps: aim.reps });
  const index = open?.parts.at(-1)?.part ?? 0;
  const part = parts[Math.min(index, parts.length - 1)]!;
  const paceOf = (p: SchemePart): Pace => paceOfPart(p, movement.startsWith, plan.rep.jointDegs)!;
  const finished = here.filter((s) => s.endedAtMs !== null).length >= item.sets;
  return {
    mode: modeOf(plan, log, open, last, state.pacer),
    log,
    setup: log.setups.findLast((s) => s.itemId === item.id) ?? null,
    movement,
    here,
    last,
    open,
    pain: log.pains.findLast((p) => p.itemId === item.id) ?? null,
    setNo: open?.setNo ?? Math.min(here.length + 1, Math.max(item.sets, here.length + (finished ? 0 : 1))),
    finished,
    // What stands on the plate is what the first part is lifted with.
    loadG: parts[0]!.loadG,
    proposal: free && scheme === 'slow-then-normal' ? goodFor(plan, log) : null,
    bandId: plan.bands.length === 0 ? null : (open?.bandId ?? state.chosenBandId ?? bandBefore(plan, last)),
    scheme,
    choices,
    lastScheme: lastSchemeOf(plan, log),
    tempo: tempoOf(plan, movement, choices),
    schemes: SCHEMES.filter((s) => partsBy({ scheme: s, choices: AS_IT_COMES, aimReps: aim.reps }).length > 0),
    parts,
    index,
    part,
    next: parts[index + 1] ?? null,
    base: open?.parts.at(-1)?.reps ?? 0,
    pace: scaledPace(paceOf(part), ownScale(state.pacer)),
    scale: ownScale(state.pacer),
    paceOfRep: (set, rep) => {
      const begun = set.parts.findLast((p) => p.reps < rep)?.part ?? 0;
      const { scheme: by, choices: of, tempo } = set;
      const aimReps = aimOf(item, set.setNo).reps;
      const asked = partsFor({ scheme: by, choices: of, aimReps, ...(parseTempo(tempo) ? { tempo } : {}) });
      return paceOf(asked[Math.min(begun, asked.length - 1)]!);
    },
    // The limit holds for what will be lifted, whatever the scheme.
    overLimit: limits.mostLoadG !== null && parts.some((p) => p.loadG > limits.mostLoadG!),
  };
}

/** What the records say to look for, lift and ask next. */
export function judgeSets({ log, events }: Records, plan: SetPlan): SetJudgement {
  const { item } = plan;
  const here = log.sets.filter((s) => s.itemId === item.id);
  return {
    faults: faultsOf(entryOf(item.movement)),
    ranked: rankFaults(log.sets),
    watch: watchList(log.sets),
    advice: adviceOf(plan, log, here),
    bandAdvice: bandAdviceOf(plan, log),
    openCorrection: findOpenCorrection(here.slice(0, -1)),
    undoable: findUndoable(events, item.id),
    lastNote: log.sets.findLast((s) => s.note !== '')?.note ?? '',
    traces: Object.fromEntries(
      events.flatMap((e) => (e.kind === 'trace' ? [[e.setId, { hz: e.hz, data: e.data }]] : [])),
    ),
  };
}

/** Everything that a set's screen shows and acts on, from the records, the plan and what the page holds. */
export const liveSetView = (records: Records, plan: SetPlan, state: LiveSetState): LiveSet => ({
  ...setNow(records, plan, state),
  ...judgeSets(records, plan),
});
