'use client';
import { useDebouncedValue } from '@mantine/hooks';
import { useMemo, useState } from 'react';
import { STEP_M } from '@/core/setup/reasons';
import { findStanceDrops, findStepIns, type DropBlock, type DropThird } from '@/core/setup/stance-drops';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import styles from './setup.module.css';
import { toCm } from '@/messages/numbers';

const NAME: Readonly<Record<DropThird, string>> = {
  contracted: 'Hardest at the finish',
  mid: 'Hardest in the middle',
  lengthened: 'Hardest in the stretch',
};
const WHY: Readonly<Record<DropBlock, string>> = {
  stack: 'the stack would touch down',
  line: 'the line would leave the sweep',
  room: 'no mark in this room does it',
};

interface Props {
  readonly problem: SetupProblem;
  readonly placement: Placement;
  readonly onPlace: (standX: number) => void;
}

const SETTLED_MS = 140;

/** Marks of a drop set at this hole, contracted first; and steps in towards the column with what is left at each. */
export function StanceDropsPanel({ problem, placement, onPlace }: Props) {
  const [open, setOpen] = useState(false);
  // A search of its own: only for who looks, and when the finger rests.
  const [settled] = useDebouncedValue(placement, SETTLED_MS);
  const { drops, steps } = useMemo(
    () =>
      open
        ? { drops: findStanceDrops(problem, settled), steps: findStepIns(problem, settled, STEP_M) }
        : { drops: [], steps: [] },
    [open, problem, settled],
  );
  return (
    <details className={styles.more} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>Stance drops at hole {placement.hole}</summary>
      <ul className={styles.drops} data-testid="stance-drops">
        {drops.map((d) => (
          <li key={d.third}>
            {d.blocked === null && d.standX !== null ? (
              <button
                type="button"
                aria-pressed={toCm(d.standX) === toCm(placement.standX)}
                onClick={() => onPlace(d.standX!)}
              >
                <b>
                  {toCm(d.standX)}
                  <small>cm</small>
                </b>
                <span>
                  {NAME[d.third]}: peak {Math.round(d.peakAt * 100)} %, {toCm(d.clearanceM)} cm of cable out,{' '}
                  {d.offPlaneRmsDeg.toFixed(1)}° off
                </span>
              </button>
            ) : (
              <p>
                {NAME[d.third]}: left out, {WHY[d.blocked ?? 'room']}.
              </p>
            )}
          </li>
        ))}
      </ul>
      {steps.length > 1 && (
        <p>
          Stepping in, each step against the first:{' '}
          {steps
            .slice(1)
            .map((s) => `${toCm(s.standX)} cm ${Math.round(s.share * 100)} %`)
            .join(', ')}
          .
        </p>
      )}
    </details>
  );
}
