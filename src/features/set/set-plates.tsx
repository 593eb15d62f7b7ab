'use client';
import { IconMinus, IconPlus } from '@tabler/icons-react';
import Link from 'next/link';
import { findNeighbourStep } from '@/core/load/stack-steps';
import type { SetScreenContext } from './set-screen-context';
import styles from './set.module.css';

interface Props {
  readonly context: SetScreenContext;
  readonly loadG: number;
  readonly canChange: boolean;
  readonly onLoad: (loadG: number) => void;
}

const kg = (g: number): string => String(Math.round(g / 10) / 100);

/** Plates as set, down the left: hole, mark, load, aim. */
export function SetPlates({ context, loadG, canChange, onLoad }: Props) {
  const { placement, item, stackG } = context;
  const lighter = findNeighbourStep(stackG, loadG, -1);
  const next = findNeighbourStep(stackG, loadG, 1);
  const heavier = next !== null && context.mostLoadG !== null && next > context.mostLoadG ? null : next;
  return (
    <section className={styles.plates} aria-label="Plates">
      {placement ? (
        <>
          <div className={styles.plate}>
            <span>Hole</span>
            <b>{context.holes}</b>
          </div>
          <div className={styles.plate}>
            <span>Mark{placement.standX < 0 ? ', behind' : ''}</span>
            <b>
              {Math.abs(Math.round(placement.standX * 100))}
              <small>cm</small>
            </b>
          </div>
        </>
      ) : (
        <p className={styles.blocked}>{context.blocked}</p>
      )}
      <div className={styles.plate}>
        <span>{item.side === 'both' ? 'Stack, a side' : 'Stack'}</span>
        <b data-testid="set-load">
          {kg(loadG)}
          <small>kg</small>
        </b>
        {context.mostLoadG !== null && <span>clinician’s limit {kg(context.mostLoadG)} kg</span>}
        {canChange && (
          <div className={styles.steppers}>
            <button type="button" aria-label="One step lighter" disabled={lighter === null} onClick={() => lighter !== null && onLoad(lighter)}>
              <IconMinus stroke={1.5} aria-hidden />
            </button>
            <button type="button" aria-label="One step heavier" disabled={heavier === null} onClick={() => heavier !== null && onLoad(heavier)}>
              <IconPlus stroke={1.5} aria-hidden />
            </button>
          </div>
        )}
      </div>
      <div className={styles.plate}>
        <span>Aim</span>
        <b>
          {item.reps}
          <small>at {item.tempo}</small>
        </b>
      </div>
      <Link href={`/setup/${item.id}`} className={styles.toPlates}>
        {context.setupSaved ? 'Change set-up' : 'Set-up not saved yet'}
      </Link>
    </section>
  );
}
