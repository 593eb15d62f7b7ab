'use client';
import { useMemo } from 'react';
import { WORDS } from '@/messages/screens/setup';
import type { Playing } from '@/features/movements/use-playing';
import { useLatest } from '@/features/shell/use-latest';
import { useShortcuts } from '@/features/shell/use-shortcuts';
import { PlayButton } from './rep-track';
import type { BenchViews } from './use-bench-views';
import { ZoomSteps } from './zoom-steps';

interface Bench {
  readonly item: { readonly id: string; readonly tempo: string };
  readonly rep: Playing;
  readonly views: BenchViews;
  readonly closerBy: (step: 1 | -1) => void;
  /** Null where nothing was solved that things could be put back to. */
  readonly putRight: (() => void) | null;
  readonly save: () => void;
  readonly toTheSet: () => void;
}

/** The keys of a bench and the tools over its drawing: looking closer and playing the rep. */
export function useBenchTools({ item, rep, views, save, toTheSet, ...bench }: Bench) {
  const { playing, toggle } = rep;
  const { times, showWhole } = views;
  const closerBy = useLatest(bench.closerBy);
  const play = useLatest(toggle);
  const whole = useLatest(showWhole);
  const keys = useShortcuts([
    { key: '+', does: WORDS.keyLookCloser, run: () => closerBy(1) },
    { key: '-', does: WORDS.keyLookFromFurther, run: () => closerBy(-1) },
    { key: '0', does: WORDS.keyWholeDrawing, run: showWhole },
    { key: 'p', does: playing ? WORDS.keyPauseTheRep : WORDS.keyPlayTheRep, run: toggle },
    ...(bench.putRight ? [{ key: 'r', does: WORDS.keyPutItRight, run: bench.putRight }] : []),
    { key: 's', does: WORDS.keySaveAsUsed, run: save },
    { key: 't', does: WORDS.keyToTheSet, run: toTheSet },
    {
      key: 'k',
      does: WORDS.keyStationCard,
      run: () => window.open(`/api/v1/cards/${item.id}`, '_blank', 'noreferrer'),
    },
  ]);
  return useMemo(
    () => (
      <>
        {keys}
        <ZoomSteps times={times} onStep={closerBy} onWhole={whole} />
        <PlayButton playing={playing} tempo={item.tempo} onToggle={play} />
      </>
    ),
    [keys, times, closerBy, whole, playing, item.tempo, play],
  );
}
