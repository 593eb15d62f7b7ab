/** Codes of the faults the cable flies are prone to; what they mean is in core/fault. */
export const FAULT_CODES = [
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
export type FaultCode = (typeof FAULT_CODES)[number];
