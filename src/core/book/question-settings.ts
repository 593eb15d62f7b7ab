import type { Side } from '@/core/body/side';
import { fitSettings, type FitSetting } from './fit-entry';
import { limbOn, type PosedQuestion } from './posed-question';
import { toPosture } from './posture-rule';
import { loadedRegion, type LoadedRegion } from './region-of';
import { leansFree, stanceOf } from './stand-up';

/** Everything of a posed question that is set by rule or fit, biggest first; of the side that is shown unless told. */
export function settingsOf(posed: PosedQuestion, side: Side = posed.shown): FitSetting[] {
  const { posed: limb, startBy, finishBy } = limbOn(posed, side);
  const { body, kit } = posed.question;
  const found = fitSettings(posed.entry, body, kit, limb, side, { startBy, finishBy });
  const stops = found.findIndex((s) => s.kind === 'stops');
  return found.toSpliced(stops < 0 ? found.length : stops, 0, ...stanceSettings(posed, side));
}

/** Lean and step that stand the load, where a movement is free to lean. */
function stanceSettings({ entry, question }: PosedQuestion, side: Side): FitSetting[] {
  if (!leansFree(entry)) return [];
  const { lean, furtherM } = stanceOf(entry);
  const towards = (['ahead', 'right', 'back', 'left'] as const)[Math.round(lean.headingDeg / 90 + 4) % 4]!;
  const hips = entry.posture.kind === 'hinged';
  const chosen = question.options.leanDeg !== null;
  const settings: FitSetting[] = [{ kind: 'lean', leanDeg: lean.deg, towards, hips, chosen }];
  if (furtherM === 0) return settings;
  const posture = toPosture(entry.posture, side, question.kit, question.body);
  if (posture.kind === 'staggered' && posture.stepM !== undefined)
    settings.push({ kind: 'step', apartM: posture.stepM, ahead: true });
  if (posture.kind === 'wide') settings.push({ kind: 'step', apartM: posture.widthM, ahead: false });
  return settings;
}

/** The region that a posed question loads, with what would change it. */
export const regionOf = (posed: PosedQuestion, side: Side = posed.shown): LoadedRegion =>
  loadedRegion(posed.entry, limbOn(posed, side).posed, side);
