import 'server-only';
import dayjs from 'dayjs';
import { entryOf } from '@/core/book/book';
import { planSide } from '@/core/book/standing-practice';
import { planBlocks } from '@/core/plan/plan-blocks';
import type { LoadUnit } from '@/core/units/mass';
import { refused, type SaveResult } from '@/contract/save-result';
import type { Session, SessionItem } from '@/contract/views/plan';
import { dayText as dayTextSchema } from '@/contract/client-form';
import { SESSION_MINUTES } from '@/contract/session-form';
import type { AskedSession, LiftedSet, PlanBlockView, SessionPlanView } from '@/contract/views/session-plan';
import { inTransaction } from '@/data/in-transaction';
import { standingOf } from '@/data/queries/practice-choices';
import { readRecent } from '@/data/queries/newest-records';
import { begunItems } from '@/data/queries/read-folds';
import { reorderItems } from '@/data/queries/sessions';
import { findVariant } from '@/data/queries/variants';
import { doneName } from '@/messages/book';
import { clock, momentIn } from '@/messages/day';
import { loadNumber, loadText } from '@/messages/loads';
import { liftedOn, orderText, PLAN_REFUSAL, plannedText } from '@/messages/plan';
import { changeTimesAt } from './change-times';
import { keepChanges } from './changes';
import { dayText } from './clock';
import { wantedOf } from './wanted';
import { kitNames } from './kit-names';
import { loadSteps, loadUnit } from './load-steps';
import { reachClient, reachSession } from './reach';
import type { UseCase } from './use-case';

const wantsLoad = ({ movement }: SessionItem): boolean => !['body', 'none'].includes(entryOf(movement).load.kind);

/** The newest plain set of a movement with a load, on the side that works. */
function liftedOf(uc: UseCase, clientId: string, { movement, side }: SessionItem, unit: LoadUnit): LiftedSet | null {
  const set = readRecent(uc.db, clientId, movement, []).sets.findLast(
    (s) => s.side === side && s.confirmed && s.reps > 0 && s.loadG > 0 && s.scheme === 'straight',
  );
  if (!set) return null;
  const { loadG, reps, choices, startedAtMs } = set;
  return {
    loadG,
    reps: reps + (choices.reserve ?? 0),
    says: liftedOn(reps, loadText(loadG, unit), startedAtMs),
  };
}

/** A session's plan in its order; null where there is none of that id, or none of a client in somebody's care. */
export function loadSessionPlan(uc: UseCase, sessionId: string): SessionPlanView | null {
  const session = reachSession(uc, sessionId);
  const client = session && reachClient(uc, session.clientId);
  if (!session || !client) return null;
  const names = kitNames(uc.db);
  const byId = new Map(session.items.map((i) => [i.id, i]));
  const begun = begunItems(uc.db, client.id, sessionId);
  const toBlock = (b: ReturnType<typeof planBlocks>[number]): PlanBlockView => {
    const own = b.itemIds.map((id) => byId.get(id)!);
    const item = own[0]!;
    const station = names.stationOf(item.stationId);
    const unit = loadUnit(uc.db, session.gymId, entryOf(item.movement), station);
    const variant = item.variantId === null ? null : (findVariant(uc.db, item.variantId)?.name ?? null);
    const { sets, reps, tempo, loadG, aims } = item;
    const says = plannedText(own.map((i) => ({ ...i, load: wantsLoad(i) ? loadText(i.loadG, unit) : null, unit })));
    const alike = new Set(own.map((i) => JSON.stringify([i.sets, i.reps, i.tempo, i.loadG, i.aims]))).size === 1;
    const load = wantsLoad(item) ? Number(loadNumber(loadG, unit)) : null;
    return {
      ...b,
      name: doneName(item.movement, own.length > 1 ? 'both' : item.side, variant),
      says,
      station: station?.name ?? null,
      isBegun: b.itemIds.some((id) => begun.has(id)),
      skipped: own.every((i) => i.skipped !== null) ? item.skipped : null,
      ...{ load, unit, sidesDiffer: !alike, planned: { sets, reps, tempo, aims } },
      lifted: wantsLoad(item) ? liftedOf(uc, client.id, item, unit) : null,
      stepsG: wantsLoad(item) ? loadSteps(uc.db, session.gymId, entryOf(item.movement), station) : [],
    };
  };
  return {
    sessionId,
    clientId: client.id,
    clientName: client.name,
    when: momentIn(session.startsAtMs, uc.nowMs),
    day: dayText(session.startsAtMs),
    startsAt: clock(session.startsAtMs),
    minutes: session.minutes,
    times: changeTimesAt(uc, session.gymId),
    opposites: planSide('opposite-muscles', standingOf(uc.db, client.id)),
    isFinished: session.finishedAtMs !== null,
    isCalledOff: session.calledOffAtMs !== null,
    wanted: wantedOf(uc, session, client, begun.size > 0),
    blocks: planBlocks(session.items, client.notes).map(toBlock),
    unreadable: session.unreadable.length,
  };
}

/** A session that is asked for is repeated a week later, where no day is named. */
const DAYS_ON = 7;

/** What a new session's form opens with: a day of the week, or a session that is repeated. */
export function askedSession(
  uc: UseCase,
  { day, from }: { readonly day: string | undefined; readonly from: string | undefined },
): AskedSession {
  const session = from === undefined ? null : reachSession(uc, from);
  const asked = dayTextSchema.safeParse(day).success ? day! : null;
  const next = dayjs(session ? session.startsAtMs : uc.nowMs);
  return {
    isAsked: asked !== null || session !== null,
    clientId: session?.clientId ?? '',
    day: asked ?? dayText(session ? next.add(DAYS_ON, 'day').valueOf() : uc.nowMs),
    startsAt: session ? clock(session.startsAtMs) : dayjs(uc.nowMs).add(1, 'hour').format('HH:00'),
    minutes: session?.minutes ?? SESSION_MINUTES.usual,
    fromId: session?.id ?? '',
  };
}

const namesIn = (items: readonly SessionItem[], ids: readonly string[]): string =>
  orderText(
    ids.map((id) => {
      const { movement, side } = items.find((i) => i.id === id)!;
      return doneName(movement, side);
    }),
  );

/** Whether the ids are a session's planned movements, each once. */
function isOrderOf({ items }: Session, typed: unknown): typed is readonly string[] {
  return Array.isArray(typed) && typed.length === items.length && items.every((i) => typed.includes(i.id));
}

/** Put a session's planned movements in another order; where some were added meanwhile, nothing is moved. */
export function orderSession(uc: UseCase, sessionId: string, typed: unknown): SaveResult {
  const session = reachSession(uc, sessionId);
  if (!session) return refused('session', PLAN_REFUSAL.notListed);
  return inTransaction(uc.db, (): SaveResult => {
    const now = reachSession(uc, sessionId)!;
    const was = now.items.map((i) => i.id);
    if (!isOrderOf(now, typed) || now.unreadable.length > 0) return refused('order', PLAN_REFUSAL.otherPlan);
    reorderItems(uc.db, sessionId, typed);
    const [before, after] = [was, typed].map((ids) => ({ order: namesIn(now.items, ids) }));
    keepChanges(uc, { subject: 'plan', subjectId: sessionId, clientId: now.clientId }, before, after);
    return { ok: true, id: sessionId };
  });
}
