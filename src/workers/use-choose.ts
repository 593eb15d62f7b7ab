'use client';
import { useMemo } from 'react';
import type { ChooseInput } from '@/core/book/choose';
import type { Region } from '@/core/body/region-line';
import type { ChoiceData, ChooseQuestion, ChooseReply } from './choose-protocol';
import { useWorker } from './use-worker';

export interface Choosing {
  readonly choices: readonly ChoiceData[] | null;
  /** Share done while a question is worked on; null when none is. */
  readonly progress: number | null;
  readonly failed: boolean;
}

const make = (): Worker => new Worker(new URL('./choose-worker.ts', import.meta.url));

/** Ask for a region's movements; the last answer stays until the new one is there. */
export function useChoose(region: Region, input: ChooseInput): Choosing {
  const question = useMemo(() => ({ region, input }), [region, input]);
  const { state, failed } = useWorker<Omit<ChooseQuestion, 'no'>, ChooseReply, Omit<Choosing, 'failed'>>({
    make,
    question,
    start: { choices: null, progress: 0 },
    onAsk: (before) => ({ ...before, progress: before.progress ?? 0 }),
    onReply: (before, reply) =>
      reply.kind === 'progress'
        ? { ...before, progress: reply.done / reply.of }
        : { choices: reply.choices, progress: null },
  });
  return failed ? { ...state, progress: null, failed } : { ...state, failed };
}
