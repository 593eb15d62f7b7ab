'use client';
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react';
import type { Side } from '@/core/body/active-range';
import type { Severity } from '@/core/fault/fault-book';
import type { FloorEventBody } from '@/core/fault/floor-event';
import { findOpenCorrection, type SetLog, type SetRecord } from '@/core/fault/set-log';
import { sessionResults } from '@/core/fault/judge-set';
import { nextLoad } from '@/core/load/progress';
import { rankFaults, watchList } from '@/core/fault/watch-list';
import type { FaultCode } from '@/core/movement/fault-code';
import { findEntry } from '@/core/book/book';
import { faultsOf } from '@/core/book/entry-faults';
import { dropsInRow } from '@/core/load/drop-steps';
import { loadForReps } from '@/core/load/one-rep-max';
import { findNearestStep } from '@/core/load/stack-steps';
import { paceAt, paceOfPart, repSeconds, type Pace, type PaceAt } from '@/core/tempo/pace';
import { buildParts, DROP_FRACTION, runsOn, SCHEMES, type Scheme, type SchemePart } from '@/core/tempo/scheme';
import { parseTempo } from '@/core/tempo/tempo';
import { useFloorLog } from '@/offline/use-floor-log';
import { LEAD_IN_MS, elapsedMs, reduceSet } from './set-machine';
import type { SetScreenContext } from './set-screen-context';

const UNDOABLE: readonly FloorEventBody['kind'][] = [
  'fault',
  'clean',
  'set-confirmed',
  'correction',
  'outcome',
  'pain',
  'set-ended',
];

/** Reps that the load of slow work is good for (common practice). */
const GOOD_FOR = 20;

/** The set under way: records, pacer and what can be done next; `nowMs` is the clock that it is paced by. */
export function useLiveSet(context: SetScreenContext, nowMs: () => number) {
  const { client, item } = context;
  const { log, events, append, trouble } = useFloorLog(
    { clientId: client.id, itemId: item.id, movement: item.movement },
    context.events,
  );
  const movement = findEntry(item.movement)!;
  const faults = useMemo(() => faultsOf(movement), [movement]);
  const [live, dispatch] = useReducer(reduceSet, { mode: 'idle' });
  const liveRef = useRef(live);
  useEffect(() => {
    liveRef.current = live;
  }, [live]);

  const here = useMemo(() => log.sets.filter((s) => s.itemId === item.id), [log, item.id]);
  const last = here[here.length - 1] ?? null;
  const open = last && last.endedAtMs === null ? last : null;
  const pain = log.pains.findLast((p) => p.itemId === item.id) ?? null;
  const [chosenLoadG, setChosenLoadG] = useState<number | null>(null);
  const loadG = chosenLoadG ?? last?.loadG ?? item.loadG;
  const [chosenScheme, setScheme] = useState<Scheme | null>(null);
  const scheme = open?.scheme ?? chosenScheme ?? last?.scheme ?? 'straight';
  const partLoadG = open?.loadG ?? loadG;
  // A set to its limit says what is good for about 20 reps.
  const done =
    here.findLast((s) => s.confirmed && s.reps > 0 && s.scheme === 'straight') ??
    log.sets.findLast((s) => s.confirmed && s.reps > 0 && s.scheme === 'straight');
  const parts = useMemo(() => {
    const good = done ? loadForReps(done.loadG, done.reps, GOOD_FOR) : null;
    const input = {
      reps: item.reps,
      tempo: parseTempo(item.tempo) ? item.tempo : movement.tempo,
      loadG: partLoadG,
      dropsG: dropsInRow(context.stackG, partLoadG, [DROP_FRACTION, DROP_FRACTION]),
      twentyG: good && findNearestStep(context.stackG, good.middle),
      stances: context.stances,
      stepIns: context.stepIns,
      peakAt: context.peakAt,
    };
    return Object.fromEntries(SCHEMES.map((s) => [s, buildParts(s, input)])) as Record<Scheme, SchemePart[]>;
  }, [done, item, movement, partLoadG, context]);
  const schemes = SCHEMES.filter((s) => parts[s].length > 0);
  const own = parts[scheme].length > 0 ? parts[scheme] : parts.straight;
  const index = open?.parts.at(-1)?.part ?? 0;
  const part = own[Math.min(index, own.length - 1)]!;
  const next = own[index + 1] ?? null;
  /** Reps done before this part. */
  const base = open?.parts.at(-1)?.reps ?? 0;
  /** The set under way in the records. */
  const openIn = useCallback(
    (records: SetLog): SetRecord | null => {
      const newest = records.sets.findLast((s) => s.itemId === item.id);
      return newest?.endedAtMs === null ? newest : null;
    },
    [item.id],
  );
  const paceOf = useCallback(
    (p: SchemePart): Pace => paceOfPart(p, movement.startsWith, context.jointDegs)!,
    [movement, context.jointDegs],
  );
  const pace = useMemo(() => paceOf(part), [paceOf, part]);
  /** How a rep of a set was asked for, 1 for the first. */
  const paceOfRep = useCallback(
    (set: SetRecord, rep: number): Pace => {
      const begun = set.parts.findLast((p) => p.reps < rep)?.part ?? 0;
      const of = parts[set.scheme].length > 0 ? parts[set.scheme] : parts.straight;
      return paceOf(of[Math.min(begun, of.length - 1)]!);
    },
    [paceOf, parts],
  );

  /** Pace now, straight from the clock; the drawing asks for it every frame. */
  const paceNow = useCallback((): PaceAt | null => {
    const ms = elapsedMs(liveRef.current, nowMs());
    if (ms === null) return null;
    const at = paceAt(pace, ms / 1000);
    return { ...at, rep: at.rep === 0 ? 0 : at.rep + base, done: at.done + base };
  }, [pace, base, nowMs]);

  const start = useCallback(async () => {
    const setId = crypto.randomUUID();
    const first = own[0]!;
    const kept = await append({
      kind: 'set-started',
      setId,
      setNo: here.length + 1,
      loadG: first.loadG,
      targetReps: own.reduce((sum, p) => sum + p.reps, 0),
      tempo: item.tempo,
      scheme,
    });
    if (kept) dispatch({ type: 'started', setId, nowMs: nowMs(), leadInMs: LEAD_IN_MS, skipMs: 0 });
  }, [append, here.length, own, scheme, item, nowMs]);

  const goOn = useCallback(() => {
    if (open)
      dispatch({
        type: 'started',
        setId: open.setId,
        nowMs: nowMs(),
        leadInMs: LEAD_IN_MS,
        skipMs: (open.reps - base) * repSeconds(pace) * 1000,
      });
  }, [open, pace, base, nowMs]);

  /** On with the next part: at once where nothing has to be changed, else with time to change it. */
  const goNext = useCallback(async () => {
    if (!open || !next) return;
    const done = paceNow()?.done ?? 0;
    const kept = await append((log) => {
      const set = openIn(log);
      // Asked for twice, it goes on once.
      return set && (set.parts.at(-1)?.part ?? 0) === index
        ? {
            kind: 'part',
            setId: set.setId,
            part: index + 1,
            reps: Math.max(set.reps, done),
            loadG: next.loadG,
            standX: next.standX,
          }
        : null;
    });
    if (kept)
      dispatch({
        type: 'started',
        setId: open.setId,
        nowMs: nowMs(),
        leadInMs: runsOn(part, next) ? 0 : Math.max(LEAD_IN_MS, next.restS * 1000),
        skipMs: 0,
      });
  }, [append, open, next, index, part, paceNow, openIn, nowMs]);

  const recordRep = useCallback(
    (rep: number) => {
      if (open) void append({ kind: 'rep', setId: open.setId, rep });
      // Slow reps run straight into the normal ones.
      if (next && rep - base >= part.reps && runsOn(part, next)) void goNext();
    },
    [append, open, next, base, part, goNext],
  );

  /** Go on after a pause: where the pacer stood, or after the reps that were counted by tap meanwhile. */
  const resume = useCallback(() => {
    if (open && open.reps > (paceNow()?.done ?? 0))
      dispatch({
        type: 'started',
        setId: open.setId,
        nowMs: nowMs(),
        leadInMs: 0,
        skipMs: (open.reps - base) * repSeconds(pace) * 1000,
      });
    else dispatch({ type: 'resumed', nowMs: nowMs() });
  }, [open, paceNow, nowMs, base, pace]);

  /** A rep is done, says the trainer: the pacer follows, and where it rests the rep is counted. */
  const tapRep = useCallback(async () => {
    const state = liveRef.current;
    const ms = elapsedMs(state, nowMs());
    if (state.mode === 'running' && ms !== null) {
      // In the first half of a rep it is the one before that is done by now.
      const whole = repSeconds(pace) * 1000;
      if (ms > 0)
        dispatch({
          type: 'started',
          setId: state.setId,
          nowMs: nowMs(),
          leadInMs: 0,
          skipMs: Math.round(ms / whole) * whole,
        });
      return;
    }
    await append((log) => {
      const set = openIn(log);
      return set && { kind: 'rep', setId: set.setId, rep: set.reps + 1 };
    });
  }, [append, openIn, nowMs, pace]);

  const markClean = useCallback(async () => {
    const rep = paceNow()?.rep ?? 0;
    await append((log) => {
      const set = openIn(log);
      return set && { kind: 'clean', setId: set.setId, rep: Math.max(1, rep, set.reps) };
    });
  }, [append, paceNow, openIn]);

  /** A fault seen: at the rep under way, or after the set at the whole of it, kept as rep 0. */
  const markFault = useCallback(
    async (fault: FaultCode, side: Side | 'both', severity: Severity) => {
      const rep = paceNow()?.rep ?? 0;
      await append((log) => {
        const set = log.sets.findLast((s) => s.itemId === item.id);
        return set
          ? {
              kind: 'fault',
              setId: set.setId,
              rep: set.endedAtMs === null ? Math.max(1, rep, set.reps) : 0,
              fault,
              side,
              severity,
            }
          : null;
      });
    },
    [append, paceNow, item.id],
  );

  /** The last fault of the set again, at another severity. */
  const remark = useCallback(
    async (severity: Severity) => {
      const set = open ?? last;
      const was = set?.faults.at(-1);
      if (!set || !was || was.severity === severity) return;
      const kept = await append({
        kind: 'fault',
        setId: set.setId,
        rep: was.rep,
        fault: was.fault,
        side: was.side,
        severity,
      });
      if (kept) await append({ kind: 'undo', eventId: was.id });
    },
    [append, open, last],
  );

  const end = useCallback(async () => {
    if (!open) return;
    const done = paceNow()?.done ?? 0;
    dispatch({ type: 'ended' });
    await append((log) => {
      const set = openIn(log);
      return set && { kind: 'set-ended', setId: set.setId, reps: Math.max(done, set.reps) };
    });
  }, [append, open, paceNow, openIn]);

  const stopForPain = useCallback(async () => {
    const rep = paceNow()?.rep ?? open?.reps ?? 0;
    dispatch({ type: 'ended' });
    await append({ kind: 'pain', setId: open?.setId ?? null, rep });
  }, [append, open, paceNow]);

  const undone = useMemo(() => new Set(events.flatMap((e) => (e.kind === 'undo' ? [e.eventId] : []))), [events]);
  const undoable = useMemo(
    () => events.filter((e) => e.itemId === item.id && UNDOABLE.includes(e.kind) && !undone.has(e.id)).at(-1) ?? null,
    [events, item.id, undone],
  );
  const undo = useCallback(async () => {
    if (undoable) await append({ kind: 'undo', eventId: undoable.id });
  }, [append, undoable]);

  const advice = useMemo(() => {
    const own = log.sets.filter((s) => s.setup === null || s.setup.side === item.side);
    return nextLoad(sessionResults(own, item.id), item.loadG, context.stackG, context.mostLoadG);
  }, [log, item, context.stackG, context.mostLoadG]);
  const openCorrection = useMemo(() => findOpenCorrection(here.slice(0, -1)), [here]);
  const ranked = useMemo(() => rankFaults(log.sets), [log]);
  const watch = useMemo(() => watchList(log.sets), [log]);
  return {
    log,
    here,
    last,
    open,
    pain,
    live,
    dispatch,
    pace,
    paceOfRep,
    movement,
    faults,
    loadG,
    setChosenLoadG,
    paceNow,
    start,
    goOn,
    recordRep,
    end,
    stopForPain,
    undo,
    undoable,
    append,
    trouble,
    openCorrection,
    ranked,
    watch,
    advice,
    schemes,
    scheme,
    setScheme,
    part,
    parts: own,
    index,
    base,
    next,
    goNext,
    resume,
    tapRep,
    markClean,
    markFault,
    remark,
  };
}

export type LiveSet = ReturnType<typeof useLiveSet>;
