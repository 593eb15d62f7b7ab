'use client';
import { useMemo } from 'react';
import type { RegionCoverage } from '@/core/week/week-coverage';
import type { CoverageQuestion, CoverageReply } from './coverage-protocol';
import { useWorker } from './use-worker';

interface Covered {
  readonly coverage: readonly RegionCoverage[] | null;
  /** Share done while it is worked out; null when it is not. */
  readonly progress: number | null;
}

const make = (): Worker => new Worker(new URL('./coverage-worker.ts', import.meta.url));
const START: Covered = { coverage: null, progress: 0 };

/** How a week's movements load their regions over their range, worked out off the page's thread. */
export function useCoverage(used: CoverageQuestion['used'], input: CoverageQuestion['input']) {
  const question = useMemo(() => (used.length > 0 ? { used, input } : null), [used, input]);
  const { state, failed } = useWorker<Omit<CoverageQuestion, 'no'>, CoverageReply, Covered>({
    make,
    question,
    start: START,
    onAsk: () => START,
    onReply: (before, reply) =>
      reply.kind === 'progress'
        ? { ...before, progress: reply.done / reply.of }
        : { coverage: reply.coverage, progress: null },
  });
  return { ...state, failed };
}
