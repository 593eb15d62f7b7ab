import { IconZoomIn, IconZoomOut } from '@tabler/icons-react';
import { MOST_TIMES } from '@/drawing/view';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

/** Steps closer to the drawing and back. */
export function ZoomSteps({
  times,
  onStep,
  onWhole,
}: {
  readonly times: number;
  readonly onStep: (step: 1 | -1) => void;
  readonly onWhole: () => void;
}) {
  return (
    <div className={styles.zoom} role="group" aria-label={WORDS.lookCloser}>
      <button type="button" aria-label={WORDS.lookFromFurther} disabled={times <= 1} onClick={() => onStep(-1)}>
        <IconZoomOut stroke={1.5} aria-hidden />
      </button>
      <button type="button" aria-label={WORDS.wholeDrawing} disabled={times <= 1} onClick={onWhole}>
        {times === 1 ? WORDS.whole : `${times.toFixed(1)} ×`}
      </button>
      <button type="button" aria-label={WORDS.lookCloser} disabled={times >= MOST_TIMES} onClick={() => onStep(1)}>
        <IconZoomIn stroke={1.5} aria-hidden />
      </button>
    </div>
  );
}
