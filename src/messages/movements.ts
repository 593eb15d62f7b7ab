import { posedOf, type QuestionAnswer } from '@/core/book/answer-question';
import type { BookEntry, Grip } from '@/core/book/book-entry';
import type { LineMetrics } from '@/core/mechanics/line-profile';
import type { CompensatingMuscle } from '@/core/body/compensating-muscle';
import type { Region } from '@/core/body/region-line';
import type { PeakTarget } from '@/core/movement/peak-target';
import { jointName } from './joints';
import { whereInRange } from './where-in-range';
import { percent } from './numbers';

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

export const COMPENSATING_MUSCLE_NAME: Readonly<Record<CompensatingMuscle, string>> = {
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

export const PEAK_NAME: Readonly<Record<PeakTarget, string>> = {
  even: 'even all through',
  matched: 'matched to strength',
  lengthened: 'in the stretch',
  mid: 'in the middle',
  contracted: 'at the finish',
};

export const GRIP_NAME: Readonly<Record<Grip, string>> = {
  pronated: 'palms down',
  neutral: 'thumbs up',
  supinated: 'palms up',
};

/** When in a session a movement belongs. */
export const PLACE_TEXT: Readonly<Record<BookEntry['place'], string>> = {
  first: 'first, to wake it',
  early: 'early, while fresh',
  third: 'about third for its muscle, lighter',
  late: 'late',
  any: 'anywhere',
};

/** What follows a load; null where nothing is loaded. */
const AFTER_LOAD: Readonly<Record<BookEntry['load']['kind'], string | null>> = {
  cable: ' on the stack',
  machine: ' on the stack',
  weight: '',
  landmine: ' of plates',
  band: null,
  body: null,
  none: null,
};

/** ", 15 kg on the stack": the load that a curve is shown at. */
export const loadIn = (e: BookEntry, loadSays: string): string =>
  AFTER_LOAD[e.load.kind] === null ? '' : `, ${loadSays}${AFTER_LOAD[e.load.kind]}`;

/** Where a movement is hardest and how much of it is loaded. */
export const hardestText = (m: LineMetrics): string =>
  `${percent(m.peakAt)} of the way, ${whereInRange(m.peakAt)}; loaded over ${percent(m.loadedShare)}, ` +
  (m.restShare < 0.005 ? 'no rest zone' : `${percent(m.restShare)} rests`) +
  (m.helps ? '; in part of it the weight helps' : '');

/** What changes with a stand-in, at the weight shown. */
export function standInCurveText(answer: QuestionAnswer): string {
  if (!answer.ok) return 'It cannot be set for this body with what is here.';
  const { peakAt, loadedShare } = answer.metrics;
  return (
    `Dashed on the curve: hardest ${whereInRange(peakAt)}, loaded over ${percent(loadedShare)}, ` +
    `at the ${jointName(posedOf(answer))}.`
  );
}

/** A resistance curve in words, for those who do not see it. */
export const curveText = (m: Pick<LineMetrics, 'peakResistanceNm' | 'peakAt' | 'restShare'>): string =>
  `Resistance over the rep: peak ${Math.round(m.peakResistanceNm)} newton metres at ${Math.round(m.peakAt * 100)} ` +
  `percent of the range, rest zone ${Math.round(m.restShare * 100)} percent`;
