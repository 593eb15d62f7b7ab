'use client';
import { useMemo } from 'react';
import type { ChooseInput } from '@/core/book/choose';
import type { Region } from '@/core/body/region-line';
import type { ChoiceData, ChooseQuestion, ChooseReply } from './choose-protocol';
import { useWorker } from './use-worker';

export interface Choosing {
  /** Null until the region's own answer is there: another region's list would stand under the wrong heading. */
  readonly choices: readonly ChoiceData[] | null;
  /** Share done while a question is worked on; null when none is. */
  readonly progress: number | null;
  readonly failed: boolean;
}

interface Answered {
  readonly region: Region;
  readonly choices: readonly ChoiceData[] | null;
  readonly progress: number | null;
}

const make = (): Worker => new Worker(new URL('./choose-worker.ts', import.meta.url));

/** Ask for a region's movements. */
export function useChoose(region: Region, input: ChooseInput): Choosing {
  const question = useMemo(() => ({ region, input }), [region, input]);
  const start: Answered = { region, choices: null, progress: 0 };
  const { state, failed } = useWorker<Omit<ChooseQuestion, 'no'>, ChooseReply, Answered>({
    make,
    question,
    start,
    onAsk: () => start,
    onReply: (before, reply) =>
      reply.kind === 'progress'
        ? { ...before, progress: reply.done / reply.of }
        : { region, choices: reply.choices, progress: null },
  });
  const { choices, progress } = state.region === region ? state : start;
  return { choices, progress: failed ? null : progress, failed };
}
