'use client';
import type { MeasureWorth } from '@/core/book/measuring-guide';
import type { MeasureName } from '@/core/body/segment-ratios';
import { MEASURE_LABEL } from '@/messages/measures';
import styles from './client.module.css';

interface Props {
  readonly guide: { readonly setups: number; readonly worth: readonly MeasureWorth[] };
  readonly done: ReadonlySet<MeasureName>;
  readonly onMeasure: (name: MeasureName) => void;
}

function worthText(w: MeasureWorth): string {
  const line = `the line ${w.lineDeg < 10 ? w.lineDeg.toFixed(1) : Math.round(w.lineDeg)}° off`;
  if (w.holes === null) return `could leave the column’s reach; ${line}`;
  return `${w.holes === 0 ? 'same hole' : w.holes === 1 ? 'one hole' : `${w.holes} holes`}; ${line}`;
}

/** What to take the tape to first: the estimates that 2 cm would matter most for, in this client's own set-ups. */
export function MeasuringGuide({ guide, done, onMeasure }: Props) {
  if (guide.setups === 0)
    return <p className={styles.hint}>Once a set-up is planned, this says which heights are worth a tape, in order.</p>;
  const open = guide.worth.filter((w) => !done.has(w.measure));
  if (open.length === 0) return <p className={styles.hint}>Nothing left to measure would change a set-up on record.</p>;
  return (
    <ol className={styles.guide} aria-label="Measure next">
      {open.map((w) => (
        <li key={w.measure}>
          <button type="button" onClick={() => onMeasure(w.measure)}>
            <b>{MEASURE_LABEL[w.measure]}</b>
            <span>2 cm: {worthText(w)}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}
