import type { ReactNode } from 'react';
import { px } from '@/drawing/svg-number';
import type { View } from '@/drawing/view';
import styles from '@/drawing/drawing.module.css';

interface SheetProps {
  readonly view: View;
  readonly label: string;
  readonly zoomed: boolean;
  readonly children: ReactNode;
}

/** A view's sheet of layers: one that is not touched by a move is not painted anew. */
export function Sheet({ view, label, zoomed, children }: SheetProps) {
  return (
    <div
      className={styles.sheet}
      style={{ width: px(view.width), height: px(view.height) }}
      role="group"
      aria-label={label}
      data-testid={view.kind}
      data-view={view.kind}
      data-zoomed={zoomed || undefined}
    >
      {children}
    </div>
  );
}

interface LayerProps {
  readonly view: View;
  /** How far it is moved as a whole, whole pixels. */
  readonly shift?: { readonly u: number; readonly v: number };
  readonly children: ReactNode;
}

/**
 * One layer of a sheet, in the view's pixels. A layer that is moved is moved by the compositor, and not drawn again.
 */
export function Layer({ view, shift, children }: LayerProps) {
  return (
    <svg
      className={shift ? styles.moved : styles.layer}
      width={px(view.width)}
      height={px(view.height)}
      style={shift && { transform: `translate(${shift.u}px, ${shift.v}px)` }}
    >
      {children}
    </svg>
  );
}
