'use client';
import { useEffect, useRef, useState } from 'react';
import type { LeastChangeData, LeastChangeQuestion, LeastChangeReply } from './least-change-protocol';

/**
 * Least change of what was found, searched off the page's thread; null while there is nothing to ask or no answer yet.
 * The newest question wins.
 */
export function useLeastChange(question: Omit<LeastChangeQuestion, 'no'> | null): LeastChangeData | null {
  const worker = useRef<Worker | null>(null);
  const no = useRef(0);
  const [answer, setAnswer] = useState<LeastChangeReply | null>(null);
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    const made = new Worker(new URL('./least-change-worker.ts', import.meta.url));
    worker.current = made;
    made.addEventListener('message', (e: MessageEvent<LeastChangeReply>) => {
      if (e.data.no === no.current) setAnswer(e.data);
    });
    return () => made.terminate();
  }, []);
  useEffect(() => {
    no.current += 1;
    if (question) worker.current?.postMessage({ ...question, no: no.current } satisfies LeastChangeQuestion);
    // What was answered before speaks of another station: it goes until the new answer is there.
    setAsked(no.current);
  }, [question]);
  return question !== null && answer?.no === asked ? answer.change : null;
}
