import type { Severity } from '@/core/fault/fault-book';
import { FAULT_TEXT } from '@/messages/faults';
import { SEVERITY_BARS } from './fault-pad';
import type { LiveSet } from './use-live-set';
import styles from './set.module.css';

const SEVERITIES: readonly Severity[] = [1, 2, 3];

/** Below the pad: how bad the last one was, and that the reps so far were clean. */
export function PadTools({ live }: { readonly live: LiveSet }) {
  const { open, last } = live;
  const marked = (open ?? last)?.faults.at(-1) ?? null;
  return (
    <div className={styles.padTools}>
      {marked && (
        <div className={styles.sides} role="radiogroup" aria-label={`How bad: ${FAULT_TEXT[marked.fault].pad}`}>
          {SEVERITIES.map((s) => (
            <button
              key={s}
              type="button"
              role="radio"
              aria-checked={marked.severity === s}
              className={styles.plain}
              onClick={() => void live.remark(s)}
            >
              {SEVERITY_BARS[s]}
            </button>
          ))}
        </div>
      )}
      {open && (
        <button type="button" className={styles.plain} data-testid="clean" onClick={() => void live.markClean()}>
          {open.cleanTo > 0 ? `Clean to rep ${open.cleanTo}` : 'Clean so far'}
        </button>
      )}
    </div>
  );
}
