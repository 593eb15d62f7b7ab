import { FRONT_FEET, PEAK_WISHES } from '@/core/movement/movement';
import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import { MOVEMENT_NAME, REGION_NAME } from '@/messages/movements';

/** Every movement with its options, defaults and solved settings, as the command line prints them. */
export const listMovements = () =>
  Object.values(MOVEMENT_BOOK).map((m) => ({
    movement: m.id,
    name: MOVEMENT_NAME[m.id],
    target: REGION_NAME[m.target],
    station: m.station,
    solved: ['hole', 'standX', 'standZ', 'yawDeg'],
    sides: ['left', 'right', 'both'],
    tempo: m.tempo,
    reps: m.reps,
    options: {
      peak: { default: m.wantedPeak, oneOf: PEAK_WISHES },
      tiltDeg: { default: m.path.tiltDeg.default, from: m.path.tiltDeg.min, to: m.path.tiltDeg.max },
      frontFoot: { default: 'left', oneOf: FRONT_FEET },
    },
  }));
