import { useEffect, useMemo, useRef, useState } from 'react';
import { SPOTTING_BATCH } from '@/contract/spotting';
import type { SaveResult } from '@/contract/save-result';
import type { SpottingKept } from '@/contract/views/spotting';
import type { SpottingAnswer } from '@/core/spotting/spotting-answer';
import { dropAnswers, keepAnswer, waitingAnswers } from '@/offline/spotting-answers';

interface Delivered {
  /** Everything that was to be sent. */
  readonly all: readonly SpottingAnswer[];
  /** Ids of what need not be sent again: kept, or refused for good. */
  readonly done: readonly string[];
}

/** Sends what lies here and is not kept yet. */
async function deliver(
  mine: readonly SpottingAnswer[],
  keep: (answers: unknown) => Promise<SaveResult<SpottingKept>>,
): Promise<Delivered> {
  // What the browser gives no store for is at least sent.
  const stored = await waitingAnswers().catch(() => []);
  const all = [...new Map([...stored, ...mine].map((a) => [a.id, a])).values()];
  if (all.length === 0) return { all, done: [] };
  const result = await keep(all.slice(0, SPOTTING_BATCH)).catch(() => null);
  if (!result?.ok || !result.kept) return { all, done: [] };
  // What the server will never take, of a movement that changed since, would only stand in the way of the others.
  const done = [...result.kept.kept, ...Object.keys(result.kept.refused)];
  await dropAnswers(done).catch(() => undefined);
  return { all, done };
}

/**
 * What a trainer said, old and new: each answer is kept on this device at once and sent after it; what could not be
 * sent goes with the next one, or when the page is opened again.
 */
export function useAnswers(
  known: readonly SpottingAnswer[],
  keep: (answers: unknown) => Promise<SaveResult<SpottingKept>>,
) {
  const [own, setOwn] = useState<readonly SpottingAnswer[]>([]);
  const [waiting, setWaiting] = useState<readonly SpottingAnswer[]>([]);
  const left = useRef<readonly SpottingAnswer[]>([]);
  const line = useRef<Promise<void>>(Promise.resolve());
  const send = useRef((): void => {
    // One after the other: what is on its way is not sent twice.
    line.current = line.current.then(async () => {
      const { all, done } = await deliver(left.current, keep);
      // Answered meanwhile: it goes with the next one.
      const now = [...new Map([...all, ...left.current].map((a) => [a.id, a])).values()];
      left.current = now.filter((a) => !done.includes(a.id));
      setWaiting(left.current);
    });
  });
  useEffect(() => {
    void waitingAnswers()
      .then((stored) => setOwn((o) => [...stored, ...o]))
      .catch(() => undefined)
      .then(() => send.current());
  }, []);
  const add = (answer: SpottingAnswer): void => {
    setOwn((o) => [...o, answer]);
    left.current = [...left.current, answer];
    void keepAnswer(answer)
      .catch(() => undefined)
      .then(() => send.current());
  };
  const answers = useMemo(() => {
    const byId = new Map([...known, ...own].map((a) => [a.id, a]));
    return [...byId.values()].toSorted((a, b) => a.atMs - b.atMs);
  }, [known, own]);
  return { answers, add, waiting: waiting.length };
}
