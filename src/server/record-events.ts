import 'server-only';
import type { FloorEvent, SavedSetup } from '@/core/record/floor-event';
import { deliverySchema, type DeliveryReply, type RefusedEvent } from '@/contract/floor-event';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import { readFloorEvent } from '@/contract/records/floor-event-record';
import { inTransaction } from '@/data/in-transaction';
import { appendFloorEvents } from '@/data/queries/folds';
import { readIdentity } from '@/data/queries/identity';
import { clientOfItem, findOut, putBack, setCalledOff } from '@/data/queries/sessions';
import { keepChanges } from './changes';
import { announce } from './event-line';
import { reaches } from './reach';
import { storageTrouble } from './storage-trouble';
import type { UseCase } from './use-case';
import { EXPECTED } from '@/messages/expected';
import { STORAGE_TROUBLE } from '@/messages/taps';

export type RecordResult =
  | { readonly ok: true; readonly reply: DeliveryReply }
  | {
      readonly ok: false;
      readonly reason: 'malformed' | 'other-database' | 'storage';
      readonly issues: readonly FieldIssue[];
    };

/** A set-up as its change is kept: where it stood, by movement. */
const setupSheet = ({ movement, placement }: SavedSetup & Pick<FloorEvent, 'movement'>) => ({
  movement: { [movement]: { placement } },
});
const NO_SETUP = { movement: {} };

/** Whether who signs in may record for the client: who cared for them when it was tapped, however late it arrives. */
function recordsFor(uc: UseCase, { clientId, itemId, atMs }: FloorEvent): boolean {
  const owner = clientOfItem(uc.db, itemId);
  // A planned movement that is not here is told as such.
  return owner === null || (owner === clientId && reaches(uc, clientId, atMs));
}

/** What is out of the plan is done all the same, by a tablet that did not know yet: it is in the plan again. */
function takeBack(uc: UseCase, { itemId, clientId }: FloorEvent): void {
  const out = findOut(uc.db, itemId);
  if (!out) return;
  putBack(uc.db, out);
  setCalledOff(uc.db, out.sessionId, null);
  const of = { subject: 'plan', subjectId: itemId, clientId } as const;
  keepChanges(uc, of, { inPlan: false }, { inPlan: true });
}

/**
 * Keep a delivery from a device's outbox, each record in the name of who is signed in. Re-sent records are kept once; a
 * record that is wrong is named and holds up no other.
 */
export function recordEvents(uc: UseCase, delivery: unknown): RecordResult {
  const { db, actor, nowMs } = uc;
  const parsed = deliverySchema.safeParse(delivery);
  if (!parsed.success) return { ok: false, reason: 'malformed', issues: toFieldIssues(parsed.error) };
  const { databaseId } = parsed.data;
  if (databaseId !== undefined && databaseId !== readIdentity(db))
    return { ok: false, reason: 'other-database', issues: [{ path: 'databaseId', message: EXPECTED.ownDatabase }] };
  const refused: RefusedEvent[] = [];
  const events: FloorEvent[] = [];
  for (const raw of parsed.data.events) {
    const own = readFloorEvent(raw);
    if (!own.ok) refused.push({ id: raw.id, ...own.issues[0]! });
    else if (recordsFor(uc, own.value)) events.push({ ...own.value, actorId: actor.id });
    else refused.push({ id: raw.id, path: 'clientId', message: EXPECTED.ownClient });
  }
  try {
    const { kept, added, unknown } = inTransaction(db, () => {
      const appended = appendFloorEvents(db, events, nowMs);
      const news = new Set(appended.added);
      for (const e of events.filter(({ id }) => news.has(id))) {
        if (e.kind === 'set-started') takeBack(uc, e);
        if (e.kind === 'setup-saved')
          keepChanges(uc, { subject: 'setup', subjectId: e.id, clientId: e.clientId }, NO_SETUP, setupSheet(e));
      }
      return appended;
    });
    const news = new Set(added);
    announce(events.filter((e) => news.has(e.id)));
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
    const trouble = storageTrouble(e);
    if (trouble === null) throw e;
    return { ok: false, reason: 'storage', issues: [{ path: 'events', message: STORAGE_TROUBLE[trouble] }] };
  }
}
