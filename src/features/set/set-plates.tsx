'use client';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { IconMinus, IconPlus } from '@tabler/icons-react';
import Link from 'next/link';
import { platesPerSide } from '@/core/load/plates-per-side';
import type { NextLoad } from '@/core/load/progress';
import { findNeighbourStep } from '@/core/load/stack-steps';
import type { Scheme, SchemePart } from '@/core/tempo/scheme';
import { loadNumber, loadText } from '@/messages/loads';
import { SCHEME_TEXT, tempoExtras, tempoNumbers } from '@/messages/schemes';
import { PROGRESS_TEXT } from '@/messages/progress';
import type { SetScreenContext } from './set-screen-context';
import styles from './set.module.css';

interface Props {
  readonly context: SetScreenContext;
  readonly loadG: number;
  readonly canChange: boolean;
  readonly onLoad: (loadG: number) => void;
  /** Offered before the first set; null once one was begun. */
  readonly advice: NextLoad | null;
  readonly schemes: readonly Scheme[];
  readonly scheme: Scheme;
  readonly onScheme: (scheme: Scheme) => void;
  readonly part: SchemePart;
}

/** The mark of the part that is done now, where its scheme moves the client. */
function withMark(p: SetScreenContext['plates'][number], standX: number | null): SetScreenContext['plates'][number] {
  if (standX === null || !p.label.startsWith('Mark')) return p;
  return {
    ...p,
    label: standX < -0.005 ? 'Mark, behind' : 'Mark, in front',
    value: String(Math.abs(Math.round(standX * 100))),
  };
}

/** Labels as they fit four to a row of a phone. */
const shortLabel = (l: string): string =>
  l === 'Hole, both sides' ? 'Hole' : l === 'Mark, in front' ? 'Mark' : l.replace('each side', 'a side');

/** Plates as set, down the left: hole, mark, load, aim. */
export function SetPlates({ context, loadG, canChange, onLoad, advice, schemes, scheme, onScheme, part }: Props) {
  const { item, stackG, unit } = context;
  // A choice made before the page listens would fall back unseen.
  const listening = useMounted();
  const { bar } = context;
  const sides = bar && platesPerSide(loadG, bar.barG, bar.platesG, bar.pairs);
  const lighter = findNeighbourStep(stackG, loadG, -1);
  const next = findNeighbourStep(stackG, loadG, 1);
  const heavier = next !== null && context.mostLoadG !== null && next > context.mostLoadG ? null : next;
  return (
    <section className={styles.plates} aria-label="Plates">
      {context.plates
        .map((p) => withMark(p, part.standX))
        .map((p) => (
          <div key={p.label} className={styles.plate}>
            <span>{shortLabel(p.label)}</span>
            <b data-span={p.value.length > 4 || undefined}>
              {p.value}
              {p.unit && <small>{p.unit}</small>}
            </b>
          </div>
        ))}
      {context.drops.map((d) => (
        <div key={d.label} className={styles.plate} data-drops data-testid="drop-marks">
          <span>{d.label}</span>
          <b>{d.marks}</b>
        </div>
      ))}
      {context.blocked && <p className={styles.blocked}>{context.blocked}</p>}
      {context.loadLabel && (
        <div className={styles.plate}>
          <span>{shortLabel(context.loadLabel)}</span>
          <b data-testid="set-load">
            {loadNumber(loadG, unit)}
            <small>{unit}</small>
          </b>
          {unit === 'lb' && <span data-testid="other-unit">{loadText(loadG, 'kg')}</span>}
          {sides && (
            <span data-testid="per-side">
              {sides.length > 0 ? `each end ${sides.map((g) => loadNumber(g, unit)).join(' + ')}` : 'bar alone'}
            </span>
          )}
          {advice && canChange && (
            <button
              type="button"
              className={styles.advice}
              data-testid="advice"
              disabled={advice.loadG === loadG}
              onClick={() => onLoad(advice.loadG)}
            >
              <b>{loadText(advice.loadG, unit)}</b> {PROGRESS_TEXT[advice.why]}
            </button>
          )}
          {context.mostLoadG !== null && <span>clinician’s limit {loadText(context.mostLoadG, unit)}</span>}
          {canChange && (
            <div className={styles.steppers}>
              <button
                type="button"
                aria-label="One step lighter"
                disabled={lighter === null}
                onClick={() => lighter !== null && onLoad(lighter)}
              >
                <IconMinus stroke={1.5} aria-hidden />
              </button>
              <button
                type="button"
                aria-label="One step heavier"
                disabled={heavier === null}
                onClick={() => heavier !== null && onLoad(heavier)}
              >
                <IconPlus stroke={1.5} aria-hidden />
              </button>
            </div>
          )}
        </div>
      )}
      <div className={styles.plate}>
        <span>Aim</span>
        <b>
          {part.reps}
          <small>at {tempoNumbers(part.tempo)}</small>
        </b>
        {tempoExtras(part.tempo).map((x) => (
          <span key={x}>{x}</span>
        ))}
        {canChange && schemes.length > 1 && (
          <NativeSelect
            className={styles.scheme}
            disabled={!listening}
            aria-label="How the set is done"
            value={scheme}
            data={schemes.map((s) => ({ value: s, label: SCHEME_TEXT[s] }))}
            onChange={(e) => onScheme(e.currentTarget.value as Scheme)}
          />
        )}
      </div>
      <Link href={`/setup/${item.id}`} className={styles.toPlates}>
        {context.setupSaved ? 'Change set-up' : 'Set-up not saved yet'}
      </Link>
    </section>
  );
}
