import type { TablePoint } from './force-table';
import type { HoleRuler } from './calibrate-ruler';

/** Every kind of machine. */
export const MACHINE_KINDS = [
  'leg-extension',
  'leg-curl',
  'leg-press',
  'chest-press',
  'chest-fly',
  'reverse-fly',
  'shoulder-press',
  'pullover',
] as const;
/** A kind of machine. */
export type MachineKind = (typeof MACHINE_KINDS)[number];

/** A machine. Heights above the floor, distances along it, metres. */
export interface Machine {
  readonly kind: MachineKind;
  /** Height of the seat's pad by hole. */
  readonly seat: HoleRuler | null;
  /** Distance of the back pad's face from the machine's axis by hole. */
  readonly back: HoleRuler | null;
  /** Axis above the seat's pad for leg machines; handles above the floor for presses and flies. */
  readonly axisOverSeatM: number;
  readonly handleHeightM: number;
  readonly path: MachinePath;
  /** Left and right arm move on their own. */
  readonly independentArms: boolean;
}

/** How a machine leads the limb: on an arc about its axis, or along a guide. */
export type MachinePath =
  /**
   * Turns about an axis; the roller or handle `radiusM` from it. Moment arm in metres over the arm's angle in degrees.
   */
  | { readonly kind: 'arc'; readonly radiusM: number; readonly momentArm: readonly TablePoint[] }
  /** Runs on a straight guide at an angle above level; force over stack force. */
  | { readonly kind: 'guide'; readonly guideDeg: number; readonly ratio: number };

/** A preacher bench: seat by hole, top edge of the pad above the floor, pad's slope below level and length. */
export interface PreacherBench {
  readonly seat: HoleRuler;
  readonly padTopM: number;
  readonly padDeg: number;
  readonly padM: number;
}
