import type { GearShape } from './gear';
import styles from './drawing.module.css';

/** What is held and sat on, in the order in which it lies. */
export function GearShapes({ shapes }: { readonly shapes: readonly GearShape[] }) {
  return shapes.map((s) => <path key={s.key} className={styles[s.look]} d={s.path} />);
}
