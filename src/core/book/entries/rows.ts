import type { BookEntry } from '../book-entry';
import { cable, dumbbell, bar, entry, inTrunk, rowing, HIGH, LEVEL, LOW } from './make';

type Own = Partial<BookEntry> & Pick<BookEntry, 'id' | 'hands' | 'posture' | 'path' | 'load'>;
/** A row for the lats: the elbow travels back and down along the side. */
const latRow = (own: Own): BookEntry => entry({ group: 'rows', grips: ['neutral', 'supinated', 'pronated'], target: 'lat-lower', secondary: ['mid-back', 'biceps-long'], action: 'shoulder.extension', reps: { min: 10, max: 15 }, place: 'third', ...own });
/** A row for the mid and upper back: the elbow travels out to the side. */
const backRow = (own: Own): BookEntry => entry({ group: 'rows', grips: ['pronated', 'neutral', 'supinated'], target: 'mid-back', secondary: ['deltoid-rear', 'lat-upper', 'biceps-long'], action: 'shoulder.extension', reps: { min: 8, max: 12 }, place: 'early', ...own });

const NEAR_HIP = rowing([90, 75], [-85, 22]);
const CLOSE = inTrunk([90, 78, 90, 84], [-85, 28, 90, 62]);

export const ROWS: readonly BookEntry[] = [
  latRow({ id: 'dumbbell-row-one-arm', hands: 'one', posture: { kind: 'hand-on-bench' }, path: NEAR_HIP, load: dumbbell(), standIns: ['cable-row-level-one-arm', 'landmine-row-alongside'] }),
  backRow({ id: 'dumbbell-row-hinged', grips: ['neutral', 'pronated', 'supinated'], hands: 'two', posture: { kind: 'hinged', trunkDeg: 45 }, path: rowing([90, 45], [-35, 50]), load: dumbbell(), ruled: [{ setting: 'trunkDeg', wantDeg: 45 }], standIns: ['chest-supported-row'] }),
  backRow({ id: 'dumbbell-row-wide-elbow', hands: 'two', posture: { kind: 'hinged', trunkDeg: 20 }, path: rowing([80, 70], [-8, 78]), load: dumbbell(), secondary: ['deltoid-rear', 'trapezius-lower'], ruled: [{ setting: 'trunkDeg', wantDeg: 20 }], standIns: ['chest-supported-row'] }),
  latRow({ id: 'plank-row', hands: 'one', posture: { kind: 'plank' }, path: rowing([90, 62], [-80, 30]), load: dumbbell(), secondary: ['core', 'mid-back'], place: 'late', standIns: ['dumbbell-row-one-arm'] }),
  backRow({ id: 'barbell-row-hinged', hands: 'two', posture: { kind: 'hinged', trunkDeg: 35 }, path: rowing([86, 55], [-35, 50]), load: bar, ruled: [{ setting: 'trunkDeg', wantDeg: 35 }], standIns: ['dumbbell-row-hinged', 'chest-supported-row'] }),
  backRow({ id: 'barbell-row-dead-stop', hands: 'two', posture: { kind: 'hinged', trunkDeg: 10 }, path: rowing([86, 80], [-35, 52]), load: bar, ruled: [{ setting: 'trunkDeg', wantDeg: 10 }], tempo: '2-1-X-0', standIns: ['barbell-row-hinged'] }),
  backRow({ id: 'landmine-row-two-hand', grips: ['neutral'], hands: 'two', posture: { kind: 'hinged', trunkDeg: 40 }, path: rowing([92, 50], [-42, 44]), load: { kind: 'landmine', share: 0.5, at: 'between' }, standIns: ['dumbbell-row-hinged'] }),
  latRow({ id: 'landmine-row-alongside', hands: 'one', posture: { kind: 'forearm-on-thigh', trunkDeg: 40 }, path: rowing([90, 50], [-85, 20]), load: { kind: 'landmine', share: 1, at: 'alongside' }, standIns: ['dumbbell-row-one-arm'] }),
  backRow({ id: 'landmine-row-square', hands: 'one', posture: { kind: 'forearm-on-thigh', trunkDeg: 40 }, path: rowing([85, 52], [-5, 70]), load: { kind: 'landmine', share: 1, at: 'square' }, secondary: ['deltoid-rear', 'trapezius-lower'], standIns: ['dumbbell-row-wide-elbow'] }),
  latRow({ id: 'barbell-row-one-arm', hands: 'one', posture: { kind: 'hand-on-bench' }, path: rowing([90, 70], [-85, 24]), load: { kind: 'weight', kit: 'bar', share: 1 }, standIns: ['dumbbell-row-one-arm'] }),
  backRow({ id: 'chest-supported-row', grips: ['neutral', 'pronated', 'supinated'], hands: 'two', posture: { kind: 'lying', on: 'front', backDeg: 35 }, path: rowing([90, 55], [-35, 50]), load: dumbbell(), ruled: [{ setting: 'notch', wantDeg: 35 }], standIns: ['cable-row-level-wide-underhand'] }),
  backRow({ id: 'strap-row', grips: ['neutral', 'pronated', 'supinated'], hands: 'two', posture: { kind: 'standing' }, path: inTrunk([88, 78, 90, 84], [-40, 46, 82, 66]), load: { kind: 'body', on: 'straps', band: false }, reps: { min: 8, max: 15 }, standIns: ['cable-row-level-wide-underhand'] }),
  latRow({ id: 'cable-row-level-one-arm', grips: ['neutral', 'supinated', 'pronated'], hands: 'one', posture: { kind: 'seated', on: 'low', backDeg: 90 }, path: CLOSE, load: cable('towards', ['d-handle'], { near: 0.6, far: 1.4, from: LEVEL, forearm: 'pulls' }), standIns: ['dumbbell-row-one-arm'] }),
  latRow({ id: 'cable-row-level-wide-underhand', grips: ['supinated'], hands: 'two', posture: { kind: 'seated', on: 'low', backDeg: 90 }, path: inTrunk([84, 78, 92, 84], [-70, 34, 88, 66]), load: cable('towards', ['long-bar'], { shared: true, near: 0.6, far: 1.4, from: LEVEL, forearm: 'pulls' }), place: 'early', standIns: ['chest-supported-row'] }),
  backRow({ id: 'rope-row-low-hinged', grips: ['neutral'], hands: 'two', posture: { kind: 'hinged', trunkDeg: 30 }, path: inTrunk([92, 100, 94, 104], [-20, 55, 70, 92]), load: cable('towards', ['rope'], { shared: true, near: 0.5, far: 1.8, from: LOW, forearm: 'pulls' }), secondary: ['lat-upper', 'deltoid-rear'], ruled: [{ setting: 'trunkDeg', wantDeg: 30 }], standIns: ['dumbbell-row-hinged'] }),
  latRow({ id: 'rope-row-low-one-arm', grips: ['neutral'], hands: 'one', posture: { kind: 'hinged', trunkDeg: 30 }, path: inTrunk([92, 100, 94, 104], [-70, 32, 80, 88]), load: cable('towards', ['half-rope', 'rope'], { near: 0.5, far: 1.8, from: LOW, forearm: 'pulls' }), ruled: [{ setting: 'trunkDeg', wantDeg: 30 }], standIns: ['cable-row-level-one-arm'] }),
  latRow({ id: 'cable-row-high-one-arm', hands: 'one', posture: { kind: 'wide' }, path: inTrunk([90, 118, 90, 122], [-85, 18, 90, 82]), load: cable('towards', ['d-handle'], { near: 0.6, far: 1.5, from: HIGH, forearm: 'pulls' }), secondary: ['lat-upper', 'biceps-long'], standIns: ['pulldown-one-arm-underhand'] }),
];
