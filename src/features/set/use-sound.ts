'use client';
import { useCallback, useRef, useState } from 'react';
import type { Phase } from '@/core/tempo/tempo';
import { heardAt } from './heard-at';
import { PaceClock } from './pace-clock';

/** Pitch of each phase's tick, hertz: up for lifting, down for lowering, middle for the pauses. */
const PITCH: Readonly<Record<Phase | 'ready', number>> = {
  lifting: 880,
  finish: 660,
  lowering: 440,
  stretch: 550,
  ready: 330,
};

/** The target is told by three rising tones and a buzz of its own, unlike any tick. */
const TARGET_PITCH = [660, 880, 1320] as const;
const TARGET_BUZZ_MS = [90, 60, 90, 60, 240] as const;
const TARGET_APART_S = 0.12;
const TARGET_S = 0.3;
const TICK_S = 0.14;

/** One tone that fades, at a moment of the audio's clock, seconds. */
function ring(ctx: AudioContext, pitchHz: number, at: number, forS: number): void {
  const tone = ctx.createOscillator();
  const gain = ctx.createGain();
  tone.frequency.value = pitchHz;
  gain.gain.setValueAtTime(0.2, at);
  gain.gain.exponentialRampToValueAtTime(0.001, at + forS);
  tone.connect(gain).connect(ctx.destination);
  tone.start(at);
  tone.stop(at + forS + 0.01);
}

/** A buzz where the device offers it: long for lowering, short for lifting, milliseconds. */
const BUZZ_MS = { lifting: 40, lowering: 120 } as const;

/**
 * Optional ticks and buzzes at the changes of phase; never the only channel. With them the set's clock, which runs with
 * the audio while it sounds.
 */
export function useSound() {
  const [on, setOn] = useState(false);
  const audio = useRef<AudioContext | null>(null);
  const [clock] = useState(() => new PaceClock());
  const nowMs = useCallback(() => {
    const pageMs = performance.now();
    const { contextTime = 0, performanceTime = 0 } = on && audio.current ? audio.current.getOutputTimestamp() : {};
    if (performanceTime > 0) clock.observe(performanceTime, contextTime * 1000);
    else clock.release();
    return clock.read(pageMs);
  }, [on, clock]);
  const toggle = useCallback(() => {
    audio.current ??= new AudioContext();
    void audio.current.resume();
    setOn((was) => !was);
  }, []);
  const tick = useCallback(
    (phase: Phase | 'ready', atMs: number) => {
      const ctx = audio.current;
      if (!on || !ctx) return;
      const { contextTime = 0, performanceTime = 0 } = ctx.getOutputTimestamp();
      const at = heardAt(
        { currentTime: ctx.currentTime, contextTime, performanceTime },
        clock.toPage(atMs),
        performance.now(),
      );
      ring(ctx, PITCH[phase], at, TICK_S);
    },
    [on, clock],
  );
  const target = useCallback(() => {
    const ctx = audio.current;
    if (!on) return;
    navigator.vibrate?.([...TARGET_BUZZ_MS]);
    if (!ctx) return;
    TARGET_PITCH.forEach((pitch, i) => ring(ctx, pitch, ctx.currentTime + i * TARGET_APART_S, TARGET_S));
  }, [on]);
  const buzz = useCallback(
    (phase: Phase | 'ready') =>
      void (on && (phase === 'lifting' || phase === 'lowering') && navigator.vibrate?.(BUZZ_MS[phase])),
    [on],
  );
  return { on, toggle, tick, target, buzz, nowMs };
}
