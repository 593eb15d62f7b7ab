'use client';
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react';
import { paceAt, type PaceAt } from '@/core/tempo/pace';
import type { SetView } from '@/contract/views/set';
import { sharedOutbox } from '@/offline/outbox';
import { useFloorLog } from '@/offline/use-floor-log';
import { decide, type Command, type Decision } from './decide';
import { judgeSets, setNow, type LiveSet } from './live-set-view';
import { elapsedMs, reduceSet, type SetState } from './set-machine';

/** Gives a command; resolves to whether what it made could be kept. */
export type Give = (command: Command) => Promise<boolean>;

/** The set under way with what drives it: the clock's place in it, and the way to give commands. */
export interface LiveSetControl {
  readonly live: LiveSet;
  readonly pacer: SetState;
  readonly trouble: ReturnType<typeof useFloorLog>['trouble'];
  readonly give: Give;
  readonly chooseLoad: (loadG: number) => void;
  readonly chooseBand: (bandId: string) => void;
  /** Pace now, straight from the clock, of what is on the screen; the drawing asks for it every frame. */
  readonly paceNow: () => PaceAt | null;
}

/** How long after one of start and end the other is taken for the second half of a double tap, milliseconds. */
const DOUBLE_TAP_MS = 700;

interface Turn {
  readonly to: Command['do'];
  readonly atMs: number;
}

const turns = (to: Command['do']): boolean => to === 'start' || to === 'end';

/** Whether a command only takes back the one right before it because a finger came down twice. */
export const isTurnedBack = (before: Turn | null, now: Turn): boolean =>
  before !== null && turns(before.to) && turns(now.to) && now.atMs - before.atMs < DOUBLE_TAP_MS;

/** Where somebody else ended the set that runs here, what was counted of it is not lost. */
function useRelease(itemId: string, running: boolean): void {
  const before = useRef(running);
  useEffect(() => {
    if (before.current && !running)
      void sharedOutbox()
        .release(itemId)
        .catch(() => undefined);
    before.current = running;
  }, [itemId, running]);
}

/** Where the pacer stands at a moment of the set's clock; reps are counted from the beginning of the set. */
function pacedAt(pacer: SetState, { pace, base }: Pick<LiveSet, 'pace' | 'base'>, nowMs: number): PaceAt | null {
  const ms = elapsedMs(pacer, nowMs);
  if (ms === null) return null;
  const at = paceAt(pace, ms / 1000);
  return { ...at, rep: at.rep === 0 ? 0 : at.rep + base, done: at.done + base };
}

/** The set under way: the clock and the records; what they mean is `liveSetView`, what follows a command `decide`. */
export function useLiveSet(plan: SetView, nowMs: () => number): LiveSetControl {
  const { client, item } = plan;
  const place = { clientId: client.id, itemId: item.id, movement: item.movement };
  const { log, events, append, trouble } = useFloorLog(place, plan.events, plan.planned);
  const [pacer, dispatch] = useReducer(reduceSet, { mode: 'idle' });
  const [chosenLoadG, chooseLoad] = useState<number | null>(null);
  const [chosenBandId, chooseBand] = useState<string | null>(null);
  const state = useMemo(() => ({ pacer, chosenLoadG, chosenBandId }), [pacer, chosenLoadG, chosenBandId]);
  const now = useMemo(() => setNow({ log }, plan, state), [log, plan, state]);
  const judged = useMemo(() => judgeSets({ log, events }, plan), [log, events, plan]);
  const live = useMemo(() => ({ ...now, ...judged }), [now, judged]);
  const latest = useRef({ state, live });
  useEffect(() => {
    latest.current = { state, live };
  }, [state, live]);
  const { pace, base } = live;
  const paceNow = useCallback(() => pacedAt(pacer, { pace, base }, nowMs()), [pacer, pace, base, nowMs]);
  const turned = useRef<Turn | null>(null);
  const give = useCallback(
    async (command: Command): Promise<boolean> => {
      // Start and end stand in one place: the second half of a double tap is not the other one.
      const before = turned.current;
      turned.current = { to: command.do, atMs: performance.now() };
      if (isTurnedBack(before, turned.current)) return true;
      const { state: then, live: shown } = latest.current;
      const atMs = nowMs();
      const moment = { nowMs: atMs, paced: pacedAt(then.pacer, shown, atMs) };
      // What stops stops at once; what it was counted to is in the moment.
      if (command.do === 'end' || command.do === 'pain') dispatch({ type: 'ended' });
      const decision: { made: Decision | null } = { made: null };
      const kept = await append(
        (records) => {
          decision.made = decide(command, records, plan, then, moment);
          return decision.made.events;
        },
        command.do === 'paced-rep' ? 'pacer' : 'hand',
      );
      // What could not be kept was no tap: the next one is the first.
      if (!kept) turned.current = null;
      if (kept && decision.made?.pacer) dispatch(decision.made.pacer);
      return kept !== null;
    },
    [append, plan, nowMs],
  );
  useRelease(item.id, live.open !== null);
  return { live, pacer, trouble, give, chooseLoad, chooseBand, paceNow };
}
