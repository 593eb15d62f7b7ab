import type { Answerer } from '@/core/body/answerer';
import type { Region } from '@/core/body/region-line';
import type { MovementId, PeakWish } from '@/core/movement/movement';

export const MOVEMENT_NAME: Readonly<Record<MovementId, string>> = {
  'cable-fly-high-to-low': 'Cable fly, high to low',
  'cable-fly-level': 'Cable fly, level',
  'cable-fly-low-to-high': 'Cable fly, low to high',
};

export const REGION_NAME: Readonly<Record<Region, string>> = {
  'chest-upper': 'upper chest',
  'chest-mid': 'mid chest',
  'chest-lower': 'lower chest',
  'lat-upper': 'upper lat',
  'lat-lower': 'lower lat',
  'mid-back': 'mid back',
  'trapezius-upper': 'upper trapezius',
  'trapezius-lower': 'lower trapezius',
  'spinal-erectors': 'spinal erectors',
  'deltoid-front': 'front deltoid',
  'deltoid-side': 'side deltoid',
  'deltoid-rear': 'rear deltoid',
  'biceps-long': 'biceps, long head',
  'biceps-short': 'biceps, short head',
  brachialis: 'brachialis',
  brachioradialis: 'brachioradialis',
  'triceps-long': 'triceps, long head',
  'triceps-lateral': 'triceps, lateral head',
  'triceps-medial': 'triceps, medial head',
  quadriceps: 'quadriceps',
  hamstrings: 'hamstrings',
  glutes: 'glutes',
  calf: 'calf',
  core: 'core, against turning',
};

export const ANSWERER_NAME: Readonly<Record<Answerer, string>> = {
  lats: 'lats',
  'front-deltoid': 'front shoulder',
  'side-deltoid': 'side shoulder',
  'rear-deltoid': 'rear shoulder',
  chest: 'chest',
  'internal-rotators': 'inward rotators of the shoulder',
  'external-rotators': 'outward rotators of the shoulder',
  'elbow-flexors': 'elbow flexors',
  triceps: 'triceps',
  'hip-flexors': 'hip flexors',
  glutes: 'glutes',
  'hip-abductors': 'outer hip',
  'hip-adductors': 'inner thigh',
  'hip-rotators': 'hip rotators',
  quadriceps: 'quadriceps',
  hamstrings: 'hamstrings',
  trunk: 'trunk',
  joint: 'joint itself',
};

export const PEAK_NAME: Readonly<Record<PeakWish, string>> = {
  even: 'even all through',
  lengthened: 'in the stretch',
  mid: 'in the middle',
  contracted: 'at the finish',
};

/** Cues for the client, one breath each; the movement's own, used when nothing is on the watch list. */
export const MOVEMENT_CUE: Readonly<Record<MovementId, readonly [string, string]>> = {
  'cable-fly-high-to-low': ['Sweep down towards your front pocket', 'Slow hands on the way back'],
  'cable-fly-level': ['Wrap your arms round a wide barrel', 'Slow hands on the way back'],
  'cable-fly-low-to-high': ['Scoop up until your hands meet at your chin', 'Slow hands on the way back'],
};
