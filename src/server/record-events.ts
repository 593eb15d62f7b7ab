import 'server-only';
import { deliverySchema, type DeliveryReply } from '@/contract/floor-event';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import type { Db } from '@/data/open-db';
import { appendFloorEvents } from '@/data/queries/floor-events';

export type RecordResult =
  | { readonly ok: true; readonly reply: DeliveryReply }
  | { readonly ok: false; readonly reason: 'malformed' | 'unknown-reference'; readonly issues: readonly FieldIssue[] };

/** Keep a delivery from a device's outbox. Re-sent records are kept once; nothing is kept of a delivery that is refused. */
export function recordEvents(db: Db, delivery: unknown, nowMs: number): RecordResult {
  const parsed = deliverySchema.safeParse(delivery);
  if (!parsed.success) return { ok: false, reason: 'malformed', issues: toFieldIssues(parsed.error) };
  try {
    appendFloorEvents(db, parsed.data.events, nowMs);
  } catch (e) {
    if ((e as { code?: string }).code === 'SQLITE_CONSTRAINT_FOREIGNKEY') {
      return { ok: false, reason: 'unknown-reference', issues: [{ path: 'events', message: 'expected a client and a planned movement that this server has' }] };
    }
    throw e;
  }
  return { ok: true, reply: { kept: parsed.data.events.map((e) => e.id) } };
}
