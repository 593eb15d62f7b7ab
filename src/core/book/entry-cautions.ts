import { CAUTION_CODES, type CautionCode } from './caution-code';
import type { BookEntry } from './book-entry';

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
    'deep-shoulder-stretch': action === 'shoulder.horizontalAdduction',
    'handles-behind-chest': load.kind === 'machine' && (load.machine === 'chest-press' || load.machine === 'chest-fly'),
    'shoulder-forward': e.group === 'rows' || e.group === 'triceps',
    'preacher-bottom': e.armOn === 'preacher',
    'no-lockout': press || (load.kind === 'machine' && load.machine === 'leg-press'),
    'knee-on-axis': load.kind === 'machine' && (load.machine === 'leg-extension' || load.machine === 'leg-curl'),
    'round-spine': posture.kind === 'hinged' || action === 'trunk.extension',
    'bar-on-pins': false,
    breathe:
      (pulls && posture.kind === 'hinged' && load.kind === 'weight') ||
      e.tempo.split('-').some((p, i) => i % 2 === 1 && Number(p) > LONG_PAUSE_S),
    straddle: posture.kind === 'hand-and-knee',
    'stop-signs': true,
  };
  return CAUTION_CODES.filter((c) => has[c] || e.cautions.includes(c));
}
