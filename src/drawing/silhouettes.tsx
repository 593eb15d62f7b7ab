import type { Silhouette } from './figure';
import styles from './drawing.module.css';

/** Silhouettes back to front; each is stroked whole, then filled whole. */
export function Silhouettes({ shapes, ghost = false }: { readonly shapes: readonly Silhouette[]; readonly ghost?: boolean }) {
  if (ghost) {
    return shapes.map((s) => (
      <g key={s.key} className={styles.ghost}>
        {s.paths.map((d) => (
          <path key={d} d={d} />
        ))}
      </g>
    ));
  }
  return shapes.map((s) => (
    <g key={s.key}>
      {s.paths.map((d, i) => (
        <path key={`o${i}`} d={d} className={styles.outline} />
      ))}
      {s.paths.map((d, i) => (
        <path key={`f${i}`} d={d} className={styles.flesh} />
      ))}
    </g>
  ));
}
