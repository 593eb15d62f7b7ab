'use client';
import { IconVolume, IconVolumeOff } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import type { WorkingSide } from '@/core/body/side';
import { ChoiceRow } from '@/features/shell/choice-row';
import { Link } from '@/features/shell/link';
import { toSideText } from '@/messages/book';
import { undoText } from '@/messages/faults';
import { partChange } from '@/messages/schemes';
import type { SetView } from '@/contract/views/set';
import type { FaultSide } from './use-fault-side';
import type { LiveSetControl } from './use-live-set';
import type { useSound } from './use-sound';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';
import { v4 as newId } from 'uuid';

/** Sides of a fault in the order they stand on the body. */
export const FAULT_SIDES: readonly WorkingSide[] = ['left', 'both', 'right'];

interface Props {
  readonly plan: SetView;
  readonly control: LiveSetControl;
  readonly faultSide: FaultSide;
  readonly sound: ReturnType<typeof useSound>;
  readonly keys: ReactNode;
}

/** Pause, and on from where the pacer or the count stands. */
function PaceButton({ control }: Pick<Props, 'control'>) {
  const { live, give } = control;
  const look = `${styles.plain} ${styles.timing}`;
  switch (live.mode) {
    case 'running':
      return (
        <button type="button" className={look} onClick={() => void give({ do: 'pause' })}>
          {WORDS.pause}
        </button>
      );
    case 'paused':
    case 'left':
      return (
        <button
          type="button"
          className={look}
          onClick={() => void give({ do: live.mode === 'paused' ? 'resume' : 'go-on' })}
        >
          {WORDS.goOn}
        </button>
      );
    default:
      return null;
  }
}

/** Start, or end; between them the next part. */
function StartAndEnd({ plan, control }: Pick<Props, 'plan' | 'control'>) {
  const { live, give } = control;
  const { open, next, part, index, here, mode, finished } = live;
  if (open)
    return (
      <>
        {next && (
          <button
            type="button"
            className={styles.strong}
            data-testid="next-part"
            onClick={() => void give({ do: 'next-part', from: index })}
          >
            {WORDS.nowPart(partChange(next, part, plan.unit))}
          </button>
        )}
        <button type="button" className={next ? styles.plain : styles.strong} onClick={() => void give({ do: 'end' })}>
          {WORDS.endSet}
        </button>
      </>
    );
  if (mode === 'stopped') return null;
  const blocked = plan.blocked !== null || live.overLimit || mode === 'wants-limit';
  return (
    <button
      type="button"
      className={styles.strong}
      onClick={() => void give({ do: 'start', setId: newId() })}
      disabled={blocked}
    >
      {mode !== 'resting' ? WORDS.startSet : finished ? WORDS.oneMoreSet : WORDS.startSetNumber(here.length + 1)}
    </button>
  );
}

/** The way out, always in reach: pain, undo, what the last tap meant, pause, next part, start and end. */
export function SetBar({ plan, control, faultSide, sound, keys }: Props) {
  const { live, give } = control;
  const { last, pain, undoable } = live;
  return (
    <footer className={styles.bar}>
      {/* It keeps its place once pressed, so that nothing slides under the finger. */}
      <button
        type="button"
        className={styles.painButton}
        disabled={pain !== null}
        onClick={() => void give({ do: 'pain' })}
      >
        {pain ? WORDS.stopped : WORDS.painStop}
      </button>
      <button
        type="button"
        className={`${styles.plain} ${styles.undo}`}
        disabled={!undoable}
        onClick={() => void give({ do: 'undo' })}
        data-testid="undo"
        data-row="2"
      >
        {undoable ? undoText(undoable) : WORDS.nothingToUndo}
      </button>
      {plan.item.side === 'both' && !pain && last && (
        <ChoiceRow
          className={styles.sides}
          optionClassName={styles.plain}
          data-row="2"
          label={WORDS.sideOfTheFault}
          value={faultSide.side}
          options={FAULT_SIDES.map((s) => ({ value: s, label: faultSide.kept === s ? WORDS.keptSide(s) : s }))}
          onChange={faultSide.choose}
        />
      )}
      {plan.otherSide && !live.open && !pain && live.mode !== 'resting' && (
        <Link href={`/set/${plan.otherSide.itemId}`} className={`${styles.plain} ${styles.swap}`} data-row="2">
          {toSideText(plan.otherSide.side)}
        </Link>
      )}
      <span className={styles.gap} />
      {keys}
      <button
        type="button"
        className={styles.plain}
        data-narrow
        onClick={sound.toggle}
        aria-pressed={sound.on}
        aria-label={WORDS.soundAtEachChangeOf}
      >
        {sound.on ? <IconVolume stroke={1.5} aria-hidden /> : <IconVolumeOff stroke={1.5} aria-hidden />}
      </button>
      <PaceButton control={control} />
      <StartAndEnd plan={plan} control={control} />
    </footer>
  );
}
