'use client';
import { useDebouncedValue } from '@mantine/hooks';
import { useMemo } from 'react';
import { findStanceDrops, findStepIns, type DropBlock, type DropThird } from '@/core/setup/stance-drops';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import styles from './setup.module.css';
import { percent, toCm } from '@/messages/numbers';
import { WORDS } from '@/messages/screens/setup';

const NAME: Readonly<Record<DropThird, string>> = {
  contracted: WORDS.hardestAtTheFinish,
  mid: WORDS.hardestInTheMiddle,
  lengthened: WORDS.hardestInTheStretch,
};
const WHY: Readonly<Record<DropBlock, string>> = {
  stack: WORDS.theStackWouldTouchDown,
  line: WORDS.theLineWouldLeaveThe,
  room: WORDS.noMarkInThisRoom,
};

interface Props {
  readonly problem: SetupProblem;
  readonly placement: Placement;
  readonly onPlace: (standX: number) => void;
}

const SETTLED_MS = 140;

/** Marks of a drop set at this hole, contracted first; and steps in towards the column with what is left at each. */
export function StanceDropsPanel({ problem, placement, onPlace }: Props) {
  // A search of its own: when the finger rests.
  const [settled] = useDebouncedValue(placement, SETTLED_MS);
  const { drops, steps } = useMemo(
    () => ({ drops: findStanceDrops(problem, settled), steps: findStepIns(problem, settled) }),
    [problem, settled],
  );
  return (
    <>
      <p>{WORDS.marksAtHole(placement.hole)}</p>
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
                  {WORDS.peakCmOfCableOut(
                    NAME[d.third],
                    Math.round(d.peakAt * 100),
                    toCm(d.clearanceM),
                    d.offPlaneRmsDeg.toFixed(1),
                  )}
                </span>
              </button>
            ) : (
              <p>{WORDS.leftOut(NAME[d.third], WHY[d.blocked ?? 'room'])}</p>
            )}
          </li>
        ))}
      </ul>
      {steps.length > 1 && (
        <p>
          {WORDS.steppingInEachStepAgainst(
            steps
              .slice(1)
              .map((s) => WORDS.stepIn(toCm(s.standX), percent(s.laterShare), percent(s.share)))
              .join('; '),
          )}
        </p>
      )}
    </>
  );
}
