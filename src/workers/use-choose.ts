'use client';
import { useEffect, useRef, useState } from 'react';
import type { ChooseInput } from '@/core/book/choose';
import type { Region } from '@/core/body/region-line';
import type { ChoiceData, ChooseQuestion, ChooseReply } from './choose-protocol';

export interface Choosing {
  readonly choices: readonly ChoiceData[] | null;
  /** Share done while a question is worked on; null when none is. */
  readonly progress: number | null;
}

/** Ask the worker for a region's movements; the newest question wins, the last answer stays until then. */
export function useChoose(region: Region, input: ChooseInput): Choosing {
  const worker = useRef<Worker | null>(null);
  const no = useRef(0);
  const [state, setState] = useState<Choosing>({ choices: null, progress: 0 });
  useEffect(() => {
    const made = new Worker(new URL('./choose-worker.ts', import.meta.url));
    worker.current = made;
    made.addEventListener('message', (e: MessageEvent<ChooseReply>) => {
      const reply = e.data;
      if (reply.no !== no.current) return;
      if (reply.kind === 'progress') setState((s) => ({ ...s, progress: reply.done / reply.of }));
      else setState({ choices: reply.choices, progress: null });
    });
    return () => made.terminate();
  }, []);
  useEffect(() => {
    no.current += 1;
    const question: ChooseQuestion = { no: no.current, region, input };
    worker.current?.postMessage(question);
  }, [region, input]);
  return state;
}
