import { findEntry } from '@/core/book/book';
import { EXPECTED } from '@/messages/expected';
import { toFieldIssues } from '../field';
import { aimsRecord } from '../planned-fields';
import type { SessionItem } from '../views/plan';
import { parseJson, type ReadRecord } from './record';

/** A planned movement as its row has it. */
export type SessionItemRow = Omit<SessionItem, 'movement' | 'isPinned' | 'aims'> & {
  readonly movement: string;
  readonly isPinned: 0 | 1;
  readonly aims: string | null;
};

/** A planned movement; one that this program's book does not hold, or whose sets are none, cannot be read. */
export function readSessionItem(row: SessionItemRow): ReadRecord<SessionItem> {
  const movement = findEntry(row.movement)?.id;
  if (!movement) return { ok: false, issues: [{ path: 'movement', message: EXPECTED.movement }] };
  const aims = aimsRecord.nullable().safeParse(row.aims === null ? null : parseJson(row.aims));
  return aims.success
    ? { ok: true, value: { ...row, movement, isPinned: row.isPinned === 1, aims: aims.data } }
    : { ok: false, issues: toFieldIssues(aims.error) };
}
