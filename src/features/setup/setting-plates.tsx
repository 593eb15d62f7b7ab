'use client';
import { SIDES, type Side } from '@/core/body/side';
import { holeOf } from '@/core/setup/setup-problem';
import { postureText } from '@/messages/book';
import { holeText } from '@/messages/holes';
import { GRIP_NAME } from '@/messages/movements';
import type { SetupBenchView } from '@/contract/views/setup';
import { FitPlates, type FitMoves } from './fit-plates';
import type { Move } from './move-placement';
import { facingNote, markSpanText, sidewaysText, solvedMarkText, twoCables } from './place-text';
import { HoldButton, SteppedPlate } from './stepped-plate';
import type { BenchSetup } from './use-setup';
import styles from './setup.module.css';
import { toCm } from '@/messages/numbers';
import { WORDS } from '@/messages/screens/setup';

interface Props {
  readonly context: SetupBenchView;
  readonly setup: BenchSetup;
  readonly onMove: (move: Move) => void;
  readonly apart: boolean;
  readonly onApart: (apart: boolean) => void;
  readonly moves: FitMoves;
}

/** The hole of one carriage, or of both alike. */
function HolePlate({ setup, onMove, side }: Pick<Props, 'setup' | 'onMove'> & { readonly side: Side | undefined }) {
  const { placement, base, problem, state, dispatch } = setup;
  const { column } = problem.input;
  const own = holeOf(placement, side ?? 'right');
  const was = holeOf(base.placement, side ?? 'right');
  return (
    <SteppedPlate
      label={side ? WORDS.holeOfSide(side) : twoCables(problem) ? WORDS.holeBothSides : WORDS.holeLabel}
      testId={side === 'left' ? 'plate-hole-left' : 'plate-hole'}
      middle={
        <HoldButton
          what={WORDS.holeUnit}
          held={state.held.hole !== undefined}
          onHold={() => dispatch({ type: 'hold-toggled', at: { hole: placement.hole, leftBy: placement.leftBy ?? 0 } })}
        />
      }
      estimated={problem.body.height.shoulderHeight.source !== 'measured'}
      less={WORDS.lowerHoleNumberOf(side ? `, ${side}` : '')}
      more={WORDS.higherHoleNumberOf(side ? `, ${side}` : '')}
      onLess={() => onMove({ what: 'hole', to: own - 1, only: side })}
      onMore={() => onMove({ what: 'hole', to: own + 1, only: side })}
      note={own === was ? WORDS.ofHoleAtThe(column.holes, column.numberedFrom) : WORDS.solvedWas(was)}
    >
      {holeText(column, placement, side ?? state.side)}
    </SteppedPlate>
  );
}

/** The client's mark on the floor, before the pulleys or behind them. */
function MarkPlate({ setup, onMove }: Pick<Props, 'setup' | 'onMove'>) {
  const { placement, base, tolerance, off, state, dispatch } = setup;
  const { standX } = placement;
  const solved = base.placement.standX;
  const span = tolerance ? markSpanText(solved, tolerance) : '';
  return (
    <SteppedPlate
      label={standX < 0 ? WORDS.markBehindThePulleys : WORDS.markInFrontOfThe}
      testId="plate-mark"
      middle={
        <HoldButton
          what={WORDS.mark}
          held={state.held.standX !== undefined}
          onHold={() => dispatch({ type: 'hold-toggled', at: { standX } })}
        />
      }
      less={WORDS.nextMarkNearer}
      more={WORDS.nextMarkFurther}
      onLess={() => onMove({ what: 'mark', by: -1 })}
      onMore={() => onMove({ what: 'mark', by: 1 })}
      note={off && toCm(standX) !== toCm(solved) ? solvedMarkText(solved, standX) : span}
    >
      {Math.abs(toCm(standX))}
      <small>cm</small>
    </SteppedPlate>
  );
}

/** What is set on steel, biggest first: hole, mark, then handle and feet. */
export function SettingPlates({ context, setup, onMove, apart, onApart, moves }: Props) {
  const { placement, problem, entry, settings } = setup;
  return (
    <div className={styles.plates}>
      {(apart ? SIDES : [undefined]).map((side) => (
        <HolePlate key={side ?? 'both'} setup={setup} onMove={onMove} side={side} />
      ))}
      <MarkPlate setup={setup} onMove={onMove} />
      <div className={styles.plate}>
        <div className={styles.plateLabel}>{WORDS.handle}</div>
        <div className={styles.plateWords}>
          {context.attachment?.name}
          {entry.grips[0] ? `, ${GRIP_NAME[entry.grips[0]]}` : ''}
        </div>
      </div>
      <div className={styles.plate} data-wide={apart || undefined}>
        <div className={styles.plateLabel}>{WORDS.stance}</div>
        <div className={styles.plateWords}>
          {postureText(entry.posture)}
          {entry.path.kind === 'sweep' ? WORDS.eitherInFront : ''}
        </div>
        <div className={styles.placeNote}>
          {WORDS.markPlace(sidewaysText(problem, placement), facingNote(entry, problem, placement))}
        </div>
      </div>
      <FitPlates settings={settings.filter((s) => s.kind !== 'stops')} moves={moves} />
      {twoCables(problem) && (
        <button type="button" className={styles.apart} aria-pressed={apart} onClick={() => onApart(!apart)}>
          {apart ? WORDS.leftAndRightAlikeAgain : WORDS.leftAndRightHoleApart}
        </button>
      )}
    </div>
  );
}
