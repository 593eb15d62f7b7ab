import { SIDES, type Side } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import type { Vec3 } from '@/core/geometry/vector';
import type { Column, Room } from '@/core/kit/column';
import type { LineMetrics, ProfileSamples } from '@/core/mechanics/line-profile';
import type { Violation } from '@/core/setup/cost';
import type { Placement, SetupProblem, WorkingSide } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import type { BookEntry } from './book-entry';
import { findProblem, type SetupInput } from './build-problem';
import { usualOptions } from './entry-options';
import { withKit } from './fit-entry';
import { poseEntry, WHOLE_RANGE, workingShare, type EntryRange, type PosedEntry } from './pose-entry';
import { profileEntry } from './profile-entry';
import { rangeDegOf } from './range-deg';
import { USUAL_KIT, type StationKit } from './station-kit';

/** A movement asked of a body: on which side, with what, at which column. */
export interface EntryInput {
  readonly body: Body;
  readonly range: EntryRange;
  readonly side: WorkingSide;
  readonly loadKg: number;
  readonly kit: StationKit;
  /** Null where the gym has none; a cable movement is blocked then. */
  readonly column: { readonly column: Column; readonly room: Room; readonly attachmentM: number } | null;
}

export const usualInput = (
  body: Body,
  side: WorkingSide,
  loadKg: number,
  range: EntryRange,
): Omit<EntryInput, 'column'> => ({ body, range, side, loadKg, kit: USUAL_KIT });

export type EntryAnswer =
  | {
      readonly ok: true;
      /** Null for a movement that needs no place at a column. */
      readonly placement: Placement | null;
      readonly metrics: LineMetrics;
      readonly samples: ProfileSamples;
      readonly posed: PosedEntry;
      readonly side: Side;
      readonly pulley: Vec3 | null;
    }
  | {
      readonly ok: false;
      readonly reason: 'range' | 'no-column' | 'one-pulley' | 'sides' | 'limits';
      readonly violations: readonly Violation[];
    };

/** The question that a cable movement asks of a column. */
export function toSetupInput(
  entry: BookEntry,
  input: EntryInput,
  at: NonNullable<EntryInput['column']>,
  options: SetupInput['options'] = usualOptions(entry, input.range.fit),
): SetupInput {
  const { body, range, side, loadKg, kit } = input;
  return {
    ...at,
    body,
    range: range.active,
    limits: range.limits,
    stopLevel: range.stopLevel,
    fit: range.fit,
    entry,
    options,
    side,
    kit,
    loadKg,
    mostLoadKg: null,
    fixed: {},
    lastUsed: null,
  };
}

/** The search that a cable movement asks; null for others, or when the client's range leaves too little of it. */
export const entryProblem = (
  entry: BookEntry,
  input: EntryInput,
  options?: SetupInput['options'],
): SetupProblem | null =>
  entry.load.kind === 'cable' && input.column ? findProblem(toSetupInput(entry, input, input.column, options)) : null;

/**
 * How far the target joint turns over the whole of a movement and over what a client's range leaves of it, degrees; the
 * tighter side.
 */
export function wholeRangeDeg(
  entry: BookEntry,
  input: Omit<EntryInput, 'column'>,
): { readonly wholeDeg: number; readonly leftDeg: number } {
  const sides: readonly Side[] = input.side === 'both' ? SIDES : [input.side];
  const { body, range, kit } = input;
  const own = sides.map((side) => {
    const whole = poseEntry(entry, body, side, { ...WHOLE_RANGE, fit: range.fit }, kit.surfaces)!;
    const share = workingShare(entry, body, side, range, kit.surfaces);
    const wholeDeg = rangeDegOf(whole.path, whole.target.joint);
    return { wholeDeg, leftDeg: wholeDeg * share };
  });
  return own.reduce((a, b) => (b.leftDeg < a.leftDeg ? b : a));
}

/** Solve or fit a movement: place it at a column where it hangs on a cable, and profile it either way. */
export function solveEntry(entry: BookEntry, input: EntryInput, options?: SetupInput['options']): EntryAnswer {
  const no = (
    reason: Extract<EntryAnswer, { ok: false }>['reason'],
    violations: readonly Violation[] = [],
  ): EntryAnswer => ({ ok: false, reason, violations });
  if (entry.path.kind !== 'sweep' && (entry.hands === 'two') !== (input.side === 'both')) return no('sides');
  const sides = input.side === 'both' ? SIDES : [input.side];
  const shown = sides[sides.length - 1]!;
  if (entry.load.kind !== 'cable') {
    const own = sides.map((side) => profileEntry(entry, input, side));
    const last = own[own.length - 1];
    if (!last || own.includes(null)) return no('range');
    return { ok: true, placement: null, ...last, side: shown, pulley: null };
  }
  if (!input.column) return no('no-column');
  if (input.column.column.kind === 'single' && input.side === 'both' && !entry.load.shared) return no('one-pulley');
  const problem = entryProblem(entry, input, options);
  if (!problem) return no('range');
  const solution = solveSetup(problem);
  if (!solution.feasible) return no('limits', solution.nearest.violations);
  const { placement, bySide } = solution.best;
  const posed = poseEntry(
    withKit(entry, input.kit),
    input.body,
    shown,
    input.range,
    input.kit.surfaces,
    options ?? usualOptions(entry, input.range.fit),
  )!;
  return { ok: true, placement, ...bySide[shown]!, posed, side: shown, pulley: problem.pulley(placement, shown) };
}
