import 'server-only';
import { screeningState } from '@/core/body/screening';
import { screeningFormSchema } from '@/contract/client-form';
import { toFieldIssues } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import type { ScreeningView } from '@/contract/views/client';
import { inTransaction } from '@/data/in-transaction';
import { appendScreening, findScreening, hasScreening } from '@/data/queries/clients';
import { listGyms } from '@/data/queries/gyms';
import { keepChanges } from './changes';
import { idFromKey } from './form-key';
import { toLocalDay } from './clock';
import { reachClient } from './reach';
import type { UseCase } from './use-case';
import { EXPECTED } from '@/messages/expected';

/** Keep that a screening was done; records are only added. It cannot lie ahead of today. */
export function saveScreening(uc: UseCase, clientId: string, typed: unknown, key: unknown = null): SaveResult {
  const { db, actor, nowMs } = uc;
  const parsed = screeningFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  if (!reachClient(uc, clientId)) return { ok: false, issues: [{ path: 'doneBy', message: EXPECTED.knownClient }] };
  if (parsed.data.day > toLocalDay(nowMs))
    return { ok: false, issues: [{ path: 'day', message: EXPECTED.dayNotAhead }] };
  const id = idFromKey(key);
  // Sent twice it is one screening.
  if (hasScreening(db, id)) return { ok: true, id };
  inTransaction(db, () => {
    appendScreening(db, { ...parsed.data, id, clientId, actorId: actor.id, recordedAtMs: nowMs });
    keepChanges(uc, { subject: 'screening', subjectId: id, clientId }, undefined, parsed.data);
  });
  return { ok: true, id };
}

/**
 * A client's newest screening against the gym's own setting (the strictest one, where a client is not tied to a gym).
 */
export function loadScreening({ db, nowMs }: UseCase, clientId: string, gymId: string | null): ScreeningView {
  const gyms = listGyms(db).filter((g) => gymId === null || g.id === gymId);
  const validDays = Math.min(365 * 10, ...gyms.map((g) => g.screeningDays));
  const screening = findScreening(db, clientId);
  return { screening, state: screeningState(screening, toLocalDay(nowMs), validDays) };
}
