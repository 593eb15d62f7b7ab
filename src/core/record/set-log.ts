import type { Side, WorkingSide } from '@/core/body/side';
import type { CorrectionCode, RemedyKind } from '@/core/movement/correction-code';
import type { FaultCode, Severity } from '@/core/movement/fault-code';
import { AS_IT_COMES, type ChosenScheme, type SchemeChoices, type Scheme } from '@/core/tempo/scheme';
import type { FloorEvent, Outcome, SavedSetup } from './floor-event';
import { orderEvents } from './order-events';

/** A fault as it was tapped. */
export interface FaultMark {
  readonly id: string;
  readonly rep: number;
  readonly fault: FaultCode;
  readonly side: Side | 'both';
  readonly severity: Severity;
}

/** A correction as it was given, and how it fared. */
export interface CorrectionMark {
  readonly id: string;
  readonly fault: FaultCode;
  readonly correction: CorrectionCode;
  readonly cause: RemedyKind;
  /** Null until the next set was asked about. */
  readonly outcome: Outcome | null;
  readonly outcomeId: string | null;
  /** The set in which the outcome was seen. */
  readonly outcomeSetId: string | null;
}

/** What the plan says of a planned movement that records belong to. */
export interface PlannedItem {
  readonly sessionId: string;
  readonly side: WorkingSide;
}

/** Planned movements by id. */
export type PlannedItems = Readonly<Record<string, PlannedItem>>;

/** One set as the records tell it. */
export interface SetRecord {
  readonly setId: string;
  readonly itemId: string;
  /** Left and right of one day are one session. */
  readonly sessionId: string;
  readonly side: WorkingSide;
  readonly setNo: number;
  readonly startedAtMs: number;
  readonly endedAtMs: number | null;
  readonly loadG: number;
  /** Band under the feet; null where none was hung. */
  readonly bandId: string | null;
  readonly reps: number;
  readonly targetReps: number;
  readonly tempo: string;
  readonly scheme: Scheme;
  readonly choices: SchemeChoices;
  /** Parts after the first, as they were begun. */
  readonly parts: readonly {
    readonly part: number;
    readonly reps: number;
    readonly loadG: number;
    readonly standX: number | null;
  }[];
  /** Watched and clean up to this rep; 0 when nothing was said. */
  readonly cleanTo: number;
  readonly note: string;
  readonly confirmed: boolean;
  readonly setup: SavedSetup | null;
  readonly faults: readonly FaultMark[];
  readonly corrections: readonly CorrectionMark[];
}

/** A stop for pain. */
export interface PainMark {
  readonly id: string;
  readonly setId: string | null;
  readonly itemId: string;
  readonly atMs: number;
  readonly rep: number;
  readonly note: string;
}

/** Why a movement went ahead without the limit that a note asks for. */
export interface GoAhead {
  readonly id: string;
  readonly itemId: string;
  readonly atMs: number;
  readonly why: string;
}

/** A set-up as it was used, and where and when. */
export interface UsedSetup extends SavedSetup {
  readonly id: string;
  readonly atMs: number;
  readonly itemId: string;
}

/** How a planned movement's sets were to be done from a moment on. */
export interface KeptScheme extends ChosenScheme {
  readonly itemId: string;
}

/** What the records of one client and movement tell. */
export interface SetLog {
  readonly setups: readonly UsedSetup[];
  readonly schemes: readonly KeptScheme[];
  readonly sets: readonly SetRecord[];
  readonly pains: readonly PainMark[];
  readonly goAheads: readonly GoAhead[];
}

type Draft<T> = { -readonly [K in keyof T]: T[K] };

/** A log while it is being folded. */
interface Folding {
  readonly items: PlannedItems;
  readonly setups: UsedSetup[];
  readonly schemes: KeptScheme[];
  readonly sets: Map<string, Draft<SetRecord>>;
  readonly pains: Map<string, Draft<PainMark>>;
  readonly goAheads: GoAhead[];
  /** The set that each correction was given after. */
  readonly corrected: Map<string, Draft<SetRecord>>;
}

type Of<K extends FloorEvent['kind']> = Extract<FloorEvent, { kind: K }>;

function foldSetup(log: Folding, e: Of<'setup-saved'>): void {
  const { id, atMs, itemId, placement, solved, off, stationId, attachmentId, side, options } = e;
  log.setups.push({ id, atMs, itemId, placement, solved, off, stationId, attachmentId, side, options });
}

function foldStart(log: Folding, e: Of<'set-started'>): void {
  const setup = log.setups.findLast((s) => s.itemId === e.itemId) ?? null;
  // A movement that is no longer planned is a session of its own.
  const planned = log.items[e.itemId] ?? { sessionId: e.itemId, side: setup?.side ?? 'both' };
  log.sets.set(e.setId, {
    setId: e.setId,
    itemId: e.itemId,
    ...planned,
    setNo: e.setNo,
    startedAtMs: e.atMs,
    endedAtMs: null,
    loadG: e.loadG,
    bandId: e.bandId ?? null,
    reps: 0,
    targetReps: e.targetReps,
    tempo: e.tempo,
    scheme: e.scheme ?? 'straight',
    choices: e.choices ?? AS_IT_COMES,
    parts: [],
    cleanTo: 0,
    note: '',
    confirmed: false,
    faults: [],
    corrections: [],
    setup,
  });
}

function foldPain(log: Folding, e: Of<'pain'>): void {
  log.pains.set(e.id, { id: e.id, setId: e.setId, itemId: e.itemId, atMs: e.atMs, rep: e.rep, note: '' });
  const set = e.setId === null ? undefined : log.sets.get(e.setId);
  if (set?.endedAtMs === null) set.endedAtMs = e.atMs;
}

function foldOutcome(log: Folding, e: Of<'outcome'>): void {
  const set = log.corrected.get(e.correctionId);
  if (!set) return;
  const seen = { outcome: e.outcome, outcomeId: e.id, outcomeSetId: e.setId };
  set.corrections = set.corrections.map((c) => (c.id === e.correctionId ? { ...c, ...seen } : c));
}

/** An event that changes a set already begun. */
function foldIntoSet(log: Folding, set: Draft<SetRecord>, e: FloorEvent): void {
  switch (e.kind) {
    case 'part': {
      const { part, reps, loadG, standX } = e;
      if (!set.parts.some((p) => p.part === part)) set.parts = [...set.parts, { part, reps, loadG, standX }];
      return;
    }
    case 'rep':
      set.reps = Math.max(set.reps, e.rep);
      return;
    case 'fault':
      set.faults = [...set.faults, { id: e.id, rep: e.rep, fault: e.fault, side: e.side, severity: e.severity }];
      return;
    case 'clean':
      set.cleanTo = Math.max(set.cleanTo, e.rep);
      return;
    case 'set-note':
      set.note = e.note;
      return;
    case 'set-ended':
      // Whoever ended it may not have known of every rep that another device counted.
      Object.assign(set, { endedAtMs: e.atMs, reps: Math.max(set.reps, e.reps) });
      return;
    case 'set-confirmed':
      Object.assign(set, { loadG: e.loadG, reps: e.reps, confirmed: true });
      return;
    case 'correction': {
      const { id, fault, correction, cause } = e;
      log.corrected.set(id, set);
      const given = { id, fault, correction, cause, outcome: null, outcomeId: null, outcomeSetId: null };
      set.corrections = [...set.corrections, given];
      return;
    }
  }
}

function foldEvent(log: Folding, e: FloorEvent): void {
  switch (e.kind) {
    case 'setup-saved':
      return foldSetup(log, e);
    case 'scheme-chosen': {
      const { itemId, scheme, choices } = e;
      log.schemes.push({ itemId, scheme, choices });
      return;
    }
    case 'set-started':
      return foldStart(log, e);
    case 'pain':
      return foldPain(log, e);
    case 'outcome':
      return foldOutcome(log, e);
    case 'pain-note': {
      const pain = log.pains.get(e.painId);
      if (pain) pain.note = e.note;
      return;
    }
    case 'go-ahead':
      log.goAheads.push({ id: e.id, itemId: e.itemId, atMs: e.atMs, why: e.why });
      return;
    case 'undo':
      return;
    default: {
      const set = log.sets.get(e.setId);
      if (set) foldIntoSet(log, set, e);
    }
  }
}

/**
 * Fold the records of one client and movement into sets. `items`: what is planned of the movements they belong to.
 * Undone events leave no trace; unknown references are skipped.
 */
export function foldSetLog(events: readonly FloorEvent[], items: PlannedItems): SetLog {
  const ordered = orderEvents(events);
  const undone = new Set(ordered.flatMap((e) => (e.kind === 'undo' ? [e.eventId] : [])));
  const log: Folding = {
    items,
    setups: [],
    schemes: [],
    sets: new Map(),
    pains: new Map(),
    goAheads: [],
    corrected: new Map(),
  };
  for (const e of ordered) if (!undone.has(e.id)) foldEvent(log, e);
  const { setups, schemes, sets, pains, goAheads } = log;
  return { setups, schemes, sets: [...sets.values()], pains: [...pains.values()], goAheads };
}

/** The correction given last and not yet asked about, with the set it came from. */
export function findOpenCorrection(sets: readonly SetRecord[]): CorrectionMark | null {
  return sets.flatMap((s) => s.corrections).findLast((c) => c.outcome === null) ?? null;
}
