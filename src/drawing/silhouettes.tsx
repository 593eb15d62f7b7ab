import type { Silhouette } from './figure';
import styles from './drawing.module.css';

/** Silhouettes back to front; each is stroked whole, then filled whole. Ghosts are outlines only. */
export function Silhouettes({
  shapes,
  ghost = false,
}: {
  readonly shapes: readonly Silhouette[];
  readonly ghost?: boolean;
}) {
  // One path for all outlines: while things are dragged every element costs.
  if (ghost) return <path className={styles.ghost} d={shapes.flatMap((s) => s.paths).join('')} />;
  return shapes.map((s) => (
    <g key={s.key}>
      <path d={s.paths.join('')} className={styles.outline} />
      {s.paths.map((d, i) => (
        <path key={i} d={d} className={styles.flesh} />
      ))}
    </g>
  ));
}
