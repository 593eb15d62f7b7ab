import 'server-only';
import { randomUUID } from 'node:crypto';
import { v5 as uuidFrom } from 'uuid';
import { DAY_MS } from '@/core/body/clinician-limit';
import { noteDefaults } from '@/core/body/client-note';
import { entryOf, type MovementId } from '@/core/book/book';
import { planPractice, planSide } from '@/core/book/standing-practice';
import { bestOrderBy } from '@/core/plan/fit-session';
import { planBlocks } from '@/core/plan/plan-blocks';
import { unitsOf } from '@/core/plan/turns';
import { sideOrder } from '@/core/record/side-pair';
import { weekSets } from '@/core/week/week-sets';
import { MUSCLES, type Muscle } from '@/core/week/muscle';
import { toFieldIssues } from '@/contract/field';
import { proposeFormSchema } from '@/contract/propose-form';
import { refused, type SaveResult } from '@/contract/save-result';
import type { Client } from '@/contract/views/client';
import type { Session } from '@/contract/views/plan';
import type { ProposeView } from '@/contract/views/propose';
import { inTransaction } from '@/data/in-transaction';
import { listGoals, saveGoals } from '@/data/queries/client-goals';
import { listAttachments } from '@/data/queries/kit';
import { standingOf } from '@/data/queries/practice-choices';
import { begunItems } from '@/data/queries/read-folds';
import { addItem, clientOfItem, nextPosition, reorderItems, setFinished, setPair } from '@/data/queries/sessions';
import { listWeekRules } from '@/data/queries/week-rules';
import { doneName } from '@/messages/book';
import { objectionText } from '@/messages/choosing';
import { PLAN_REFUSAL } from '@/messages/plan';
import { changeTimesAt } from './change-times';
import { keepChanges } from './changes';
import { choosingFor } from './choosing';
import { countedIn, countWeek } from './client-week';
import { dayText } from './clock';
import { idFromKey } from './form-key';
import { learnItems, type Source } from './learned-items';
import { reachClient, reachSession, reachSessionsOf } from './reach';
import { loadSessionPlan } from './session-plan';
import type { UseCase } from './use-case';
import { weekOf } from './week';

/** The weeks before this one that are looked at. */
const WEEKS_BEFORE = 4;
const WEEK_MS = 7 * DAY_MS;
/** A month of training, days, and more sessions than anybody has in one. */
const MONTH_DAYS = 31;
const MONTH_SESSIONS = 40;

/** The weeks before: sets of a week on average by muscle, what was done, and whether it is the first month. */
function weeksBefore(uc: UseCase, client: Client, mondayMs: number) {
  const newest = reachSessionsOf(uc, client.id, MONTH_SESSIONS);
  const lately = newest.filter((s) => s.startsAtMs >= mondayMs - WEEKS_BEFORE * WEEK_MS && s.startsAtMs < mondayMs);
  const counted = countedIn(uc, client.id, lately).filter((c) => c.sets.done > 0);
  const sets = weekSets(
    counted.map((c) => ({ ...c.sets, planned: 0 })),
    listWeekRules(uc.db),
  );
  // Somebody who has been here for two weeks is not behind for want of the other two.
  const oldest = newest.at(-1)?.startsAtMs ?? mondayMs;
  const weeks = Math.min(WEEKS_BEFORE, Math.max(1, Math.ceil((mondayMs - oldest) / WEEK_MS)));
  const isNew = newest.length < MONTH_SESSIONS && uc.nowMs - oldest < MONTH_DAYS * DAY_MS;
  return {
    recent: Object.fromEntries(MUSCLES.map((m) => [m, sets.find((s) => s.muscle === m)!.all / weeks])) as Record<
      Muscle,
      number
    >,
    known: [...new Set(counted.map((c) => c.item.movement))],
    isFirstMonth: isNew || client.notes.includes('first-month'),
  };
}

/** Sessions of the week that are still to be planned, this one among them. */
const toBePlanned = (sessions: readonly Session[], own: Session): number =>
  sessions.filter((s) => s.id === own.id || (s.items.length === 0 && s.startsAtMs >= own.startsAtMs)).length;

/** What a session is proposed from; null where there is none of that id, or none of a client in somebody's care. */
export function loadProposing(uc: UseCase, sessionId: string): ProposeView | null {
  const session = reachSession(uc, sessionId);
  const client = session && reachClient(uc, session.clientId);
  const plan = client && loadSessionPlan(uc, sessionId);
  if (!plan) return null;
  const { fromMs, toMs } = weekOf(uc, dayText(session.startsAtMs));
  const { sessions, sets, rules, used } = countWeek(uc, client, fromMs, toMs);
  const practice = planPractice(standingOf(uc.db, client.id));
  const { recent, known, isFirstMonth } = weeksBefore(uc, client, fromMs);
  return {
    plan,
    ...{ used, known, isFirstMonth },
    goals: listGoals(uc.db, client.id),
    weeks: {
      week: sets,
      recent,
      rules,
      sessionsLeft: toBePlanned(sessions, session),
      deltoidShare: practice['deltoid-share'],
    },
    practice,
    choosing: choosingFor(uc, client, session.gymId),
    handleKinds: Object.fromEntries(listAttachments(uc.db).map((a) => [a.id, a.kind])),
    unfelt: client.unfelt,
  };
}

/** A movement as it is planned: one arm at a time both sides, the weaker first where it is noted. */
function sourcesOf(client: Client, movement: MovementId, sets: number, reps: number): Source[] {
  const { hands, tempo } = entryOf(movement);
  const sides = hands === 'one' ? sideOrder(noteDefaults(client.notes).weakerSide) : (['both'] as const);
  return sides.map((side) => ({ movement, variantId: null, side, sets, reps, tempo }));
}

/**
 * Puts a session's movements in their computed order, what was begun or pinned where it stands; opposite muscles in
 * turns where they always are for this client.
 */
function putInOrder(uc: UseCase, sessionId: string, client: Client): void {
  const { items, unreadable, gymId } = reachSession(uc, sessionId)!;
  if (unreadable.length > 0) return;
  const begun = begunItems(uc.db, client.id, sessionId);
  const blocks = planBlocks(items, client.notes);
  const opposites = planSide('opposite-muscles', standingOf(uc.db, client.id));
  const isBegun = (b: (typeof blocks)[number]): boolean => b.itemIds.some((id) => begun.has(id));
  const best = bestOrderBy(opposites, blocks, isBegun, changeTimesAt(uc, gymId));
  const had = new Set(blocks.flatMap((b) => b.pairId ?? []));
  for (const pair of unitsOf(best).filter(([b]) => b!.pairId !== null && !had.has(b!.pairId)))
    setPair(
      uc.db,
      pair.flatMap((b) => b.itemIds),
      randomUUID(),
    );
  reorderItems(
    uc.db,
    sessionId,
    best.flatMap((b) => b.itemIds),
  );
}

/**
 * Plan what was taken of a proposed session: each movement with what was learned of it, all in their computed order.
 * What cannot be done in its gym is told and nothing is planned; sent twice (`key`) it is planned once. What the client
 * trains for is kept.
 */
export function putProposed(uc: UseCase, sessionId: string, typed: unknown, key: unknown = null): SaveResult {
  const parsed = proposeFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { goals, movements } = parsed.data;
  const session = reachSession(uc, sessionId);
  const client = session && reachClient(uc, session.clientId);
  if (!session || !client) return refused('session', PLAN_REFUSAL.notListed);
  const sources = movements.flatMap((m) => sourcesOf(client, m.movement, m.sets, m.reps));
  const learned = learnItems(uc, client, session.gymId, sources);
  const not = learned.find((l) => !l.ok);
  if (not && !not.ok)
    return refused('movements', `${doneName(not.source.movement, 'both')}: ${objectionText(not.objection)}`);
  const base = idFromKey(key);
  inTransaction(uc.db, () => {
    const of = { subject: 'plan', clientId: client.id } as const;
    learned.forEach((l, k) => {
      const id = uuidFrom(String(k), base);
      if (!l.ok || clientOfItem(uc.db, id) !== null) return;
      const item = { ...l.item, id, sessionId, position: nextPosition(uc.db, sessionId) };
      addItem(uc.db, item, uc.actor.id);
      keepChanges(uc, { ...of, subjectId: id }, undefined, item);
    });
    if (session.finishedAtMs !== null) setFinished(uc.db, sessionId, null);
    putInOrder(uc, sessionId, client);
    const was = listGoals(uc.db, client.id);
    saveGoals(uc.db, client.id, goals);
    keepChanges(uc, { ...of, subjectId: client.id }, { goals: was }, { goals: goals.toSorted() });
  });
  return { ok: true, id: sessionId };
}
