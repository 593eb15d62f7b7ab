import 'server-only';
import { BOOK, entryOf, type MovementId } from '@/core/book/book';
import { rankFaults, type WatchEntry } from '@/core/fault/watch-list';
import { foldSetLog, type PainMark, type SetRecord } from '@/core/record/set-log';
import type {
  LedgerCell,
  LedgerLine,
  LedgerMovementView,
  LedgerSessionView,
  LedgerView,
} from '@/contract/views/ledger';
import type { Session } from '@/contract/views/plan';
import type { Db } from '@/data/open-db';
import { listFloorEvents } from '@/data/queries/floor-events';
import { findStation } from '@/data/queries/kit';
import { plannedItemsOf } from '@/data/queries/sessions';
import { day } from '@/messages/day';
import { faultSummaryText } from '@/messages/faults';
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
}

/** What a client did, movement by movement in the order of the book; movements never done are left out. */
function doneBy(uc: UseCase, clientId: string) {
  const { db } = uc;
  const { rows, unreadable } = listFloorEvents(db, clientId, null);
  const planned = plannedItemsOf(db, clientId);
  const sessionsById = new Map(reachSessionsOf(uc, clientId).map((s) => [s.id, s]));
  const movements = BOOK.flatMap(({ id }): DoneMovement[] => {
    const log = foldSetLog(
      rows.filter((e) => e.movement === id),
      planned,
    );
    const sessionOf = (mark: { readonly itemId: string }): string => planned[mark.itemId]?.sessionId ?? mark.itemId;
    const ids = [...new Set([...log.sets, ...log.pains].map(sessionOf))];
    const sessions = ids.map((sessionId): DoneSession => {
      const session = sessionsById.get(sessionId) ?? null;
      const sets = log.sets.filter((s) => s.sessionId === sessionId);
      const pains = log.pains.filter((p) => sessionOf(p) === sessionId);
      const startsAtMs = session?.startsAtMs ?? sets[0]?.startedAtMs ?? pains[0]?.atMs ?? 0;
      return { sessionId, session, startsAtMs, sets, pains };
    });
    sessions.sort((a, b) => a.startsAtMs - b.startsAtMs);
    return ids.length === 0 ? [] : [{ movement: id, faults: rankFaults(log.sets), sessions }];
  });
  return { movements, unreadable };
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

/** A load as it is stamped where the set was done. */
function loadOf(db: Db, movement: MovementId, session: Session | null, set: SetRecord): string {
  const planned = session?.items.find((i) => i.id === set.itemId);
  const stationId = set.setup?.stationId ?? planned?.stationId ?? null;
  const station = stationId === null ? null : findStation(db, stationId);
  return loadText(set.loadG, loadUnit(db, session?.gymId ?? '', entryOf(movement), station));
}

function toSession(db: Db, movement: MovementId, s: DoneSession): LedgerSessionView {
  return {
    sessionId: s.sessionId,
    date: day(s.startsAtMs),
    sets: s.sets.map((set) => ({
      setId: set.setId,
      setNo: set.setNo,
      side: set.side === 'both' ? null : set.side,
      load: loadOf(db, movement, s.session, set),
      reps: set.reps,
      setup: set.setup && setupCellText(set.setup.placement),
      setupOff: set.setup?.off ?? false,
    })),
    pains: s.pains.map((p) => ({ id: p.id, rep: p.rep, note: p.note })),
  };
}

function toMovement(db: Db, { movement, faults, sessions }: DoneMovement): LedgerMovementView {
  const sets = sessions.flatMap((s) => s.sets);
  return {
    movement,
    sessions: sessions.map((s) => toSession(db, movement, s)),
    faults: faults.map((f) => ({
      fault: f.fault,
      cleared: f.cleared,
      summary: faultSummaryText(f),
      cells: sets.map((s) => toCell(s, f.fault)),
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

/** What keeps coming back and what worked, in words and cells; null for nobody on record. */
export function loadLedger(uc: UseCase, clientId: string): LedgerView | null {
  const client = reachClient(uc, clientId);
  if (!client) return null;
  const { movements, unreadable } = doneBy(uc, clientId);
  return {
    client: { id: client.id, name: client.name },
    movements: movements.map((m) => toMovement(uc.db, m)),
    unreadable,
  };
}

/** Every client's line: how much is on record, and the fault that weighs most. */
export const listLedgers = (uc: UseCase): LedgerLine[] =>
  reachClients(uc).map(({ id, name }) => {
    const { movements } = doneBy(uc, id);
    const open = movements.flatMap((m) => m.faults).filter((f) => !f.cleared);
    const top = open.toSorted((a, b) => b.weight - a.weight)[0];
    const sets = movements.flatMap((m) => m.sessions).reduce((n, s) => n + s.sets.length, 0);
    return { id, name, sets, top: top?.fault ?? null };
  });
