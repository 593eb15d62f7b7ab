import 'server-only';
import { randomUUID } from 'node:crypto';
import type { EntryOptions } from '@/core/book/entry-options';
import { toFieldIssues } from '@/contract/field';
import { variantFormSchema } from '@/contract/variant-form';
import type { Db } from '@/data/open-db';
import { findVariant, listVariants, saveVariant } from '@/data/queries/variants';
import type { SaveResult } from './result';

/** Keep a trainer's variant; a null id makes a new one. Names are told apart within a movement. */
export function keepVariant(db: Db, typed: unknown, nowMs: number): SaveResult {
  const parsed = variantFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { id, movement, name, cue, options } = parsed.data;
  const known = id === null ? null : findVariant(db, id);
  if (id !== null && known?.movement !== movement)
    return { ok: false, issues: [{ path: 'id', message: 'expected a variant of this movement' }] };
  if (listVariants(db, movement).some((v) => v.id !== id && v.name.toLowerCase() === name.toLowerCase()))
    return {
      ok: false,
      issues: [{ path: 'name', message: 'expected a name that no other variant of this movement has' }],
    };
  const variantId = id ?? randomUUID();
  saveVariant(db, {
    id: variantId,
    movement,
    name,
    cue,
    options: options as Partial<EntryOptions>,
    keptAtMs: known?.keptAtMs ?? nowMs,
  });
  return { ok: true, id: variantId };
}
