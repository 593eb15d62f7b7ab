import type { ReactNode } from 'react';
import type { BookEntry } from '@/core/book/book-entry';
import { cautionsOf } from '@/core/book/entry-cautions';
import type { Reason } from '@/core/setup/reasons';
import { CAUTION } from '@/messages/cautions';
import { toVerdict } from '@/messages/reasons';
import styles from './setup.module.css';

interface Props {
  readonly entry: BookEntry;
  readonly reasons: readonly Reason[];
  /** Nobody weighed the client. */
  readonly massEstimated: boolean;
  /** Further rows. */
  readonly children?: ReactNode;
}

/** Numbers with their reasons, estimates dashed, and what can hurt at the end of a range beside it. */
export function VerdictList({ entry, reasons, massEstimated, children }: Props) {
  const atRange = cautionsOf(entry).flatMap((c) => (CAUTION[c].at === 'range' ? [CAUTION[c].text] : []));
  return (
    <dl className={styles.verdicts} data-testid="verdicts">
      {reasons
        .map((r) => toVerdict(r, massEstimated))
        .map((v) => (
          <div key={v.code} className={styles.verdict}>
            <dt className={v.estimated ? styles.estimated : undefined}>{v.figure}</dt>
            <dd>
              {v.text}
              {v.code === 'range' &&
                atRange.map((text) => (
                  <span key={text} className={styles.atLine}>
                    {text}
                  </span>
                ))}
            </dd>
          </div>
        ))}
      {children}
    </dl>
  );
}
