'use client';
import { useMemo } from 'react';
import type { PracticeNumbers as Numbers } from '@/contract/views/practice';
import { BOOK, findEntry } from '@/core/book/book';
import { WORTH_PRACTICES } from '@/core/book/book-entry';
import { practicesOf, PRACTICE_QUESTIONS, type PracticeQuestion } from '@/core/book/practice';
import type { Question } from '@/core/book/question';
import { PLAN_PRACTICES, type StandingQuestion } from '@/core/book/standing-practice';
import type { Region } from '@/core/body/region-line';
import type { Muscle } from '@/core/week/muscle';
import { sideSetsFor } from '@/core/week/week-sets';
import { usedMovements } from '@/features/plan/used-movements';
import { doneName, movementName } from '@/messages/book';
import { choiceText } from '@/messages/choosing';
import { effectText, PLAN_PRACTICE_TEXT, STANDING_TEXT } from '@/messages/practices';
import { PRACTICE as WORDS } from '@/messages/screens/practice';
import { setsText } from '@/messages/week';
import { useChoose } from '@/workers/use-choose';
import { usePracticeEffects } from '@/workers/use-practice-effects';
import styles from './practice.module.css';

/** So many movements are worked out for one question. */
const MOST_SHOWN = 3;

/** What each share of the deltoid's sets asks of the week. */
function DeltoidNumbers({ numbers }: { readonly numbers: Numbers }) {
  const has = (muscle: Muscle): number => numbers.week.find((m) => m.muscle === muscle)?.all ?? 0;
  const others = setsText(has('deltoid-front') + has('deltoid-rear'));
  return PLAN_PRACTICES['deltoid-share'].map((side) => (
    <p key={side}>
      {WORDS.sideSets(
        PLAN_PRACTICE_TEXT['deltoid-share'].options[side]!,
        setsText(sideSetsFor(side, numbers.week)),
        others,
        setsText(has('deltoid-side')),
      )}
    </p>
  ));
}

function TurnsNumbers({ numbers }: { readonly numbers: Numbers }) {
  const { turns, clientName } = numbers;
  if (!turns) return <p>{WORDS.noTurns(clientName)}</p>;
  const [oneFirst, inTurns] = [turns.oneFirstS, turns.inTurnsS].map((s) => Math.round(s / 60)) as [number, number];
  return <p data-estimated>{WORDS.turns(turns.when, oneFirst, inTurns)}</p>;
}

/** What the movements of a kind make their region do, beside the best that it has here. */
function WorthOf(props: {
  readonly region: Region;
  readonly kind: (typeof WORTH_PRACTICES)[number];
  readonly input: NonNullable<Numbers['choosing']>;
}) {
  const { region, kind, input } = props;
  const { choices, failed } = useChoose(region, input);
  if (failed) return <p role="alert">{WORDS.failed}</p>;
  if (!choices) return <p role="status">{WORDS.working}</p>;
  const usable = choices.filter((c) => c.direct && !c.objection);
  const isOfKind = (id: string): boolean => BOOK.some((e) => e.id === id && e.raises.includes(kind));
  const best = usable.find((c) => !isOfKind(c.id));
  return [...usable.filter((c) => isOfKind(c.id)), ...(best ? [best] : [])].map((c) => (
    <p key={c.id} data-testid="worth">
      {movementName(c.id)}: {choiceText(c)}
    </p>
  ));
}

function WorthNumbers({
  numbers,
  kind,
}: {
  readonly numbers: Numbers;
  readonly kind: (typeof WORTH_PRACTICES)[number];
}) {
  const regions = [...new Set(BOOK.filter((e) => e.raises.includes(kind)).map((e) => e.target))];
  const { choosing } = numbers;
  if (!choosing) return <p>{WORDS.noGym}</p>;
  return regions.map((region) => <WorthOf key={region} region={region} kind={kind} input={choosing} />);
}

/** What the other sides of a question change in one movement as it is set up. */
function MovementNumbers(props: {
  readonly question: Question;
  readonly asks: PracticeQuestion;
  readonly notes: Numbers['notes'];
}) {
  const { question, asks, notes } = props;
  const practices = useMemo(
    () => practicesOf(question.own, notes, 1).filter((p) => p.question === asks),
    [question, asks, notes],
  );
  const effects = usePracticeEffects(question, practices);
  const { id } = question.entry;
  const taken = question.options.practices[asks];
  return (
    <li data-movement={id}>
      <b>{doneName(id, question.side)}</b>
      {taken && <span>{STANDING_TEXT[asks].options[taken]}</span>}
      {effects === null ? (
        <p role="status">{WORDS.working}</p>
      ) : (
        effects.map((e) => <p key={e.side}>{effectText(STANDING_TEXT[asks].options[e.side]!, e.change)}</p>)
      )}
      {effects?.length === 0 && <p>{WORDS.noMove}</p>}
    </li>
  );
}

function MovementsNumbers({ numbers, asks }: { readonly numbers: Numbers; readonly asks: PracticeQuestion }) {
  const { used, notes, clientName } = numbers;
  const questions = useMemo(() => {
    const raises = ({ setupCase }: (typeof used)[number]): boolean => {
      const entry = findEntry(setupCase.movement);
      return entry !== null && practicesOf(entry, notes, 1).some((p) => p.question === asks);
    };
    return usedMovements(used.filter(raises).slice(-MOST_SHOWN)).map((u) => u.question);
  }, [used, notes, asks]);
  if (questions.length === 0) return <p>{WORDS.noneRaises(clientName)}</p>;
  return (
    <ul className={styles.movements}>
      {questions.map((q) => (
        <MovementNumbers key={q.entry.id} question={q} asks={asks} notes={notes} />
      ))}
    </ul>
  );
}

/** What the sides of a question change for one client. */
export function PracticeNumbers({ numbers, asks }: { readonly numbers: Numbers; readonly asks: StandingQuestion }) {
  if (asks === 'deltoid-share') return <DeltoidNumbers numbers={numbers} />;
  if (asks === 'opposite-muscles') return <TurnsNumbers numbers={numbers} />;
  const kind = WORTH_PRACTICES.find((k) => k === asks);
  if (kind) return <WorthNumbers numbers={numbers} kind={kind} />;
  return <MovementsNumbers numbers={numbers} asks={PRACTICE_QUESTIONS.find((q) => q === asks)!} />;
}
