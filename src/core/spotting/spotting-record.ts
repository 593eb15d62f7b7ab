import { entryOf, type MovementId } from '@/core/book/book';
import { faultsOf } from '@/core/book/entry-faults';
import { sizeAt } from '@/core/fault/show-fault';
import { PERTURBATION, type Perturbation } from '@/core/fault/perturbation';
import { FAULT_CODES, type FaultCode } from '@/core/movement/fault-code';
import { median } from '@/core/units/mean';
import { sensitivityOf, type Detections, type Sensitivity } from './detection';
import { isRight, type SpottingAnswer } from './spotting-answer';
import { climb } from './staircase';

/** How a trainer sees one fault. */
export interface SpottedFault extends Detections {
  readonly fault: FaultCode;
  readonly sensitivity: Sensitivity | null;
  /** Size that is seen in about 71 of 100 tries, unit and sign of the perturbation; null while it is not known. */
  readonly seenFrom: number | null;
  /** Middle time to a tap that was right, milliseconds; null where none was. */
  readonly tookMs: number | null;
  /** Shown too seldom to say how well it is seen. */
  readonly few: boolean;
  /** Missed often enough to be said so. */
  readonly isMissed: boolean;
}

/** How often a fault has to be shown before anything is said of it (our judgement). */
export const ENOUGH_SHOWN = 8;
/** Hardly told from its absence below this d', as good as guessing (our judgement). */
const GUESSING = 1;
/** A staircase settles at 71 of 100: who sees fewer at its largest size does not come down from it (our judgement). */
const STUCK_SHARE = 0.6;

/**
 * Whether a fault is missed: it is as good as guessed, or not seen at the size that is commonly seen of it, or not even
 * at its largest. d' alone does not say so, since who rarely taps at all has few false alarms.
 */
function misses(counts: Detections, sensitivity: Sensitivity | null, threshold: number | null, p: Perturbation) {
  if (sensitivity && sensitivity.dPrime < GUESSING) return true;
  return threshold === null ? counts.hits / counts.signals < STUCK_SHARE : threshold > p.usual / p.most;
}

/** Whether the pad of a movement offers a fault, so that not to tap it says something. */
const offers = (movement: MovementId, fault: FaultCode): boolean => faultsOf(entryOf(movement)).includes(fault);

/** Level of each fault's staircase for the next try, share of its largest size; over answers oldest first. */
export const staircaseOf = (answers: readonly SpottingAnswer[], fault: FaultCode) =>
  climb(answers.filter((a) => a.shown?.fault === fault).map(isRight));

function spotted(answers: readonly SpottingAnswer[], fault: FaultCode): SpottedFault {
  const there = answers.filter((a) => a.shown?.fault === fault);
  const absent = answers.filter((a) => a.shown?.fault !== fault && offers(a.movement, fault));
  const hits = there.filter(isRight);
  const counts: Detections = {
    signals: there.length,
    hits: hits.length,
    noises: absent.length,
    falseAlarms: absent.filter((a) => a.said === fault).length,
  };
  const sensitivity = sensitivityOf(counts);
  const { threshold } = staircaseOf(answers, fault);
  const few = there.length < ENOUGH_SHOWN;
  const p = PERTURBATION[fault];
  return {
    fault,
    ...counts,
    sensitivity,
    seenFrom: threshold === null || !p ? null : sizeAt(p, threshold),
    tookMs: hits.length > 0 ? median(hits.map((a) => a.tookMs)) : null,
    few,
    isMissed: !few && p !== undefined && misses(counts, sensitivity, threshold, p),
  };
}

/**
 * What a trainer sees and misses, fault by fault: those that are missed first, then the others by d', then those that
 * were shown too seldom. `answers`: oldest first; only faults that were shown or tapped are told.
 */
export function spottingRecord(answers: readonly SpottingAnswer[]): readonly SpottedFault[] {
  const rank = (f: SpottedFault): number => (f.few ? 2 : f.isMissed ? 0 : 1);
  return FAULT_CODES.map((fault) => spotted(answers, fault))
    .filter((f) => f.signals > 0 || f.falseAlarms > 0)
    .toSorted(
      (a, b) =>
        rank(a) - rank(b) ||
        (a.few ? b.signals - a.signals : (a.sensitivity?.dPrime ?? 0) - (b.sensitivity?.dPrime ?? 0)),
    );
}
