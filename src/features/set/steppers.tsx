import { IconMinus, IconPlus } from '@tabler/icons-react';
import styles from './set.module.css';

interface Props {
  readonly less: string;
  readonly more: string;
  /** Null where there is nothing further that way. */
  readonly onLess: (() => void) | null;
  readonly onMore: (() => void) | null;
}

/** One step down, one step up. */
export function Steppers({ less, more, onLess, onMore }: Props) {
  return (
    <div className={styles.steppers}>
      <button type="button" aria-label={less} disabled={onLess === null} onClick={() => onLess?.()}>
        <IconMinus stroke={1.5} aria-hidden />
      </button>
      <button type="button" aria-label={more} disabled={onMore === null} onClick={() => onMore?.()}>
        <IconPlus stroke={1.5} aria-hidden />
      </button>
    </div>
  );
}
