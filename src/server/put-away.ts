import 'server-only';
import type { SaveResult } from '@/contract/save-result';
import { PUT_AWAY_KINDS, type PutAwayKind, type PutAwayThing } from '@/contract/views/put-away';
import { inTransaction } from '@/data/in-transaction';
import { listGyms } from '@/data/queries/gyms';
import { isPutAway, listPutAway, setPutAway } from '@/data/queries/put-away';
import { EXPECTED } from '@/messages/expected';
import { keepChanges } from './changes';
import { reaches } from './reach';
import type { UseCase } from './use-case';

const SUBJECT = { client: 'client', piece: 'kit', gym: 'gym' } as const satisfies Record<PutAwayKind, string>;

const may = (uc: UseCase, { kind, id }: Pick<PutAwayThing, 'kind' | 'id'>): boolean =>
  kind !== 'client' || reaches(uc, id, uc.nowMs);

/** Put a client, a piece of kit or a gym away, or take it back; what was recorded with it stays. Done twice is once. */
export function putAway(uc: UseCase, kind: unknown, id: string, away: unknown): SaveResult {
  const known = PUT_AWAY_KINDS.find((k) => k === kind);
  const was = known && may(uc, { kind: known, id }) ? isPutAway(uc.db, known, id) : null;
  if (!known || was === null) return { ok: false, issues: [{ path: '', message: EXPECTED.nothingToPutAway }] };
  if (known === 'gym' && away === true && listGyms(uc.db).length < 2)
    return { ok: false, issues: [{ path: '', message: EXPECTED.oneGymLeft }] };
  if (was === (away === true)) return { ok: true, id };
  inTransaction(uc.db, () => {
    setPutAway(uc.db, known, id, was ? null : uc.nowMs);
    const thing = { subject: SUBJECT[known], subjectId: id, ...(known === 'client' ? { clientId: id } : {}) };
    keepChanges(uc, thing, { putAway: was }, { putAway: !was });
  });
  return { ok: true, id };
}

/** What of some kinds is put away, as far as who asks may see it. */
export const loadPutAway = (uc: UseCase, kinds: readonly PutAwayKind[]): PutAwayThing[] =>
  kinds.flatMap((kind) => listPutAway(uc.db, kind)).filter((thing) => may(uc, thing));
