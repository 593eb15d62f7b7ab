'use client';
import { NativeSelect } from '@mantine/core';
import type { Practice, PracticeChoice, PracticeQuestion } from '@/core/book/practice';
import type { ChosenBy } from '@/core/book/standing-practice';
import { isAsked, takenSide } from '@/core/book/practice-effect';
import type { Question } from '@/core/book/question';
import { CHOSEN_BY_TEXT, effectText, PRACTICE_TEXT } from '@/messages/practices';
import { usePracticeEffects } from '@/workers/use-practice-effects';
import styles from './movements.module.css';

interface Props {
  readonly practices: readonly Practice[];
  readonly chosen: PracticeChoice;
  /** Whose standing choice a side is. */
  readonly chosenBy: (question: PracticeQuestion) => ChosenBy;
  /** The question as it stands, for what another side would change; null while it has no answer. */
  readonly question: Question | null;
  readonly onChoose: (choice: PracticeChoice) => void;
}

/** What practitioners differ on: every side can be taken, why ours is ours, and what each other one changes here. */
export function PracticeFields({ practices, chosen, chosenBy, question, onChoose }: Props) {
  const effects = usePracticeEffects(question, practices);
  return practices
    .filter((p) => isAsked(p.question, effects))
    .map(({ question: asks, options, preset }) => {
      const text = PRACTICE_TEXT[asks];
      const by = chosenBy(asks);
      return (
        <div key={asks} className={styles.practice}>
          <NativeSelect
            label={text.asks}
            data={options.map((side) => ({
              value: side,
              label: `${text.options[side]}${side === preset ? ' (default)' : ''}`,
            }))}
            value={takenSide(asks, chosen)}
            onChange={(e) => onChoose({ [asks]: e.currentTarget.value })}
          />
          <p>{by ? CHOSEN_BY_TEXT[by] : text.why}</p>
          {(effects ?? [])
            .filter((e) => e.question === asks && e.side !== chosen[asks] && options.includes(e.side))
            .map((e) => (
              <p key={e.side} data-testid="practice-effect">
                {effectText(text.options[e.side]!, e.change)}
              </p>
            ))}
        </div>
      );
    });
}
