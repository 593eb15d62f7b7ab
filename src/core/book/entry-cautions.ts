import type { BookEntry } from './book-entry';

export const CAUTION_CODES = [
  'carriage-pin',
  'carabiner-and-cable',
  'floor-clear',
  'bench-pins',
  'block-slips',
  'collars',
  'deep-shoulder-stretch',
  'handles-behind-chest',
  'shoulder-forward',
  'preacher-bottom',
  'no-lockout',
  'knee-on-axis',
  'round-spine',
  'bar-on-pins',
  'breathe',
  'straddle',
  'stop-signs',
] as const;
export type CautionCode = (typeof CAUTION_CODES)[number];

/** Longest pause before breathing is worth a word, seconds (our judgement). */
const LONG_PAUSE_S = 3;

/**
 * Cautions that a movement carries, by what it is done on and what it does to the joints (common practice); the signs
 * to stop at come last, always.
 */
export function cautionsOf(e: BookEntry): readonly CautionCode[] {
  const { load, posture, action } = e;
  const pulls = e.group === 'rows' || e.group === 'pulldowns';
  const onBench =
    e.armOn === null &&
    load.kind !== 'machine' &&
    (posture.kind === 'lying' ||
      posture.kind === 'hand-on-bench' ||
      posture.kind === 'hand-and-knee' ||
      (posture.kind === 'seated' && posture.on === 'bench'));
  const press =
    action === 'shoulder.flexion' && e.target !== 'deltoid-front'
      ? e.group === 'chest'
      : load.kind === 'machine' && (load.machine === 'chest-press' || load.machine === 'shoulder-press');
  const has: Readonly<Record<CautionCode, boolean>> = {
    'carriage-pin': load.kind === 'cable',
    'carabiner-and-cable': load.kind === 'cable',
    'floor-clear': load.kind === 'cable' || posture.kind === 'wide' || load.kind === 'landmine',
    'bench-pins': onBench || e.armOn !== null,
    'block-slips': e.ruled.some((r) => r.setting === 'block'),
    collars: (load.kind === 'weight' && load.kit === 'bar') || load.kind === 'landmine',
    'deep-shoulder-stretch':
      action === 'shoulder.horizontalAdduction' ||
      e.id === 'dumbbell-pullover' ||
      e.id === 'pulldown-side-lying' ||
      e.id === 'door-frame-chest-stretch',
    'handles-behind-chest': load.kind === 'machine' && (load.machine === 'chest-press' || load.machine === 'chest-fly'),
    'shoulder-forward': e.group === 'rows' || e.group === 'triceps',
    'preacher-bottom': e.armOn === 'preacher',
    'no-lockout':
      press ||
      (load.kind === 'machine' && load.machine === 'leg-press') ||
      e.id === 'leg-extension' ||
      e.id === 'seated-dumbbell-press' ||
      e.id === 'close-push-up',
    'knee-on-axis': load.kind === 'machine' && (load.machine === 'leg-extension' || load.machine === 'leg-curl'),
    'round-spine': posture.kind === 'hinged' || action === 'trunk.extension',
    'bar-on-pins': e.id === 'rack-pull' || e.id === 'barbell-row-dead-stop',
    breathe:
      (pulls && posture.kind === 'hinged' && load.kind === 'weight') ||
      e.tempo.split('-').some((p, i) => i % 2 === 1 && Number(p) > LONG_PAUSE_S),
    straddle: posture.kind === 'hand-and-knee',
    'stop-signs': true,
  };
  return CAUTION_CODES.filter((c) => has[c]);
}
