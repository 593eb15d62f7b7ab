import type { SweepPath } from '@/core/movement/sweep-path';
import type { BookEntry } from '../book-entry';
import { cable, dumbbell, entry, inFloor, inTrunk, type Entry, type Named } from './make';

const fly = inTrunk([-8, 88, 22, 88], [48, 90, 66, 90], [102, 92, 109, 92]);
/** Head down, the arms close over the thighs. */
const declineFly = inTrunk([-8, 84, 22, 84], [48, 74, 66, 74], [104, 60, 110, 60]);
/** Dumbbells go up and down in an upright plane, whatever the bench does under it. */
const dumbbellFly = inFloor([0, 82, 0, 112], [0, 128, 0, 146], [0, 172, 0, 178]);
/**
 * Tilts follow the border of the chest that should line up with cable and arm: the lower border for high to low, level
 * fibres for level, the collarbone's for low to high (approximate, from common practice). Staggered, bent in the
 * stretch, nearly straight at the finish; the reps of the low version are its own.
 */
const sweep = <const Id extends string>(
  named: Named<Id>,
  target: BookEntry['target'],
  sideElevationDeg: number,
  tiltDeg: SweepPath['tiltDeg'],
  fewest = 10,
): Entry<Id> =>
  entry({
    ...named,
    group: 'chest',
    target,
    secondary: ['deltoid-front'],
    grips: ['neutral'],
    action: 'shoulder.horizontalAdduction',
    hands: 'two',
    posture: { kind: 'staggered' },
    path: {
      kind: 'sweep',
      sideElevationDeg,
      tiltDeg,
      startAzimuthDeg: -10,
      finishGapM: 0.1,
      elbowFlexionDeg: { start: 30, finish: 10 },
      leanDeg: 6,
    },
    load: cable('away', ['d-handle']),
    tempo: '3-1-2-1',
    reps: { min: fewest, max: 15 },
    standIns: ['dumbbell-fly-flat', 'machine-fly'],
  });
const lying = <const Id extends string>(
  named: Named<Id>,
  target: BookEntry['target'],
  backDeg: number,
  more: Partial<Omit<BookEntry, 'id'>> = {},
): Entry<Id> =>
  entry({
    ...named,
    group: 'chest',
    target,
    secondary: ['deltoid-front'],
    grips: ['neutral'],
    action: 'shoulder.horizontalAdduction',
    hands: 'two',
    posture: { kind: 'lying', on: 'back', backDeg },
    path: dumbbellFly,
    load: dumbbell(),
    tempo: '3-1-2-1',
    reps: { min: 8, max: 12 },
    ...more,
  });

/** Movements of the chest. */
export const CHEST = [
  sweep(
    {
      id: 'cable-fly-high-to-low',
      text: {
        name: 'Cable fly, high to low',
        how:
          'Staggered, either foot ahead; settle cable, arm and the lower border of the chest in one ' +
          'line before the first rep.',
        cue: 'Sweep down towards your front pocket',
      },
    },
    'chest-lower',
    98,
    { default: 55, min: 30, max: 65 },
  ),
  sweep(
    {
      id: 'cable-fly-level',
      text: {
        name: 'Cable fly, level',
        how: 'Staggered, chest high, blades down and back; the cable lies along the arm at the finish.',
        cue: 'Wrap your arms round a wide barrel',
      },
    },
    'chest-mid',
    90,
    { default: 0, min: -10, max: 15 },
  ),
  sweep(
    {
      id: 'cable-fly-low-to-high',
      text: {
        name: 'Cable fly, low to high',
        how: 'Staggered; the hands rise towards the chin, the upper back brings them down again.',
        cue: 'Scoop up until your hands meet at your chin',
      },
    },
    'chest-upper',
    60,
    { default: -20, min: -40, max: -5 },
    12,
  ),
  lying(
    {
      id: 'cable-fly-incline',
      text: {
        name: 'Cable fly on an incline bench',
        how:
          'Bench a slight incline midway between low pulleys; elbows bent in the stretch, nearly ' +
          'straight at the finish.',
        cue: 'Close the arc above your collarbone',
      },
    },
    'chest-upper',
    25,
    {
      path: fly,
      load: cable('away', ['d-handle']),
      ruled: [{ setting: 'notch', wantDeg: 25 }],
      standIns: ['dumbbell-fly-incline', 'cable-fly-low-to-high'],
    },
  ),
  lying(
    {
      id: 'cable-fly-decline',
      text: {
        name: 'Cable fly on a decline bench',
        how: 'Bench tipped head down between low pulleys; the hands end over the thighs.',
        cue: 'Bring your hands together over your belt',
      },
    },
    'chest-lower',
    -10,
    {
      path: declineFly,
      load: cable('away', ['d-handle']),
      ruled: [{ setting: 'block', wantDeg: 10 }],
      standIns: ['cable-fly-high-to-low', 'dumbbell-fly-block-declined'],
    },
  ),
  lying(
    {
      id: 'dumbbell-fly-flat',
      text: {
        name: 'Dumbbell fly, flat',
        how:
          'Feet planted, blades flat on the bench; stop the stretch where the upper arms are level ' +
          'with the trunk.',
        cue: 'Open wide, shoulders stay on the bench',
      },
    },
    'chest-mid',
    0,
    {
      startsWith: 'lowering',
      peakTarget: 'lengthened',
      ruled: [{ setting: 'notch', wantDeg: 0 }],
      standIns: ['cable-fly-level', 'machine-fly'],
    },
  ),
  lying(
    {
      id: 'dumbbell-fly-incline',
      text: {
        name: 'Dumbbell fly, slight incline',
        how: 'Back one or two notches up; the hands rise straight above the upper chest.',
        cue: 'Lift as if closing a big book',
      },
    },
    'chest-upper',
    20,
    {
      startsWith: 'lowering',
      peakTarget: 'lengthened',
      ruled: [{ setting: 'notch', wantDeg: 20 }],
      standIns: ['cable-fly-low-to-high'],
    },
  ),
  lying(
    {
      id: 'dumbbell-fly-block-declined',
      text: {
        name: 'Dumbbell fly, bench on a block',
        how: 'A plate or block under the foot end; check that it cannot slip.',
        cue: 'Press your low ribs into the bench and open',
      },
    },
    'chest-lower',
    -4,
    {
      startsWith: 'lowering',
      peakTarget: 'lengthened',
      ruled: [{ setting: 'block', wantDeg: 4 }],
      standIns: ['cable-fly-high-to-low'],
    },
  ),
  entry({
    id: 'machine-fly',
    text: {
      name: 'Machine fly',
      how: 'Handles level with the shoulders; start stop set so that they stay ahead of the chest.',
      cue: 'Turn your elbows in a touch and squeeze',
    },
    grips: ['neutral'],
    group: 'chest',
    target: 'chest-mid',
    secondary: ['deltoid-front'],
    action: 'shoulder.horizontalAdduction',
    hands: 'two',
    posture: { kind: 'seated', on: 'bench', backDeg: 85 },
    // One bend all the way: the handle's arm turns about the shoulder.
    path: inTrunk([-5, 90, 15, 90], [96, 90, 116, 90]),
    load: { kind: 'machine', machine: 'chest-fly' },
    ruled: [{ setting: 'seatHole', wantDeg: null }],
    tempo: '3-1-2-1',
    reps: { min: 10, max: 15 },
    standIns: ['cable-fly-level', 'dumbbell-fly-flat'],
  }),
  entry({
    id: 'machine-press',
    text: {
      name: 'Machine press, sides on their own',
      how:
        'Handles level with the nipples and ahead of the chest; heels and hips driven back into the ' +
        'pad, no lockout.',
      cue: 'Push yourself back into the pad',
    },
    grips: ['neutral', 'pronated'],
    group: 'chest',
    target: 'chest-mid',
    secondary: ['triceps-lateral', 'deltoid-front'],
    action: 'shoulder.horizontalAdduction',
    hands: 'two',
    posture: { kind: 'seated', on: 'bench', backDeg: 80 },
    path: inTrunk([10, 55, 92, 84], [76, 82, 92, 84]),
    load: { kind: 'machine', machine: 'chest-press' },
    ruled: [{ setting: 'seatHole', wantDeg: null }],
    reps: { min: 6, max: 10 },
    place: 'early',
    standIns: ['close-dumbbell-squeeze-press'],
  }),
  entry({
    id: 'cable-squeeze-press',
    text: {
      name: 'Cable squeeze press',
      how: 'Hands pressed together through the whole range, elbows rolled slightly in.',
      cue: 'Crush your palms together all the way out',
    },
    grips: ['neutral'],
    group: 'chest',
    target: 'chest-mid',
    secondary: ['triceps-lateral', 'deltoid-front'],
    action: 'shoulder.flexion',
    hands: 'two',
    hold: { start: 0.08, finish: 0.08, gives: 'elbow' },
    posture: { kind: 'staggered' },
    path: inTrunk([55, 40, 140, 95], [114, 84, 110, 86]),
    load: cable('away', ['d-handle']),
    tempo: '3-1-2-1',
    reps: { min: 10, max: 15 },
    standIns: ['close-dumbbell-squeeze-press'],
    raises: ['squeeze-presses'],
  }),
  entry({
    id: 'close-dumbbell-squeeze-press',
    text: {
      name: 'Close dumbbell squeeze press',
      how: 'Dumbbells pressed against each other; bigger ones meet the chest sooner and shorten the ' + 'range.',
      cue: 'Keep the bells glued to each other',
    },
    startsWith: 'lowering',
    grips: ['neutral'],
    group: 'chest',
    target: 'chest-mid',
    secondary: ['triceps-lateral', 'deltoid-front'],
    action: 'shoulder.flexion',
    hands: 'two',
    hold: { start: 0.16, finish: 0.16, gives: 'elbow', pressed: 'together' },
    posture: { kind: 'lying', on: 'back', backDeg: 0 },
    path: inTrunk([20, 28, 156, 90], [104, 88, 104, 90]),
    load: dumbbell(),
    ruled: [{ setting: 'notch', wantDeg: 0 }],
    reps: { min: 6, max: 10 },
    place: 'early',
    standIns: ['cable-squeeze-press', 'close-push-up'],
    raises: ['squeeze-presses'],
  }),
  entry({
    id: 'close-push-up',
    cautions: ['no-lockout'],
    text: {
      name: 'Close push-up',
      how: 'Hands under the shoulders, body in one line; raise the hands to make it easier.',
      cue: 'Elbows brush your sides on the way down',
    },
    startsWith: 'lowering',
    group: 'chest',
    target: 'chest-mid',
    secondary: ['triceps-lateral', 'core'],
    action: 'shoulder.flexion',
    hands: 'two',
    hold: { start: 'shoulder', finish: 'shoulder', gives: 'elbow' },
    posture: { kind: 'plank' },
    path: inFloor([-90, 72, 90, 22], [-90, 3, -90, 1]),
    load: { kind: 'body', on: 'floor', band: false },
    reps: { min: 8, max: 20 },
    standIns: ['close-dumbbell-squeeze-press'],
  }),
];
