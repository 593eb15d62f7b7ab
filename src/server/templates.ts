import 'server-only';
import { randomUUID } from 'node:crypto';
import { withLoads } from '@/core/tempo/set-aims';
import { toFieldIssues } from '@/contract/field';
import type { ReadRows } from '@/contract/records/record';
import { refused, type SaveResult } from '@/contract/save-result';
import { templateFormSchema } from '@/contract/session-form';
import type { PlanTemplate } from '@/contract/views/plan';
import { inTransaction } from '@/data/in-transaction';
import { addTemplate, dropTemplate, listTemplates } from '@/data/queries/templates';
import { EXPECTED } from '@/messages/expected';
import { PLAN_REFUSAL } from '@/messages/plan';
import { keepChanges } from './changes';
import { reachSession } from './reach';
import type { UseCase } from './use-case';

/** Templates that who asks may plan by. */
export const reachTemplates = ({ db, actor }: UseCase): ReadRows<PlanTemplate> => listTemplates(db, actor.id);

/** Keep what is planned in a session as a template, of one's own or for everybody; names are told apart. */
export function keepTemplate(uc: UseCase, sessionId: string, typed: unknown): SaveResult {
  const parsed = templateFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { name, forAll } = parsed.data;
  const session = reachSession(uc, sessionId);
  if (!session || session.items.length === 0) return refused('name', PLAN_REFUSAL.nothingToKeep);
  if (reachTemplates(uc).rows.some((t) => t.name.toLowerCase() === name.toLowerCase()))
    return refused('name', EXPECTED.freshName);
  const movements = session.items.map(({ movement, variantId, side, sets, reps, tempo, aims, ...i }) => ({
    ...{ movement, variantId, side, sets, reps, tempo, pairId: i.pairId, isPinned: i.isPinned },
    // Loads are each client's own.
    aims: withLoads(aims, () => null),
  }));
  const template: PlanTemplate = {
    ...{ id: randomUUID(), name, accountId: uc.actor.id, forAll, minutes: session.minutes, movements },
  };
  inTransaction(uc.db, () => {
    addTemplate(uc.db, template, uc.nowMs);
    keepChanges(uc, { subject: 'plan', subjectId: template.id }, { template: null }, { template: name });
  });
  return { ok: true, id: template.id };
}

/** Whether who asks may put a template out of every list: who made it, and the owner. */
export const mayDrop = ({ actor }: UseCase, { accountId }: PlanTemplate): boolean =>
  actor.role === 'owner' || accountId === actor.id;

/** Put a template out of every list. */
export function dropTemplateOf(uc: UseCase, id: string): SaveResult {
  const template = reachTemplates(uc).rows.find((t) => t.id === id);
  if (!template) return refused('template', PLAN_REFUSAL.notListed);
  if (!mayDrop(uc, template)) return refused('template', PLAN_REFUSAL.notYours);
  inTransaction(uc.db, () => {
    dropTemplate(uc.db, id, uc.nowMs);
    keepChanges(uc, { subject: 'plan', subjectId: id }, { template: template.name }, { template: null });
  });
  return { ok: true, id };
}
