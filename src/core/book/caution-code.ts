/** Cautions that a movement can carry, in the order they are told; texts are in messages/. */
export const CAUTION_CODES = [
  'carriage-pin',
  'carabiner-and-cable',
  'floor-clear',
  'bench-pins',
  'block-slips',
  'collars',
  'deep-shoulder-stretch',
  'handles-behind-chest',
  'shoulder-forward',
  'preacher-bottom',
  'no-lockout',
  'knee-on-axis',
  'round-spine',
  'bar-on-pins',
  'breathe',
  'straddle',
  'stop-signs',
] as const;
/** A caution that a movement can carry. */
export type CautionCode = (typeof CAUTION_CODES)[number];
