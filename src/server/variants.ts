import 'server-only';
import { randomUUID } from 'node:crypto';
import type { EntryOptions } from '@/core/book/entry-options';
import { toFieldIssues } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import { variantFormSchema } from '@/contract/variant-form';
import { inTransaction } from '@/data/in-transaction';
import { findVariant, listVariants, saveVariant } from '@/data/queries/variants';
import { keepChanges } from './changes';
import type { UseCase } from './use-case';
import { EXPECTED } from '@/messages/expected';

/** Keep a trainer's variant; a null id makes a new one. Names are told apart within a movement. */
export function keepVariant(uc: UseCase, typed: unknown): SaveResult {
  const { db, actor, nowMs } = uc;
  const parsed = variantFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { id, movement, name, cue, options } = parsed.data;
  const known = id === null ? null : findVariant(db, id);
  if (id !== null && known?.movement !== movement)
    return { ok: false, issues: [{ path: 'id', message: EXPECTED.variantOfMovement }] };
  if (listVariants(db, movement).rows.some((v) => v.id !== id && v.name.toLowerCase() === name.toLowerCase()))
    return {
      ok: false,
      issues: [{ path: 'name', message: EXPECTED.freshName }],
    };
  const variant = {
    id: id ?? randomUUID(),
    movement,
    name,
    cue,
    options: options as Partial<EntryOptions>,
    keptAtMs: known?.keptAtMs ?? nowMs,
  };
  inTransaction(db, () => {
    saveVariant(db, variant, actor.id);
    keepChanges(uc, { subject: 'variant', subjectId: variant.id }, known ?? undefined, variant);
  });
  return { ok: true, id: variant.id };
}
