import type { WorkingSide } from '@/core/body/side';
import type { CorrectionCode, RemedyKind } from '@/core/movement/correction-code';
import type { FaultCode, Severity } from '@/core/movement/fault-code';
import type { FloorEventBody, Outcome } from '@/core/record/floor-event';
import { repSeconds } from '@/core/tempo/pace';
import { runsOn } from '@/core/tempo/scheme';
import type { Records } from '@/offline/tap-queue';
import { findUndoable, setNow, type LiveSetState, type SetNow, type SetPlan } from './live-set-view';
import { elapsedMs, LEAD_IN_MS, type SetEvent } from './set-machine';

/** What a trainer asks of the set. Ids come in with it. */
export type Command =
  | { readonly do: 'start'; readonly setId: string }
  | { readonly do: 'end' }
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

/** The pacer begun anew for a set, so that `reps` of this part are behind it. */
const paceFrom = (live: SetNow, setId: string, nowMs: number, leadInMs: number, reps: number): SetEvent => ({
  type: 'started',
  setId,
  nowMs,
  leadInMs,
  skipMs: reps * repSeconds(live.pace) * 1000,
});

function start(live: SetNow, plan: SetPlan, setId: string, nowMs: number): Decision {
  // Asked for twice, or where nothing may start, it starts nothing.
  if (live.mode !== 'ready' && live.mode !== 'resting') return NOTHING;
  if (plan.blocked !== null || live.overLimit) return NOTHING;
  const { parts, here, scheme, bandId } = live;
  const targetReps = parts.reduce((sum, p) => sum + p.reps, 0);
  const body = { setId, setNo: here.length + 1, loadG: parts[0]!.loadG, targetReps, tempo: plan.item.tempo, scheme };
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
    pacer: { type: 'started', setId, nowMs, leadInMs, skipMs: 0 },
  };
}

function pacedRep(live: SetNow, rep: number, moment: Moment): Decision {
  const { open, next, part, base, index } = live;
  if (!open) return NOTHING;
  const counted: FloorEventBody = { kind: 'rep', setId: open.setId, rep };
  // Slow reps run straight into the normal ones.
  if (!next || rep - base < part.reps || !runsOn(part, next)) return kept(counted);
  const on = nextPart({ ...live, open: { ...open, reps: Math.max(open.reps, rep) } }, index, moment);
  return { events: [counted, ...on.events], pacer: on.pacer };
}

/** A rep is done, says the trainer: the pacer follows, and where it rests the rep is counted. */
function countRep(live: SetNow, { pacer }: LiveSetState, nowMs: number): Decision {
  const ms = elapsedMs(pacer, nowMs);
  if (pacer.mode !== 'running' || ms === null)
    return live.open ? kept({ kind: 'rep', setId: live.open.setId, rep: live.open.reps + 1 }) : NOTHING;
  if (ms <= 0) return NOTHING;
  // In the first half of a rep it is the one before that is done by now.
  const whole = repSeconds(live.pace) * 1000;
  return { events: [], pacer: paceFrom(live, pacer.setId, nowMs, 0, Math.round(ms / whole)) };
}

/** Go on after a pause: where the pacer stood, or after the reps that were counted by tap meanwhile. */
function resume(live: SetNow, { nowMs, paced }: Moment): Decision {
  const { open, base } = live;
  return open && open.reps > (paced?.done ?? 0)
    ? { events: [], pacer: paceFrom(live, open.setId, nowMs, 0, open.reps - base) }
    : { events: [], pacer: { type: 'resumed', nowMs } };
}

/** A fault seen: at the rep under way, or after the set at the whole of it, kept as rep 0. */
function markFault({ last, open }: SetNow, c: Extract<Command, { do: 'fault' }>, { paced }: Moment): Decision {
  const { fault, side, severity } = c;
  if (!last) return NOTHING;
  const rep = open ? Math.max(1, paced?.rep ?? 0, open.reps) : 0;
  return kept({ kind: 'fault', setId: last.setId, rep, fault, side, severity });
}

function remark({ last }: SetNow, severity: Severity): Decision {
  const was = last?.faults.at(-1);
  if (!last || !was || was.severity === severity) return NOTHING;
  const { rep, fault, side } = was;
  return kept({ kind: 'fault', setId: last.setId, rep, fault, side, severity }, { kind: 'undo', eventId: was.id });
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
      return countRep(live, state, nowMs);
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
    case 'start':
      return start(live, plan, c.setId, moment.nowMs);
    case 'fault':
      return markFault(live, c, moment);
    case 'remark':
      return remark(live, c.severity);
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
    case 'correct':
      return kept({ kind: 'correction', setId: c.setId, fault: c.fault, correction: c.correction, cause: c.cause });
    case 'outcome':
      return kept({ kind: 'outcome', correctionId: c.correctionId, setId: c.setId, outcome: c.outcome });
    default:
      return decideInSet(c, live, state, moment);
  }
}
