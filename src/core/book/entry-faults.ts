import { FLY_FAULTS, type FaultCode } from '@/core/movement/fault-code';
import type { BookEntry } from './book-entry';

const ALWAYS: readonly FaultCode[] = ['lowering-dropped', 'range-shrinks', 'borrowed-load'];

/** Faults of a family (common practice). */
const FAMILY: Readonly<Record<Exclude<BookEntry['group'], 'before'>, readonly FaultCode[]>> = {
  chest: ['shoulders-roll-forward', 'past-control', 'ribs-flare'],
  rows: ['shoulder-tips-forward', 'arm-pulls', 'shrugs', 'trunk-turns', 'trunk-swings'],
  pulldowns: ['arm-pulls', 'shrugs', 'trunk-rocks', 'ribs-flare'],
  deltoids: ['shrugs', 'trunk-swings'],
  biceps: ['elbow-swings', 'elbow-drifts-back', 'curls-past-tension', 'trunk-swings'],
  triceps: ['elbow-swings', 'rests-in-lockout', 'shoulders-roll-forward'],
  legs: ['hips-slide', 'rests-in-lockout', 'bounces'],
};

/**
 * Faults that a movement is prone to: its family's, and what its posture, load, hands and action add. In the order they
 * are looked for.
 */
export function faultsOf(e: BookEntry): readonly FaultCode[] {
  if (e.path.kind === 'sweep') return FLY_FAULTS;
  // A stretch and a drill have the two or three of their own.
  if (e.group === 'before') return e.faults;
  const faults: FaultCode[] = [...FAMILY[e.group]];
  const { load, posture } = e;
  const add = (when: boolean, ...codes: FaultCode[]): void => void (when && faults.push(...codes));
  const fly = e.action === 'shoulder.horizontalAdduction' && load.kind !== 'machine';
  add(fly, 'arms-too-straight', 'arms-stay-bent');
  add(load.kind === 'cable', 'stack-touches');
  add(load.kind === 'cable' && e.action.startsWith('shoulder'), 'line-off-arm');
  add(posture.kind === 'hinged', 'back-rounds');
  add(e.action === 'trunk.extension', 'back-rounds', 'bounces');
  add(e.target === 'lat-lower' || e.target === 'lat-upper', 'elbow-flares');
  add(e.target === 'deltoid-rear', 'arm-tucks');
  add(e.target === 'deltoid-side', 'raise-shrugs', 'little-finger-hurts');
  add(e.hands === 'two', 'sides-differ');
  add(e.group === 'deltoids' && load.kind === 'machine', 'elbows-uneven', 'rests-in-lockout', 'ribs-flare');
  add(
    load.kind === 'machine' && (load.machine === 'chest-press' || load.machine === 'chest-fly'),
    'hips-slide',
    'elbows-uneven',
  );
  add(e.armOn === 'preacher', 'pad-gap', 'elbow-locks-out');
  add(e.group === 'biceps' && load.kind === 'weight' && load.kit === 'bar', 'pronation-hurts');
  add(load.kind === 'weight' && load.kit === 'bar' && e.group !== 'biceps', 'bounces');
  add(load.kind === 'machine' && load.machine === 'leg-extension', 'knee-gap');
  add(load.kind === 'machine' && load.machine === 'leg-curl', 'knees-lift');
  return [...new Set([...faults, ...e.faults, ...ALWAYS])];
}
