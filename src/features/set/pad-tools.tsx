import type { Severity } from '@/core/movement/fault-code';
import { ChoiceRow } from '@/features/shell/choice-row';
import { FAULT_TEXT, SEVERITY_TEXT } from '@/messages/faults';
import { countedIn } from '@/messages/live-set';
import type { LiveSet } from './live-set-view';
import type { Give } from './use-live-set';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

const SEVERITIES = ['1', '2', '3'] as const;
const toSeverity = (s: (typeof SEVERITIES)[number]): Severity => Number(s) as Severity;

/** Below the pad: how bad the last one was, and that the reps so far were clean. */
export function PadTools({ live, give }: { readonly live: LiveSet; readonly give: Give }) {
  const { open, last } = live;
  const marked = last?.faults.at(-1) ?? null;
  return (
    <div className={styles.padTools}>
      {marked && (
        <ChoiceRow
          className={styles.sides}
          optionClassName={styles.plain}
          label={WORDS.howBad(FAULT_TEXT[marked.fault].pad)}
          value={String(marked.severity) as (typeof SEVERITIES)[number]}
          options={SEVERITIES.map((value) => ({ value, label: SEVERITY_TEXT[toSeverity(value)] }))}
          onChange={(s) => void give({ do: 'remark', severity: toSeverity(s) })}
        />
      )}
      {open && (
        <button type="button" className={styles.plain} data-testid="clean" onClick={() => void give({ do: 'clean' })}>
          {open.cleanTo > 0 ? WORDS.cleanTo(countedIn(live.movement.work), open.cleanTo) : WORDS.cleanSoFar}
        </button>
      )}
    </div>
  );
}
