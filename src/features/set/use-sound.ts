'use client';
import { useCallback, useRef, useState } from 'react';
import type { Phase } from '@/core/tempo/tempo';

/** Pitch of each phase's tick, hertz: up for lifting, down for lowering, middle for the pauses. */
const PITCH: Readonly<Record<Phase | 'ready', number>> = { lifting: 880, finish: 660, lowering: 440, stretch: 550, ready: 330 };

/** Optional ticks at the changes of phase; never the only channel. */
export function useSound() {
  const [on, setOn] = useState(false);
  const audio = useRef<AudioContext | null>(null);
  const toggle = useCallback(() => {
    audio.current ??= new AudioContext();
    void audio.current.resume();
    setOn((was) => !was);
  }, []);
  const tick = useCallback(
    (phase: Phase | 'ready') => {
      const ctx = audio.current;
      if (!on || !ctx) return;
      const tone = ctx.createOscillator();
      const gain = ctx.createGain();
      tone.frequency.value = PITCH[phase];
      gain.gain.setValueAtTime(0.2, ctx.currentTime);
      gain.gain.exponentialRampToValueAtTime(0.001, ctx.currentTime + 0.14);
      tone.connect(gain).connect(ctx.destination);
      tone.start();
      tone.stop(ctx.currentTime + 0.15);
    },
    [on],
  );
  return { on, toggle, tick };
}
