import type { Side, WorkingSide } from '@/core/body/side';

/** What is known of a planned movement to tell which is its other side. */
export interface PlannedSide {
  readonly id: string;
  readonly movement: string;
  readonly variantId: string | null;
  readonly side: WorkingSide;
}

const mirrors = (a: PlannedSide, b: PlannedSide): boolean =>
  a.movement === b.movement &&
  a.variantId === b.variantId &&
  a.side !== b.side &&
  a.side !== 'both' &&
  b.side !== 'both';

/**
 * A session's movements in their order, the two sides of one together: a movement of one side and the next one of the
 * same for the other side. Each stands with what was first.
 */
export function withSides<T extends PlannedSide>(items: readonly T[]): readonly (readonly [T] | readonly [T, T])[] {
  const taken = new Set<T>();
  return items.flatMap((item): (readonly [T] | readonly [T, T])[] => {
    if (taken.has(item)) return [];
    taken.add(item);
    const other = items.find((i) => !taken.has(i) && mirrors(item, i));
    if (!other) return [[item]];
    taken.add(other);
    return [[item, other]];
  });
}

/** The other side of a planned movement in its session; null where it has none. */
export function otherSideOf<T extends PlannedSide>(items: readonly T[], id: string): T | null {
  const pair = withSides(items).find((p) => p.some((i) => i.id === id));
  return pair?.find((i) => i.id !== id) ?? null;
}

/** How far one side has come. */
export interface SideProgress {
  readonly done: number;
  readonly sets: number;
  readonly underWay: boolean;
  readonly finished: boolean;
}

/**
 * Which of two sides goes on: the one that is under way, then the one that is not finished, then with sides that
 * alternate the one behind; else the first until it is finished.
 */
export function nextSide(sides: readonly [SideProgress, SideProgress], alternate: boolean): 0 | 1 {
  const [a, b] = sides;
  if (a.underWay !== b.underWay) return a.underWay ? 0 : 1;
  if (a.finished !== b.finished) return a.finished ? 1 : 0;
  return alternate && b.done < a.done ? 1 : 0;
}

/** The sides of a one-arm movement in the order they are done: the weaker first where it is known. */
export const sideOrder = (weaker: Side | null): readonly [Side, Side] =>
  weaker === 'right' ? ['right', 'left'] : ['left', 'right'];
