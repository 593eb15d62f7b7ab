import 'server-only';
import { foldSetLog } from '@/core/fault/set-log';
import type { Placement } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import { caseSchema } from '@/contract/case';
import { toFieldIssues } from '@/contract/field';
import { BOOK_TEXT } from '@/messages/book';
import { limitText } from '@/messages/reasons';
import { settingText, type SettingText } from '@/messages/settings';
import { describeQuestion } from '@/solver/describe';
import { toQuestion } from '@/solver/to-question';
import type { ItemContext } from './item-context';

/** What to set on steel for a planned movement: as saved today, else as solved, else why not. */
export type Plates =
  | {
      readonly from: 'saved' | 'solved';
      readonly placement: Placement | null;
      readonly settings: readonly SettingText[];
      readonly estimated: boolean;
    }
  | { readonly from: 'blocked'; readonly says: string };

export function findPlates(context: ItemContext): Plates {
  const estimated = context.client.measuredM.shoulderHeight === undefined;
  const saved = foldSetLog(context.events).setups.findLast((s) => s.itemId === context.item.id);
  const parsed = caseSchema.safeParse(context.setupCase);
  if (!parsed.success) {
    // What stood today stays, whatever was changed of the kit since.
    if (saved) return { from: 'saved', placement: saved.placement, settings: [], estimated };
    return {
      from: 'blocked',
      says: toFieldIssues(parsed.error)
        .map((i) => `${i.path}: ${i.message}`)
        .join('; '),
    };
  }
  const found = describeQuestion(toQuestion(parsed.data));
  const settings = (found?.settings ?? []).map(settingText);
  if (saved) return { from: 'saved', placement: saved.placement, settings, estimated };
  if (!found)
    return {
      from: 'blocked',
      says: `The client’s range leaves too little of the ${BOOK_TEXT[context.item.movement]!.name.toLowerCase()}.`,
    };
  if (!found.problem) return { from: 'solved', placement: null, settings, estimated };
  const solution = solveSetup(found.problem);
  if (!solution.feasible)
    return { from: 'blocked', says: solution.nearest.violations.map((v) => limitText(v)).join(' ') };
  return { from: 'solved', placement: solution.best.placement, settings, estimated };
}
