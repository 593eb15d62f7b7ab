import { PEAK_TARGETS } from '@/core/movement/peak-target';
import { FRONT_FEET } from '@/core/movement/sweep-path';
import { BOOK } from '@/core/book/book';
import { ownArmPathDeg } from '@/core/book/arm-path';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { needsOf } from '@/core/book/choose';
import { hasGripWidth } from '@/core/book/hand-width';
import { leansFree } from '@/core/book/stand-up';
import { FOOT_PLACES } from '@/core/book/foot-place';
import { hasFeet, hasNotch, hasPins, hasSeatHole } from '@/core/book/entry-options';
import { leansOf } from '@/contract/options-schema';
import { practicesOf } from '@/core/book/practice';
import { BOOK_TEXT } from '@/messages/book';
import { REGION_NAME } from '@/messages/movements';

/** Settings that are solved or ruled for a movement of the book. */
function settingsOf(e: BookEntry): string[] {
  return [
    ...(e.load.kind === 'cable' ? ['hole', 'standX', 'standZ', 'yawDeg'] : []),
    ...e.ruled.map((r) => r.setting),
    ...(leansFree(e) ? ['lean', 'step'] : []),
  ];
}

/** What `options` of a case may hold for a movement, each with its default. */
function optionsOf(e: BookEntry) {
  const armPath = ownArmPathDeg(e);
  const practices = practicesOf(e, [], 0);
  const leans = leansOf(e);
  return {
    ...(e.load.kind === 'cable' ? { peak: { default: e.peakTarget, oneOf: PEAK_TARGETS } } : {}),
    ...(e.path.kind === 'sweep'
      ? {
          tiltDeg: { default: e.path.tiltDeg.default, from: e.path.tiltDeg.min, to: e.path.tiltDeg.max },
          frontFoot: { default: 'left', oneOf: FRONT_FEET },
        }
      : {}),
    ...(e.grips.length > 1 ? { grip: { default: e.grips[0], oneOf: e.grips } } : {}),
    ...(armPath === null ? {} : { armPathDeg: { default: armPath, from: -10, to: 60 } }),
    ...(e.path.kind === 'arm' ? { tuckDeg: { default: 0, from: -45, to: 45 } } : {}),
    ...(hasGripWidth(e) ? { gripWidthM: { default: null, from: 0.05, to: 1.4 } } : {}),
    ...(hasFeet(e) ? { feet: { default: 'middle', oneOf: FOOT_PLACES } } : {}),
    ...(leans
      ? {
          leanDeg: {
            default: e.load.kind === 'body' && e.load.on === 'straps' ? e.load.leanDeg : null,
            from: leans[0],
            to: leans[1],
          },
        }
      : {}),
    ...(hasPins(e) ? { pinM: { default: null, from: 0.1, to: 1.2 } } : {}),
    ...(hasNotch(e) ? { backDeg: { default: null, from: -20, to: 90 } } : {}),
    ...(hasSeatHole(e) ? { seatHole: { default: null, from: 1, to: 40 } } : {}),
    ...(e.path.kind === 'sweep'
      ? {}
      : { startAt: { default: e.startAt, from: 0, to: 1 }, stopAt: { default: e.stopAt, from: 0, to: 1 } }),
    ...(practices.length > 0
      ? { practices: Object.fromEntries(practices.map((s) => [s.question, { default: s.preset, oneOf: s.options }])) }
      : {}),
  };
}

/** Every movement of the book as the command line prints it; a case can name each. */
export const listMovements = () =>
  BOOK.map((e) => ({
    movement: e.id,
    name: BOOK_TEXT[e.id]!.name,
    target: REGION_NAME[e.target],
    secondary: e.secondary.map((r) => REGION_NAME[r]),
    station: e.load.kind,
    solved: settingsOf(e),
    sides: e.path.kind === 'sweep' ? ['left', 'right', 'both'] : sidesOf(e),
    tempo: { notation: e.tempo, startsWith: e.startsWith },
    reps: e.reps,
    needs: needsOf(e),
    standIns: e.standIns,
    options: optionsOf(e),
  }));
