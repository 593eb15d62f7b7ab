'use client';
import { useMemo } from 'react';
import type { Practice } from '@/core/book/practice';
import type { PracticeEffect } from '@/core/book/practice-effect';
import type { Question } from '@/core/book/question';
import type { PracticeAsked, PracticeReply } from './practice-protocol';
import { useWorker } from './use-worker';

const make = (): Worker => new Worker(new URL('./practice-worker.ts', import.meta.url));

/** What the sides that are not taken would change; null until it is known, what was known before meanwhile. */
export function usePracticeEffects(
  question: Question | null,
  practices: readonly Practice[],
): readonly PracticeEffect[] | null {
  const asked = useMemo(() => question && { question, practices }, [question, practices]);
  const { state } = useWorker<Omit<PracticeAsked, 'no'>, PracticeReply, readonly PracticeEffect[] | null>({
    make,
    question: asked,
    start: null,
    onAsk: (before) => before,
    onReply: (_, reply) => reply.effects,
  });
  return state;
}
