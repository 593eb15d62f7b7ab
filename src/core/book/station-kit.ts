import type { Bench } from '@/core/kit/bench';
import type { Band } from '@/core/kit/band';
import type { Machine, MachineKind, PreacherBench } from '@/core/kit/machine';
import type { Landmine } from './landmine';
import { USUAL_SURFACES, type Surfaces } from './posture-rule';
import { USUAL_STRAPS, type StrapKit } from './straps';

/** Kit beside the columns that a movement is posed on and loaded by; what is usual stands where nothing is measured. */
export interface StationKit {
  readonly surfaces: Surfaces;
  readonly bench: Bench | null;
  readonly preacher: PreacherBench | null;
  readonly machines: Partial<Readonly<Record<MachineKind, Machine>>>;
  readonly landmine: Landmine;
  readonly straps: StrapKit;
  /** The gym's own band; null where none was measured. */
  readonly band: Band | null;
  /** Help of a band on a bar that was not measured, both hands together, newtons. */
  readonly bandN: number;
}

/** Usual kit (common practice); measured kit replaces it. */
export const USUAL_KIT: StationKit = {
  surfaces: USUAL_SURFACES,
  bench: null,
  preacher: null,
  machines: {},
  landmine: { pivotHeightM: 0.09, barKg: 20, barM: 2.18, platesAtM: 1.96 },
  straps: USUAL_STRAPS,
  band: null,
  bandN: 150,
};
