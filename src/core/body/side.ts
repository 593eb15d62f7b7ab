/** A side of the client's body. */
export type Side = 'left' | 'right';
/** Both sides, left first. */
export const SIDES: readonly Side[] = ['left', 'right'];

/** Which side works: one, or both at once. */
export type WorkingSide = Side | 'both';
/** Every way that sides can work. */
export const WORKING_SIDES = ['left', 'right', 'both'] as const satisfies readonly WorkingSide[];

/** The other side. */
export const otherSide = (side: Side): Side => (side === 'right' ? 'left' : 'right');

/** Sign of a side along the body frame's z axis, which runs to the right. */
export const signOf = (side: Side): 1 | -1 => (side === 'right' ? 1 : -1);

/** The sides that work, left before right. */
export const workingSides = (side: WorkingSide): readonly Side[] => (side === 'both' ? SIDES : [side]);

/** The side that stands for a working side in words and drawings: the right one of two. */
export const shownSide = (side: WorkingSide): Side => (side === 'both' ? 'right' : side);
