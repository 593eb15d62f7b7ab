import 'server-only';
import { entryOf } from '@/core/book/book';
import { planSide } from '@/core/book/standing-practice';
import { MUSCLES } from '@/core/week/muscle';
import { sideDeltoidShare, weekSets, type MovementSets } from '@/core/week/week-sets';
import { toFieldIssues } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import type { Client } from '@/contract/views/client';
import type { ClientWeekView } from '@/contract/views/client-week';
import type { Session, SessionItem } from '@/contract/views/plan';
import { weekRulesSchema } from '@/contract/week-rules-form';
import { inTransaction } from '@/data/in-transaction';
import { standingOf } from '@/data/queries/practice-choices';
import { progressOf, type ItemProgress } from '@/data/queries/read-folds';
import { listWeekRules, saveWeekRule } from '@/data/queries/week-rules';
import { keepChanges } from './changes';
import { choosingFor } from './choosing';
import { RUNS_ON_MS } from './floor-sessions';
import { findLastUsed, toContext } from './item-context';
import { reachClient, reachSessions } from './reach';
import { loadScreening } from './screening';
import type { UseCase } from './use-case';
import { weekOf } from './week';

/** Sets of a planned movement: done, and what is still to be done of it. */
function setsOf(
  uc: UseCase,
  session: Session,
  item: SessionItem,
  progress: ReadonlyMap<string, ItemProgress>,
): MovementSets {
  const { target, secondary } = entryOf(item.movement);
  const { sets: done = 0, isStopped = false } = progress.get(item.id) ?? {};
  const isOver = session.finishedAtMs !== null || session.startsAtMs + session.minutes * 60_000 + RUNS_ON_MS < uc.nowMs;
  const planned = isOver || isStopped || item.skipped !== null ? 0 : Math.max(0, item.sets - done);
  return { target, secondary, side: item.side, done, planned };
}

/** The counted movements of some sessions, oldest first, as they were set up, each once: the newest of each. */
export function usedIn(uc: UseCase, client: Client, sessions: readonly Session[], counted: ReadonlySet<string>) {
  const newest = new Map(
    sessions.flatMap((session) =>
      session.items.filter((i) => counted.has(i.id)).map((item) => [item.movement, { item, session, client }] as const),
    ),
  );
  return [...newest.values()].map((reached) => {
    const screening = loadScreening(uc, client.id, reached.session.gymId);
    const { setupCase, log, station } = toContext(uc, reached, screening, 'folds');
    return { setupCase, placement: findLastUsed(log, station?.id ?? null) };
  });
}

/** The movements of some sessions of a client that have sets, done or planned, with those sets. */
export function countedIn(uc: UseCase, clientId: string, sessions: readonly Session[]) {
  const ids = sessions.flatMap((s) => s.items.map((i) => i.id));
  const progress = progressOf(uc.db, [clientId], ids);
  // What wakes up or stretches is no set of a muscle's.
  const lifts = (s: Session): SessionItem[] => s.items.filter((i) => entryOf(i.movement).group !== 'before');
  const each = sessions.flatMap((s) => lifts(s).map((item) => ({ item, sets: setsOf(uc, s, item, progress) })));
  return each.filter(({ sets }) => sets.done + sets.planned > 0);
}

/** A client's week as it is counted: its sessions, its sets by muscle, and its movements as they were set up. */
export function countWeek(uc: UseCase, client: Client, fromMs: number, toMs: number) {
  const sessions = reachSessions(uc, fromMs, toMs).filter((s) => s.clientId === client.id);
  const counted = countedIn(uc, client.id, sessions);
  const rules = listWeekRules(uc.db);
  const sets = weekSets(
    counted.map((c) => c.sets),
    rules,
  );
  return { sessions, rules, sets, used: usedIn(uc, client, sessions, new Set(counted.map((c) => c.item.id))) };
}

/** A week of a client: sets per muscle against what it should have; null for nobody in the care of who asks. */
export function loadClientWeek(uc: UseCase, clientId: string, day: string | undefined): ClientWeekView | null {
  const client = reachClient(uc, clientId);
  if (!client) return null;
  const { fromMs, toMs, ...week } = weekOf(uc, day);
  const { sessions, rules, sets, used } = countWeek(uc, client, fromMs, toMs);
  const gymId = sessions.at(-1)?.gymId;
  return {
    ...week,
    ...{ clientId, clientName: client.name, sessions: sessions.length, rules, sets, used },
    sideShare: sideDeltoidShare(sets),
    deltoidShare: planSide('deltoid-share', standingOf(uc.db, clientId)),
    choosing: gymId === undefined ? null : choosingFor(uc, client, gymId),
  };
}

/** Keep how a week's sets are counted and judged here, for everybody. */
export function saveWeekRules(uc: UseCase, typed: unknown): SaveResult {
  const parsed = weekRulesSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  return inTransaction(uc.db, (): SaveResult => {
    const before = listWeekRules(uc.db);
    for (const m of MUSCLES) saveWeekRule(uc.db, m, parsed.data[m]);
    keepChanges(uc, { subject: 'plan', subjectId: 'week-rules' }, { weekRules: before }, { weekRules: parsed.data });
    return { ok: true, id: 'week-rules' };
  });
}
