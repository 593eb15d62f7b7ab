import type { Side } from '@/core/body/side';
import { fitSettings, type FitSetting } from './fit-entry';
import { limbOn, type PosedQuestion } from './posed-question';
import { loadedRegion, type LoadedRegion } from './region-of';

/** Everything of a posed question that is set by rule or fit, biggest first; of the side that is shown unless told. */
export function settingsOf(posed: PosedQuestion, side: Side = posed.shown): FitSetting[] {
  const { posed: limb, startBy, finishBy } = limbOn(posed, side);
  const { body, kit } = posed.question;
  return fitSettings(posed.entry, body, kit, limb, side, { startBy, finishBy });
}

/** The region that a posed question loads, with what would change it. */
export const regionOf = (posed: PosedQuestion, side: Side = posed.shown): LoadedRegion =>
  loadedRegion(posed.entry, limbOn(posed, side).posed, side);
