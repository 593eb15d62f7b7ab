import { findEntry } from '@/core/book/book';
import { EXPECTED } from '@/messages/expected';
import type { SessionItem } from '../views/plan';
import type { ReadRecord } from './record';

/** A planned movement as its row has it. */
export type SessionItemRow = Omit<SessionItem, 'movement'> & { readonly movement: string };

/** A planned movement; one that this program's book does not hold cannot be read. */
export function readSessionItem(row: SessionItemRow): ReadRecord<SessionItem> {
  const movement = findEntry(row.movement)?.id;
  return movement
    ? { ok: true, value: { ...row, movement } }
    : { ok: false, issues: [{ path: 'movement', message: EXPECTED.movement }] };
}
