import type { OffAxisPart } from '@/core/mechanics/off-axis';
import { buildOffAxisTrack, resolveOffAxis } from '@/core/mechanics/off-axis';
import { explainProfile, type Reason } from '@/core/setup/reasons';
import { braceReason, standingReason } from '@/core/setup/stand-load';
import { palmOf } from './palm';
import { limbOn, type PosedQuestion } from './posed-question';
import { profileOf, workingLimbOf } from './profile-limb';
import { stoodWeight } from './stand-up';
import { standsFree } from './stands-free';

/** What is said of a movement without a column, and where its moment goes beside the target. */
export interface FreeExplanation {
  readonly reasons: readonly Reason[];
  readonly offAxis: readonly OffAxisPart[];
}

/** The weight that a client holds, as it is stood or leant on; nothing where steel or straps hold it. */
function weightReasons(posed: PosedQuestion): readonly Reason[] {
  const { entry } = posed;
  const stood = stoodWeight(posed);
  if (!stood) return [];
  if (standsFree(entry)) return [standingReason(stood)];
  const onBench = entry.posture.kind === 'hand-on-bench' || entry.posture.kind === 'hand-and-knee';
  const brace = onBench ? braceReason(stood) : null;
  return brace ? [brace] : [];
}

/** A moment that nobody feels, Nm (our judgement): an arm's own weight in a stretch or a drill. */
const UNFELT_NM = 2;

/** Everything that is said of a movement whose load needs no place at a column; the shown side speaks for both. */
export function explainFree(posed: PosedQuestion): FreeExplanation {
  const limb = limbOn(posed, posed.shown);
  const { path, target, pose } = limb.posed;
  const { metrics, samples } = profileOf(limb);
  const { body, range } = posed.question;
  const offAxis = resolveOffAxis(buildOffAxisTrack(body, path, target), samples.load);
  const reasons = explainProfile({
    body,
    pose,
    limb: workingLimbOf(posed.entry.action, limb, palmOf(posed.entry, body, posed.shown, range.active, null)),
    region: posed.entry.target,
    metrics,
    samples,
    offAxis,
  });
  const isUnfelt = posed.entry.load.kind === 'none' && metrics.peakResistanceNm < UNFELT_NM;
  const said = isUnfelt ? reasons.filter((r) => r.code === 'range') : reasons;
  return { reasons: [...said, ...weightReasons(posed)], offAxis };
}
