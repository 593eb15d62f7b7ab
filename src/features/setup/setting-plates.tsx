'use client';
import { SIDES } from '@/core/body/side';
import { holeOf } from '@/core/setup/setup-problem';
import { postureText } from '@/messages/book';
import { holeText } from '@/messages/holes';
import { GRIP_NAME } from '@/messages/movements';
import type { SetupBenchView } from '@/contract/views/setup';
import { FitPlates, type FitMoves } from './fit-plates';
import type { Move } from './move-placement';
import { facingNote, sidewaysText, twoCables } from './place-text';
import { HoldButton, SteppedPlate } from './stepped-plate';
import type { BenchSetup } from './use-setup';
import styles from './setup.module.css';

const cm = (m: number): number => Math.round(m * 100);

/** What is set on steel, biggest first: hole, mark, then handle and feet. */
export function SettingPlates({
  context,
  setup,
  onMove,
  apart,
  onApart,
  moves,
}: {
  readonly context: SetupBenchView;
  readonly setup: BenchSetup;
  readonly onMove: (move: Move) => void;
  readonly apart: boolean;
  readonly onApart: (apart: boolean) => void;
  readonly moves: FitMoves;
}) {
  const { placement, base, problem, tolerance, off, entry, settings } = setup;
  const { standX } = placement;
  const behind = standX < 0;
  const solved = base.placement;
  const span = tolerance
    ? `${cm(solved.standX + tolerance.standXM[0])} to ${cm(solved.standX + tolerance.standXM[1])} cm will do`
    : '';
  return (
    <div className={styles.plates}>
      {(apart ? SIDES : [undefined]).map((side) => {
        const own = holeOf(placement, side ?? 'right');
        const was = holeOf(solved, side ?? 'right');
        return (
          <SteppedPlate
            key={side ?? 'both'}
            label={side ? `Hole, ${side}` : twoCables(problem) ? 'Hole, both sides' : 'Hole'}
            testId={side === 'left' ? 'plate-hole-left' : 'plate-hole'}
            middle={
              <HoldButton
                what="hole"
                held={setup.state.held.hole !== undefined}
                onHold={() =>
                  setup.dispatch({ type: 'hold-toggled', at: { hole: placement.hole, leftBy: placement.leftBy ?? 0 } })
                }
              />
            }
            estimated={problem.body.height.shoulderHeight.source !== 'measured'}
            less={`Lower hole number${side ? `, ${side}` : ''}`}
            more={`Higher hole number${side ? `, ${side}` : ''}`}
            onLess={() => onMove({ what: 'hole', to: own - 1, only: side })}
            onMore={() => onMove({ what: 'hole', to: own + 1, only: side })}
            note={
              own === was
                ? `of ${problem.input.column.holes}, hole 1 at the ${problem.input.column.numberedFrom}`
                : `solved: ${was}`
            }
          >
            {holeText(problem.input.column, placement, side ?? setup.state.side)}
          </SteppedPlate>
        );
      })}
      <SteppedPlate
        label={behind ? 'Mark, behind the pulleys' : 'Mark, in front of the pulleys'}
        testId="plate-mark"
        middle={
          <HoldButton
            what="mark"
            held={setup.state.held.standX !== undefined}
            onHold={() => setup.dispatch({ type: 'hold-toggled', at: { standX } })}
          />
        }
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
        <div className={styles.plateWords}>
          {context.attachment?.name}
          {entry.grips[0] ? `, ${GRIP_NAME[entry.grips[0]]}` : ''}
        </div>
      </div>
      <div className={styles.plate} data-wide={apart || undefined}>
        <div className={styles.plateLabel}>Stance</div>
        <div className={styles.plateWords}>
          {postureText(entry.posture)}
          {entry.path.kind === 'sweep' ? ', either in front' : ''}
        </div>
        <div className={styles.placeNote}>
          mark {sidewaysText(problem, placement)}, {facingNote(entry, problem, placement)}
        </div>
      </div>
      {twoCables(problem) && (
        <button type="button" className={styles.apart} aria-pressed={apart} onClick={() => onApart(!apart)}>
          {apart ? 'Left and right alike again' : 'Left and right hole apart'}
        </button>
      )}
      <FitPlates settings={settings.filter((s) => s.kind !== 'stops')} moves={moves} />
    </div>
  );
}
