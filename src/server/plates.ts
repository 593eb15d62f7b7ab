import 'server-only';
import { foldSetLog } from '@/core/fault/set-log';
import type { Placement } from '@/core/setup/setup-problem';
import { buildProblem } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import { caseSchema } from '@/contract/case';
import { toFieldIssues } from '@/contract/field';
import { limitText } from '@/messages/reasons';
import { toSetupInput } from '@/solver/to-setup-input';
import type { ItemContext } from './item-context';

/** What to set on steel for a planned movement: as saved today, else as solved, else why not. */
export type Plates =
  | { readonly from: 'saved' | 'solved'; readonly placement: Placement; readonly estimated: boolean }
  | { readonly from: 'blocked'; readonly says: string };

export function findPlates(context: ItemContext): Plates {
  const estimated = context.client.measuredM.shoulderHeight === undefined;
  const saved = foldSetLog(context.events).setups.findLast((s) => s.itemId === context.item.id);
  if (saved) return { from: 'saved', placement: saved.placement, estimated };
  const parsed = caseSchema.safeParse(context.setupCase);
  if (!parsed.success) return { from: 'blocked', says: toFieldIssues(parsed.error).map((i) => `${i.path}: ${i.message}`).join('; ') };
  const solution = solveSetup(buildProblem(toSetupInput(parsed.data)));
  if (!solution.feasible) return { from: 'blocked', says: solution.nearest.violations.map((v) => limitText(v)).join(' ') };
  return { from: 'solved', placement: solution.best.placement, estimated };
}
