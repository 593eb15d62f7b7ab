import { findEntry } from '@/core/book/book';
import { EXPECTED } from '@/messages/expected';
import type { SessionItem } from '../views/plan';
import type { ReadRecord } from './record';

/** A planned movement as its row has it. */
export type SessionItemRow = Omit<SessionItem, 'movement' | 'isPinned'> & {
  readonly movement: string;
  readonly isPinned: 0 | 1;
};

/** A planned movement; one that this program's book does not hold cannot be read. */
export function readSessionItem(row: SessionItemRow): ReadRecord<SessionItem> {
  const movement = findEntry(row.movement)?.id;
  return movement
    ? { ok: true, value: { ...row, movement, isPinned: row.isPinned === 1 } }
    : { ok: false, issues: [{ path: 'movement', message: EXPECTED.movement }] };
}
