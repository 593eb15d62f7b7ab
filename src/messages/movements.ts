import type { Answerer } from '@/core/body/answerer';
import type { Grip } from '@/core/book/book-entry';
import type { Region } from '@/core/body/region-line';
import type { PeakWish } from '@/core/movement/peak-wish';

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

export const GRIP_NAME: Readonly<Record<Grip, string>> = {
  pronated: 'palms down',
  neutral: 'thumbs up',
  supinated: 'palms up',
};
