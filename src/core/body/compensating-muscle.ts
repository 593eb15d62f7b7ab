/** Muscles that have to answer a moment beside the target action; `joint` is what no muscle answers well. */
export const COMPENSATING_MUSCLES = [
  'lats',
  'front-deltoid',
  'side-deltoid',
  'rear-deltoid',
  'chest',
  'internal-rotators',
  'external-rotators',
  'elbow-flexors',
  'triceps',
  'hip-flexors',
  'glutes',
  'hip-abductors',
  'hip-adductors',
  'hip-rotators',
  'quadriceps',
  'hamstrings',
  'trunk',
  'joint',
] as const;
/** A muscle, or group of them, that has to answer a moment beside the target’s. */
export type CompensatingMuscle = (typeof COMPENSATING_MUSCLES)[number];
