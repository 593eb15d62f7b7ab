import { isCovered, type ClinicianLimit } from '@/core/body/clinician-limit';
import { noteDefaults, type ClientNote, type LimitNote } from '@/core/body/client-note';
import { LOADED_PARTS, type LoadedPart, type LoadLimitsKg } from '@/core/body/loaded-part';
import type { Side } from '@/core/body/side';
import type { BookEntry } from './book-entry';
import { inHandKg } from './entry-load';

/** A load that is more than a limit allows on a part, both in kilograms on that part. */
export interface Overload {
  readonly part: LoadedPart;
  readonly haveKg: number;
  readonly mostKg: number;
}

/** The trunk carries the load where it hangs free over the hips, or works against it itself. */
const onSpine = (e: BookEntry): boolean =>
  e.action === 'trunk.extension' || e.posture.kind === 'hinged' || e.posture.kind === 'forearm-on-thigh';

/**
 * Share of the set load (stack, dumbbell, bar with its plates) that comes on each part; 0 where it carries none of it.
 * A machine's stack is shared by both legs; what both hands hold meets in the trunk.
 */
function loadShares(e: BookEntry, pulleyRatio: number): Readonly<Record<LoadedPart, number>> {
  const legs = e.posture.kind === 'leg-machine';
  const hand = legs ? 0 : inHandKg(e, 1, pulleyRatio);
  return {
    hand,
    leg: legs ? inHandKg(e, 1, pulleyRatio) : 0,
    spine: onSpine(e) ? hand * (e.hands === 'two' ? 2 : 1) : 0,
  };
}

/** The limit that a load breaks by most, as a share of what is allowed; null when it breaks none. */
export function findOverload(e: BookEntry, loadKg: number, pulleyRatio: number, limits: LoadLimitsKg): Overload | null {
  const shares = loadShares(e, pulleyRatio);
  const broken = LOADED_PARTS.flatMap((part): Overload[] => {
    const mostKg = limits[part];
    const haveKg = shares[part] * loadKg;
    return mostKg !== null && haveKg > mostKg ? [{ part, haveKg, mostKg }] : [];
  });
  return broken.sort((a, b) => b.haveKg / b.mostKg - a.haveKg / a.mostKg)[0] ?? null;
}

/** Heaviest load that no limit forbids, kilograms as set; null when none applies. */
export function heaviestKg(e: BookEntry, pulleyRatio: number, limits: LoadLimitsKg): number | null {
  const shares = loadShares(e, pulleyRatio);
  const most = LOADED_PARTS.flatMap((part) => {
    const mostKg = limits[part];
    return mostKg !== null && shares[part] > 0 ? [mostKg / shares[part]] : [];
  });
  return most.length > 0 ? Math.min(...most) : null;
}

/**
 * Notes that ask for a clinician's limit where none covers this movement on these sides: neither one on a load that
 * comes on the same part, nor one on a motion of the joint that works.
 */
export function missingLimits(
  e: BookEntry,
  sides: readonly Side[],
  limits: readonly ClinicianLimit[],
  notes: readonly ClientNote[],
): readonly LimitNote[] {
  const shares = loadShares(e, 1);
  const parts = LOADED_PARTS.filter((part) => shares[part] > 0);
  const joint = e.action.split('.')[0]!;
  return isCovered(limits, sides, parts, joint) ? [] : noteDefaults(notes).wantLimits;
}
