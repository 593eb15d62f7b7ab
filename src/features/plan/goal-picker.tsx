'use client';
import type { Region } from '@/core/body/region-line';
import { MUSCLE_REGIONS, MUSCLES, type Muscle } from '@/core/week/muscle';
import type { ProposeView } from '@/contract/views/propose';
import { REGION_NAME } from '@/messages/movements';
import { PROPOSE as WORDS } from '@/messages/screens/propose';
import { MUSCLE_NAME, setsText } from '@/messages/week';
import weekStyles from './client-week.module.css';
import styles from './propose.module.css';

/** Muscles that are lacking most, where nobody has said what is trained for. */
const MOST_AT_FIRST = 4;

/** What is trained for: as it was chosen last, else what the week lacks most of, by share of what it should have. */
export function firstGoals({ goals, weeks }: Pick<ProposeView, 'goals' | 'weeks'>): readonly Region[] {
  if (goals.length > 0) return goals;
  const share = (m: Muscle): number => {
    const { least } = weeks.rules[m];
    return least === 0 ? 1 : Math.min(1, (weeks.week.find((w) => w.muscle === m)?.all ?? 0) / least);
  };
  return MUSCLES.filter((m) => share(m) < 1)
    .toSorted((a, b) => share(a) - share(b))
    .slice(0, MOST_AT_FIRST)
    .flatMap((m) => [...MUSCLE_REGIONS[m]]);
}

interface Props {
  readonly goals: readonly Region[];
  readonly weeks: ProposeView['weeks'];
  readonly disabled: boolean;
  readonly onChange: (goals: readonly Region[]) => void;
}

/** Muscles to train for, each with the week's sets, and of a chosen one which part of it. */
export function GoalPicker({ goals, weeks, disabled, onChange }: Props) {
  const regionsOf = (m: Muscle): readonly Region[] => MUSCLE_REGIONS[m];
  const toggle = (regions: readonly Region[]): void => {
    const has = regions.some((r) => goals.includes(r));
    onChange(has ? goals.filter((g) => !regions.includes(g)) : [...goals, ...regions]);
  };
  const says = (m: Muscle): string => {
    const { least, most } = weeks.rules[m];
    return WORDS.of(setsText(weeks.week.find((w) => w.muscle === m)?.all ?? 0), least, most);
  };
  const parts = MUSCLES.filter((m) => regionsOf(m).length > 1 && regionsOf(m).some((r) => goals.includes(r)));
  return (
    <section aria-label={WORDS.goals}>
      <h2>{WORDS.goals}</h2>
      <p className={weekStyles.quiet}>{WORDS.goalsIntro}</p>
      <div className={styles.goals}>
        {MUSCLES.map((m) => (
          <button
            key={m}
            type="button"
            disabled={disabled}
            aria-pressed={regionsOf(m).some((r) => goals.includes(r))}
            onClick={() => toggle(regionsOf(m))}
          >
            <b>{MUSCLE_NAME[m]}</b>
            <span>{says(m)}</span>
          </button>
        ))}
      </div>
      {parts.map((m) => (
        <div key={m} className={styles.parts} role="group" aria-label={WORDS.which(MUSCLE_NAME[m])}>
          {regionsOf(m).map((r) => (
            <button
              key={r}
              type="button"
              disabled={disabled}
              aria-pressed={goals.includes(r)}
              onClick={() => toggle([r])}
            >
              {REGION_NAME[r]}
            </button>
          ))}
        </div>
      ))}
    </section>
  );
}
