'use client';
import { useCallback, useRef, useState } from 'react';
import { paceAt, type Pace, type PaceAt } from '@/core/tempo/pace';
import type { Phase } from '@/core/tempo/tempo';

/** What drives a pacer, and what it tells. */
export interface PacerProps {
  readonly pace: Pace;
  readonly paceNow: () => PaceAt | null;
  /** The set's clock, milliseconds. */
  readonly nowMs: () => number;
  readonly running: boolean;
  /** Reps on record; null before the set. */
  readonly counted: number | null;
  /** What the stack did in the last seconds; empty without a sensor. */
  readonly recent: (spanS: number, sinceS: number) => readonly { readonly agoS: number; readonly share: number }[];
  readonly onRep: (rep: number) => void;
  readonly onPhase: (phase: Phase | 'ready') => void;
  /**
   * The next phase begins at this moment of the set's clock, milliseconds: told a little ahead, so that it can be heard
   * on time.
   */
  readonly onSoon: (phase: Phase, atMs: number) => void;
  /** A rep is done, by the trainer's eye. */
  readonly onTap: () => void;
}

/** How far ahead a change of phase is told, seconds: several frames and an audio device's delay. */
const AHEAD_S = 0.2;

interface Shown {
  readonly rep: number;
  readonly phase: Phase | 'ready';
  readonly left: number;
}

/** What the pacer tells as it goes: reps done, phases begun, the next one a little ahead; and what is shown of it. */
export function usePaceTold({ pace: asked, paceNow, nowMs, running, onRep, onPhase, onSoon }: PacerProps) {
  const [shown, setShown] = useState<Shown | null>(null);
  const seen = useRef({ done: 0, phase: '', left: -1, rep: -1 });
  /** End of the phase that was told, seconds into the pace. */
  const told = useRef(-Infinity);
  const begin = useCallback(() => {
    seen.current = { done: paceNow()?.done ?? 0, phase: '', left: -1, rep: -1 };
  }, [paceNow]);
  const tell = useCallback(
    (pace: PaceAt): void => {
      const was = seen.current;
      const left = Math.max(1, Math.ceil(pace.leftS));
      if (pace.done > was.done) for (let rep = was.done + 1; rep <= pace.done; rep++) onRep(rep);
      if (pace.phase !== was.phase) onPhase(pace.phase);
      const endS = pace.atS + pace.leftS;
      if (running && pace.leftS < AHEAD_S && Math.abs(endS - told.current) > AHEAD_S) {
        told.current = endS;
        onSoon(paceAt(asked, endS + 1e-6).phase as Phase, nowMs() + pace.leftS * 1000);
      }
      if (pace.rep !== was.rep || pace.phase !== was.phase || left !== was.left)
        setShown({ rep: pace.rep, phase: pace.phase, left });
      seen.current = { done: Math.max(was.done, pace.done), phase: pace.phase, left, rep: pace.rep };
    },
    [asked, running, nowMs, onRep, onPhase, onSoon],
  );
  return { shown, begin, tell };
}
