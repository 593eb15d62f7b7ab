import { FRONT_FEET, PEAK_WISHES } from '@/core/movement/movement';
import { BOOK } from '@/core/book/book';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { needsOf } from '@/core/book/choose';
import { BOOK_TEXT } from '@/messages/book';
import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import { MOVEMENT_NAME, REGION_NAME } from '@/messages/movements';

/** The movements that a case can name, with their options and defaults. */
const flies = () =>
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

/** Settings that are solved or ruled for a movement of the book. */
function settingsOf(e: BookEntry): string[] {
  return [...(e.load.kind === 'cable' ? ['hole', 'standX', 'standZ', 'yawDeg'] : []), ...e.ruled.map((r) => r.setting)];
}

/** Every movement of the book as the command line prints them: those that a case can name first, with their options. */
export const listMovements = () => [
  ...flies().map((m) => ({ ...m, inCases: true })),
  ...BOOK.filter((e) => e.path !== null).map((e) => ({
    movement: e.id,
    name: BOOK_TEXT[e.id]!.name,
    target: REGION_NAME[e.target],
    secondary: e.secondary.map((r) => REGION_NAME[r]),
    station: e.load.kind,
    solved: settingsOf(e),
    sides: sidesOf(e),
    tempo: { notation: e.tempo, startsWith: e.startsWith },
    reps: e.reps,
    needs: needsOf(e),
    standIns: e.standIns,
    options: {},
    inCases: false,
  })),
];
