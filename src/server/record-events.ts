import 'server-only';
import type { FloorEvent } from '@/core/record/floor-event';
import { deliverySchema, type DeliveryReply, type RefusedEvent } from '@/contract/floor-event';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import { readFloorEvent } from '@/contract/records/floor-event-record';
import { appendFloorEvents } from '@/data/queries/floor-events';
import { announce } from './event-line';
import type { UseCase } from './use-case';
import { EXPECTED } from '@/messages/expected';
import { STORAGE_TROUBLE } from '@/messages/taps';

export type RecordResult =
  | { readonly ok: true; readonly reply: DeliveryReply }
  | { readonly ok: false; readonly reason: 'malformed' | 'storage'; readonly issues: readonly FieldIssue[] };

/** What the database says when its disk cannot be written, by SQLite's code. */
const STORAGE: readonly (readonly [RegExp, string])[] = [
  [/^SQLITE_FULL/, STORAGE_TROUBLE.full],
  [/^SQLITE_READONLY/, STORAGE_TROUBLE.readOnly],
  [/^SQLITE_(IOERR|CANTOPEN|BUSY|LOCKED)/, STORAGE_TROUBLE.unwritable],
];

/**
 * Keep a delivery from a device's outbox, each record in the name of who is signed in. Re-sent records are kept once; a
 * record that is wrong is named and holds up no other.
 */
export function recordEvents({ db, actor, nowMs }: UseCase, delivery: unknown): RecordResult {
  const parsed = deliverySchema.safeParse(delivery);
  if (!parsed.success) return { ok: false, reason: 'malformed', issues: toFieldIssues(parsed.error) };
  const refused: RefusedEvent[] = [];
  const events: FloorEvent[] = [];
  for (const raw of parsed.data.events) {
    const own = readFloorEvent(raw);
    if (own.ok) events.push({ ...own.value, actorId: actor.id });
    else refused.push({ id: raw.id, ...own.issues[0]! });
  }
  try {
    const { kept, unknown } = appendFloorEvents(db, events, nowMs);
    const known = new Set(kept);
    announce(events.filter((e) => known.has(e.id)));
    return {
      ok: true,
      reply: {
        nowMs,
        kept,
        refused: [
          ...refused,
          ...unknown.map((id) => ({
            id,
            path: 'itemId',
            message: EXPECTED.knownClientAndItem,
          })),
        ],
      },
    };
  } catch (e) {
    const code = (e as { code?: unknown }).code;
    const says = STORAGE.find(([pattern]) => pattern.test(String(code)))?.[1];
    if (says === undefined) throw e;
    return { ok: false, reason: 'storage', issues: [{ path: 'events', message: says }] };
  }
}
