'use client';
import { useMemo } from 'react';
import type { Proposal, ProposeInput } from '@/core/propose/propose';
import type { ProposeQuestion, ProposeReply } from './propose-protocol';
import { useWorker } from './use-worker';

interface Proposed {
  readonly proposal: Proposal | null;
  /** Share done while it is worked out; null when it is not. */
  readonly progress: number | null;
}

const make = (): Worker => new Worker(new URL('./propose-worker.ts', import.meta.url));
const NONE: Proposed = { proposal: null, progress: null };

/** A session proposed off the page's thread; null asks for none. */
export function usePropose(input: ProposeInput | null) {
  const question = useMemo(() => input && { input }, [input]);
  const { state, failed } = useWorker<Omit<ProposeQuestion, 'no'>, ProposeReply, Proposed>({
    make,
    question,
    start: NONE,
    onAsk: () => (question ? { proposal: null, progress: 0 } : NONE),
    onReply: (before, reply) =>
      reply.kind === 'progress'
        ? { ...before, progress: reply.done / reply.of }
        : { proposal: reply.proposal, progress: null },
  });
  return { ...state, failed };
}
