'use client';
import { NativeSelect } from '@mantine/core';
import type { Practice, PracticeChoice } from '@/core/book/practice';
import { PRACTICE_TEXT } from '@/messages/practices';
import { WORDS } from '@/messages/screens/movements';
import styles from './movements.module.css';

interface Props {
  readonly practices: readonly Practice[];
  readonly chosen: PracticeChoice;
  readonly disabled: boolean;
  readonly onChoose: (choice: PracticeChoice) => void;
}

/** What practitioners differ on: every side can be taken, and why ours is ours. */
export function PracticeFields({ practices, chosen, disabled, onChoose }: Props) {
  if (practices.length === 0) return null;
  return (
    <section aria-label={WORDS.wherePractitionersDiffer}>
      <fieldset className={styles.practices} disabled={disabled}>
        {practices.map(({ question, options, preset }) => (
          <div key={question}>
            <NativeSelect
              label={PRACTICE_TEXT[question].asks}
              data={options.map((side) => ({
                value: side,
                label: `${PRACTICE_TEXT[question].options[side]}${side === preset ? ' (default)' : ''}`,
              }))}
              value={chosen[question] ?? preset}
              onChange={(e) => onChoose({ [question]: e.currentTarget.value })}
            />
            <p>{PRACTICE_TEXT[question].why}</p>
          </div>
        ))}
      </fieldset>
    </section>
  );
}
