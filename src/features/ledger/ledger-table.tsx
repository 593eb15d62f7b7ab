import Link from 'next/link';
import { CAUSE_NAME, CORRECTION_TEXT, FAULT_TEXT, OUTCOME_TEXT } from '@/messages/faults';
import { movementName } from '@/messages/book';
import type { LedgerCell, LedgerMovementView } from '@/contract/views/ledger';
import { WORDS } from '@/messages/screens/ledger';
import styles from './ledger.module.css';

/** How a correction fared, as a shape: full when it held, half, crossed out, open while nobody looked. */
const OUTCOME_SHAPE = { held: '■', partly: '◧', not: '☒', 'not-checked': '□' } as const;

function Cell({ cell }: { readonly cell: LedgerCell }) {
  const n = cell.reps.length;
  const outcome = cell.correction?.outcome ?? 'not-checked';
  return (
    <td>
      {n > 0 && (
        <span className={styles.mark} style={{ fontSize: `${Math.min(22, 14 + n)}px` }}>
          {cell.reps.map((r) => (r === 0 ? 'all' : r)).join(' ')}
          {cell.side && <small>{cell.side === 'left' ? ' L' : ' R'}</small>}
        </span>
      )}
      {cell.correction && (
        <span
          className={styles.corrected}
          title={`${CORRECTION_TEXT[cell.correction.code]}: ${OUTCOME_TEXT[outcome].toLowerCase()}`}
        >
          <span aria-hidden>{OUTCOME_SHAPE[outcome]}</span>
          <span className="visually-hidden">{WORDS.corrected(OUTCOME_TEXT[outcome].toLowerCase())}</span>
        </span>
      )}
    </td>
  );
}

type LedgerProps = { readonly ledger: LedgerMovementView };
type WholeProps = LedgerProps & { readonly clientId: string };

/** Over the faults: when, which set, what was lifted and where it stood. */
function SetHeads({ ledger }: LedgerProps) {
  const sets = ledger.sessions.flatMap((s) => s.sets);
  return (
    <thead>
      <tr>
        <td />
        {ledger.sessions
          .filter((s) => s.sets.length > 0)
          .map((s) => (
            <th key={s.sessionId} colSpan={s.sets.length} scope="colgroup" className={styles.session}>
              {s.date}
            </th>
          ))}
      </tr>
      <tr>
        <th scope="row">{WORDS.set}</th>
        {sets.map((s) => (
          <th key={s.setId} scope="col">
            {s.setNo}
            {s.side && <small>{s.side === 'left' ? ' L' : ' R'}</small>}
          </th>
        ))}
      </tr>
      <tr className={styles.did}>
        <th scope="row">{WORDS.loadReps}</th>
        {sets.map((s) => (
          <td key={s.setId}>
            {s.load}
            <br />× {s.reps}
          </td>
        ))}
      </tr>
      <tr className={styles.did}>
        <th scope="row">{WORDS.setUpUsed}</th>
        {sets.map((s) => (
          <td key={s.setId}>
            {s.setup ?? WORDS.notSaved}
            {s.setupOff && <b> {WORDS.off}</b>}
          </td>
        ))}
      </tr>
    </thead>
  );
}

/** Faults down, a cell for every set. */
function FaultRows({ ledger }: LedgerProps) {
  const sets = ledger.sessions.flatMap((s) => s.sets);
  return (
    <tbody>
      {ledger.faults.map((f) => (
        <tr key={f.fault} data-cleared={f.cleared || undefined}>
          <th scope="row">
            {FAULT_TEXT[f.fault].seen}
            <small>{f.summary}</small>
          </th>
          {f.cells.map((c, i) => (
            <Cell key={sets[i]!.setId} cell={c} />
          ))}
        </tr>
      ))}
      {ledger.faults.length === 0 && (
        <tr>
          <th scope="row">{WORDS.noFaultsOnRecord}</th>
        </tr>
      )}
    </tbody>
  );
}

/** How often each correction held, what works best first. */
function Effects({ ledger }: LedgerProps) {
  if (ledger.effects.length === 0) return null;
  return (
    <>
      <h3>{WORDS.howCorrectionsFared}</h3>
      <ul className={styles.corrections}>
        {ledger.effects.map((e) => (
          <li key={`${e.fault} ${e.code}`}>
            <b>{CORRECTION_TEXT[e.code]}</b>
            <span>{WORDS.forFault(FAULT_TEXT[e.fault].seen)}</span>
            <span>{e.says}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** What was done about the faults, and how it fared. */
function Corrections({ ledger }: LedgerProps) {
  if (ledger.corrections.length === 0) return null;
  return (
    <>
      <h3>{WORDS.correctionsGiven}</h3>
      <ul className={styles.corrections}>
        {ledger.corrections.map((c) => (
          <li key={c.id}>
            <span>{c.when}</span>
            <b>{CORRECTION_TEXT[c.code]}</b>
            <span>{WORDS.forJudged(FAULT_TEXT[c.fault].seen, CAUSE_NAME[c.cause])}</span>
            <b>
              <span aria-hidden>{OUTCOME_SHAPE[c.outcome ?? 'not-checked']}</span>{' '}
              {c.outcome ? OUTCOME_TEXT[c.outcome].toLowerCase() : WORDS.notAskedYet}
            </b>
          </li>
        ))}
      </ul>
    </>
  );
}

/**
 * One movement: faults down, sets across by session, the rep numbers in the cells, corrections where they were given.
 */
export function LedgerTable({ ledger, clientId }: WholeProps) {
  const name = movementName(ledger.movement);
  const pains = ledger.sessions.flatMap((s) => s.pains.map((p) => ({ ...p, date: s.date })));
  return (
    <section className={styles.movement}>
      <h2 id={ledger.movement}>{name}</h2>
      {ledger.earlier > 0 && (
        <Link
          className={styles.earlier}
          href={`/ledger/${clientId}?all=${ledger.movement}#${ledger.movement}`}
          prefetch={false}
        >
          {WORDS.earlierSessions(ledger.earlier)}
        </Link>
      )}
      {pains.map((p) => (
        <p key={p.id} className={styles.pain}>
          <b>{WORDS.stoppedForPain(p.date, p.rep > 0 ? WORDS.atRep(p.rep) : '')}</b> {p.note || WORDS.noNote}
        </p>
      ))}
      {ledger.sessions.some((s) => s.sets.length > 0) && (
        <div className={styles.scroll} tabIndex={0} role="region" aria-label={WORDS.ledgerOf(name)}>
          <table className={styles.table}>
            <SetHeads ledger={ledger} />
            <FaultRows ledger={ledger} />
          </table>
        </div>
      )}
      <Effects ledger={ledger} />
      <Corrections ledger={ledger} />
    </section>
  );
}
