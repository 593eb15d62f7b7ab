import type { SetRecord } from '@/core/fault/set-log';
import { day } from '@/features/shell/day';
import type { LedgerCell, LedgerMovementView } from '@/features/ledger/ledger-view';
import type { MovementLedger } from '@/server/ledger';

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

/** A ledger in words and cells, rendered on the server so that dates are the gym's. */
export function toLedgerView(ledger: readonly MovementLedger[]): LedgerMovementView[] {
  return ledger.map((m) => {
    const sets = m.sessions.flatMap((s) => s.sets);
    return {
      movement: m.movement,
      sessions: m.sessions.map((s) => ({
        itemId: s.itemId,
        date: day(s.startsAtMs),
        sets: s.sets.map((x) => ({
          setId: x.setId,
          setNo: x.setNo,
          load: String(Math.round(x.loadG / 10) / 100),
          reps: x.reps,
          setup: x.setup?.placement
            ? `hole ${x.setup.placement.hole}, ${Math.round(x.setup.placement.standX * 100)} cm`
            : null,
          setupOff: x.setup?.off ?? false,
        })),
        pains: s.pains.map((p) => ({ id: p.id, rep: p.rep, note: p.note })),
      })),
      faults: m.faults.map((f) => ({
        fault: f.fault,
        cleared: f.cleared,
        summary: f.cleared
          ? `cleared, ${f.setsSince} sets without`
          : `${f.setsSeen} of ${f.sets} sets${f.setsSince > 0 ? `, ${f.setsSince} since` : ''}`,
        cells: sets.map((s) => toCell(s, f.fault)),
      })),
      corrections: m.sessions.flatMap((s) =>
        s.sets.flatMap((x) =>
          x.corrections.map((c) => ({
            id: c.id,
            when: `${day(s.startsAtMs)}, after set ${x.setNo}`,
            fault: c.fault,
            code: c.correction,
            cause: c.cause,
            outcome: c.outcome,
          })),
        ),
      ),
    };
  });
}
