import type { BookEntry } from '../book-entry';
import { cable, dumbbell, entry, inFloor, inTrunk, LEVEL } from './make';

const fly = inTrunk([-8, 88, 22, 88], [40, 90, 58, 90], [84, 92, 92, 92]);
/** Dumbbells go up and down in an upright plane, whatever the bench does under it. */
const dumbbellFly = inFloor([0, 82, 0, 112], [0, 128, 0, 146], [0, 172, 0, 178]);
const sweep = (id: string, target: BookEntry['target']): BookEntry =>
  entry({
    id, group: 'chest', target, secondary: ['deltoid-front'], action: 'shoulder.horizontalAdduction', hands: 'two', posture: { kind: 'staggered' }, path: null, load: cable('away', ['d-handle'], { near: -0.3, far: 2 }),
    tempo: '3-1-2-1', reps: { min: 10, max: 15 }, standIns: ['dumbbell-fly-flat', 'machine-fly'],
  });
const lying = (id: string, target: BookEntry['target'], backDeg: number, more: Partial<BookEntry> = {}): BookEntry =>
  entry({ id, group: 'chest', target, secondary: ['deltoid-front'], action: 'shoulder.horizontalAdduction', hands: 'two', posture: { kind: 'lying', on: 'back', backDeg }, path: dumbbellFly, load: dumbbell(), tempo: '3-1-2-1', reps: { min: 8, max: 12 }, ...more });

export const CHEST: readonly BookEntry[] = [
  sweep('cable-fly-high-to-low', 'chest-lower'),
  sweep('cable-fly-level', 'chest-mid'),
  sweep('cable-fly-low-to-high', 'chest-upper'),
  lying('cable-fly-incline', 'chest-upper', 25, { path: fly, load: cable('away', ['d-handle'], { near: 0.2, far: 1.2 }), ruled: [{ setting: 'notch', wantDeg: 25 }], standIns: ['dumbbell-fly-incline', 'cable-fly-low-to-high'] }),
  lying('cable-fly-decline', 'chest-lower', -10, { path: fly, load: cable('away', ['d-handle'], { near: 0.2, far: 1.2 }), ruled: [{ setting: 'block', wantDeg: 10 }], standIns: ['cable-fly-high-to-low', 'dumbbell-fly-block-declined'] }),
  lying('dumbbell-fly-flat', 'chest-mid', 0, { wantedPeak: 'lengthened', ruled: [{ setting: 'notch', wantDeg: 0 }], standIns: ['cable-fly-level', 'machine-fly'] }),
  lying('dumbbell-fly-incline', 'chest-upper', 20, { wantedPeak: 'lengthened', ruled: [{ setting: 'notch', wantDeg: 20 }], standIns: ['cable-fly-low-to-high'] }),
  lying('dumbbell-fly-block-declined', 'chest-lower', -4, { wantedPeak: 'lengthened', ruled: [{ setting: 'block', wantDeg: 4 }], standIns: ['cable-fly-high-to-low'] }),
  entry({
    id: 'machine-fly', group: 'chest', target: 'chest-mid', secondary: ['deltoid-front'], action: 'shoulder.horizontalAdduction', hands: 'two', posture: { kind: 'seated', on: 'bench', backDeg: 85 }, path: inTrunk([-5, 90, 15, 90], [85, 90, 95, 90]),
    load: { kind: 'machine', machine: 'chest-fly' }, ruled: [{ setting: 'seatHole', wantDeg: null }], tempo: '3-1-2-1', reps: { min: 10, max: 15 }, standIns: ['cable-fly-level', 'dumbbell-fly-flat'],
  }),
  entry({
    id: 'machine-press', group: 'chest', target: 'chest-mid', secondary: ['triceps-lateral', 'deltoid-front'], action: 'shoulder.horizontalAdduction', hands: 'two', posture: { kind: 'seated', on: 'bench', backDeg: 80 },
    path: inTrunk([15, 62, 90, 80], [70, 82, 88, 84]), load: { kind: 'machine', machine: 'chest-press' }, ruled: [{ setting: 'seatHole', wantDeg: null }], reps: { min: 6, max: 10 }, place: 'early', standIns: ['close-dumbbell-squeeze-press'],
  }),
  entry({
    id: 'cable-squeeze-press', group: 'chest', target: 'chest-mid', secondary: ['triceps-lateral', 'deltoid-front'], action: 'shoulder.flexion', hands: 'two', posture: { kind: 'staggered' }, path: inTrunk([70, 42, 118, 100], [88, 86, 99, 88]),
    load: cable('away', ['d-handle'], { near: 0.1, far: 1.2, from: LEVEL, forearm: 'pushes' }), tempo: '3-1-2-1', reps: { min: 10, max: 15 }, standIns: ['close-dumbbell-squeeze-press'],
  }),
  entry({
    id: 'close-dumbbell-squeeze-press', group: 'chest', target: 'chest-mid', secondary: ['triceps-lateral', 'deltoid-front'], action: 'shoulder.flexion', hands: 'two', posture: { kind: 'lying', on: 'back', backDeg: 0 }, path: inTrunk([72, 40, 105, 98], [92, 88, 98, 90]),
    load: dumbbell(), ruled: [{ setting: 'notch', wantDeg: 0 }], reps: { min: 6, max: 10 }, place: 'early', standIns: ['cable-squeeze-press', 'close-push-up'],
  }),
  entry({
    id: 'close-push-up', group: 'chest', target: 'chest-mid', secondary: ['triceps-lateral', 'core'], action: 'shoulder.flexion', hands: 'two', posture: { kind: 'plank' }, path: inFloor([-90, 72, 90, 22], [90, 3, 90, 0]), load: { kind: 'body', on: 'floor', band: false },
    reps: { min: 8, max: 20 }, standIns: ['close-dumbbell-squeeze-press'],
  }),
];
