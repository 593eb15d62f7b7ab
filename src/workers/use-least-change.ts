'use client';
import type { LeastChangeData, LeastChangeQuestion, LeastChangeReply } from './least-change-protocol';
import { useWorker } from './use-worker';

const make = (): Worker => new Worker(new URL('./least-change-worker.ts', import.meta.url));

/**
 * Least change of what was found; null while there is nothing to ask or no answer yet. What was answered before speaks
 * of another station: it goes until the new answer is there.
 */
export function useLeastChange(question: Omit<LeastChangeQuestion, 'no'> | null): {
  readonly change: LeastChangeData | null;
  readonly failed: boolean;
} {
  const { state, failed } = useWorker<Omit<LeastChangeQuestion, 'no'>, LeastChangeReply, LeastChangeData | null>({
    make,
    question,
    start: null,
    onAsk: () => null,
    onReply: (_, reply) => reply.change,
  });
  return { change: question ? state : null, failed };
}
