import { Alert } from '@mantine/core';
import { LOADED_PARTS } from '@/core/body/loaded-part';
import { kgToGrams, type LoadUnit } from '@/core/units/mass';
import type { LimitsView } from '@/contract/views/limits';
import { loadText } from '@/messages/loads';
import { missingLimitText } from '@/messages/notes';
import { ON_PART } from '@/messages/reasons';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

/** What a clinician allows today, and which notes want a limit that is not there. */
export function LimitNotes({ limits, unit }: { readonly limits: LimitsView; readonly unit: LoadUnit }) {
  const { limitsKg, missing } = limits;
  return (
    <>
      {LOADED_PARTS.map((part) => {
        const kg = limitsKg[part];
        return kg === null ? null : (
          <p key={part} className={styles.atPlates}>
            <b>{WORDS.cliniciansLimit}</b> {loadText(kgToGrams(kg), unit)} {ON_PART[part]}.
          </p>
        );
      })}
      {missing.length > 0 && <Alert className={styles.blocked}>{missingLimitText(missing)}</Alert>}
    </>
  );
}
