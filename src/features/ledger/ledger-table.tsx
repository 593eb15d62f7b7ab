'use client';
import { Fragment, useState } from 'react';
import { entryOf } from '@/core/book/book';
import type { LedgerCell, LedgerFaultRow, LedgerMovementView, LedgerSessionView } from '@/contract/views/ledger';
import { Link } from '@/features/shell/link';
import { FAULT_TEXT, OUTCOME_TEXT } from '@/messages/faults';
import { movementName } from '@/messages/book';
import { countedIn } from '@/messages/live-set';
import { WORDS } from '@/messages/screens/ledger';
import { OUTCOME_SHAPE } from './outcome-shape';
import { RateBar } from './rate-bar';
import { SessionSets } from './session-sets';
import styles from './ledger.module.css';

/** Least and greatest mark, pixels: its area goes by the rate. */
const MARK_PX = [16, 38] as const;

interface CellProps {
  readonly cell: LedgerCell;
  readonly session: LedgerSessionView;
  readonly row: LedgerFaultRow;
  readonly open: boolean;
  readonly onOpen: () => void;
}

const sideText = (row: LedgerFaultRow): string => (row.side === null ? '' : `, ${row.side}`);

/** A fault in a session: the mark is as big as its rate, a sign where a correction came in and how it fared. */
function Cell({ cell, session, row, open, onOpen }: CellProps) {
  if (cell.sets === 0) return <td />;
  const px = Math.max(MARK_PX[0], Math.round(MARK_PX[1] * Math.sqrt(cell.seen / cell.sets)));
  return (
    <td>
      <button
        type="button"
        className={styles.cell}
        aria-expanded={open}
        aria-label={WORDS.cellOf(session.date, FAULT_TEXT[row.fault].seen + sideText(row), cell.seen, cell.sets)}
        onClick={onOpen}
      >
        {cell.seen > 0 ? (
          <span className={styles.mark} style={{ width: px, height: px }}>
            {cell.seen}
          </span>
        ) : (
          <span className={styles.none} aria-hidden />
        )}
        {cell.signs.map((s, k) => {
          const outcome = s.outcome ?? 'not-checked';
          return (
            <span key={k} className={styles.corrected}>
              <span aria-hidden>{OUTCOME_SHAPE[outcome]}</span>
              <span className="visually-hidden">{WORDS.corrected(OUTCOME_TEXT[outcome].toLowerCase())}</span>
            </span>
          );
        })}
        {cell.turned && <small>{WORDS.turned[cell.turned]}</small>}
      </button>
    </td>
  );
}

interface TableProps {
  readonly ledger: LedgerMovementView;
  readonly sessions: readonly LedgerSessionView[];
  readonly open: string | null;
  readonly onOpen: (key: string | null) => void;
}

/** Over the faults: when, what was lifted and how often. */
function SessionHeads({ sessions, open, onOpen }: TableProps) {
  return (
    <thead>
      <tr>
        <td />
        {sessions.map((s) => (
          <th key={s.sessionId} scope="col" className={styles.session}>
            <button
              type="button"
              aria-expanded={open === s.sessionId}
              onClick={() => onOpen(open === s.sessionId ? null : s.sessionId)}
            >
              {s.date}
            </button>
          </th>
        ))}
      </tr>
      <tr className={styles.did}>
        <th scope="row">{WORDS.heaviestReps}</th>
        {sessions.map((s) => (
          <td key={s.sessionId}>
            {s.load}
            <br />
            {s.reps}
          </td>
        ))}
      </tr>
    </thead>
  );
}

/** Faults down, a cell for every session. */
function FaultRows({ ledger, sessions, open, onOpen }: TableProps) {
  const columnOf = new Map(ledger.sessions.map((s, k) => [s.sessionId, k]));
  return (
    <tbody>
      {ledger.faults.map((f) => {
        const rowKey = `${f.fault} ${f.side ?? ''}`;
        return (
          <tr key={rowKey} data-cleared={f.cleared || undefined}>
            <th scope="row">
              <span>{FAULT_TEXT[f.fault].seen + sideText(f)}</span>
              <small>{f.summary}</small>
              {f.rate && <RateBar at={f.rate.seen} low={f.rate.low} high={f.rate.high} />}
            </th>
            {sessions.map((s) => {
              const key = `${s.sessionId} ${rowKey}`;
              return (
                <Cell
                  key={key}
                  cell={f.cells[columnOf.get(s.sessionId)!]!}
                  session={s}
                  row={f}
                  open={open === key}
                  onOpen={() => onOpen(open === key ? null : key)}
                />
              );
            })}
          </tr>
        );
      })}
      {ledger.faults.length === 0 && (
        <tr>
          <th scope="row">{WORDS.noFaultsOnRecord}</th>
        </tr>
      )}
    </tbody>
  );
}

/** What lies behind a mark or a date that was tapped. */
function Behind({ ledger, open }: { readonly ledger: LedgerMovementView; readonly open: string }) {
  const k = ledger.sessions.findIndex((s) => open === s.sessionId || open.startsWith(`${s.sessionId} `));
  const session = ledger.sessions[k];
  if (!session) return null;
  const rows = ledger.faults.filter((f) => open === session.sessionId || open.endsWith(` ${f.fault} ${f.side ?? ''}`));
  return <SessionSets movement={ledger.movement} session={session} rows={rows} column={k} />;
}

/** The faults of a movement over its sessions; a mark or a date tells the sets and reps behind it. */
function Faults({ ledger, clientId }: { readonly ledger: LedgerMovementView; readonly clientId: string }) {
  const [open, setOpen] = useState<string | null>(null);
  const sessions = ledger.sessions.filter((s) => s.sets.length > 0);
  const name = movementName(ledger.movement);
  return (
    <Fragment>
      {sessions.length > 0 && (
        <>
          <div className={styles.scroll} tabIndex={0} role="region" aria-label={WORDS.ledgerOf(name)}>
            <table className={styles.table}>
              <SessionHeads ledger={ledger} sessions={sessions} open={open} onOpen={setOpen} />
              <FaultRows ledger={ledger} sessions={sessions} open={open} onOpen={setOpen} />
            </table>
          </div>
          {open !== null && <Behind ledger={ledger} open={open} />}
          <Link className={styles.more} href={`/ledger/${clientId}/${ledger.movement}`}>
            {WORDS.courseOf}
          </Link>
        </>
      )}
    </Fragment>
  );
}

/** One movement: stops for pain, faults down and sessions across. */
export function LedgerTable({ ledger, clientId }: { readonly ledger: LedgerMovementView; readonly clientId: string }) {
  const pains = ledger.sessions.flatMap((s) => s.pains.map((p) => ({ ...p, date: s.date })));
  return (
    <>
      <h2 id={ledger.movement}>{movementName(ledger.movement)}</h2>
      {ledger.earlier > 0 && (
        <Link className={styles.more} href={`/ledger/${clientId}?all=${ledger.movement}#${ledger.movement}`}>
          {WORDS.earlierSessions(ledger.earlier)}
        </Link>
      )}
      {pains.map((p) => (
        <p key={p.id} className={styles.pain}>
          <b>
            {WORDS.stoppedForPain(p.date, p.rep > 0 ? WORDS.at(countedIn(entryOf(ledger.movement).work), p.rep) : '')}
          </b>{' '}
          {p.note || WORDS.noNote}
        </p>
      ))}
      <Faults ledger={ledger} clientId={clientId} />
    </>
  );
}
