import type { SpottingAnswer } from '@/core/spotting/spotting-answer';
import { onStore } from './local-store';
import { whoIsHere } from './who-is-here';

/** Keep an answer of who is here on this device until the server has it. */
export async function keepAnswer(answer: SpottingAnswer): Promise<void> {
  await onStore((store) => store.put('spotting', { answer, ...whoIsHere() }));
}

/** Answers of who is here that the server has not confirmed, oldest first. */
export async function waitingAnswers(): Promise<SpottingAnswer[]> {
  const { accountId, databaseId } = whoIsHere();
  const all = await onStore((store) => store.getAll('spotting'));
  return all
    .filter((s) => s.accountId === accountId && s.databaseId === databaseId)
    .map((s) => s.answer)
    .toSorted((a, b) => a.atMs - b.atMs);
}

/** What the server has is not kept here any longer. */
export async function dropAnswers(ids: readonly string[]): Promise<void> {
  await onStore((store) => Promise.all(ids.map((id) => store.delete('spotting', id))));
}
