import type { Region } from './region-line';

/**
 * Regions that move the same joints opposite ways, in families (common practice: chest and back, front and rear of
 * shoulder, arm and thigh).
 */
const PAIRS: readonly (readonly [readonly Region[], readonly Region[]])[] = [
  [
    ['chest-upper', 'chest-mid', 'chest-lower'],
    ['mid-back', 'lat-upper', 'lat-lower', 'trapezius-lower'],
  ],
  [['deltoid-front'], ['deltoid-rear', 'lat-upper', 'lat-lower']],
  [
    ['biceps-long', 'biceps-short', 'brachialis', 'brachioradialis'],
    ['triceps-long', 'triceps-lateral', 'triceps-medial'],
  ],
  [['quadriceps'], ['hamstrings']],
  [['spinal-erectors'], ['core']],
];

/** While one of them works the other rests: sets of the two can take turns. */
export const areOpposite = (a: Region, b: Region): boolean =>
  PAIRS.some(([x, y]) => (x.includes(a) && y.includes(b)) || (x.includes(b) && y.includes(a)));
