/** Codes of the faults the cable flies are prone to; what they mean is in core/fault. */
export const FLY_FAULTS = [
  'shoulders-roll-forward',
  'line-off-arm',
  'arms-stay-bent',
  'arms-too-straight',
  'past-control',
  'stack-touches',
  'shrugs',
  'trunk-swings',
  'trunk-turns',
  'range-shrinks',
  'lowering-dropped',
  'ribs-flare',
  'chin-forward',
  'sides-differ',
] as const;

/** Every fault of the trade's list. */
export const FAULT_CODES = [
  ...FLY_FAULTS,
  'pad-gap',
  'elbow-locks-out',
  'elbow-swings',
  'elbow-drifts-back',
  'curls-past-tension',
  'shoulder-tips-forward',
  'elbow-flares',
  'arm-tucks',
  'arm-pulls',
  'back-rounds',
  'bounces',
  'rests-in-lockout',
  'hips-slide',
  'knee-gap',
  'trunk-rocks',
  'elbows-uneven',
  'knees-lift',
  'raise-shrugs',
  'pronation-hurts',
  'little-finger-hurts',
  'borrowed-load',
] as const;
/** A fault that can be seen. */
export type FaultCode = (typeof FAULT_CODES)[number];

/** 1 watch, 2 correct now, 3 stop the set. */
export type Severity = 1 | 2 | 3;
