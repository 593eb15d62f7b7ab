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
  'column',
] as const;
/** Something that can block a set-up. */
export type Limit = (typeof LIMITS)[number];

/** What of the body would meet the column, or stand on its floor plate, nearer than it may come. */
export const COLUMN_PARTS = ['hand', 'elbow', 'knee', 'foot', 'head', 'foot-on-plate', 'knee-on-plate'] as const;
/** A part of the body that a column is in the way of. */
export type ColumnPart = (typeof COLUMN_PARTS)[number];

/**
 * A hard limit that a placement breaks. `need` and `have` are metres, degrees for `line` and `range`, a share for
 * `part` and `rest`, kilograms on the limited part for `load`, metres from skin to cable for `through`, metres
 * that a forearm lies in the body for `limb`, the mark and the nearest one for `column`.
 */
export interface Violation {
  readonly limit: Limit;
  readonly need: number;
  readonly have: number;
  /** What a limited load comes on; only for `load`. */
  readonly part?: LoadedPart;
  /** What the cable or the forearm would run through; only for `through` and `limb`. */
  readonly through?: LinePart;
  /** What would meet the column; only for `column`. */
  readonly meets?: ColumnPart;
}
