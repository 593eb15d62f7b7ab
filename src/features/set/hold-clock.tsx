'use client';
import { useEffect, useRef } from 'react';
import type { WorkingSide } from '@/core/body/side';
import { phaseSeconds } from '@/core/tempo/pace';
import { PHASE_WORD } from '@/messages/live-set';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';
import { usePaceTold, type PacerProps } from './use-pace-told';

interface Props extends PacerProps {
  /** Holds of the part. */
  readonly asked: number;
  readonly side: WorkingSide;
}

/** How much of the phase that runs is left, painted frame by frame; nothing else is drawn anew for it. */
function useDrain({ pace, paceNow, running }: PacerProps, told: ReturnType<typeof usePaceTold>) {
  const bar = useRef<HTMLSpanElement>(null);
  const { begin, tell } = told;
  useEffect(() => {
    let frame = 0;
    begin();
    const draw = (): void => {
      const at = paceNow();
      const whole = at && at.phase !== 'ready' ? phaseSeconds(pace, at.phase) : 0;
      if (bar.current) bar.current.style.width = `${whole > 0 ? (100 * at!.leftS) / whole : 100}%`;
      if (at) tell(at);
      if (running) frame = requestAnimationFrame(draw);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [running, pace, paceNow, begin, tell]);
  return bar;
}

/** The clock of a hold: seconds left of it in digits that read from two metres, and which hold it is. */
export function HoldClock(props: Props) {
  const { running, counted, asked, side, onTap } = props;
  const told = usePaceTold(props);
  const bar = useDrain(props, told);
  const { shown } = told;
  const hold = Math.max(shown?.rep ?? 0, running ? 0 : (counted ?? 0));
  return (
    <div className={styles.pacer}>
      <div className={styles.count}>
        <div className={styles.holdLeft}>
          <b data-testid="hold-left">{shown ? shown.left : phaseSeconds(props.pace, 'stretch')}</b>
          <span data-testid="phase" data-phase={shown?.phase}>
            {shown ? PHASE_WORD.hold[shown.phase] : WORDS.ready}
          </span>
        </div>
        <div className={styles.phase}>
          <button
            type="button"
            className={styles.holdCount}
            data-testid="rep-count"
            disabled={counted === null}
            aria-label={WORDS.holdDone(hold)}
            onClick={onTap}
          >
            {WORDS.holdOf(Math.max(1, hold), asked)}
          </button>
          {side !== 'both' && <span>{WORDS.onSide(side)}</span>}
          <span>{shown ? (running ? WORDS.now : WORDS.paused) : WORDS.pressStart}</span>
        </div>
      </div>
      <div className={styles.drain} aria-hidden>
        <span ref={bar} />
      </div>
    </div>
  );
}
