import type { BookEntry } from '../book-entry';
import { cable, dumbbell, bar, entry, inFloor, inTrunk, HIGH, LEVEL, LOW } from './make';

type Own = Partial<BookEntry> & Pick<BookEntry, 'id' | 'hands' | 'posture' | 'path' | 'load'>;
const curl = (own: Own): BookEntry => entry({ group: 'biceps', grips: ['supinated', 'neutral', 'pronated'], target: 'biceps-long', secondary: ['biceps-short', 'brachialis', 'brachioradialis'], action: 'elbow.flexion', tempo: '3-0-1-1', reps: { min: 8, max: 12 }, restS: 75, place: 'late', ...own });
const extend = (own: Own): BookEntry => entry({ group: 'triceps', grips: ['neutral', 'pronated', 'supinated'], target: 'triceps-lateral', secondary: ['triceps-long', 'triceps-medial'], action: 'elbow.extension', tempo: '3-0-1-1', reps: { min: 10, max: 15 }, restS: 75, place: 'late', ...own });

/** Upper arm on a pad that slopes 50 degrees down: 40 degrees ahead of hanging. Stops short of straight. */
const PREACHER = inFloor([90, 40, 90, 52], [90, 40, 90, 108], [90, 40, 90, 165]);
/** Elbow under the shoulder, a little forward at the top; ends before the forearm is upright. */
const STANDING = inFloor([90, 6, 90, 14], [90, 10, 90, 86], [90, 18, 90, 148]);
const preacher = (own: Partial<BookEntry> & Pick<BookEntry, 'id' | 'hands'>): BookEntry =>
  curl({ posture: { kind: 'seated', on: 'bench', backDeg: 100 }, path: PREACHER, load: dumbbell(), target: 'biceps-short', secondary: ['biceps-long', 'brachialis'], wantedPeak: 'lengthened', ruled: [{ setting: 'seatHole', wantDeg: null }], armOn: 'preacher', reps: { min: 10, max: 20 }, place: 'third', standIns: ['incline-bench-cable-curl'], ...own });

export const BICEPS: readonly BookEntry[] = [
  preacher({ id: 'preacher-curl-one-arm', hands: 'one', posture: { kind: 'standing', kneeFlexionDeg: 15 }, ruled: [] }),
  preacher({ id: 'preacher-curl-neutral', grips: ['neutral'], hands: 'one', target: 'brachialis', secondary: ['brachioradialis', 'biceps-long'] }),
  preacher({ id: 'preacher-curl-pressed-together', hands: 'two' }),
  preacher({ id: 'preacher-curl-cambered-bar', grips: ['supinated'], hands: 'two', load: bar }),
  curl({ id: 'incline-bench-cable-curl', hands: 'one', posture: { kind: 'standing', kneeFlexionDeg: 15 }, armOn: 'bench', path: inFloor([90, 30, 90, 40], [90, 30, 90, 96], [90, 30, 90, 152]), load: cable('towards', ['d-handle'], { near: 0.3, far: 1.4, from: LOW }), target: 'biceps-short', ruled: [{ setting: 'notch', wantDeg: 60 }], standIns: ['preacher-curl-one-arm'] }),
  curl({ id: 'incline-dumbbell-curl', hands: 'two', posture: { kind: 'lying', on: 'back', backDeg: 60 }, path: inFloor([-90, 8, 90, 4], [-90, 6, 90, 75], [90, 2, 90, 138]), load: dumbbell(), wantedPeak: 'lengthened', ruled: [{ setting: 'notch', wantDeg: 60 }], standIns: ['seated-curl-from-behind'] }),
  curl({ id: 'prone-incline-curl', hands: 'one', posture: { kind: 'lying', on: 'front', backDeg: 45 }, path: inFloor([90, 2, 90, 6], [90, 4, 90, 80], [90, 6, 90, 146]), load: dumbbell(), target: 'biceps-short', wantedPeak: 'contracted', ruled: [{ setting: 'notch', wantDeg: 45 }], standIns: ['preacher-curl-one-arm'] }),
  curl({ id: 'curl-up-supinated-down-pronated', grips: ['supinated'], hands: 'two', posture: { kind: 'standing' }, path: STANDING, load: dumbbell(), secondary: ['brachialis', 'brachioradialis', 'biceps-short'], standIns: ['barbell-curl'] }),
  curl({ id: 'mid-range-slow-curl', hands: 'two', posture: { kind: 'standing' }, path: STANDING, load: dumbbell(), tempo: '3-0-3-0', wantedPeak: 'mid', standIns: ['barbell-curl'] }),
  curl({ id: 'half-kneeling-neutral-curl', grips: ['neutral'], hands: 'one', posture: { kind: 'half-kneeling', down: 'working' }, path: STANDING, load: dumbbell(), target: 'brachialis', secondary: ['brachioradialis', 'biceps-long'], standIns: ['preacher-curl-neutral'] }),
  curl({ id: 'barbell-curl', grips: ['supinated', 'pronated'], hands: 'two', posture: { kind: 'standing' }, path: STANDING, load: bar, standIns: ['straight-bar-cable-curl'] }),
  curl({ id: 'straight-bar-cable-curl', grips: ['supinated', 'pronated'], hands: 'two', posture: { kind: 'standing' }, path: STANDING, load: cable('towards', ['straight-bar', 'cambered-bar'], { shared: true, near: 0.2, far: 0.9, from: LOW }), motion: [{ at: 0, trunk: { leanDeg: -3, sideBendDeg: 0, turnDeg: 0 } }, { at: 1, trunk: { leanDeg: -3, sideBendDeg: 0, turnDeg: 0 } }], standIns: ['barbell-curl'] }),
  curl({ id: 'seated-curl-from-behind', hands: 'two', posture: { kind: 'seated', on: 'bench', backDeg: 85 }, path: inFloor([-90, 14, 90, 2], [-90, 8, 90, 72], [90, 4, 90, 142]), load: dumbbell(), wantedPeak: 'lengthened', standIns: ['incline-dumbbell-curl'] }),
  curl({ id: 'side-turned-curl', hands: 'two', posture: { kind: 'standing' }, path: inFloor([40, 8, 25, 14], [40, 10, 25, 82], [40, 14, 30, 140]), load: dumbbell(), target: 'biceps-short', standIns: ['barbell-curl'] }),
  entry({ id: 'plate-curl', grips: ['neutral'], group: 'biceps', target: 'biceps-short', secondary: ['chest-mid', 'deltoid-front'], action: 'shoulder.flexion', hands: 'two', posture: { kind: 'standing' }, path: inFloor([60, 32, 138, 100], [104, 86, 104, 88]), load: { kind: 'weight', kit: 'plates', share: 0.5 }, tempo: '3-0-1-1', reps: { min: 10, max: 15 }, place: 'late', standIns: ['two-hand-single-dumbbell-curl'] }),
  curl({ id: 'two-hand-single-dumbbell-curl', grips: ['neutral', 'supinated'], target: 'brachialis', secondary: ['brachioradialis', 'biceps-long'], hands: 'two', posture: { kind: 'standing' }, path: inFloor([80, 8, 112, 16], [82, 12, 112, 84], [84, 20, 110, 142]), load: dumbbell(0.5), tempo: '3-0-1-1', standIns: ['barbell-curl'] }),
  curl({ id: 'turning-cable-curl', grips: ['supinated'], hands: 'one', posture: { kind: 'standing' }, path: inTrunk([-90, 25, -90, 18], [90, 5, 90, 78], [90, 28, 90, 158]), motion: [{ at: 0 }, { at: 0.35 }, { at: 1, yawDeg: 165 }], load: cable('away', ['half-rope', 'bare-end'], { near: 0.4, far: 1.4, from: LEVEL }), reps: { min: 10, max: 12 }, standIns: ['straight-bar-cable-curl'] }),
];

export const TRICEPS: readonly BookEntry[] = [
  extend({ id: 'rope-pushdown', grips: ['neutral'], hands: 'two', posture: { kind: 'staggered' }, path: inFloor([90, 18, 92, 128], [90, 18, 90, 70], [80, 18, 76, 22]), load: cable('towards', ['rope'], { shared: true, near: 0.25, far: 0.9, from: HIGH }), standIns: ['v-bar-pushdown'] }),
  extend({ id: 'v-bar-pushdown', grips: ['pronated'], hands: 'two', posture: { kind: 'staggered' }, path: inFloor([90, 18, 92, 128], [90, 18, 90, 70], [90, 18, 90, 20]), load: cable('towards', ['v-bar', 'straight-bar'], { shared: true, near: 0.25, far: 0.9, from: HIGH }), standIns: ['rope-pushdown'] }),
  extend({ id: 'palm-up-pushdown', grips: ['supinated', 'pronated'], hands: 'one', posture: { kind: 'staggered' }, path: inFloor([90, 14, 92, 124], [90, 14, 90, 68], [90, 12, 90, 14]), load: cable('towards', ['d-handle'], { near: 0.25, far: 0.9, from: HIGH }), target: 'triceps-medial', secondary: ['triceps-lateral'], standIns: ['rope-pushdown'] }),
  extend({ id: 'overhead-rope-extension', grips: ['neutral'], hands: 'two', posture: { kind: 'staggered' }, path: inTrunk([88, 150, -90, 70], [88, 152, -90, 130], [88, 155, 90, 162]), load: cable('away', ['rope'], { shared: true, near: 0.3, far: 1.4 }), target: 'triceps-long', secondary: ['triceps-lateral', 'triceps-medial'], wantedPeak: 'lengthened', standIns: ['seated-overhead-dumbbell-extension'] }),
  extend({ id: 'seated-overhead-dumbbell-extension', startsWith: 'lowering', hands: 'two', posture: { kind: 'seated', on: 'bench', backDeg: 85 }, path: inFloor([90, 170, -90, 50], [90, 170, -90, 115], [90, 170, 90, 177]), load: dumbbell(0.5), target: 'triceps-long', secondary: ['triceps-lateral'], wantedPeak: 'lengthened', ruled: [{ setting: 'notch', wantDeg: 85 }], standIns: ['overhead-rope-extension'] }),
  extend({ id: 'lying-extension', startsWith: 'lowering', hands: 'two', posture: { kind: 'lying', on: 'back', backDeg: 0 }, path: inFloor([-90, 165, -90, 60], [-90, 165, -90, 115], [-90, 165, -90, 162]), load: dumbbell(), target: 'triceps-long', secondary: ['triceps-lateral'], ruled: [{ setting: 'notch', wantDeg: 0 }], standIns: ['seated-overhead-dumbbell-extension'] }),
  extend({ id: 'kickback', hands: 'one', posture: { kind: 'hand-on-bench' }, path: inFloor([-90, 88, 90, 48], [-90, 88, -90, 20], [-90, 88, -90, 87]), load: dumbbell(), wantedPeak: 'contracted', reps: { min: 12, max: 15 }, standIns: ['rope-pushdown'] }),
];
