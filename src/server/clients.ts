import 'server-only';
import { randomUUID } from 'node:crypto';
import { MEASURE_NAMES } from '@/core/body/segment-ratios';
import { clientFormSchema } from '@/contract/client-form';
import { toFieldIssues } from '@/contract/field';
import type { Db } from '@/data/open-db';
import { saveClient } from '@/data/queries/clients';
import type { SaveResult } from './result';

/** Check and keep a client sheet; a null id makes a new client. */
export function saveClientForm(db: Db, id: string | null, typed: unknown): SaveResult {
  const parsed = clientFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const form = parsed.data;
  const clientId = id ?? randomUUID();
  saveClient(db, {
    id: clientId,
    name: form.name,
    note: form.note,
    statureM: form.statureCm / 100,
    massKg: form.massKg,
    measuredM: Object.fromEntries(MEASURE_NAMES.flatMap((n) => (form.measuredCm[n] === undefined ? [] : [[n, form.measuredCm[n] / 100]]))),
    range: form.rangeDeg,
  });
  return { ok: true, id: clientId };
}
