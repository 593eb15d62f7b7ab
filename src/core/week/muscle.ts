import type { Region } from '@/core/body/region-line';

/** Muscles that a week's sets are counted by, with the regions of each. */
export const MUSCLE_REGIONS = {
  chest: ['chest-upper', 'chest-mid', 'chest-lower'],
  lats: ['lat-upper', 'lat-lower'],
  'upper-back': ['mid-back', 'trapezius-upper', 'trapezius-lower'],
  'deltoid-front': ['deltoid-front'],
  'deltoid-side': ['deltoid-side'],
  'deltoid-rear': ['deltoid-rear'],
  biceps: ['biceps-long', 'biceps-short', 'brachialis', 'brachioradialis'],
  triceps: ['triceps-long', 'triceps-lateral', 'triceps-medial'],
  quadriceps: ['quadriceps'],
  hamstrings: ['hamstrings'],
  glutes: ['glutes'],
  'lower-back': ['spinal-erectors'],
  calf: ['calf'],
  core: ['core'],
} as const satisfies Readonly<Record<string, readonly Region[]>>;

/** A muscle that a week's sets are counted by. */
export type Muscle = keyof typeof MUSCLE_REGIONS;
/** All of them, from the chest down. */
export const MUSCLES = Object.keys(MUSCLE_REGIONS) as readonly Muscle[];

/** The muscle that a region is part of. */
export const muscleOf = (region: Region): Muscle =>
  MUSCLES.find((m) => (MUSCLE_REGIONS[m] as readonly Region[]).includes(region))!;

/** How a week's sets of a muscle are counted and judged. */
export interface WeekRule {
  /** What a set counts for a muscle that works beside the movement's own target, 0 to 1. */
  readonly indirect: number;
  /** Sets that a week should have at least and at most. */
  readonly least: number;
  readonly most: number;
}

const rule = (least: number, most: number, indirect = 0.5): WeekRule => ({ indirect, least, most });

/**
 * Where nobody has said otherwise. A set beside the target counts half; ten to twenty sets a week for large muscles
 * (both common practice), fewer for what works beside them anyway (ours): front deltoids have the presses, lower back
 * and core hold in most movements.
 */
export const USUAL_RULES: Readonly<Record<Muscle, WeekRule>> = {
  chest: rule(10, 20),
  lats: rule(10, 20),
  'upper-back': rule(10, 20),
  'deltoid-front': rule(4, 12),
  'deltoid-side': rule(8, 16),
  'deltoid-rear': rule(6, 16),
  biceps: rule(8, 16),
  triceps: rule(8, 16),
  quadriceps: rule(10, 20),
  hamstrings: rule(8, 16),
  glutes: rule(8, 16),
  'lower-back': rule(4, 12),
  calf: rule(6, 14),
  core: rule(4, 14),
};
