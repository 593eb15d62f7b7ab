import type { LinePart } from './line-clear';
import type { LoadedPart } from '@/core/body/loaded-part';

/** Everything that can block a set-up. */
export const LIMITS = [
  'clearance',
  'travel',
  'room',
  'line',
  'range',
  'rest',
  'load',
  'pulleys',
  'through',
  'limb',
  'part',
] as const;
/** Something that can block a set-up. */
export type Limit = (typeof LIMITS)[number];

/**
 * A hard limit that a placement breaks. `need` and `have` are metres, degrees for `line` and `range`, a share for
 * `part` and `rest`, kilograms on the limited part for `load`, metres from skin to cable for `through`, metres
 * that a forearm lies in the body for `limb`.
 */
export interface Violation {
  readonly limit: Limit;
  readonly need: number;
  readonly have: number;
  /** What a limited load comes on; only for `load`. */
  readonly part?: LoadedPart;
  /** What the cable or the forearm would run through; only for `through` and `limb`. */
  readonly through?: LinePart;
}
