import type { CorrectionCode } from '@/core/movement/correction-code';
import type { Severity } from '@/core/movement/fault-code';
import type { FaultCode } from '@/core/movement/fault-code';

/** When in the rep a fault shows. */
export const FAULT_PHASES = ['start', 'lifting', 'finish', 'lowering', 'stretch'] as const;
/** Phase of a rep in which a fault is seen. */
export type FaultPhase = (typeof FAULT_PHASES)[number];

/** Likely causes, in the order they are ruled out. */
export const CAUSE_ORDER = ['set-up', 'load', 'cue', 'range', 'structure'] as const;
/** What can cause a fault. */
export type FaultCause = (typeof CAUSE_ORDER)[number];

/** A fault as data: where it shows, how much it matters, and what to try, in the order of remedy. */
export interface Fault {
  readonly phase: FaultPhase;
  readonly severity: Severity;
  /** Concerns a joint: stays on the watch list even when mild. */
  readonly joint: boolean;
  /** Seen of one side or both, or of the whole body. */
  readonly side: 'either' | 'whole';
  /** What to rule out first, in this order. */
  readonly causes: readonly FaultCause[];
  readonly corrections: readonly CorrectionCode[];
}

/** Faults of the trade's list; order of causes and remedies is common practice. */
export const FAULT_BOOK: Readonly<Record<FaultCode, Fault>> = {
  'shoulders-roll-forward': {
    phase: 'finish',
    severity: 2,
    joint: true,
    side: 'either',
    causes: ['set-up', 'load', 'structure'],
    corrections: ['pulley-up', 'one-step-lighter', 'blades-down', 'upper-arms-to-ribs', 'refer'],
  },
  'line-off-arm': {
    phase: 'finish',
    severity: 2,
    joint: false,
    side: 'either',
    causes: ['set-up'],
    corrections: ['solved-hole', 'solved-mark', 'square-up'],
  },
  'arms-stay-bent': {
    phase: 'finish',
    severity: 1,
    joint: false,
    side: 'either',
    causes: ['cue'],
    corrections: ['one-step-lighter', 'straighten-at-finish'],
  },
  'sides-differ': {
    phase: 'finish',
    severity: 1,
    joint: false,
    side: 'either',
    causes: ['structure'],
    corrections: ['solved-mark', 'hands-level', 'one-arm', 'refer'],
  },
  'arms-too-straight': {
    phase: 'stretch',
    severity: 2,
    joint: true,
    side: 'either',
    causes: ['load', 'cue'],
    corrections: ['one-step-lighter', 'bend-at-stretch'],
  },
  'past-control': {
    phase: 'stretch',
    severity: 3,
    joint: true,
    side: 'either',
    causes: ['set-up', 'range'],
    corrections: ['step-in', 'one-step-lighter', 'stop-earlier', 'refer'],
  },
  'stack-touches': {
    phase: 'stretch',
    severity: 2,
    joint: false,
    side: 'whole',
    causes: ['set-up'],
    corrections: ['step-out', 'stop-earlier'],
  },
  shrugs: {
    phase: 'lifting',
    severity: 2,
    joint: false,
    side: 'either',
    causes: ['set-up', 'load'],
    corrections: ['solved-hole', 'one-step-lighter', 'blades-down', 'refer'],
  },
  'trunk-swings': {
    phase: 'lifting',
    severity: 2,
    joint: false,
    side: 'whole',
    causes: ['set-up', 'load'],
    corrections: ['one-step-lighter', 'still-trunk', 'one-arm'],
  },
  'trunk-turns': {
    phase: 'lifting',
    severity: 2,
    joint: false,
    side: 'either',
    causes: ['set-up', 'load'],
    corrections: ['solved-mark', 'one-step-lighter', 'square-up'],
  },
  'range-shrinks': {
    phase: 'lifting',
    severity: 1,
    joint: false,
    side: 'whole',
    causes: ['load', 'range'],
    corrections: ['one-step-lighter', 'end-set-sooner'],
  },
  'lowering-dropped': {
    phase: 'lowering',
    severity: 2,
    joint: false,
    side: 'whole',
    causes: ['cue'],
    corrections: ['one-step-lighter', 'lower-like-another'],
  },
  'ribs-flare': {
    phase: 'lowering',
    severity: 2,
    joint: true,
    side: 'whole',
    causes: ['set-up', 'load'],
    corrections: ['one-step-lighter', 'ribs-down', 'refer'],
  },
  'chin-forward': {
    phase: 'start',
    severity: 1,
    joint: false,
    side: 'whole',
    causes: ['structure'],
    corrections: ['chin-in'],
  },
  'pad-gap': {
    phase: 'start',
    severity: 2,
    joint: true,
    side: 'either',
    causes: ['set-up'],
    corrections: ['seat-up', 'one-step-lighter', 'chest-over-pad'],
  },
  'elbow-locks-out': {
    phase: 'stretch',
    severity: 3,
    joint: true,
    side: 'either',
    causes: ['load', 'range'],
    corrections: ['one-step-lighter', 'short-of-straight', 'stop-earlier'],
  },
  'elbow-swings': {
    phase: 'start',
    severity: 2,
    joint: false,
    side: 'either',
    causes: ['load', 'cue'],
    corrections: ['one-step-lighter', 'start-behind', 'one-arm', 'half-kneel'],
  },
  'elbow-drifts-back': {
    phase: 'lifting',
    severity: 1,
    joint: false,
    side: 'either',
    causes: ['load', 'cue'],
    corrections: ['one-step-lighter', 'elbow-under-shoulder'],
  },
  'curls-past-tension': {
    phase: 'finish',
    severity: 1,
    joint: false,
    side: 'either',
    causes: ['range'],
    corrections: ['stop-at-ninety'],
  },
  'shoulder-tips-forward': {
    phase: 'stretch',
    severity: 2,
    joint: true,
    side: 'either',
    causes: ['load', 'cue'],
    corrections: ['one-step-lighter', 'blade-first', 'stop-earlier', 'refer'],
  },
  'elbow-flares': {
    phase: 'lifting',
    severity: 1,
    joint: false,
    side: 'either',
    causes: ['set-up'],
    corrections: ['neutral-grip', 'lower-line', 'aim-for-hip'],
  },
  'arm-tucks': {
    phase: 'lifting',
    severity: 1,
    joint: false,
    side: 'either',
    causes: ['set-up'],
    corrections: ['solved-hole', 'elbow-and-palm-out'],
  },
  'arm-pulls': {
    phase: 'lifting',
    severity: 1,
    joint: false,
    side: 'either',
    causes: ['set-up', 'load', 'cue'],
    corrections: ['straps', 'one-step-lighter', 'drive-the-elbow'],
  },
  'back-rounds': {
    phase: 'lifting',
    severity: 3,
    joint: true,
    side: 'whole',
    causes: ['set-up', 'range'],
    corrections: ['higher-hinge', 'support-the-trunk', 'one-step-lighter', 'refer'],
  },
  bounces: {
    phase: 'stretch',
    severity: 2,
    joint: true,
    side: 'whole',
    causes: ['load', 'cue'],
    corrections: ['one-step-lighter', 'pause-at-the-bottom'],
  },
  'rests-in-lockout': {
    phase: 'finish',
    severity: 2,
    joint: true,
    side: 'either',
    causes: ['set-up', 'cue'],
    corrections: ['step-back', 'one-step-lighter', 'short-of-straight'],
  },
  'hips-slide': {
    phase: 'lifting',
    severity: 2,
    joint: true,
    side: 'whole',
    causes: ['set-up', 'load', 'cue'],
    corrections: ['seat-back', 'one-step-lighter', 'pull-on-handles'],
  },
  'knee-gap': {
    phase: 'start',
    severity: 2,
    joint: true,
    side: 'either',
    causes: ['set-up'],
    corrections: ['back-pad-hole', 'one-step-lighter', 'refer'],
  },
  'trunk-rocks': {
    phase: 'lifting',
    severity: 2,
    joint: false,
    side: 'whole',
    causes: ['set-up', 'load'],
    corrections: ['pin-the-knees', 'one-step-lighter', 'elbows-only'],
  },
  'elbows-uneven': {
    phase: 'lifting',
    severity: 2,
    joint: true,
    side: 'either',
    causes: ['structure'],
    corrections: ['independent-arms', 'one-step-lighter', 'hands-level', 'refer'],
  },
  'knees-lift': {
    phase: 'lifting',
    severity: 1,
    joint: false,
    side: 'either',
    causes: ['set-up', 'cue'],
    corrections: ['seat-back', 'one-step-lighter', 'knees-heavy'],
  },
  'raise-shrugs': {
    phase: 'lifting',
    severity: 2,
    joint: true,
    side: 'either',
    causes: ['load', 'range'],
    corrections: ['one-step-lighter', 'blades-down', 'start-at-thirty', 'refer'],
  },
  'pronation-hurts': {
    phase: 'finish',
    severity: 3,
    joint: true,
    side: 'either',
    causes: ['structure'],
    corrections: ['neutral-grip', 'one-step-lighter', 'refer'],
  },
  'little-finger-hurts': {
    phase: 'finish',
    severity: 3,
    joint: true,
    side: 'either',
    causes: ['structure'],
    corrections: ['thumb-up', 'one-step-lighter', 'refer'],
  },
  'borrowed-load': {
    phase: 'start',
    severity: 1,
    joint: false,
    side: 'whole',
    causes: ['load'],
    corrections: ['own-load'],
  },
};
