'use client';
import { Alert, NativeSelect } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { PracticeQuestionView, PracticeView } from '@/contract/views/practice';
import { PLAN_PRACTICES } from '@/core/book/standing-practice';
import { useDeed } from '@/features/shell/use-deed';
import { practiceName, STANDING_TEXT } from '@/messages/practices';
import { PRACTICE as WORDS } from '@/messages/screens/practice';
import { PracticeNumbers } from './practice-numbers';
import styles from './practice.module.css';

interface Props {
  readonly view: PracticeView;
  readonly keep: (typed: unknown) => Promise<SaveResult>;
}

/** What stands where nothing is chosen: the trainer's side, ours, or ours as the movement's curve decides. */
function belowText({ question, below, ours }: PracticeQuestionView): string {
  const { options } = STANDING_TEXT[question];
  if (below !== null) return WORDS.trainers(options[below] ?? below);
  return ours.length === 1 ? WORDS.oursIs(options[ours[0]!]!) : WORDS.oursByCurve;
}

/** One question: the side that stands, why ours is ours, and on demand what each side changes. */
function QuestionRow({ asked, view, keep }: Props & { readonly asked: PracticeQuestionView }) {
  const { question, sides, chosen } = asked;
  const { busy, trouble, run } = useDeed();
  const [isOpen, setOpen] = useState(false);
  const text = STANDING_TEXT[question];
  return (
    <li data-question={question} data-chosen={chosen !== null || undefined}>
      <NativeSelect
        label={practiceName(question)}
        disabled={busy}
        value={chosen ?? ''}
        data={[
          { value: '', label: belowText(asked) },
          ...sides.map((side) => ({ value: side, label: text.options[side]! })),
        ]}
        onChange={(e) => {
          const side = e.currentTarget.value;
          run(() => keep({ question, side }));
        }}
      />
      <p>{text.why}</p>
      {trouble && <Alert>{trouble}</Alert>}
      {view.numbers && (
        <details onToggle={(e) => setOpen(e.currentTarget.open)}>
          <summary>{WORDS.changesFor(view.numbers.clientName)}</summary>
          {isOpen && <PracticeNumbers numbers={view.numbers} asks={question} />}
        </details>
      )}
    </li>
  );
}

/** Sides taken once where practitioners differ, for a client or for all of a trainer's. */
export function PracticeSheet({ view, keep }: Props) {
  const router = useRouter();
  const parts = [
    [WORDS.ofPlans, view.questions.filter((q) => q.question in PLAN_PRACTICES)],
    [WORDS.ofMovements, view.questions.filter((q) => !(q.question in PLAN_PRACTICES))],
  ] as const;
  return (
    <>
      <p className={styles.intro}>{WORDS.introOf[view.of]}</p>
      {view.of === 'trainer' &&
        (view.clientId === null ? (
          <p className={styles.intro}>{WORDS.nobody}</p>
        ) : (
          <NativeSelect
            className={styles.who}
            label={WORDS.numbersFor}
            value={view.clientId}
            data={[...view.clients]}
            onChange={(e) => router.push(`/account/practice?client=${e.currentTarget.value}`)}
          />
        ))}
      {parts.map(([title, questions]) => (
        <section key={title} aria-label={title}>
          <h2>{title}</h2>
          <ul className={styles.questions}>
            {questions.map((asked) => (
              <QuestionRow key={`${asked.question} ${view.clientId}`} asked={asked} view={view} keep={keep} />
            ))}
          </ul>
        </section>
      ))}
    </>
  );
}
