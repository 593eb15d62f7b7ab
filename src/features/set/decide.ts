import type { WorkingSide } from '@/core/body/side';
import type { CorrectionCode, RemedyKind } from '@/core/movement/correction-code';
import type { FaultCode, Severity } from '@/core/movement/fault-code';
import type { FloorEventBody, Outcome } from '@/core/record/floor-event';
import { repSeconds } from '@/core/tempo/pace';
import { runsOn, type ChosenScheme } from '@/core/tempo/scheme';
import type { Records } from '@/offline/tap-queue';
import type { PackedTrace } from '@/core/trace/pack-trace';
import { findUndoable, setNow, type LiveSetState, type SetNow, type SetPlan } from './live-set-view';
import { elapsedMs, LEAD_IN_MS, NO_TAPS, type SetEvent } from './set-machine';

/** What a trainer asks of the set. Ids come in with it. */
export type Command =
  | { readonly do: 'start'; readonly setId: string }
  | { readonly do: 'end' }
  | ({ readonly do: 'choose-scheme' } & ChosenScheme)
  | { readonly do: 'pause' }
  | { readonly do: 'resume' }
  /** A set that was left goes on. */
  | { readonly do: 'go-on' }
  /** On with the part after this one. */
  | { readonly do: 'next-part'; readonly from: number }
  /** The pacer has done a rep. */
  | { readonly do: 'paced-rep'; readonly rep: number }
  /** A rep is done, by the trainer's eye. */
  | { readonly do: 'count-rep' }
  | { readonly do: 'clean' }
  | { readonly do: 'fault'; readonly fault: FaultCode; readonly side: WorkingSide; readonly severity: Severity }
  /** The last fault again, at another severity. */
  | { readonly do: 'remark'; readonly severity: Severity }
  | { readonly do: 'pain' }
  /** The stop for pain was a slip: said twice, in a place of its own. */
  | { readonly do: 'take-back-pain'; readonly painId: string }
  | { readonly do: 'pain-note'; readonly painId: string; readonly note: string }
  | { readonly do: 'go-ahead'; readonly why: string }
  | { readonly do: 'undo' }
  | { readonly do: 'confirm'; readonly setId: string; readonly loadG: number; readonly reps: number }
  | { readonly do: 'note'; readonly setId: string; readonly note: string }
  /** A trace of a set was read: it is kept with it. */
  | { readonly do: 'keep-trace'; readonly setId: string; readonly trace: PackedTrace }
  | {
      readonly do: 'correct';
      readonly setId: string;
      readonly fault: FaultCode;
      readonly correction: CorrectionCode;
      readonly cause: RemedyKind;
    }
  | { readonly do: 'outcome'; readonly correctionId: string; readonly setId: string; readonly outcome: Outcome }
  /** Faults that a trace proposed, taken. */
  | {
      readonly do: 'take-faults';
      readonly setId: string;
      readonly fault: FaultCode;
      readonly reps: readonly number[];
      readonly severity: Severity;
    };

/** When a command was given: the set's clock, milliseconds, and where the pacer stood then; null while it is idle. */
export interface Moment {
  readonly nowMs: number;
  readonly paced: { readonly rep: number; readonly done: number } | null;
}

/** What follows from a command: what is kept, and what the pacer does once it is. */
export interface Decision {
  readonly events: readonly FloorEventBody[];
  readonly pacer: SetEvent | null;
}

const NOTHING: Decision = { events: [], pacer: null };
const kept = (...events: readonly FloorEventBody[]): Decision => ({ events, pacer: null });

/** Reps that are counted by tap while the pacer runs, and what a row of them tells. */
const SAME_TAP_MS = 300;
const ROW = 3;
/** An own pace this near to the asked one is the asked one; and the quickest and slowest that is believed. */
const NEAR = 0.15;
const SCALES = [0.12, 3] as const;
/** Nobody counts any more after so much longer than a rep takes, and at the least this long. */
const PATIENCE = 2.5;
const PATIENCE_MS = 4000;

/** How much quicker or slower than asked a client works, by the middle one of the last reps that were tapped. */
function scaleBy(atMs: readonly number[], askedMs: number, before: number): number {
  const took = atMs.slice(1).map((at, i) => at - atMs[i]!);
  if (took.length === 0) return before;
  const middle = took.toSorted((a, b) => a - b)[Math.floor((took.length - 1) / 2)]!;
  const scale = Math.min(SCALES[1], Math.max(SCALES[0], middle / askedMs));
  return Math.abs(scale - 1) < NEAR ? 1 : scale;
}

/** The pacer begun anew for a set, so that `reps` of this part are behind it. */
const paceFrom = (live: SetNow, setId: string, nowMs: number, leadInMs: number, reps: number): SetEvent => ({
  type: 'started',
  setId,
  nowMs,
  leadInMs,
  skipMs: reps * repSeconds(live.pace) * 1000,
  taps: { ...NO_TAPS, scale: live.scale, since: live.base + reps },
});

function start(live: SetNow, plan: SetPlan, setId: string, nowMs: number): Decision {
  // Asked for twice, or where nothing may start, it starts nothing.
  if (live.mode !== 'ready' && live.mode !== 'resting') return NOTHING;
  if (plan.blocked !== null || live.overLimit) return NOTHING;
  const { parts, here, scheme, choices, bandId } = live;
  const targetReps = parts.reduce((sum, p) => sum + p.reps, 0);
  const { loadG } = parts[0]!;
  const body = { setId, setNo: here.length + 1, loadG, targetReps, tempo: live.tempo, scheme, choices };
  const band = bandId === null ? {} : { bandId };
  return { events: [{ kind: 'set-started', ...body, ...band }], pacer: paceFrom(live, setId, nowMs, LEAD_IN_MS, 0) };
}

/** On with the next part: at once where nothing has to be changed, else with time to change it. */
function nextPart({ open, next, index, part }: SetNow, from: number, { nowMs, paced }: Moment): Decision {
  // Asked for twice, it goes on once.
  if (!open || !next || index !== from) return NOTHING;
  const { setId } = open;
  const reps = Math.max(open.reps, paced?.done ?? 0);
  const leadInMs = runsOn(part, next) ? 0 : Math.max(LEAD_IN_MS, next.restS * 1000);
  return {
    events: [{ kind: 'part', setId, part: index + 1, reps, loadG: next.loadG, standX: next.standX }],
    pacer: { type: 'started', setId, nowMs, leadInMs, skipMs: 0, taps: { ...NO_TAPS, since: reps } },
  };
}

/** The pacer has done a rep; one that is on record by a tap is no other. */
const pacedRep = (live: SetNow, rep: number, moment: Moment): Decision =>
  live.open && rep > live.open.reps ? repDone(live, rep, moment, null) : NOTHING;

/**
 * A rep is done, says the trainer. However quickly taps come, each is a rep, but for the one that agrees with a rep
 * that the pacer has just counted; and the pacer goes at the pace of who is counted.
 */
function countRep(live: SetNow, { pacer }: LiveSetState, moment: Moment): Decision {
  const { open, base } = live;
  const { nowMs } = moment;
  const ms = elapsedMs(pacer, nowMs);
  if (!open) return NOTHING;
  if (pacer.mode !== 'running' || ms === null) return kept({ kind: 'rep', setId: open.setId, rep: open.reps + 1 });
  const { taps } = pacer;
  const lastMs = taps.atMs.at(-1) ?? -Infinity;
  if (nowMs - lastMs < SAME_TAP_MS) return NOTHING;
  const wholeMs = repSeconds(live.pace) * 1000;
  // A rep that the pacer has counted since the last tap is meant by a tap in the first half of the next one.
  const byPacer = Math.floor(Math.max(0, ms) / wholeMs) + base > taps.since;
  const inStep = byPacer && (ms % wholeMs) / wholeMs < 0.5;
  const reps = inStep ? Math.max(open.reps, Math.floor(ms / wholeMs) + base) : countedBy(live, moment) + 1;
  const atMs = byPacer ? [nowMs] : [...taps.atMs, nowMs].slice(-ROW - 1);
  const askedMs = wholeMs / taps.scale;
  const scale = scaleBy(atMs, askedMs, taps.scale);
  const ownMs = askedMs * scale;
  const skipMs = (reps - base) * ownMs;
  const counts = atMs.length > 1;
  const waits = counts
    ? { atMs: skipMs + ownMs, untilMs: nowMs + Math.max(PATIENCE_MS, PATIENCE * ownMs, ownMs) }
    : null;
  const on: SetEvent = {
    type: 'started',
    setId: open.setId,
    nowMs,
    leadInMs: 0,
    skipMs,
    taps: { atMs, since: reps, scale, waits },
  };
  return inStep && reps <= open.reps ? { events: [], pacer: on } : repDone(live, reps, moment, on);
}

/** Reps of a set that are behind it, by record and by the pacer. */
const countedBy = ({ open }: SetNow, { paced }: Moment): number => Math.max(open?.reps ?? 0, paced?.done ?? 0);

/** A rep goes on record; slow reps run straight into the normal ones. `on`: what the pacer does else. */
function repDone(live: SetNow, rep: number, moment: Moment, on: SetEvent | null): Decision {
  const { open, next, part, base, index } = live;
  if (!open) return NOTHING;
  const counted: FloorEventBody = { kind: 'rep', setId: open.setId, rep };
  if (!next || rep - base < part.reps || !runsOn(part, next)) return { events: [counted], pacer: on };
  const then = nextPart({ ...live, open: { ...open, reps: Math.max(open.reps, rep) } }, index, moment);
  return { events: [counted, ...then.events], pacer: then.pacer };
}

/** Go on after a pause: where the pacer stood, or after the reps that were counted by tap meanwhile. */
function resume(live: SetNow, { nowMs, paced }: Moment): Decision {
  const { open, base } = live;
  return open && open.reps > (paced?.done ?? 0)
    ? { events: [], pacer: paceFrom(live, open.setId, nowMs, 0, open.reps - base) }
    : { events: [], pacer: { type: 'resumed', nowMs } };
}

/** A fault seen: at the rep under way, or after the set at the whole of it, kept as rep 0. */
function markFault({ last, open }: SetNow, c: Extract<Command, { do: 'fault' }>, { nowMs, paced }: Moment): Decision {
  const { fault, side, severity } = c;
  if (!last) return NOTHING;
  const rep = open ? Math.max(1, paced?.rep ?? 0, open.reps) : 0;
  const marked: FloorEventBody = { kind: 'fault', setId: last.setId, rep, fault, side, severity };
  return { events: [marked], pacer: open ? stopsAt(severity, nowMs) : null };
}

/** What stops a set stops its pacer at once. */
const stopsAt = (severity: Severity, nowMs: number): SetEvent | null =>
  severity === 3 ? { type: 'paused', nowMs } : null;

function remark({ last, open }: SetNow, severity: Severity, { nowMs }: Moment): Decision {
  const was = last?.faults.at(-1);
  if (!last || !was || was.severity === severity) return NOTHING;
  const { rep, fault, side } = was;
  return {
    events: [
      { kind: 'fault', setId: last.setId, rep, fault, side, severity },
      { kind: 'undo', eventId: was.id },
    ],
    pacer: open ? stopsAt(severity, nowMs) : null,
  };
}

function takeFaults({ log }: SetNow, c: Extract<Command, { do: 'take-faults' }>): Decision {
  const { setId, fault, severity } = c;
  const known = log.sets.find((s) => s.setId === setId)?.faults ?? [];
  const reps = c.reps.filter((rep) => !known.some((f) => f.fault === fault && f.rep === rep));
  return kept(...reps.map((rep) => ({ kind: 'fault' as const, setId, rep, fault, side: 'both' as const, severity })));
}

/** What a command does to the set under way. */
function decideInSet(c: Command, live: SetNow, state: LiveSetState, moment: Moment): Decision {
  const { open } = live;
  const { nowMs, paced } = moment;
  switch (c.do) {
    case 'pause':
      return { events: [], pacer: { type: 'paused', nowMs } };
    case 'resume':
      return resume(live, moment);
    case 'go-on':
      return open
        ? { events: [], pacer: paceFrom(live, open.setId, nowMs, LEAD_IN_MS, open.reps - live.base) }
        : NOTHING;
    case 'next-part':
      return nextPart(live, c.from, moment);
    case 'paced-rep':
      return pacedRep(live, c.rep, moment);
    case 'count-rep':
      return countRep(live, state, moment);
    case 'clean':
      return open ? kept({ kind: 'clean', setId: open.setId, rep: Math.max(1, paced?.rep ?? 0, open.reps) }) : NOTHING;
    case 'end':
      return open
        ? kept({ kind: 'set-ended', setId: open.setId, reps: Math.max(paced?.done ?? 0, open.reps) })
        : NOTHING;
    default:
      return NOTHING;
  }
}

/**
 * What follows from a command, from the records as they stand when its turn comes, the plan, and what the page holds.
 * Nothing where the command makes no sense any more.
 */
export function decide(c: Command, records: Records, plan: SetPlan, state: LiveSetState, moment: Moment): Decision {
  const live = setNow(records, plan, state);
  switch (c.do) {
    case 'choose-scheme':
      return live.open || live.pain ? NOTHING : kept({ kind: 'scheme-chosen', scheme: c.scheme, choices: c.choices });
    case 'start':
      return start(live, plan, c.setId, moment.nowMs);
    case 'fault':
      return markFault(live, c, moment);
    case 'remark':
      return remark(live, c.severity, moment);
    case 'take-faults':
      return takeFaults(live, c);
    case 'pain':
      return live.pain
        ? NOTHING
        : kept({ kind: 'pain', setId: live.open?.setId ?? null, rep: moment.paced?.rep ?? live.open?.reps ?? 0 });
    case 'take-back-pain':
      return live.pain?.id === c.painId ? kept({ kind: 'undo', eventId: c.painId }) : NOTHING;
    case 'undo': {
      const last = findUndoable(records.events, plan.item.id);
      return last ? kept({ kind: 'undo', eventId: last.id }) : NOTHING;
    }
    case 'pain-note':
      return kept({ kind: 'pain-note', painId: c.painId, note: c.note });
    case 'go-ahead':
      return kept({ kind: 'go-ahead', why: c.why });
    case 'confirm':
      return kept({ kind: 'set-confirmed', setId: c.setId, loadG: c.loadG, reps: c.reps });
    case 'note':
      return kept({ kind: 'set-note', setId: c.setId, note: c.note });
    case 'keep-trace': {
      const known = records.events.findLast((e) => e.kind === 'trace' && e.setId === c.setId);
      const isNew = known?.kind !== 'trace' || known.data !== c.trace.data;
      return isNew ? kept({ kind: 'trace', setId: c.setId, ...c.trace }) : NOTHING;
    }
    case 'correct':
      return kept({ kind: 'correction', setId: c.setId, fault: c.fault, correction: c.correction, cause: c.cause });
    case 'outcome':
      return kept({ kind: 'outcome', correctionId: c.correctionId, setId: c.setId, outcome: c.outcome });
    default:
      return decideInSet(c, live, state, moment);
  }
}
