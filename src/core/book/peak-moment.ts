import { evaluatePlacement } from '@/core/setup/evaluate';
import type { Placement } from '@/core/setup/setup-problem';
import { shownLimb, type PosedQuestion } from './posed-question';
import { profileOf } from './profile-limb';

/**
 * Largest moment against the target joint over the range, newton metres, of a posed question at a place that was used;
 * null where it hangs on a cable and no place is known.
 */
export function peakMomentNm(posed: PosedQuestion, placement: Placement | null): number | null {
  if (!posed.search) return profileOf(shownLimb(posed)).metrics.peakResistanceNm;
  if (!placement) return null;
  return evaluatePlacement(posed.search, placement).bySide[posed.shown]!.metrics.peakResistanceNm;
}
