'use client';
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react';
import type { FloorEventBody } from '@/core/fault/floor-event';
import { findOpenCorrection } from '@/core/fault/set-log';
import { rankFaults, watchList } from '@/core/fault/watch-list';
import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import { paceAt, type PaceAt } from '@/core/tempo/pace';
import { parseTempo, repSeconds } from '@/core/tempo/tempo';
import { useFloorLog } from '@/offline/use-floor-log';
import { LEAD_IN_MS, elapsedMs, reduceSet } from './set-machine';
import type { SetScreenContext } from './set-screen-context';

const UNDOABLE: readonly FloorEventBody['kind'][] = ['fault', 'set-confirmed', 'correction', 'outcome', 'pain', 'set-ended'];

/** The set under way: records, pacer and what can be done next. */
export function useLiveSet(context: SetScreenContext) {
  const { client, item } = context;
  const { log, events, append, trouble } = useFloorLog({ clientId: client.id, itemId: item.id, movement: item.movement }, context.events);
  const movement = MOVEMENT_BOOK[item.movement];
  const tempo = useMemo(() => parseTempo(item.tempo) ?? parseTempo(movement.tempo.notation)!, [item.tempo, movement]);
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

  /** Pace now, straight from the clock; the drawing asks for it every frame. */
  const paceNow = useCallback((): PaceAt | null => {
    const ms = elapsedMs(liveRef.current, performance.now());
    return ms === null ? null : paceAt(tempo, movement.tempo.startsWith, ms / 1000);
  }, [tempo, movement]);

  const start = useCallback(async () => {
    const setId = crypto.randomUUID();
    const kept = await append({ kind: 'set-started', setId, setNo: here.length + 1, loadG, targetReps: item.reps, tempo: item.tempo });
    if (kept) dispatch({ type: 'started', setId, nowMs: performance.now(), leadInMs: LEAD_IN_MS, skipMs: 0 });
  }, [append, here.length, loadG, item]);

  const goOn = useCallback(() => {
    if (open) dispatch({ type: 'started', setId: open.setId, nowMs: performance.now(), leadInMs: LEAD_IN_MS, skipMs: open.reps * repSeconds(tempo) * 1000 });
  }, [open, tempo]);

  const recordRep = useCallback(
    (rep: number) => {
      if (open) void append({ kind: 'rep', setId: open.setId, rep });
    },
    [append, open],
  );

  const end = useCallback(async () => {
    if (!open) return;
    const done = paceNow()?.done ?? open.reps;
    dispatch({ type: 'ended' });
    await append({ kind: 'set-ended', setId: open.setId, reps: Math.max(done, open.reps) });
  }, [append, open, paceNow]);

  const stopForPain = useCallback(async () => {
    const rep = paceNow()?.rep ?? open?.reps ?? 0;
    dispatch({ type: 'ended' });
    await append({ kind: 'pain', setId: open?.setId ?? null, rep });
  }, [append, open, paceNow]);

  const undone = useMemo(() => new Set(events.flatMap((e) => (e.kind === 'undo' ? [e.eventId] : []))), [events]);
  const undoable = useMemo(() => events.filter((e) => e.itemId === item.id && UNDOABLE.includes(e.kind) && !undone.has(e.id)).at(-1) ?? null, [events, item.id, undone]);
  const undo = useCallback(async () => {
    if (undoable) await append({ kind: 'undo', eventId: undoable.id });
  }, [append, undoable]);

  const openCorrection = useMemo(() => findOpenCorrection(here.slice(0, -1)), [here]);
  const ranked = useMemo(() => rankFaults(log.sets), [log]);
  const watch = useMemo(() => watchList(log.sets), [log]);
  return {
    log, here, last, open, pain, live, dispatch, tempo, movement, loadG, setChosenLoadG, paceNow, start, goOn, recordRep, end, stopForPain, undo, undoable, append, trouble, openCorrection, ranked, watch,
  };
}

export type LiveSet = ReturnType<typeof useLiveSet>;
