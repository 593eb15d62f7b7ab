import 'server-only';
import { answerQuestion } from '@/core/book/answer-question';
import { rankMeasures } from '@/core/book/measuring-guide';
import { caseSchema } from '@/contract/case';
import type { MeasuringGuideView } from '@/contract/views/client';
import { toQuestion } from '@/solver/to-question';
import { loadItem } from './item-context';
import { reachClient, reachSessionsOf } from './reach';
import type { UseCase } from './use-case';

/** Set-ups that the guide looks at: a client's newest, one for each movement and station. */
const MOST_SETUPS = 4;

/** Which landmarks to measure next, by what they would settle in this client's own set-ups; empty without any. */
export function loadMeasuringGuide(uc: UseCase, clientId: string): MeasuringGuideView {
  const client = reachClient(uc, clientId);
  if (!client) return { setups: 0, worth: [] };
  const newest = new Map<string, string>();
  for (const item of reachSessionsOf(uc, clientId).flatMap((s) => s.items)) {
    const key = `${item.movement}/${item.stationId}`;
    if (!newest.has(key)) newest.set(key, item.id);
  }
  const setups = [...newest.values()].slice(0, MOST_SETUPS).flatMap((id) => {
    const parsed = caseSchema.safeParse(loadItem(uc, id)?.setupCase);
    if (!parsed.success) return [];
    const question = toQuestion(parsed.data);
    if (!question.column) return [];
    if (question.lastUsed) return [{ question, at: question.lastUsed }];
    const answer = answerQuestion(question);
    return answer.ok && answer.placement ? [{ question, at: answer.placement }] : [];
  });
  return { setups: setups.length, worth: rankMeasures(client, setups) };
}
