import type { Muscle, WeekRule } from '@/core/week/muscle';
import { SIDE_SHARE, type DeltoidShare, type MuscleSets } from '@/core/week/week-sets';
import type { Third } from '@/core/week/range-coverage';
import { PLAN_PRACTICE_TEXT } from './practices';

/** Muscles by name. */
export const MUSCLE_NAME: Readonly<Record<Muscle, string>> = {
  chest: 'Chest',
  lats: 'Lats',
  'upper-back': 'Upper back',
  'deltoid-front': 'Front deltoid',
  'deltoid-side': 'Side deltoid',
  'deltoid-rear': 'Rear deltoid',
  biceps: 'Biceps and elbow flexors',
  triceps: 'Triceps',
  quadriceps: 'Quadriceps',
  hamstrings: 'Hamstrings',
  glutes: 'Glutes',
  'lower-back': 'Lower back',
  calf: 'Calf',
  core: 'Core',
};

/** A number of sets as it is said: halves, no more. */
export const setsText = (n: number): string => String(Math.round(2 * n) / 2);

const plural = (n: number, what: string): string => `${setsText(n)} ${n === 1 ? what : `${what}s`}`;

/** What the sets of a muscle are made up of. */
export function madeUpText({ direct, indirect, done, all, otherSideMore }: MuscleSets): string {
  const parts = [
    direct > 0 ? `${setsText(direct)} of its own` : '',
    indirect > 0 ? `${setsText(indirect)} beside others` : '',
    done > 0 && done < all ? `${setsText(done)} done` : '',
    otherSideMore > 0 ? `the other side ${setsText(otherSideMore)} more` : '',
  ];
  return parts.filter(Boolean).join(', ');
}

/** How the sets stand to what a week should have. */
export function standsText({ stands, all }: MuscleSets, { least, most }: WeekRule): string {
  if (stands === 'within') return `within ${least} to ${most}`;
  if (all === 0) return `none of ${least} to ${most}`;
  return stands === 'below'
    ? `${plural(least - all, 'set')} short of ${least}`
    : `${plural(all - most, 'set')} over ${most}`;
}

/** The side head's part of the deltoid's sets, beside the practice that stands for the client. */
export function sideShareText(share: number, practice: DeltoidShare): string {
  const { least, most } = SIDE_SHARE[practice];
  const { options } = PLAN_PRACTICE_TEXT['deltoid-share'];
  const stands = share < least ? 'less than that' : share > most ? 'more than that' : 'as it should be';
  return (
    `The side head has ${Math.round(100 * share)} % of the deltoid’s sets, own and beside others: ${stands}. ` +
    `What stands here is ${options[practice]}.`
  );
}

/** Where in a region's range. */
export const THIRD_TEXT: Readonly<Record<Third, string>> = {
  stretch: 'where it is stretched',
  middle: 'in the middle of its range',
  finish: 'where it is shortened',
};

/** What the week leaves out of a region's range, and what would load it here. */
export const gapText = (where: Third, fill: readonly string[]): string =>
  `Nothing loads it ${THIRD_TEXT[where]}. What would: ${fill.join(', or ')}.`;

/** Two movements that load the same part. */
export const duplicateText = (a: string, b: string, where: Third): string =>
  `${a} and ${b} load the same, ${THIRD_TEXT[where]}.`;
