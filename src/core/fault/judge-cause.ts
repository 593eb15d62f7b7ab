import type { Side } from '@/core/body/side';
import { CORRECTION_KIND, type CorrectionCode, REMEDY_ORDER, type RemedyKind } from '@/core/movement/correction-code';
import type { FaultCode } from '@/core/movement/fault-code';
import { FAULT_BOOK } from './fault-book';

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
  /** Earlier sets of this movement: load and whether the fault showed. */
  readonly earlier: readonly { readonly loadG: number; readonly seen: boolean }[];
  /** Corrections already tried this session and found not to hold. */
  readonly failed: readonly CorrectionCode[];
  /** Whether a correction can be made of this movement. */
  readonly fits: (c: CorrectionCode) => boolean;
}

/** What in the records points to a cause. */
export type CauseSign = 'setup-differs' | 'late-reps' | 'grows-with-load' | 'from-first-rep' | 'usual-order';

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

function judgeSign(
  e: FaultEvidence,
  kinds: readonly RemedyKind[],
): { readonly cause: RemedyKind | null; readonly sign: CauseSign } {
  if (e.setupOff === true && kinds.includes('set-up')) return { cause: 'set-up', sign: 'setup-differs' };
  const lastThird = e.repsDone - Math.ceil(e.repsDone / 3);
  if (e.repsDone >= SHORTEST_FOR_THIRDS && e.reps.length > 0 && e.reps.every((r) => r > lastThird))
    return { cause: kinds.includes('load') ? 'load' : null, sign: 'late-reps' };
  const lighter = e.earlier.filter((s) => s.loadG < e.loadG);
  if (lighter.length > 0 && lighter.every((s) => !s.seen)) return { cause: 'load', sign: 'grows-with-load' };
  if (e.reps.some((r) => r <= FROM_START_REP)) return { cause: 'cue', sign: 'from-first-rep' };
  return { cause: null, sign: 'usual-order' };
}

/**
 * Judge the likely cause of a fault and order its remedies: set-up when the set-up differs from the solved one; load
 * when it shows only in the last third of the reps or not at lighter loads; cue when it is there from the first reps;
 * else the usual order set-up, load, cue, range, refer. With the set-up known to be right, its remedies go last before
 * referral; a correction that did not hold goes behind those not yet tried.
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
