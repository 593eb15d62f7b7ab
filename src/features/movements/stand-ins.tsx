'use client';
import type { QuestionAnswer } from '@/core/book/answer-question';
import type { BookEntry } from '@/core/book/book-entry';
import { Link } from '@/features/shell/link';
import { movementName } from '@/messages/book';
import { standInCurveText } from '@/messages/movements';
import { WORDS } from '@/messages/screens/movements';
import styles from './movements.module.css';

interface Props {
  readonly own: BookEntry;
  /** Client and gym, for the links. */
  readonly query: string;
  readonly shown: string | null;
  readonly answer: QuestionAnswer | null;
  readonly disabled: boolean;
  readonly onShow: (id: string | null) => void;
}

/** What stands in for a movement, each with its curve laid beside this one at a tap. */
export function StandIns({ own, query, shown, answer, disabled, onShow }: Props) {
  if (own.standIns.length === 0) return null;
  return (
    <>
      <h2>{WORDS.standsInForIt}</h2>
      <ul className={styles.standInList}>
        {own.standIns.map((s) => (
          <li key={s}>
            <Link href={`/movements/${s}${query}`}>{movementName(s)}</Link>
            <button
              type="button"
              aria-pressed={s === shown}
              disabled={disabled}
              aria-label={WORDS.curveOfBesideThisOne(movementName(s))}
              onClick={() => onShow(s === shown ? null : s)}
            >
              {WORDS.curve}
            </button>
            {s === shown && answer && <span>{standInCurveText(answer)}</span>}
          </li>
        ))}
      </ul>
    </>
  );
}
