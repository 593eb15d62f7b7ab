'use client';
import { IconMinus, IconPlus } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import type { BenchContext } from './bench-context';
import { holeText } from '@/messages/holes';
import type { Move } from './move-placement';
import type { SetupView } from './use-setup';
import styles from './setup.module.css';

interface StepperProps {
  readonly label: string;
  readonly onLess: () => void;
  readonly onMore: () => void;
  readonly children: ReactNode;
  readonly note?: ReactNode;
  readonly less: string;
  readonly more: string;
  readonly testId: string;
  /** Solved from a body height that was not measured. */
  readonly estimated?: boolean;
}

function SteppedPlate({ label, onLess, onMore, children, note, less, more, testId, estimated = false }: StepperProps) {
  return (
    <div className={styles.plate}>
      <div className={styles.plateLabel}>{label}</div>
      <div className={styles.plateValue} data-testid={testId} data-estimated={estimated || undefined}>
        {children}
      </div>
      <div className={styles.plateNote}>{note}</div>
      <div className={styles.steppers}>
          <button type="button" className={styles.stepper} onClick={onLess} aria-label={less}>
            <IconMinus stroke={1.5} aria-hidden />
          </button>
          <button type="button" className={styles.stepper} onClick={onMore} aria-label={more}>
            <IconPlus stroke={1.5} aria-hidden />
          </button>
      </div>
    </div>
  );
}

const cm = (m: number): number => Math.round(m * 100);

/** What is set on steel, biggest first: hole, mark, then handle and feet. */
export function SettingPlates({ context, setup, onMove }: { readonly context: BenchContext; readonly setup: SetupView; readonly onMove: (move: Move) => void }) {
  const { placement, base, problem, tolerance, off } = setup;
  const { hole, standX, standZ, yawDeg } = placement;
  const behind = standX < 0;
  const solved = base.placement;
  const span = tolerance
    ? `${cm(solved.standX + tolerance.standXM[0])} to ${cm(solved.standX + tolerance.standXM[1])} cm will do`
    : '';
  return (
    <div className={styles.plates}>
      <SteppedPlate
        label={problem.sides.length === 2 ? 'Hole, both sides' : 'Hole'}
        testId="plate-hole"
        estimated={problem.input.body.height.shoulderHeight.source !== 'measured'}
        less="Lower hole number"
        more="Higher hole number"
        onLess={() => onMove({ what: 'hole', to: hole - 1 })}
        onMore={() => onMove({ what: 'hole', to: hole + 1 })}
        note={hole === solved.hole ? `of ${problem.input.column.holes}, hole 1 at the ${problem.input.column.numberedFrom}` : `solved: ${solved.hole}`}
      >
        {holeText(problem.input.column, hole, problem.input.side)}
      </SteppedPlate>
      <SteppedPlate
        label={behind ? 'Mark, behind the pulleys' : 'Mark, in front of the pulleys'}
        testId="plate-mark"
        less="One centimetre nearer"
        more="One centimetre further"
        onLess={() => onMove({ what: 'stand', x: standX - 0.01 })}
        onMore={() => onMove({ what: 'stand', x: standX + 0.01 })}
        note={off && cm(standX) !== cm(solved.standX) ? `solved: ${cm(solved.standX)}` : span}
      >
        {Math.abs(cm(standX))}
        <small>cm</small>
      </SteppedPlate>
      <div className={styles.plate}>
        <div className={styles.plateLabel}>Handle</div>
        <div className={styles.plateWords}>{context.attachment.name}, thumbs up</div>
      </div>
      <div className={styles.plate}>
        <div className={styles.plateLabel}>Feet</div>
        <div className={styles.plateWords}>staggered, either in front</div>
        <div className={styles.plateNote}>
          {standZ === 0 && yawDeg === 0
            ? 'mark midway between feet, square'
            : [standZ === 0 ? null : `${Math.abs(cm(standZ))} cm to the ${standZ > 0 ? 'right' : 'left'}`, yawDeg === 0 ? null : `turned ${Math.abs(yawDeg)}° ${yawDeg > 0 ? 'left' : 'right'}`]
                .filter(Boolean)
                .join(', ')}
        </div>
      </div>
    </div>
  );
}
