'use client';
import { IconVolume, IconVolumeOff } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import type { Side } from '@/core/body/active-range';
import type { FloorEvent } from '@/core/fault/floor-event';
import { FAULT_TEXT, repText } from '@/messages/faults';
import { partChange } from '@/messages/schemes';
import type { SetScreenContext } from './set-screen-context';
import type { LiveSet } from './use-live-set';
import type { useSound } from './use-sound';
import styles from './set.module.css';

export const SIDES: readonly (Side | 'both')[] = ['left', 'both', 'right'];

function undoWords(e: FloorEvent): string {
  switch (e.kind) {
    case 'fault':
      return `Undo: ${FAULT_TEXT[e.fault].pad}, ${repText([e.rep])}`;
    case 'clean':
      return 'Undo: clean so far';
    case 'set-confirmed':
      return 'Undo: load and reps';
    case 'correction':
      return 'Undo: correction';
    case 'outcome':
      return 'Undo: outcome';
    case 'pain':
      return 'Undo: pain stop';
    case 'set-ended':
      return 'Undo: end of set';
    default:
      return 'Undo';
  }
}

interface Props {
  readonly context: SetScreenContext;
  readonly live: LiveSet;
  readonly side: Side | 'both';
  readonly onSide: (side: Side | 'both') => void;
  readonly sound: ReturnType<typeof useSound>;
  readonly keys: ReactNode;
  /** The load stands above a clinician's limit. */
  readonly overLimit: boolean;
}

/** The way out, always in reach: pain, undo, what the last tap meant, pause, next part, start and end. */
export function SetBar({ context, live, side, onSide, sound, keys, overLimit }: Props) {
  const { item } = context;
  const { open, last, pain, live: state } = live;
  const interrupted = open !== null && state.mode === 'idle';
  const resting = !open && last !== null;
  const finished = live.here.filter((s) => s.endedAtMs !== null).length >= item.sets;
  return (
    <footer className={styles.bar}>
      {!pain && (
        <button type="button" className={styles.painButton} onClick={() => void live.stopForPain()}>
          Pain: stop
        </button>
      )}
      <button
        type="button"
        className={styles.plain}
        disabled={!live.undoable}
        onClick={() => void live.undo()}
        data-testid="undo"
        data-row="2"
      >
        {live.undoable ? undoWords(live.undoable) : 'Nothing to undo'}
      </button>
      {item.side === 'both' && !pain && (open || last) && (
        <div className={styles.sides} data-row="2" role="radiogroup" aria-label="Side of the fault">
          {SIDES.map((s) => (
            <button
              key={s}
              type="button"
              role="radio"
              aria-checked={side === s}
              className={styles.plain}
              onClick={() => onSide(s)}
            >
              {s}
            </button>
          ))}
        </div>
      )}
      <span className={styles.gap} />
      {keys}
      <button
        type="button"
        className={styles.plain}
        data-narrow
        onClick={sound.toggle}
        aria-pressed={sound.on}
        aria-label="Sound at each change of phase"
      >
        {sound.on ? <IconVolume stroke={1.5} aria-hidden /> : <IconVolumeOff stroke={1.5} aria-hidden />}
      </button>
      {state.mode === 'running' && (
        <button
          type="button"
          className={`${styles.plain} ${styles.timing}`}
          onClick={() => live.dispatch({ type: 'paused', nowMs: sound.nowMs() })}
        >
          Pause
        </button>
      )}
      {state.mode === 'paused' && (
        <button type="button" className={`${styles.plain} ${styles.timing}`} onClick={live.resume}>
          Go on
        </button>
      )}
      {interrupted && !pain && (
        <button type="button" className={`${styles.plain} ${styles.timing}`} onClick={live.goOn}>
          Go on
        </button>
      )}
      {open && live.next && (
        <button type="button" className={styles.strong} data-testid="next-part" onClick={() => void live.goNext()}>
          Now {partChange(live.next, live.part, context.unit)}
        </button>
      )}
      {open ? (
        <button type="button" className={live.next ? styles.plain : styles.strong} onClick={() => void live.end()}>
          End set
        </button>
      ) : (
        !pain && (
          <button
            type="button"
            className={styles.strong}
            onClick={() => void live.start()}
            disabled={context.blocked !== null || overLimit}
          >
            {resting ? (finished ? 'One more set' : `Start set ${live.here.length + 1}`) : 'Start set'}
          </button>
        )
      )}
    </footer>
  );
}
