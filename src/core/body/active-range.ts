export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];

/** Joint actions whose active range limits a movement of the book. */
export const RANGE_NAMES = ['shoulder.horizontalAbduction', 'shoulder.horizontalAdduction'] as const;
export type RangeName = (typeof RANGE_NAMES)[number];

/**
 * Active range per side in degrees, as the trainer measured it. Horizontal abduction counts behind the line straight
 * out to the side, horizontal adduction in front of it and across.
 */
export type ActiveRangeDeg = Readonly<Partial<Record<Side, Readonly<Partial<Record<RangeName, number>>>>>>;

/**
 * Norms to compare with, degrees. Horizontal adduction: AAOS, 130 or 135 by edition. Horizontal abduction:
 * remembered from AAOS, about 45; editions differ.
 */
export const RANGE_NORM_DEG: Readonly<Record<RangeName, number>> = {
  'shoulder.horizontalAbduction': 45,
  'shoulder.horizontalAdduction': 130,
};

/** Widest entry accepted, degrees: beyond it the goniometer was misread. */
export const RANGE_MAX_DEG: Readonly<Record<RangeName, number>> = {
  'shoulder.horizontalAbduction': 80,
  'shoulder.horizontalAdduction': 160,
};
