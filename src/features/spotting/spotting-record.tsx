import { PERTURBATION } from '@/core/fault/perturbation';
import { ENOUGH_SHOWN, type SpottedFault } from '@/core/spotting/spotting-record';
import { faultSizeText, FAULT_TEXT } from '@/messages/faults';
import { WORDS } from '@/messages/screens/spotting';
import styles from './spotting.module.css';

/** How well one fault is told from its absence. */
function dPrimeText({ few, signals, sensitivity }: SpottedFault): string {
  if (few) return WORDS.few(ENOUGH_SHOWN - signals);
  if (!sensitivity) return WORDS.notYet;
  return WORDS.dPrimeOf(sensitivity.dPrime, sensitivity.low, sensitivity.high);
}

/** What a trainer sees and misses, what is missed first. */
export function SpottingRecord({ record }: { readonly record: readonly SpottedFault[] }) {
  if (record.length === 0) return <p className={styles.quiet}>{WORDS.noRecord}</p>;
  return (
    <div className={styles.wide} tabIndex={0} role="group" aria-label={WORDS.record}>
      <table className={styles.record} data-testid="spotting-record">
        <thead>
          <tr>
            {[WORDS.fault, WORDS.seen, WORDS.falseAlarms, WORDS.dPrime, WORDS.seenFrom, WORDS.time].map((h) => (
              <th key={h} scope="col">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {record.map((f) => {
            const p = PERTURBATION[f.fault];
            return (
              <tr key={f.fault} data-fault={f.fault}>
                <th scope="row">
                  {FAULT_TEXT[f.fault].seen}
                  {f.isMissed && <em>{WORDS.isMissed}</em>}
                </th>
                <td>{WORDS.seenOf(f.hits, f.signals)}</td>
                <td>{WORDS.seenOf(f.falseAlarms, f.noises)}</td>
                <td>{dPrimeText(f)}</td>
                <td>
                  {f.seenFrom !== null && p
                    ? WORDS.fromUsual(faultSizeText(p, f.seenFrom), faultSizeText(p, p.usual))
                    : p && f.isMissed
                      ? WORDS.notEven(faultSizeText(p, p.most))
                      : WORDS.notYet}
                </td>
                <td>{f.tookMs === null ? WORDS.noTime : WORDS.seconds(f.tookMs / 1000)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className={styles.quiet}>{WORDS.howToRead}</p>
    </div>
  );
}
