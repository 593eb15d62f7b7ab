import { CAUSE_NAME, CORRECTION_TEXT, FAULT_TEXT, OUTCOME_TEXT } from '@/messages/faults';
import type { LedgerMovementView } from '@/contract/views/ledger';
import { WORDS } from '@/messages/screens/ledger';
import { LedgerTable } from './ledger-table';
import { OUTCOME_SHAPE } from './outcome-shape';
import styles from './ledger.module.css';

interface Props {
  readonly ledger: LedgerMovementView;
}

/** How often each correction held, what works best first. */
function Effects({ ledger }: Props) {
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
function Corrections({ ledger }: Props) {
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

/** One movement of a ledger: its faults over the sessions, what was done about them, and how that fared. */
export function LedgerSection({ ledger, clientId }: Props & { readonly clientId: string }) {
  return (
    <section className={styles.movement}>
      <LedgerTable ledger={ledger} clientId={clientId} />
      <Effects ledger={ledger} />
      <Corrections ledger={ledger} />
    </section>
  );
}
