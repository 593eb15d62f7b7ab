import 'server-only';
import type { Side, WorkingSide } from '@/core/body/side';
import { faultCourse } from '@/core/fault/fault-course';
import { wilsonInterval } from '@/core/fault/interval';
import type { FaultCode } from '@/core/movement/fault-code';
import { groupBy } from '@/core/record/group-by';
import { BOOK, entryOf, type MovementId } from '@/core/book/book';
import { correctionEffects } from '@/core/fault/correction-effect';
import { rankFaults, WINDOW_SESSIONS, type WatchEntry } from '@/core/fault/watch-list';
import type { PainMark, SetRecord } from '@/core/record/set-log';
import type {
  LedgerCell,
  LedgerFaultRow,
  LedgerLine,
  LedgerMovementView,
  LedgerSessionView,
  LedgerView,
} from '@/contract/views/ledger';
import type { Session } from '@/contract/views/plan';
import type { LoadUnit } from '@/core/units/mass';
import type { Db } from '@/data/open-db';
import { inShort, readNewest } from '@/data/queries/newest-records';
import { everDone, unreadableOf } from '@/data/queries/read-folds';
import { findStation } from '@/data/queries/kit';
import { tracedSets } from '@/data/queries/traces';
import { dayIn } from '@/messages/day';
import { effectText, faultSummaryText, FEW_SETS } from '@/messages/faults';
import { loadText } from '@/messages/loads';
import { setupCellText } from '@/messages/setup-book';
import { loadUnit } from './load-steps';
import { reachClient, reachClients, reachSessionsWith } from './reach';
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
  const { items, byMovement } = readNewest(uc.db, clientId, whole);
  const ever = everDone(uc.db, clientId);
  const sessionsById = new Map(reachSessionsWith(uc, clientId, items).map((s) => [s.id, s]));
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

/** Says loads as they are stamped where the set was done; each place is looked up once. */
export function loadsOf(db: Db) {
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

/** The sets of one side, or of a movement that works both at once. */
interface OneSide {
  readonly side: Side | null;
  readonly sets: readonly SetRecord[];
}

/** A movement's sets, left and right apart where one side works. */
export function sidesOf(sets: readonly SetRecord[]): readonly OneSide[] {
  const of = (side: WorkingSide): OneSide => ({
    side: side === 'both' ? null : side,
    sets: sets.filter((s) => s.side === side),
  });
  return (['both', 'left', 'right'] as const).map(of).filter((o) => o.sets.length > 0);
}

/** What a fault did in a session's sets of one side. */
function toCell(own: readonly SetRecord[], fault: FaultCode, turned: LedgerCell['turned']): LedgerCell {
  const marks = own.flatMap(({ setId, faults }) => {
    const seen = faults.filter((f) => f.fault === fault);
    const sides = [...new Set(seen.map((m) => m.side))];
    const side = sides.length === 1 && sides[0] !== 'both' ? sides[0]! : null;
    const reps = [...new Set(seen.map((m) => m.rep))].sort((a, b) => a - b);
    return seen.length === 0 ? [] : [{ setId, reps, side }];
  });
  const signs = own.flatMap((s) =>
    s.corrections
      .filter((c) => c.fault === fault)
      .map((c) => ({ setId: s.setId, code: c.correction, outcome: c.outcome })),
  );
  return { seen: marks.length, sets: own.length, turned, marks, signs };
}

/** A fault over the sessions that are shown; its course is of all that are told. */
function toRow({ side, sets }: OneSide, f: WatchEntry, shown: readonly DoneSession[]): LedgerFaultRow {
  const { sessions, trend } = faultCourse(sets, f.fault);
  const turned = new Map(sessions.map((s) => [s.sessionId, s.turned]));
  const likely = f.cleared || f.sets < FEW_SETS ? null : wilsonInterval(f.setsSeen, f.sets);
  return {
    fault: f.fault,
    side,
    cleared: f.cleared,
    summary: faultSummaryText({ ...f, trend, likely }),
    rate: likely && { seen: f.setsSeen / f.sets, ...likely },
    cells: shown.map((s) =>
      toCell(
        s.sets.filter((set) => side === null || set.side === side),
        f.fault,
        turned.get(s.sessionId) ?? null,
      ),
    ),
  };
}

/** Every fault of a movement, heaviest first, left and right of one under each other. */
function toRows({ faults, sessions: all }: DoneMovement, shown: readonly DoneSession[]): LedgerFaultRow[] {
  const sides = sidesOf(all.flatMap((s) => s.sets));
  const bySide = sides.map((o) => ({ ...o, ranked: rankFaults(o.sets) }));
  return faults.flatMap((f) => {
    const rows = bySide.flatMap(({ ranked, ...own }) => {
      const entry = ranked.find((r) => r.fault === f.fault);
      return entry ? [toRow(own, entry, shown)] : [];
    });
    // Seen in sessions before those alone.
    return rows.length > 0 ? rows : [toRow({ side: null, sets: [] }, f, shown)];
  });
}

const ofSets = (sets: readonly SetRecord[]): string => sets.map((s) => s.reps).join(' ');

/** What sessions are told with. */
interface Told {
  readonly sayLoad: SayLoad;
  /** Sets that a trace is kept of. */
  readonly traced: ReadonlySet<string>;
  readonly nowMs: number;
}

function toSession(told: Told, movement: MovementId, s: DoneSession): LedgerSessionView {
  const { sayLoad, nowMs } = told;
  const heaviest = s.sets.toSorted((a, b) => b.loadG - a.loadG)[0];
  return {
    sessionId: s.sessionId,
    date: dayIn(s.startsAtMs, nowMs),
    load: heaviest ? sayLoad(movement, s.session, heaviest) : '',
    reps: sidesOf(s.sets)
      .map((o) => (o.side === null ? ofSets(o.sets) : `${o.side === 'left' ? 'L' : 'R'} ${ofSets(o.sets)}`))
      .join(', '),
    sets: s.sets.map((set) => ({
      itemId: set.itemId,
      setId: set.setId,
      setNo: set.setNo,
      side: set.side === 'both' ? null : set.side,
      load: sayLoad(movement, s.session, set),
      reps: set.reps,
      setup: set.setup && setupCellText(set.setup.placement),
      setupOff: set.setup?.off ?? false,
      tempo: set.tempo,
      isTraced: told.traced.has(set.setId),
    })),
    pains: s.pains.map((p) => ({ id: p.id, rep: p.rep, note: p.note })),
  };
}

function toMovement(told: Told, done: DoneMovement, whole: boolean): LedgerMovementView {
  const { nowMs } = told;
  const { movement, sessions: all, earlier } = done;
  const sessions = whole ? all : all.slice(-WINDOW_SESSIONS);
  return {
    movement,
    earlier: earlier + all.length - sessions.length,
    sessions: sessions.map((s) => toSession(told, movement, s)),
    faults: toRows(done, sessions),
    effects: correctionEffects(all.flatMap((s) => s.sets.flatMap((set) => set.corrections))).map((e) => ({
      fault: e.fault,
      code: e.correction,
      says: effectText(e),
    })),
    corrections: sessions.flatMap((s) =>
      s.sets.flatMap((set) =>
        set.corrections.map((c) => ({
          id: c.id,
          when: `${dayIn(s.startsAtMs, nowMs)}, after set ${set.setNo}`,
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
  const items = movements.flatMap((m) => m.sessions.flatMap((s) => s.sets.map((set) => set.itemId)));
  const told = { sayLoad: loadsOf(uc.db), traced: tracedSets(uc.db, [...new Set(items)]), nowMs: uc.nowMs };
  return {
    client: { id: client.id, name: client.name },
    movements: movements.map((m) => toMovement(told, m, m.movement === whole)),
    unreadable: unreadableOf(uc.db, clientId),
  };
}

/** Every client's line: how much is on record, and the fault that weighs most. */
export function listLedgers(uc: UseCase): LedgerLine[] {
  return reachClients(uc).map(({ id, name }) => {
    const { sets, top } = inShort(uc.db, id);
    return { id, name, sets, top: top?.fault ?? null };
  });
}
