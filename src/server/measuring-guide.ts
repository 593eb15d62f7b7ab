import 'server-only';
import { answerQuestion } from '@/core/book/answer-question';
import { rankMeasures } from '@/core/book/measuring-guide';
import type { BodyInput } from '@/core/body/body-model';
import { caseSchema, type Case } from '@/contract/case';
import type { MeasuringGuideView } from '@/contract/views/client';
import type { Session, SessionItem } from '@/contract/views/plan';
import { readOnce } from '@/data/read-once';
import { toQuestion } from '@/solver/to-question';
import { loadItem } from './item-context';
import { stampOfPlanned } from './planned-stamp';
import { reachClient, reachSessionsOf } from './reach';
import type { UseCase } from './use-case';

/** Set-ups that the guide looks at: a client's newest, one for each movement and station, of the newest sessions. */
const MOST_SETUPS = 4;
const MOST_SESSIONS = 12;

const guidesOnce = readOnce<MeasuringGuideView>(100);

/** Which landmarks to measure next, by what they would settle in this client's own set-ups; empty without any. */
export function loadMeasuringGuide(uc: UseCase, clientId: string): MeasuringGuideView {
  const client = reachClient(uc, clientId);
  if (!client) return { setups: 0, worth: [] };
  const newest = new Map<string, { readonly item: SessionItem; readonly session: Session }>();
  for (const session of reachSessionsOf(uc, clientId, MOST_SESSIONS))
    for (const item of session.items) {
      const key = `${item.movement}/${item.stationId}`;
      if (!newest.has(key)) newest.set(key, { item, session });
    }
  const chosen = [...newest.values()].slice(0, MOST_SETUPS);
  const stamp = stampOfPlanned(
    uc,
    client,
    chosen.map((c) => c.session),
    chosen.map((c) => c.item),
  );
  return guidesOnce(uc.db, stamp, () =>
    guideOf(
      client,
      chosen.flatMap(({ item }) => {
        const parsed = caseSchema.safeParse(loadItem(uc, item.id, undefined, 'folds')?.setupCase);
        return parsed.success ? [parsed.data] : [];
      }),
    ),
  );
}

function guideOf(client: BodyInput, cases: readonly Case[]): MeasuringGuideView {
  const setups = cases.flatMap((asked) => {
    const question = toQuestion(asked);
    if (!question.column) return [];
    if (question.lastUsed) return [{ question, at: question.lastUsed }];
    const answer = answerQuestion(question);
    return answer.ok && answer.placement ? [{ question, at: answer.placement }] : [];
  });
  return { setups: setups.length, worth: rankMeasures(client, setups) };
}
