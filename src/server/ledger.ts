import 'server-only';
import { groupBy } from '@/core/record/group-by';
import { BOOK, entryOf, type MovementId } from '@/core/book/book';
import { correctionEffects } from '@/core/fault/correction-effect';
import { rankFaults, WINDOW_SESSIONS, type WatchEntry } from '@/core/fault/watch-list';
import type { PainMark, SetRecord } from '@/core/record/set-log';
import type {
  LedgerCell,
  LedgerLine,
  LedgerMovementView,
  LedgerSessionView,
  LedgerView,
} from '@/contract/views/ledger';
import type { Session } from '@/contract/views/plan';
import type { LoadUnit } from '@/core/units/mass';
import type { Db } from '@/data/open-db';
import { countSets, everDone, newestItems, readFolds, unreadableOf, watchedSets } from '@/data/queries/read-folds';
import { findStation } from '@/data/queries/kit';
import { day } from '@/messages/day';
import { effectText, faultSummaryText } from '@/messages/faults';
import { loadText } from '@/messages/loads';
import { setupCellText } from '@/messages/setup-book';
import { loadUnit } from './load-steps';
import { reachClient, reachClients, reachSessionsOf } from './reach';
import type { UseCase } from './use-case';

/** One session's sets of a movement, both sides, as they were done. */
interface DoneSession {
  readonly sessionId: string;
  readonly session: Session | null;
  readonly startsAtMs: number;
  readonly sets: readonly SetRecord[];
  readonly pains: readonly PainMark[];
}

interface DoneMovement {
  readonly movement: MovementId;
  readonly faults: readonly WatchEntry[];
  readonly sessions: readonly DoneSession[];
  /** Sessions before those. */
  readonly earlier: number;
}

/** What a client did, movement by movement in the order of the book; movements never done are left out. */
function doneBy(uc: UseCase, clientId: string, whole: string | null) {
  const byMovement = readFolds(uc.db, { clientId, items: newestItems(uc.db, clientId, whole) });
  const ever = everDone(uc.db, clientId);
  const sessionsById = new Map(reachSessionsOf(uc, clientId).map((s) => [s.id, s]));
  const sessionOf = new Map([...sessionsById.values()].flatMap((s) => s.items.map((i) => [i.id, s.id] as const)));
  const movements = BOOK.flatMap(({ id }): DoneMovement[] => {
    const log = byMovement.get(id);
    if (!log) return [];
    const home = (mark: { readonly itemId: string }): string => sessionOf.get(mark.itemId) ?? mark.itemId;
    const sets = groupBy(log.sets, (s) => s.sessionId);
    const pains = groupBy(log.pains, home);
    const ids = [...new Set([...sets.keys(), ...pains.keys()])];
    const sessions = ids.map((sessionId): DoneSession => {
      const session = sessionsById.get(sessionId) ?? null;
      const [own, hurt] = [sets.get(sessionId) ?? [], pains.get(sessionId) ?? []];
      const startsAtMs = session?.startsAtMs ?? own[0]?.startedAtMs ?? hurt[0]?.atMs ?? 0;
      return { sessionId, session, startsAtMs, sets: own, pains: hurt };
    });
    sessions.sort((a, b) => a.startsAtMs - b.startsAtMs);
    const { sessions: done = 0, faults = [] } = ever.get(id) ?? {};
    const ranked = rankFaults(log.sets, faults);
    return ids.length === 0 ? [] : [{ movement: id, faults: ranked, sessions, earlier: done - sessions.length }];
  });
  return movements;
}

function toCell(set: SetRecord, fault: string): LedgerCell {
  const marks = set.faults.filter((f) => f.fault === fault);
  const sides = new Set(marks.map((m) => m.side));
  const only = sides.size === 1 ? [...sides][0]! : 'both';
  const given = set.corrections.findLast((c) => c.fault === fault) ?? null;
  return {
    reps: [...new Set(marks.map((m) => m.rep))].sort((a, b) => a - b),
    side: only === 'both' ? null : only,
    correction: given && { code: given.correction, outcome: given.outcome },
  };
}

/** Says loads as they are stamped where the set was done; each place is looked up once. */
function loadsOf(db: Db) {
  const units = new Map<string, LoadUnit>();
  return (movement: MovementId, session: Session | null, set: SetRecord): string => {
    const planned = session?.items.find((i) => i.id === set.itemId);
    const stationId = set.setup?.stationId ?? planned?.stationId ?? null;
    const key = `${movement} ${session?.gymId ?? ''} ${stationId ?? ''}`;
    const unit =
      units.get(key) ??
      loadUnit(db, session?.gymId ?? '', entryOf(movement), stationId === null ? null : findStation(db, stationId));
    units.set(key, unit);
    return loadText(set.loadG, unit);
  };
}

type SayLoad = ReturnType<typeof loadsOf>;

function toSession(sayLoad: SayLoad, movement: MovementId, s: DoneSession): LedgerSessionView {
  return {
    sessionId: s.sessionId,
    date: day(s.startsAtMs),
    sets: s.sets.map((set) => ({
      setId: set.setId,
      setNo: set.setNo,
      side: set.side === 'both' ? null : set.side,
      load: sayLoad(movement, s.session, set),
      reps: set.reps,
      setup: set.setup && setupCellText(set.setup.placement),
      setupOff: set.setup?.off ?? false,
    })),
    pains: s.pains.map((p) => ({ id: p.id, rep: p.rep, note: p.note })),
  };
}

function toMovement(
  sayLoad: SayLoad,
  { movement, faults, sessions: all, earlier }: DoneMovement,
  whole: boolean,
): LedgerMovementView {
  const sessions = whole ? all : all.slice(-WINDOW_SESSIONS);
  const sets = sessions.flatMap((s) => s.sets);
  return {
    movement,
    earlier: earlier + all.length - sessions.length,
    sessions: sessions.map((s) => toSession(sayLoad, movement, s)),
    faults: faults.map((f) => ({
      fault: f.fault,
      cleared: f.cleared,
      summary: faultSummaryText(f),
      cells: sets.map((s) => toCell(s, f.fault)),
    })),
    effects: correctionEffects(all.flatMap((s) => s.sets.flatMap((set) => set.corrections))).map((e) => ({
      fault: e.fault,
      code: e.correction,
      says: effectText(e),
    })),
    corrections: sessions.flatMap((s) =>
      s.sets.flatMap((set) =>
        set.corrections.map((c) => ({
          id: c.id,
          when: `${day(s.startsAtMs)}, after set ${set.setNo}`,
          fault: c.fault,
          code: c.correction,
          cause: c.cause,
          outcome: c.outcome,
        })),
      ),
    ),
  };
}

/**
 * What keeps coming back and what worked, in words and cells; null for nobody on record. Movements show their newest
 * sessions, one of them every session.
 */
export function loadLedger(uc: UseCase, clientId: string, whole: string | null = null): LedgerView | null {
  const client = reachClient(uc, clientId);
  if (!client) return null;
  const movements = doneBy(uc, clientId, whole);
  const sayLoad = loadsOf(uc.db);
  return {
    client: { id: client.id, name: client.name },
    movements: movements.map((m) => toMovement(sayLoad, m, m.movement === whole)),
    unreadable: unreadableOf(uc.db, clientId),
  };
}

/** Every client's line: how much is on record, and the fault that weighs most. */
export function listLedgers(uc: UseCase): LedgerLine[] {
  const counts = countSets(uc.db);
  return reachClients(uc).map(({ id, name }) => {
    const ranked = [...watchedSets(uc.db, id).values()].flatMap((sets) => rankFaults(sets));
    const top = ranked.filter((f) => !f.cleared).toSorted((a, b) => b.weight - a.weight)[0];
    return { id, name, sets: counts.get(id) ?? 0, top: top?.fault ?? null };
  });
}
