import type { FaultCode } from '@/core/movement/fault-code';

/** When in the rep a fault shows. */
export const FAULT_PHASES = ['start', 'lifting', 'finish', 'lowering', 'stretch'] as const;
export type FaultPhase = (typeof FAULT_PHASES)[number];

/** Likely causes and kinds of remedy, in the order they are ruled out. */
export const REMEDY_ORDER = ['set-up', 'load', 'cue', 'range', 'refer'] as const;
export type RemedyKind = (typeof REMEDY_ORDER)[number];

/** 1 watch, 2 correct now, 3 stop the set. */
export type Severity = 1 | 2 | 3;

export const CORRECTION_CODES = [
  'solved-hole',
  'solved-mark',
  'pulley-up',
  'step-in',
  'step-out',
  'one-step-lighter',
  'blades-down',
  'upper-arms-to-ribs',
  'bend-at-stretch',
  'straighten-at-finish',
  'ribs-down',
  'still-trunk',
  'square-up',
  'lower-like-another',
  'chin-in',
  'hands-level',
  'stop-earlier',
  'end-set-sooner',
  'one-arm',
  'refer',
] as const;
export type CorrectionCode = (typeof CORRECTION_CODES)[number];

/** What a correction works on. */
export const CORRECTION_KIND: Readonly<Record<CorrectionCode, RemedyKind>> = {
  'solved-hole': 'set-up',
  'solved-mark': 'set-up',
  'pulley-up': 'set-up',
  'step-in': 'set-up',
  'step-out': 'set-up',
  'one-step-lighter': 'load',
  'blades-down': 'cue',
  'upper-arms-to-ribs': 'cue',
  'bend-at-stretch': 'cue',
  'straighten-at-finish': 'cue',
  'ribs-down': 'cue',
  'still-trunk': 'cue',
  'square-up': 'cue',
  'lower-like-another': 'cue',
  'chin-in': 'cue',
  'hands-level': 'cue',
  'stop-earlier': 'range',
  'end-set-sooner': 'range',
  'one-arm': 'range',
  refer: 'refer',
};

/** A fault as data: where it shows, how much it matters, and what to try, in the order of remedy. */
export interface Fault {
  readonly phase: FaultPhase;
  readonly severity: Severity;
  /** Concerns a joint: stays on the watch list even when mild. */
  readonly joint: boolean;
  readonly corrections: readonly CorrectionCode[];
}

/** Faults of the twin-cable flies; order of causes and remedies is common practice. */
export const FAULT_BOOK: Readonly<Record<FaultCode, Fault>> = {
  'shoulders-roll-forward': { phase: 'finish', severity: 2, joint: true, corrections: ['pulley-up', 'one-step-lighter', 'blades-down', 'upper-arms-to-ribs', 'refer'] },
  'line-off-arm': { phase: 'finish', severity: 2, joint: false, corrections: ['solved-hole', 'solved-mark', 'square-up'] },
  'arms-stay-bent': { phase: 'finish', severity: 1, joint: false, corrections: ['one-step-lighter', 'straighten-at-finish'] },
  'sides-differ': { phase: 'finish', severity: 1, joint: false, corrections: ['solved-mark', 'hands-level', 'one-arm', 'refer'] },
  'arms-too-straight': { phase: 'stretch', severity: 2, joint: true, corrections: ['one-step-lighter', 'bend-at-stretch'] },
  'past-control': { phase: 'stretch', severity: 3, joint: true, corrections: ['step-in', 'one-step-lighter', 'stop-earlier', 'refer'] },
  'stack-touches': { phase: 'stretch', severity: 2, joint: false, corrections: ['step-out', 'stop-earlier'] },
  shrugs: { phase: 'lifting', severity: 2, joint: false, corrections: ['solved-hole', 'one-step-lighter', 'blades-down', 'refer'] },
  'trunk-swings': { phase: 'lifting', severity: 2, joint: false, corrections: ['one-step-lighter', 'still-trunk', 'one-arm'] },
  'trunk-turns': { phase: 'lifting', severity: 2, joint: false, corrections: ['solved-mark', 'one-step-lighter', 'square-up'] },
  'range-shrinks': { phase: 'lifting', severity: 1, joint: false, corrections: ['one-step-lighter', 'end-set-sooner'] },
  'lowering-dropped': { phase: 'lowering', severity: 2, joint: false, corrections: ['one-step-lighter', 'lower-like-another'] },
  'ribs-flare': { phase: 'lowering', severity: 2, joint: true, corrections: ['one-step-lighter', 'ribs-down', 'refer'] },
  'chin-forward': { phase: 'start', severity: 1, joint: false, corrections: ['chin-in'] },
};
