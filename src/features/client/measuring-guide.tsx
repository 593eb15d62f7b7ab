'use client';
import { memo } from 'react';
import type { MeasureWorth } from '@/core/book/measuring-guide';
import type { MeasureName } from '@/core/body/segment-ratios';
import { MEASURE_LABEL } from '@/messages/measures';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

interface Props {
  readonly guide: { readonly setups: number; readonly worth: readonly MeasureWorth[] };
  readonly done: ReadonlySet<MeasureName>;
  readonly onMeasure: (name: MeasureName) => void;
}

function worthText(w: MeasureWorth): string {
  const line = WORDS.theLineOff(w.lineDeg < 10 ? w.lineDeg.toFixed(1) : Math.round(w.lineDeg));
  if (w.holes === null) return WORDS.couldLeaveTheColumnsReach(line);
  return `${w.holes === 0 ? WORDS.sameHole : w.holes === 1 ? WORDS.oneHole : `${w.holes} holes`}; ${line}`;
}

/** What to take the tape to first: the estimates that 2 cm would matter most for, in this client's own set-ups. */
export const MeasuringGuide = memo(function MeasuringGuide({ guide, done, onMeasure }: Props) {
  if (guide.setups === 0) return <p className={styles.hint}>{WORDS.onceASetUpIs}</p>;
  const open = guide.worth.filter((w) => !done.has(w.measure));
  if (open.length === 0) return <p className={styles.hint}>{WORDS.nothingLeftToMeasureWould}</p>;
  return (
    <ol className={styles.guide} aria-label={WORDS.measureNext}>
      {open.map((w) => (
        <li key={w.measure}>
          <button type="button" onClick={() => onMeasure(w.measure)}>
            <b>{MEASURE_LABEL[w.measure]}</b>
            <span>{WORDS.twoCmCost(worthText(w))}</span>
          </button>
        </li>
      ))}
    </ol>
  );
});
