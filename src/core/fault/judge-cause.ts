import type { Side } from '@/core/body/side';
import { CORRECTION_KIND, type CorrectionCode, REMEDY_ORDER, type RemedyKind } from '@/core/movement/correction-code';
import type { FaultCode } from '@/core/movement/fault-code';
import { FAULT_BOOK } from './fault-book';

/** What an earlier set tells of a fault. */
export interface EarlierSet {
  readonly loadG: number;
  readonly repsDone: number;
  readonly reps: readonly number[];
}

/** What is known of one fault in the set just done and in the sets before it. */
export interface FaultEvidence {
  readonly fault: FaultCode;
  /** Reps at which it was seen, 1 for the first. */
  readonly reps: readonly number[];
  readonly repsDone: number;
  readonly sides: readonly (Side | 'both')[];
  /** Set-up as used lies outside the solved tolerance; null when not known. */
  readonly setupOff: boolean | null;
  readonly loadG: number;
  /** Earlier sets of this movement, oldest first: load, reps, and at which of them the fault was seen. */
  readonly earlier: readonly EarlierSet[];
  /** Corrections already tried this session and found not to hold. */
  readonly failed: readonly CorrectionCode[];
  /** Whether a correction can be made of this movement. */
  readonly fits: (c: CorrectionCode) => boolean;
}

/** What in the records points to a cause. */
export type CauseSign =
  'setup-differs' | 'late-reps' | 'grows-with-load' | 'from-first-rep' | 'all-through' | 'usual-order';

/** The most likely cause of a fault, what points to it, and remedies in the order to try them. */
export interface JudgedCause {
  readonly fault: FaultCode;
  readonly cause: RemedyKind;
  readonly sign: CauseSign;
  /** Only ever seen on one side. */
  readonly onlySide: Side | null;
  /** All corrections for it, the judged one first, then in the order of remedy. */
  readonly remedies: readonly CorrectionCode[];
}

/** A fault seen by this rep counts as there from the start. */
const FROM_START_REP = 2;
/** Too few reps to speak of a last third. */
const SHORTEST_FOR_THIRDS = 4;
/** So many sets before this one speak of it as well: about the last two sessions. */
const SETS_BACK = 6;

/** Reps up to this one are not yet the last third; null where there are too few to speak of one. */
const lastThirdFrom = (repsDone: number): number | null =>
  repsDone >= SHORTEST_FOR_THIRDS ? repsDone - Math.ceil(repsDone / 3) : null;

/** Whether a fault was seen in a set, and only in its last third. */
function onlyLate({ reps, repsDone }: Pick<EarlierSet, 'reps' | 'repsDone'>): boolean {
  const from = lastThirdFrom(repsDone);
  return from !== null && reps.length > 0 && reps.every((r) => r > from);
}

function judgeSign(
  e: FaultEvidence,
  kinds: readonly RemedyKind[],
): { readonly cause: RemedyKind | null; readonly sign: CauseSign } {
  if (e.setupOff === true && kinds.includes('set-up')) return { cause: 'set-up', sign: 'setup-differs' };
  // One mark late in a set says little, where the sets before it had the fault early as well.
  const before = e.earlier.slice(-SETS_BACK).filter((s) => s.reps.length > 0);
  const early = before.filter((s) => !onlyLate(s) && lastThirdFrom(s.repsDone) !== null);
  if (onlyLate(e) && early.length <= before.length / 2)
    return { cause: kinds.includes('load') ? 'load' : null, sign: 'late-reps' };
  const lighter = e.earlier.filter((s) => s.loadG < e.loadG);
  if (lighter.length > 0 && lighter.every((s) => s.reps.length === 0))
    return { cause: 'load', sign: 'grows-with-load' };
  if (e.reps.some((r) => r <= FROM_START_REP)) return { cause: 'cue', sign: 'from-first-rep' };
  if (early.length > 0 && kinds.includes('cue')) return { cause: 'cue', sign: 'all-through' };
  return { cause: null, sign: 'usual-order' };
}

/**
 * Judge the likely cause of a fault and order its remedies: set-up when the set-up differs from the solved one; load
 * when it shows only in the last third of the reps, in the sets before as well, or not at lighter loads; cue when it is
 * there from the first reps or, over these and the sets before, all through; else the usual order set-up, load, cue,
 * range, refer. With the set-up known to be right, its remedies go last before referral; a correction that did not hold
 * goes behind those not yet tried.
 */
export function judgeCause(e: FaultEvidence): JudgedCause {
  const corrections = FAULT_BOOK[e.fault].corrections.filter(e.fits);
  const kinds = corrections.map((c) => CORRECTION_KIND[c]);
  const { cause, sign } = judgeSign(e, kinds);
  const rank = (c: CorrectionCode): number => {
    const kind = CORRECTION_KIND[c];
    const base = kind === cause ? -10 : REMEDY_ORDER.indexOf(kind);
    const ruledOut = kind === 'set-up' && e.setupOff === false ? 3.5 : 0;
    return (e.failed.includes(c) ? 100 : 0) + base + ruledOut;
  };
  const remedies = corrections
    .map((c, i) => ({ c, i }))
    .sort((a, b) => rank(a.c) - rank(b.c) || a.i - b.i)
    .map((x) => x.c);
  const sides = new Set(e.sides);
  const only = sides.size === 1 ? [...sides][0]! : 'both';
  return {
    fault: e.fault,
    cause: cause ?? CORRECTION_KIND[remedies[0]!],
    sign,
    onlySide: only === 'both' ? null : only,
    remedies,
  };
}
