import type { FaultCode } from '@/core/movement/fault-code';

/** What a geometric fault does to a solved pose or place; sizes are degrees, metres, holes or shares by `unit`. */
export const PERTURBATION_KINDS = [
  'arm-back',
  'arm-out',
  'arm-in',
  'elbow-straight-at-start',
  'elbow-bent-at-finish',
  'trunk-leans-back',
  'trunk-turns',
  'shoulder-forward',
  'shoulder-up',
  'seat-low',
  'joint-off-axis',
  'past-start',
  'stops-short',
  'hole-off',
  'stands-near',
] as const;
/** How a fault changes the geometry of a movement. */
export type PerturbationKind = (typeof PERTURBATION_KINDS)[number];

/** A geometric model of a fault, with its usual and its largest size. */
export interface Perturbation {
  readonly kind: PerturbationKind;
  readonly unit: 'deg' | 'm' | 'holes' | 'share';
  /** What is commonly seen, and the most that is still this fault (our judgement). */
  readonly usual: number;
  readonly most: number;
}

const deg = (kind: PerturbationKind, usual: number, most: number): Perturbation => ({ kind, unit: 'deg', usual, most });
const metres = (kind: PerturbationKind, usual: number, most: number): Perturbation => ({
  kind,
  unit: 'm',
  usual,
  most,
});

/** The perturbation that models a fault; faults without one are not geometric. */
export const PERTURBATION: Readonly<Partial<Record<FaultCode, Perturbation>>> = {
  'elbow-drifts-back': deg('arm-back', 20, 40),
  'elbow-swings': deg('arm-back', 15, 40),
  'elbow-flares': deg('arm-out', 25, 50),
  'arm-tucks': deg('arm-in', 20, 45),
  'arms-too-straight': deg('elbow-straight-at-start', 25, 60),
  'elbow-locks-out': deg('elbow-straight-at-start', 12, 30),
  'arms-stay-bent': deg('elbow-bent-at-finish', 30, 60),
  'trunk-swings': deg('trunk-leans-back', 12, 30),
  'trunk-rocks': deg('trunk-leans-back', 15, 40),
  'trunk-turns': deg('trunk-turns', 15, 40),
  'shoulders-roll-forward': metres('shoulder-forward', 0.04, 0.08),
  'shoulder-tips-forward': metres('shoulder-forward', 0.04, 0.08),
  shrugs: metres('shoulder-up', 0.04, 0.08),
  'raise-shrugs': metres('shoulder-up', 0.05, 0.08),
  'pad-gap': metres('seat-low', 0.06, 0.12),
  'knee-gap': metres('joint-off-axis', 0.05, 0.1),
  'hips-slide': metres('joint-off-axis', 0.06, 0.12),
  'past-control': deg('past-start', 12, 25),
  'range-shrinks': { kind: 'stops-short', unit: 'share', usual: 0.25, most: 0.5 },
  'line-off-arm': { kind: 'hole-off', unit: 'holes', usual: -3, most: -8 },
  'stack-touches': metres('stands-near', 0.3, 0.8),
};
