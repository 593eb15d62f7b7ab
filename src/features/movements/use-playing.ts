'use client';
import { LAST_SAMPLE } from '@/core/movement/chain-path';
import { useEffect, useRef, useState } from 'react';
import { paceAt, paceOfPart } from '@/core/tempo/pace';
import type { StartPhase } from '@/core/tempo/tempo';

/** Position in the range, 0 to 1, `t` seconds into the tempo; a rep after another. */
function positionAt(tempo: string, startsWith: StartPhase, degs: readonly number[] | null, t: number): number {
  const pace = paceOfPart({ tempo, from: 0, to: 1 }, startsWith, degs);
  return pace ? paceAt(pace, t).position : 1;
}

/**
 * A sample of the range that is moved by hand or played at a tempo. `degs`: the target joint's angle over the range,
 * for a tempo with a section. `playsAtOnce`: from its first position, without being asked.
 */
export function usePlaying(
  tempo: string,
  startsWith: StartPhase,
  degs: readonly number[] | null = null,
  playsAtOnce = false,
) {
  const [i, setI] = useState(() =>
    playsAtOnce ? Math.round(positionAt(tempo, startsWith, degs, 0) * LAST_SAMPLE) : LAST_SAMPLE,
  );
  const [playing, setPlaying] = useState(playsAtOnce);
  const clock = useRef(0);
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    const began = performance.now() - clock.current;
    const draw = (now: number): void => {
      clock.current = now - began;
      setI(Math.round(positionAt(tempo, startsWith, degs, clock.current / 1000) * LAST_SAMPLE));
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [playing, tempo, startsWith, degs]);
  const moveTo = (to: number): void => {
    setPlaying(false);
    setI(Math.min(LAST_SAMPLE, Math.max(0, to)));
  };
  return { i, playing, moveTo, toggle: () => setPlaying(!playing) };
}

export type Playing = ReturnType<typeof usePlaying>;
