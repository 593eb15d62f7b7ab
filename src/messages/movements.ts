import type { Answerer, MovementId, PeakWish, Region } from '@/core/movement/movement';

export const MOVEMENT_NAME: Readonly<Record<MovementId, string>> = {
  'cable-fly-high-to-low': 'Cable fly, high to low',
  'cable-fly-level': 'Cable fly, level',
  'cable-fly-low-to-high': 'Cable fly, low to high',
};

export const REGION_NAME: Readonly<Record<Region, string>> = {
  'chest-upper': 'upper chest',
  'chest-mid': 'mid chest',
  'chest-lower': 'lower chest',
};

export const ANSWERER_NAME: Readonly<Record<Answerer, string>> = { lats: 'lats', 'front-deltoid': 'front shoulder' };

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
