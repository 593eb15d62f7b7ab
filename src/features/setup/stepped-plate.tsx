import { IconLock, IconLockOpen, IconMinus, IconPlus, IconRotate } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

interface Props {
  readonly label: string;
  readonly onLess: () => void;
  readonly onMore: () => void;
  readonly children: ReactNode;
  readonly note?: ReactNode;
  readonly less: string;
  readonly more: string;
  readonly testId: string;
  /** From a body height that was not measured. */
  readonly estimated?: boolean;
  /** Between the steps: hold the setting, or let it go back to what fits. */
  readonly middle: ReactNode;
}

/** A setting as a plate of large numerals, with its steps. */
export function SteppedPlate({
  label,
  onLess,
  onMore,
  children,
  note,
  less,
  more,
  testId,
  estimated = false,
  middle,
}: Props) {
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
        {middle}
        <button type="button" className={styles.stepper} onClick={onMore} aria-label={more}>
          <IconPlus stroke={1.5} aria-hidden />
        </button>
      </div>
    </div>
  );
}

export function HoldButton({
  what,
  held,
  onHold,
}: {
  readonly what: string;
  readonly held: boolean;
  readonly onHold: () => void;
}) {
  return (
    <button
      type="button"
      className={styles.stepper}
      onClick={onHold}
      aria-pressed={held}
      aria-label={WORDS.holdTheWhereItIs(what)}
    >
      {held ? <IconLock stroke={1.5} aria-hidden /> : <IconLockOpen stroke={1.5} aria-hidden />}
    </button>
  );
}

export function FittedButton({
  what,
  disabled,
  onFitted,
}: {
  readonly what: string;
  readonly disabled: boolean;
  readonly onFitted: () => void;
}) {
  return (
    <button
      type="button"
      className={styles.stepper}
      onClick={onFitted}
      disabled={disabled}
      aria-label={WORDS.backToWhatFits(what)}
    >
      <IconRotate stroke={1.5} aria-hidden />
    </button>
  );
}
