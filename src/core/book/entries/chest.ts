import type { SweepPath } from '@/core/movement/sweep-path';
import type { BookEntry } from '../book-entry';
import { cable, dumbbell, entry, inFloor, inTrunk, LEVEL } from './make';

const fly = inTrunk([-8, 88, 22, 88], [40, 90, 58, 90], [84, 92, 92, 92]);
/** Dumbbells go up and down in an upright plane, whatever the bench does under it. */
const dumbbellFly = inFloor([0, 82, 0, 112], [0, 128, 0, 146], [0, 172, 0, 178]);
/**
 * Tilts follow the border of the chest that should line up with cable and arm: the lower border for high to low, level
 * fibres for level, the collarbone's for low to high (approximate, from common practice). Staggered, bent in the stretch,
 * nearly straight at the finish; the reps of the low version are its own.
 */
const sweep = (id: string, target: BookEntry['target'], sideElevationDeg: number, tiltDeg: SweepPath['tiltDeg'], fewest = 10): BookEntry =>
  entry({
    id, group: 'chest', target, secondary: ['deltoid-front'], grips: ['neutral'], action: 'shoulder.horizontalAdduction', hands: 'two', posture: { kind: 'staggered' },
    path: { kind: 'sweep', sideElevationDeg, tiltDeg, startAzimuthDeg: -10, finishGapM: 0.1, elbowFlexionDeg: { start: 30, finish: 10 }, leanDeg: 6 }, load: cable('away', ['d-handle'], { near: -0.3, far: 2 }),
    tempo: '3-1-2-1', reps: { min: fewest, max: 15 }, standIns: ['dumbbell-fly-flat', 'machine-fly'],
  });
const lying = (id: string, target: BookEntry['target'], backDeg: number, more: Partial<BookEntry> = {}): BookEntry =>
  entry({ id, group: 'chest', target, secondary: ['deltoid-front'], grips: ['neutral'], action: 'shoulder.horizontalAdduction', hands: 'two', posture: { kind: 'lying', on: 'back', backDeg }, path: dumbbellFly, load: dumbbell(), tempo: '3-1-2-1', reps: { min: 8, max: 12 }, ...more });

export const CHEST: readonly BookEntry[] = [
  sweep('cable-fly-high-to-low', 'chest-lower', 98, { default: 55, min: 30, max: 65 }),
  sweep('cable-fly-level', 'chest-mid', 90, { default: 0, min: -10, max: 15 }),
  sweep('cable-fly-low-to-high', 'chest-upper', 60, { default: -20, min: -40, max: -5 }, 12),
  lying('cable-fly-incline', 'chest-upper', 25, { path: fly, load: cable('away', ['d-handle'], { near: 0.2, far: 1.2 }), ruled: [{ setting: 'notch', wantDeg: 25 }], standIns: ['dumbbell-fly-incline', 'cable-fly-low-to-high'] }),
  lying('cable-fly-decline', 'chest-lower', -10, { path: fly, load: cable('away', ['d-handle'], { near: 0.2, far: 1.2 }), ruled: [{ setting: 'block', wantDeg: 10 }], standIns: ['cable-fly-high-to-low', 'dumbbell-fly-block-declined'] }),
  lying('dumbbell-fly-flat', 'chest-mid', 0, { startsWith: 'lowering', wantedPeak: 'lengthened', ruled: [{ setting: 'notch', wantDeg: 0 }], standIns: ['cable-fly-level', 'machine-fly'] }),
  lying('dumbbell-fly-incline', 'chest-upper', 20, { startsWith: 'lowering', wantedPeak: 'lengthened', ruled: [{ setting: 'notch', wantDeg: 20 }], standIns: ['cable-fly-low-to-high'] }),
  lying('dumbbell-fly-block-declined', 'chest-lower', -4, { startsWith: 'lowering', wantedPeak: 'lengthened', ruled: [{ setting: 'block', wantDeg: 4 }], standIns: ['cable-fly-high-to-low'] }),
  entry({
    id: 'machine-fly', grips: ['neutral'], group: 'chest', target: 'chest-mid', secondary: ['deltoid-front'], action: 'shoulder.horizontalAdduction', hands: 'two', posture: { kind: 'seated', on: 'bench', backDeg: 85 }, path: inTrunk([-5, 90, 15, 90], [85, 90, 95, 90]),
    load: { kind: 'machine', machine: 'chest-fly' }, ruled: [{ setting: 'seatHole', wantDeg: null }], tempo: '3-1-2-1', reps: { min: 10, max: 15 }, standIns: ['cable-fly-level', 'dumbbell-fly-flat'],
  }),
  entry({
    id: 'machine-press', grips: ['neutral', 'pronated'], group: 'chest', target: 'chest-mid', secondary: ['triceps-lateral', 'deltoid-front'], action: 'shoulder.horizontalAdduction', hands: 'two', posture: { kind: 'seated', on: 'bench', backDeg: 80 },
    path: inTrunk([15, 62, 90, 80], [70, 82, 88, 84]), load: { kind: 'machine', machine: 'chest-press' }, ruled: [{ setting: 'seatHole', wantDeg: null }], reps: { min: 6, max: 10 }, place: 'early', standIns: ['close-dumbbell-squeeze-press'],
  }),
  entry({
    id: 'cable-squeeze-press', grips: ['neutral'], group: 'chest', target: 'chest-mid', secondary: ['triceps-lateral', 'deltoid-front'], action: 'shoulder.flexion', hands: 'two', posture: { kind: 'staggered' }, path: inTrunk([55, 40, 140, 95], [104, 86, 104, 88]),
    load: cable('away', ['d-handle'], { near: 0.1, far: 1.2, from: LEVEL, forearm: 'pushes' }), tempo: '3-1-2-1', reps: { min: 10, max: 15 }, standIns: ['close-dumbbell-squeeze-press'],
  }),
  entry({
    id: 'close-dumbbell-squeeze-press', startsWith: 'lowering', grips: ['neutral'], group: 'chest', target: 'chest-mid', secondary: ['triceps-lateral', 'deltoid-front'], action: 'shoulder.flexion', hands: 'two', posture: { kind: 'lying', on: 'back', backDeg: 0 }, path: inTrunk([20, 28, 156, 90], [104, 88, 104, 90]),
    load: dumbbell(), ruled: [{ setting: 'notch', wantDeg: 0 }], reps: { min: 6, max: 10 }, place: 'early', standIns: ['cable-squeeze-press', 'close-push-up'],
  }),
  entry({
    id: 'close-push-up', startsWith: 'lowering', group: 'chest', target: 'chest-mid', secondary: ['triceps-lateral', 'core'], action: 'shoulder.flexion', hands: 'two', posture: { kind: 'plank' }, path: inFloor([-90, 72, 90, 22], [90, 3, 90, 0]), load: { kind: 'body', on: 'floor', band: false },
    reps: { min: 8, max: 20 }, standIns: ['close-dumbbell-squeeze-press'],
  }),
];
