import 'server-only';
import { findProblem } from '@/core/book/build-problem';
import { rankMeasures, type MeasureWorth } from '@/core/book/measuring-guide';
import { solveSetup } from '@/core/setup/solve-setup';
import { caseSchema } from '@/contract/case';
import type { Db } from '@/data/open-db';
import { findClient } from '@/data/queries/clients';
import { listItemsOf } from '@/data/queries/sessions';
import { toQuestion } from '@/solver/to-question';
import { loadItem } from './item-context';

/** Set-ups that the guide looks at: a client's newest, one for each movement and station. */
const MOST_SETUPS = 4;

/** Which landmarks to measure next, by what they would settle in this client's own set-ups; empty without any. */
export function loadMeasuringGuide(
  db: Db,
  clientId: string,
): { readonly setups: number; readonly worth: readonly MeasureWorth[] } {
  const client = findClient(db, clientId);
  if (!client) return { setups: 0, worth: [] };
  const newest = new Map<string, string>();
  for (const i of listItemsOf(db, clientId)) {
    const key = `${i.movement}/${i.stationId}`;
    if (!newest.has(key)) newest.set(key, i.id);
  }
  const setups = [...newest.values()].slice(0, MOST_SETUPS).flatMap((id) => {
    const parsed = caseSchema.safeParse(loadItem(db, id)?.setupCase);
    if (!parsed.success) return [];
    const input = toQuestion(parsed.data).setup;
    if (!input) return [];
    if (input.lastUsed) return [{ input, at: input.lastUsed }];
    const problem = findProblem(input);
    const solution = problem && solveSetup(problem);
    return solution?.feasible ? [{ input, at: solution.best.placement }] : [];
  });
  return { setups: setups.length, worth: rankMeasures(client, setups) };
}
