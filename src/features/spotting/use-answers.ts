import { useEffect, useMemo, useRef, useState } from 'react';
import { SPOTTING_BATCH } from '@/contract/spotting';
import type { SaveResult } from '@/contract/save-result';
import type { SpottingKept } from '@/contract/views/spotting';
import type { SpottingAnswer } from '@/core/spotting/spotting-answer';
import { dropAnswers, keepAnswer, waitingAnswers } from '@/offline/spotting-answers';

/** Sends what lies here and is not kept yet; the ids of what is left. */
async function deliver(
  mine: readonly SpottingAnswer[],
  keep: (answers: unknown) => Promise<SaveResult<SpottingKept>>,
): Promise<readonly SpottingAnswer[]> {
  // What the browser gives no store for is at least sent.
  const stored = await waitingAnswers().catch(() => []);
  const all = [...new Map([...stored, ...mine].map((a) => [a.id, a])).values()];
  if (all.length === 0) return [];
  const result = await keep(all.slice(0, SPOTTING_BATCH));
  if (!result.ok) return all;
  const kept = result.kept?.kept ?? [];
  await dropAnswers(kept).catch(() => undefined);
  return all.filter((a) => !kept.includes(a.id));
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
      left.current = await deliver(left.current, keep).catch(() => left.current);
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
    setWaiting(left.current);
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
