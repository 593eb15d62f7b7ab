import 'server-only';
import { randomUUID } from 'node:crypto';
import { planBlocks, type PlanBlock } from '@/core/plan/plan-blocks';
import { changeAloneS, type Change, type ChangeTimes } from '@/core/plan/session-time';
import { sharedBlocks, togetherSeconds, type Shared } from '@/core/plan/together';
import { blocksSeconds } from '@/core/plan/turns';
import { withLoads } from '@/core/tempo/set-aims';
import { refused, type SaveResult } from '@/contract/save-result';
import type { Client } from '@/contract/views/client';
import type { Session } from '@/contract/views/plan';
import type { TogetherChoice, TogetherRow, TogetherSide, TogetherView } from '@/contract/views/together';
import { inTransaction } from '@/data/in-transaction';
import { setTogether } from '@/data/queries/sessions';
import { doneName } from '@/messages/book';
import { changeOver, settingLine } from '@/messages/change-over';
import { momentIn } from '@/messages/day';
import { loadText } from '@/messages/loads';
import { PLAN_REFUSAL, plannedText } from '@/messages/plan';
import { changeTimesAt } from './change-times';
import { keepChanges } from './changes';
import { dayOf } from './clock';
import { loadItem, type ItemContext } from './item-context';
import { learnItems, type Source } from './learned-items';
import { reachClient, reachClients, reachSession, reachSessions, reachTogether } from './reach';
import { itemsOf, keepMade } from './sessions';
import { findSettings, platesOf } from './settings';
import type { UseCase } from './use-case';

/** The other client's session at the same time, or one that is made for them with the same movements. */
function sessionFor(uc: UseCase, session: Session, other: Client): Session['id'] {
  const { fromMs, toMs } = dayOf(session.startsAtMs);
  const meets = (s: Session): boolean =>
    s.gymId === session.gymId &&
    s.startsAtMs < session.startsAtMs + session.minutes * 60_000 &&
    session.startsAtMs < s.startsAtMs + s.minutes * 60_000;
  const own = reachSessions(uc, fromMs, toMs).find((s) => s.clientId === other.id && meets(s) && !reachTogether(uc, s));
  if (own) return own.id;
  const id = randomUUID();
  // What cannot be done for their body is left out: the two share what they can.
  const sources = session.items.map(({ movement, variantId, side, sets, reps, tempo, aims }): Source => {
    // Loads are each one's own.
    const own = withLoads(aims, () => null);
    return { movement, variantId, side, sets, reps, tempo, aims: own };
  });
  const learned = learnItems(uc, other, session.gymId, sources);
  const { gymId, startsAtMs, minutes } = session;
  keepMade(uc, other, { id, gymId, clientId: other.id, startsAtMs, minutes, items: itemsOf(id, learned) });
  return id;
}

/**
 * Let two clients share a session: the other one's at the same time, else one is made for them with the same movements,
 * each at their own loads and set-ups. Neither can be shared with a third.
 */
export function shareSession(uc: UseCase, sessionId: string, clientId: unknown): SaveResult {
  return inTransaction(uc.db, (): SaveResult => {
    const session = reachSession(uc, sessionId);
    const other = typeof clientId === 'string' ? reachClient(uc, clientId) : null;
    if (!session) return refused('session', PLAN_REFUSAL.notListed);
    if (!other || other.id === session.clientId) return refused('clientId', PLAN_REFUSAL.notListed);
    const now = reachTogether(uc, session);
    if (now?.clientId === other.id) return { ok: true, id: sessionId };
    if (now) return refused('clientId', PLAN_REFUSAL.sharedAlready);
    const otherId = sessionFor(uc, session, other);
    // A mark of their own: who shared one of them before and called it off is none of the two.
    setTogether(uc.db, [session.id, otherId], randomUUID());
    const own = reachClient(uc, session.clientId)!;
    const told = (id: string, of: Client, partner: Client): void =>
      keepChanges(
        uc,
        { subject: 'plan', subjectId: id, clientId: of.id },
        { together: null },
        { together: partner.name },
      );
    told(session.id, own, other);
    told(otherId, other, own);
    return { ok: true, id: sessionId };
  });
}

/** Let two who shared a session train alone again; both sessions stay. */
export function endSharing(uc: UseCase, sessionId: string): SaveResult {
  return inTransaction(uc.db, (): SaveResult => {
    const session = reachSession(uc, sessionId);
    if (!session) return refused('session', PLAN_REFUSAL.notListed);
    const other = reachTogether(uc, session);
    setTogether(uc.db, [session.id, ...(other ? [other.id] : [])], null);
    const name = other && reachClient(uc, other.clientId)?.name;
    const of = { subject: 'plan', subjectId: sessionId, clientId: session.clientId } as const;
    keepChanges(uc, of, { together: name ?? null }, { together: null });
    return { ok: true, id: sessionId };
  });
}

/** Who a session is shared with, and who it could be; null where there is none of that id. */
export function togetherChoice(uc: UseCase, sessionId: string): TogetherChoice | null {
  const session = reachSession(uc, sessionId);
  if (!session) return null;
  const other = reachTogether(uc, session);
  return {
    partner: (other && reachClient(uc, other.clientId)?.name) ?? null,
    clients: reachClients(uc)
      .filter((c) => c.id !== session.clientId)
      .map((c) => ({ value: c.id, label: c.name })),
  };
}

/** What one of the two sets at a movement, with its settings as they are on steel. */
function sideOf(uc: UseCase, block: PlanBlock | null) {
  const context = block && loadItem(uc, block.itemIds[0]!, undefined, 'folds');
  if (!context) return null;
  const found = findSettings(uc, context);
  const { item, unit } = context;
  const load = item.loadG > 0 ? loadText(item.loadG, unit) : null;
  const plates = platesOf(context, found);
  const side: TogetherSide = {
    itemId: item.id,
    says: plannedText([{ ...item, load, unit }]),
    settings: plates.map(settingLine),
    blocked: found.from === 'blocked' ? found.says : null,
  };
  return { side, plates, context };
}
type Side = ReturnType<typeof sideOf>;

/** What is changed most from one's set-up to the other's at one movement; null where nothing is. */
function changeOf(a: ItemContext, b: ItemContext, changes: readonly string[]): Change | null {
  if (changes.length === 0) return null;
  if (a.station?.id !== b.station?.id) return 'station';
  return a.attachment?.id === b.attachment?.id ? 'hole' : 'handle';
}

function rowOf(a: Side, b: Side, name: string, times: ChangeTimes): TogetherRow {
  const changes = a && b ? changeOver(a.plates, b.plates) : [];
  const change = a && b ? changeOf(a.context, b.context, changes) : null;
  return {
    name,
    sides: [a?.side ?? null, b?.side ?? null],
    changes,
    // Where nothing is changed they only swap places.
    seconds: a && b ? changeAloneS(change ?? 'side', times) : null,
  };
}

/** Two who share a session, movement by movement; null where there is none of that id, or it is not shared. */
export function loadTogether(uc: UseCase, sessionId: string): TogetherView | null {
  const session = reachSession(uc, sessionId);
  const other = session && reachTogether(uc, session);
  const clients = [session, other].map((s) => (s ? reachClient(uc, s.clientId) : null));
  const [own, partner] = clients;
  if (!session || !other || !own || !partner) return null;
  const times = changeTimesAt(uc, session.gymId);
  const blocksOf = (s: Session, c: Client): readonly PlanBlock[] =>
    planBlocks(
      s.items.filter((i) => i.skipped === null),
      c.notes,
    );
  const both = [blocksOf(session, own), blocksOf(other, partner)] as const;
  const pairs = sharedBlocks(...both).map(([a, b]) => {
    const { movement } = (a ?? b)!;
    const row = rowOf(sideOf(uc, a), sideOf(uc, b), doneName(movement, 'both'), times);
    const blocks = a && b ? ([a, b] as const) : ([(a ?? b)!] as const);
    return { row, shared: { blocks, changeS: row.seconds ?? 0 } satisfies Shared };
  });
  const minutesOf = (seconds: number): number => Math.round(seconds / 60);
  return {
    sessionIds: [session.id, other.id],
    names: [own.name, partner.name],
    when: momentIn(session.startsAtMs, uc.nowMs),
    rows: pairs.map((p) => p.row),
    minutes: minutesOf(
      togetherSeconds(
        pairs.map((p) => p.shared),
        times,
      ),
    ),
    alone: [minutesOf(blocksSeconds(both[0], times)), minutesOf(blocksSeconds(both[1], times))],
    of: session.minutes,
  };
}
