/** Places of the feet on a leg press plate (common practice). */
export const FOOT_PLACES = ['middle', 'low', 'high', 'narrow', 'wide'] as const;
/** A place of the feet on a plate. */
export type FootPlace = (typeof FOOT_PLACES)[number];
