import type { Side } from '@/core/body/active-range';
import type { FaultCode } from '@/core/movement/fault-code';
import type { Scheme } from '@/core/tempo/scheme';
import type { CorrectionCode, RemedyKind, Severity } from './fault-book';
import type { FloorEvent, Outcome, SavedSetup } from './floor-event';

export interface FaultMark {
  readonly id: string;
  readonly rep: number;
  readonly fault: FaultCode;
  readonly side: Side | 'both';
  readonly severity: Severity;
}

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

/** One set as the records tell it. */
export interface SetRecord {
  readonly setId: string;
  readonly itemId: string;
  readonly setNo: number;
  readonly startedAtMs: number;
  readonly endedAtMs: number | null;
  readonly loadG: number;
  readonly reps: number;
  readonly targetReps: number;
  readonly tempo: string;
  readonly scheme: Scheme;
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

export interface PainMark {
  readonly id: string;
  readonly setId: string | null;
  readonly itemId: string;
  readonly atMs: number;
  readonly rep: number;
  readonly note: string;
}

export interface SetLog {
  readonly setups: readonly (SavedSetup & { readonly id: string; readonly atMs: number; readonly itemId: string })[];
  readonly sets: readonly SetRecord[];
  readonly pains: readonly PainMark[];
}

/** Choices that records made before the book had more than flies do not know. */
const NO_CHOICE = {
  schools: {},
  grip: null,
  armPathDeg: null,
  tuckDeg: 0,
  backDeg: null,
  seatHole: null,
  startAt: 0,
  stopAt: 1,
} as const;

type Draft<T> = { -readonly [K in keyof T]: T[K] };

/** Events in the order they were tapped; repeats of an id fall away, so that re-sent records change nothing. */
export function orderEvents(events: readonly FloorEvent[]): FloorEvent[] {
  const unique = new Map(events.map((e) => [e.id, e]));
  return [...unique.values()].sort(
    (a, b) => a.atMs - b.atMs || (a.deviceId < b.deviceId ? -1 : a.deviceId > b.deviceId ? 1 : a.seq - b.seq),
  );
}

/**
 * Fold the records of one client and movement into sets. Undone events leave no trace; unknown references are skipped.
 */
export function foldSetLog(events: readonly FloorEvent[]): SetLog {
  const ordered = orderEvents(events);
  const undone = new Set(ordered.flatMap((e) => (e.kind === 'undo' ? [e.eventId] : [])));
  const setups: Draft<SetLog['setups'][number]>[] = [];
  const sets = new Map<string, Draft<SetRecord>>();
  const pains = new Map<string, Draft<PainMark>>();
  const corrections = new Map<string, { set: Draft<SetRecord>; index: number }>();
  for (const e of ordered) {
    if (undone.has(e.id)) continue;
    const set = 'setId' in e && e.setId !== null ? sets.get(e.setId) : undefined;
    switch (e.kind) {
      case 'setup-saved': {
        const { placement, solved, off, stationId, attachmentId, side, options } = e;
        setups.push({
          id: e.id,
          atMs: e.atMs,
          itemId: e.itemId,
          placement,
          solved,
          off,
          stationId,
          attachmentId,
          side,
          options: { ...NO_CHOICE, ...options },
        });
        break;
      }
      case 'set-started':
        sets.set(e.setId, {
          setId: e.setId,
          itemId: e.itemId,
          setNo: e.setNo,
          startedAtMs: e.atMs,
          endedAtMs: null,
          loadG: e.loadG,
          reps: 0,
          targetReps: e.targetReps,
          tempo: e.tempo,
          scheme: e.scheme ?? 'straight',
          parts: [],
          cleanTo: 0,
          note: '',
          confirmed: false,
          faults: [],
          corrections: [],
          setup: setups.findLast((s) => s.itemId === e.itemId) ?? null,
        });
        break;
      case 'part':
        if (set && !set.parts.some((p) => p.part === e.part))
          set.parts = [...set.parts, { part: e.part, reps: e.reps, loadG: e.loadG, standX: e.standX }];
        break;
      case 'rep':
        if (set) set.reps = Math.max(set.reps, e.rep);
        break;
      case 'fault':
        if (set)
          set.faults = [...set.faults, { id: e.id, rep: e.rep, fault: e.fault, side: e.side, severity: e.severity }];
        break;
      case 'clean':
        if (set) set.cleanTo = Math.max(set.cleanTo, e.rep);
        break;
      case 'set-note':
        if (set) set.note = e.note;
        break;
      case 'set-ended':
        if (set) Object.assign(set, { endedAtMs: e.atMs, reps: e.reps });
        break;
      case 'set-confirmed':
        if (set) Object.assign(set, { loadG: e.loadG, reps: e.reps, confirmed: true });
        break;
      case 'pain':
        pains.set(e.id, { id: e.id, setId: e.setId, itemId: e.itemId, atMs: e.atMs, rep: e.rep, note: '' });
        if (set && set.endedAtMs === null) Object.assign(set, { endedAtMs: e.atMs });
        break;
      case 'pain-note': {
        const pain = pains.get(e.painId);
        if (pain) pain.note = e.note;
        break;
      }
      case 'correction':
        if (set) {
          corrections.set(e.id, { set, index: set.corrections.length });
          set.corrections = [
            ...set.corrections,
            {
              id: e.id,
              fault: e.fault,
              correction: e.correction,
              cause: e.cause,
              outcome: null,
              outcomeId: null,
              outcomeSetId: null,
            },
          ];
        }
        break;
      case 'outcome': {
        const given = corrections.get(e.correctionId);
        if (given) {
          given.set.corrections = given.set.corrections.map((c, i) =>
            i === given.index ? { ...c, outcome: e.outcome, outcomeId: e.id, outcomeSetId: e.setId } : c,
          );
        }
        break;
      }
      case 'undo':
        break;
    }
  }
  return { setups, sets: [...sets.values()], pains: [...pains.values()] };
}

/** The correction given last and not yet asked about, with the set it came from. */
export function findOpenCorrection(sets: readonly SetRecord[]): CorrectionMark | null {
  return sets.flatMap((s) => s.corrections).findLast((c) => c.outcome === null) ?? null;
}
