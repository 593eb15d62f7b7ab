import { entryOf, type MovementId } from '@/core/book/book';
import type { LedgerFaultRow, LedgerSessionView } from '@/contract/views/ledger';
import { CORRECTION_TEXT, FAULT_TEXT, OUTCOME_TEXT, repText } from '@/messages/faults';
import { countedIn } from '@/messages/live-set';
import { WORDS } from '@/messages/screens/ledger';
import { KeptTrace } from './kept-trace';
import styles from './ledger.module.css';

interface Props {
  readonly movement: MovementId;
  readonly session: LedgerSessionView;
  /** The faults that are told. */
  readonly rows: readonly LedgerFaultRow[];
  /** Which of their cells this session is. */
  readonly column: number;
}

/** What was seen and given in one set. */
function SetFaults({ movement, rows, column, setId }: Omit<Props, 'session'> & { readonly setId: string }) {
  const told = rows.flatMap((row) => {
    const cell = row.cells[column]!;
    const mark = cell.marks.find((m) => m.setId === setId);
    const signs = cell.signs.filter((s) => s.setId === setId);
    return mark || signs.length > 0 ? [{ row, mark, signs }] : [];
  });
  if (told.length === 0) return <span>{WORDS.notSeen}</span>;
  return told.map(({ row, mark, signs }) => (
    <span key={row.fault}>
      {mark &&
        WORDS.faultAt(FAULT_TEXT[row.fault].seen, repText(mark.reps, countedIn(entryOf(movement).work)), mark.side)}
      {signs.map((s, k) => (
        <b key={k}>
          {' '}
          {WORDS.given(CORRECTION_TEXT[s.code], s.outcome ? OUTCOME_TEXT[s.outcome].toLowerCase() : WORDS.notAskedYet)}
        </b>
      ))}
    </span>
  ));
}

/** The sets of a session, each with its load, set-up, and the reps that a fault was seen in. */
export function SessionSets({ movement, session, rows, column }: Props) {
  const sides = new Set(rows.map((r) => r.side));
  const sets = session.sets.filter((s) => sides.has(null) || sides.has(s.side) || rows.length === 0);
  return (
    <section className={styles.behind} aria-label={WORDS.setsOf(session.date)} aria-live="polite">
      <h3>{WORDS.setsOf(session.date)}</h3>
      <ol>
        {sets.map((s) => (
          <li key={s.setId}>
            <b>{WORDS.setOf(s.setNo, s.side)}</b>
            <span>{WORDS.loadTimes(s.load, s.reps)}</span>
            <span>
              {s.setup ?? WORDS.setUpNotSaved}
              {s.setupOff && <b> {WORDS.off}</b>}
            </span>
            <span>
              <SetFaults movement={movement} rows={rows} column={column} setId={s.setId} />
            </span>
            {s.isTraced && <KeptTrace movement={movement} set={s} />}
          </li>
        ))}
      </ol>
    </section>
  );
}
